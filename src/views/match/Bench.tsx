import { useState } from 'react';
import { itemName, itemsOf } from '../../core/families/index.ts';
import {
  chosenPart,
  familyCodeOf,
  itemOfRule,
  type ItemState,
  missingFor,
  openItems,
} from '../../core/job/index.ts';
import { Call, MainAction } from '../../ui/Panels.tsx';
import { TryAgain } from '../../ui/TryAgain.tsx';
import { StationBody } from '../shell/JobSheet.tsx';
import { PinDialog } from '../shell/PinDialog.tsx';
import { useJob } from '../shell/useJob.ts';
import { BenchAxis, ItemMark, itemStates } from './BenchAxis.tsx';
import { FromCatalogue } from './FromCatalogue.tsx';
import { useSupply } from './useSupply.ts';

/** What the job uses up, laid out along the axis in the order it goes on. */
export function Bench({
  bar,
  finish,
  onOther,
}: {
  bar: React.ReactNode;
  finish: () => void;
  /** What came is not what was chosen. */
  onOther: () => void;
}) {
  const { view, send } = useJob();
  const { state } = view;
  const [owning, setOwning] = useState<string>();
  const items = itemsOf(familyCodeOf(view));
  const missing = openItems(view);
  const { supply, failed, needed } = useSupply();
  const inHand = items.filter((i) => state.items[i.id] === 'in-hand').length;
  const owned = state.overrides.filter((o) => itemOfRule(o.rule) !== undefined);
  const part = chosenPart(view);
  const gate = missingFor('match', view)[0];
  // Where nothing was marked one tap says that everything lies here; from the first mark on each is said by itself.
  const untouched = missing.length > 0 && items.every((i) => state.items[i.id] === undefined);
  const allHere = async () => {
    for (const i of missing)
      if (!(await send('item-marked', { itemId: i.id, state: 'in-hand' as ItemState }))) return;
    finish();
  };
  return (
    <StationBody
      kicker="Match, 4 of 4"
      title="Is everything on the bench?"
      tabs={bar}
      picture={
        <BenchAxis
          items={items}
          states={state.items}
          part={part}
          onState={(itemId, s) => send('item-marked', { itemId, state: s })}
        />
      }
      side={
        <>
          <Call status={missing.length === 0 ? 'good' : 'to-do'}>
            {missing.length === 0
              ? 'Everything the job uses up is here.'
              : `Work can start. It stops at “${missing[0]!.blocksText}” unless it comes.`}
          </Call>
          <section>
            <p>
              <b className="num text-[52px] leading-none">{inHand}</b>{' '}
              <span className="note">of {items.length} in hand</span>
            </p>
          </section>
          {part && (
            <section>
              <h2>The box has to say</h2>
              <p className="num text-[28px] leading-tight">{part.number}</p>
              <button type="button" className="btn quiet small mt-2" onClick={onOther}>
                It says another number
              </button>
            </section>
          )}
          <section>
            <h2>Missing</h2>
            {missing.length === 0 && <p className="note">Nothing.</p>}
            <ul>
              {missing.map((i) => (
                <li key={i.id} className="miss">
                  <ItemMark state={state.items[i.id]} />
                  <span>
                    <b>{i.name}</b>
                    <br />
                    <span className="cap">blocks {i.blocksText}</span>
                  </span>
                  <button type="button" className="link" onClick={() => setOwning(i.id)}>
                    Answer for it
                  </button>
                </li>
              ))}
            </ul>
            {owned.map((o) => (
              <p key={o.rule} className="cap mt-2">
                {view.people.find((p) => p.id === o.byId)?.name} answers for{' '}
                {itemName(itemOfRule(o.rule) ?? '').toLowerCase()}: {o.reason}
              </p>
            ))}
          </section>
          {failed && (
            <section>
              <h2>From our catalogue</h2>
              <TryAgain what="Not read" failed={failed} />
            </section>
          )}
          {supply && (
            <FromCatalogue
              items={items}
              supply={supply}
              needed={needed}
              taken={state.taken}
              onTake={(itemId, partNumber) =>
                void send('item-marked', { itemId, state: 'in-hand', partNumber })
              }
            />
          )}
          <section>
            <h2>Marks, tap to change</h2>
            <ul className="axis-legend">
              {itemStates.map(([s, name]) => (
                <li key={s}>
                  <ItemMark state={s} /> {name}
                </li>
              ))}
            </ul>
          </section>
          <div className="grow" />
          {owning && (
            <PinDialog
              title={`Start without ${itemName(owning).toLowerCase()}?`}
              text="The job can go on; it stops where the part is needed. Name and reason are kept on the job card."
              reason
              onClose={() => setOwning(undefined)}
              onPin={(pin, reason) =>
                send('overridden', { rule: `match.open-item:${owning}`, reason }, pin)
              }
            />
          )}
        </>
      }
      actions={
        <>
          {untouched ? (
            <MainAction label={`All ${items.length} here, number as on the box`} onAct={allHere} />
          ) : (
            <MainAction label="All here" missing={gate} onAct={finish} />
          )}
        </>
      }
    />
  );
}
