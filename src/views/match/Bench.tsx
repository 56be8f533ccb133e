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
import type { Consumable } from '../../core/schemas/workshop.ts';
import { Call, MainAction } from '../../ui/Panels.tsx';
import { TryAgain } from '../../ui/TryAgain.tsx';
import { StationBody } from '../shell/JobSheet.tsx';
import { PinDialog } from '../shell/PinDialog.tsx';
import { useFetched } from '../shell/useFetched.ts';
import { useJob } from '../shell/useJob.ts';
import { BenchAxis, ItemMark, itemStates } from './BenchAxis.tsx';

/** What the job uses up, laid out along the axis in the order it goes on. */
export function Bench({ bar, finish }: { bar: React.ReactNode; finish: () => void }) {
  const { view, send } = useJob();
  const { state } = view;
  const [owning, setOwning] = useState<string>();
  const items = itemsOf(familyCodeOf(view));
  const missing = openItems(view);
  const wanted = items.map((i) => i.id).filter((id) => id !== 'bearing');
  const { value: supply = {}, failed } = useFetched<Record<string, Consumable[]>>(
    wanted.length > 0 ? '/api/consumables/search' : undefined,
    { items: wanted },
  );
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
          {Object.keys(supply).length > 0 && (
            <section>
              <h2>From our catalogue</h2>
              <table className="rows">
                <tbody>
                  {items
                    .filter((i) => supply[i.id]?.[0])
                    .map((i) => {
                      const c = supply[i.id]![0]!;
                      return (
                        <tr key={i.id}>
                          <td>
                            {i.name}
                            <br />
                            <span className="cap">
                              {c.maker} {c.number}, {c.sizeText}
                            </span>
                          </td>
                          <td className="figure">
                            {c.stock > 0 ? (
                              <>
                                <b>{c.stock}</b> in stock
                              </>
                            ) : (
                              `${c.leadDays} days`
                            )}
                          </td>
                        </tr>
                      );
                    })}
                </tbody>
              </table>
            </section>
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
            <MainAction label={`All ${items.length} are here`} onAct={allHere} />
          ) : (
            <MainAction label="All here" missing={gate} onAct={finish} />
          )}
        </>
      }
    />
  );
}
