import { Search } from 'lucide-react';
import { type ReactNode, useState } from 'react';
import {
  candidatesFor,
  chosenComparison,
  chosenPart,
  cornerRecord,
  familyOf,
  heldAgainst,
  oldPart,
  sensorSide,
  instrumentsInUse,
} from '../../core/job/index.ts';
import {
  type CataloguePart,
  type Comparison,
  dimensionNames,
  dimensionsOf,
  type Found,
  isCount,
  kindNames,
  meanOf,
  measureAgain,
  oneRow,
  partInShort,
  type PointId,
  pointNames,
  points,
  sizeOf,
} from '../../core/matching/index.ts';
import { both } from '../../ui/units.ts';
import { firstThat } from '../../ui/firstThat.ts';
import { useHydrated } from '../../ui/kept.ts';
import { Call, Caution, MainAction, VerdictLines } from '../../ui/Panels.tsx';
import { RuleLink } from '../../ui/RuleLink.tsx';
import { FamilySection } from '../../ui/section/FamilySection.tsx';
import { StationBody } from '../shell/JobSheet.tsx';
import { call, useJob } from '../shell/useJob.ts';
import { Candidate, Legend, Sign } from './Candidate.tsx';
import { FlangeOver } from './FlangeOver.tsx';
import { HandPart } from './HandPart.tsx';
import { OldOverNew } from './OldOverNew.tsx';
import { useOffers } from './useOffers.ts';

/** Which part is right: the old one over the new, point by point, with what stops it. */
export function PartTab({ tabs, onNext }: { tabs: ReactNode; onNext: () => void }) {
  const { view, choose } = useJob();
  const { state, choices } = view;
  const [entering, setEntering] = useState(false);
  const [found, setFound] = useState<{ asked: string; parts: CataloguePart[]; total: number }>();
  const part = chosenPart(view);
  const own = chosenComparison(view);
  const kind = familyOf(view)?.kind ?? 'ring-set';
  const old = oldPart(view);
  const read = Object.keys(state.oldReadings).length > 0;
  const list = found ? found.parts.map((p) => heldAgainst(view, p)) : candidatesFor(view);
  const nearest = read ? list.find((c) => c.status !== 'stop') : undefined;
  const shown = part && own ? own : nearest;
  const again = measureAgain(list, old, instrumentsInUse(view));
  const named = cornerRecord(view)?.partNumber;
  const offers = useOffers(
    [...(part ? [part.number] : []), ...list.map((c) => c.part.number)].slice(0, 12),
  );
  const offerOf = (n: string) => {
    const o = offers.byNumber.get(n);
    return (
      o &&
      `${(o.priceMinor / 100).toFixed(2)} ${o.currency}, ${o.stock > 0 ? `${o.stock} there` : `${o.leadDays} days`}`
    );
  };
  const take = async (number: string) => {
    await choose('match', { partNumber: number });
    setFound(undefined);
  };
  const status = part && own ? own.status : 'to-do';
  const onRecord = part?.number === named ? 'The unit’s record names this part. ' : '';
  const told = firstThat(
    [!part || !own, 'No part chosen.'],
    [own?.status === 'good', `${part?.number} is the same where it matters.`],
    [read, `${onRecord}Not everything is read yet.`],
    [true, `${onRecord}Confirmed once the old one is read.`],
  );
  return (
    <StationBody
      kicker={
        read
          ? 'Match, 3 of 4: old over new'
          : 'Match, provisional: the old part on the bench decides'
      }
      title={part ? `${part.maker} ${part.number}` : 'Which part?'}
      tabs={tabs}
      picture={
        shown ? (
          <div className="match-pic">
            {kind === 'hub-unit' ? (
              <FlangeOver part={shown.part} old={state.oldReadings} lit={undefined} />
            ) : (
              <OldOverNew
                part={shown.part.bearing}
                single={oneRow(shown.part.kind)}
                rolling={shown.part.rolling}
                partName={part ? part.number : `${shown.part.number}, nearest`}
                old={state.oldReadings}
                lit={undefined}
                nominal
                encoderSide={sensorSide(view)}
              />
            )}
            <Points c={shown} />
          </div>
        ) : (
          <div className="fam-known">
            <FamilySection
              code={familyOf(view)!.code}
              label={`${familyOf(view)!.name} in section`}
            />
            <p className="note big">
              No part is named for this corner. Measure the old one, look in the catalogue by size,
              or choose from the list.
            </p>
          </div>
        )
      }
      side={
        <>
          <Call status={status}>
            {own?.blockers[0] ? <RuleLink said={own.blockers[0]} /> : told}
          </Call>
          {own && own.blockers.length > 1 && (
            <section>
              <VerdictLines verdicts={own.blockers.slice(1)} />
            </section>
          )}
          {again && (
            <section className="p-0!">
              <Caution>{again.text}</Caution>
            </section>
          )}
          {offers.down && (
            <section className="p-0!">
              <Caution why="The job goes on with what the catalogue says.">{offers.down}</Caution>
            </section>
          )}
          <SearchBox kind={kind} onFound={setFound} found={found !== undefined} />
          <section className="candidates">
            <Legend />
            {found && (
              <p className="cap">
                {found.total} {found.total === 1 ? 'part' : 'parts'} for “{found.asked}”
                {found.total > found.parts.length ? `, the first ${found.parts.length}` : ''}.{' '}
                <button type="button" className="link" onClick={() => setFound(undefined)}>
                  Back to candidates
                </button>
              </p>
            )}
            {list.map((c) => (
              <Candidate
                key={c.part.number}
                c={c}
                chosen={c.part.number === part?.number && choices.match !== undefined}
                offer={offerOf(c.part.number)}
                onChoose={() => take(c.part.number)}
              />
            ))}
            {list.length === 0 && <p className="note">No {kindNames[kind]} near this size.</p>}
          </section>
          <section>
            <button
              type="button"
              className="btn quiet small w-full"
              onClick={() => setEntering(true)}
            >
              A part from outside the catalogue
            </button>
          </section>
          <Mood mood={offers.mood} onMood={offers.setMood} />
          <div className="grow" />
          {entering && <HandPart onClose={() => setEntering(false)} onEntered={take} />}
        </>
      }
      actions={
        <MainAction
          label={choices.match ? 'On to the bench list' : `Take ${part?.number ?? 'part'}`}
          missing={firstThat(
            [!part, 'No part chosen'],
            [own?.status === 'stop', 'This part is blocked: choose another'],
          )}
          onAct={async () => {
            if (part && (choices.match || (await choose('match', { partNumber: part.number }))))
              onNext();
          }}
        />
      }
    />
  );
}

/** Every point, old against new, with its mark. */
function Points({ c }: { c: Comparison }) {
  const { view } = useJob();
  const old = oldPart(view);
  const p = c.part;
  const enc = (e: { kind: string; pairs: number } | undefined) => {
    if (!e) return 'not read';
    if (e.kind === 'none') return 'none';
    return `${e.pairs} ${e.kind === 'magnetic' ? 'pairs' : 'teeth'}`;
  };
  const seal = (s: typeof old.seals) => (s ? `${s.outboard} / ${s.inboard}` : '–');
  const rows: [PointId, string, string][] = [
    ['encoder', enc(old.encoder), enc(p.bearing.encoder)],
    ['rolling', old.rolling ?? '–', p.rolling ?? 'not said'],
    ['seals', seal(old.seals), p.seals ? seal(p.seals) : 'not said'],
    ['spacer', old.spacer ?? '–', p.spacer ?? 'not said'],
    ['rating', old.ratingKn ? `${old.ratingKn} kN` : '–', `${p.bearing.staticRatingKn} kN`],
  ];
  const size = (v: number | undefined, count: boolean) => {
    if (v === undefined) return '–';
    return count ? String(v) : both(v, 'length', 2).value;
  };
  return (
    <table className="rows points-table">
      <thead>
        <tr>
          <th>{partInShort(p)}</th>
          <th className="figure">old</th>
          <th className="figure">new</th>
          <th />
        </tr>
      </thead>
      <tbody>
        {dimensionsOf(old.kind).map((d) => (
          <tr key={d}>
            <td>{dimensionNames[d]}</td>
            <td className="figure">{size(meanOf(old.readings[d]), isCount(d))}</td>
            <td className="figure">
              <b>{size(sizeOf(p, d), isCount(d))}</b>
            </td>
            <td>
              <Sign mark={c.marks[d] ?? 'unread'} />
            </td>
          </tr>
        ))}
        {rows
          .filter(([id]) => points.includes(id))
          .map(([id, o, n]) => (
            <tr key={id}>
              <td>
                {pointNames[id]}
                {id === 'seals' ? ', out / in' : ''}
              </td>
              <td className="figure">{o}</td>
              <td className="figure">
                <b>{n}</b>
              </td>
              <td>
                <Sign mark={c.marks[id] ?? 'unread'} />
              </td>
            </tr>
          ))}
        {c.notes.map((n) => (
          <tr key={n}>
            <td colSpan={4} className="cap">
              {n}
            </td>
          </tr>
        ))}
        <tr>
          <td>Like the old one</td>
          <td />
          <td className="figure">
            <b>{c.score}</b> of 100
          </td>
          <td />
        </tr>
      </tbody>
    </table>
  );
}

/** "76", "40x76x37" or part of a number. */
function SearchBox({
  kind,
  onFound,
  found,
}: {
  kind: CataloguePart['kind'];
  onFound: (f: { asked: string } & Found) => void;
  found: boolean;
}) {
  const [text, setText] = useState('');
  const [said, setSaid] = useState<string>();
  const go = async (e: React.FormEvent) => {
    e.preventDefault();
    const asked = text.trim();
    if (asked === '') return setSaid('Type a size such as 40 × 76 × 37, or part of a number.');
    const [boreMm, outerMm, widthMm] = asked
      .split(/[x×*\s]+/iu)
      .map((x) => Number(x.replace(',', '.')));
    const bySize = Number.isFinite(boreMm) && Number.isFinite(outerMm);
    const body = bySize
      ? {
          kind,
          toleranceMm: 0.5,
          sizes: { boreMm, outerMm, ...(Number.isFinite(widthMm) ? { widthMm } : {}) },
        }
      : { text: asked };
    const r = await call<Found>('POST', '/api/parts/search', body);
    if (r.ok) {
      setSaid(undefined);
      onFound({ asked, ...r.value });
    } else setSaid(r.problem.errors[0]?.reason ?? r.problem.detail);
  };
  return (
    <section>
      <form className="search-box" onSubmit={go}>
        <label className="visually-hidden" htmlFor="part-search">
          Look in the catalogue
        </label>
        <input
          id="part-search"
          className="text-in"
          placeholder="40 × 76 × 37, or a number"
          value={text}
          onChange={(e) => setText(e.target.value)}
        />
        <button type="submit" className="btn quiet small" aria-label="Look in the catalogue">
          <Search aria-hidden="true" />
        </button>
      </form>
      {said && (
        <p className="note" role="alert">
          {said}
        </p>
      )}
      {!found && !said && <p className="cap">Bore × outside × width finds within 0.5 mm.</p>}
    </section>
  );
}

function Mood({
  mood,
  onMood,
}: {
  mood: 'no' | 'error' | 'nonsense' | undefined;
  onMood: (m: 'no' | 'error') => void;
}) {
  const ready = useHydrated();
  if (!ready || mood === undefined) return null;
  return (
    <section>
      <details className="more">
        <summary>Stand-in parts service</summary>
        <label className="check">
          <input
            type="checkbox"
            checked={mood !== 'no'}
            onChange={(e) => onMood(e.target.checked ? 'error' : 'no')}
          />{' '}
          Let it fail
        </label>
      </details>
    </section>
  );
}
