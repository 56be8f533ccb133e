import { cornerNames } from '../../core/corner.ts';
import { familyByCode } from '../../core/families/index.ts';
import {
  comebackKm,
  type GroupLives,
  type HungryCorner,
  type LogbookView,
  shapeInWords,
  type TookAgainst,
  toldInWords,
} from '../../core/logbook/index.ts';
import { CornerGlyph } from '../../ui/Marks.tsx';
import { both } from '../../ui/units.ts';

const km = (v: number | undefined) => (v === undefined ? 'not reached' : (v / 1000).toFixed(1));

/** What was found, in words, then half-way distances, shapes and the corners that eat bearings. */
export function GroupSide({ view }: { view: LogbookView }) {
  const { comparison: c, hungry = [] } = view;
  if (!c) return null;
  const said = toldInWords(c.told);
  return (
    <>
      <section className="said" aria-live="polite">
        <h2 className="said-title">{said.title}</h2>
        <p>{said.text}</p>
      </section>
      <section>
        <h2>
          Half have failed by <small>thousand km, 95 % range</small>
        </h2>
        <ul className="halves">
          {c.groups.map((g, i) => (
            <Half key={g.name} group={g} i={i} />
          ))}
        </ul>
      </section>
      <section>
        <h2>How they fail</h2>
        {c.groups.map((g) => (
          <p key={g.name} className="note">
            <b>{g.name}</b>: {shapeWords(g)}
          </p>
        ))}
      </section>
      {hungry.length > 0 && (
        <section>
          <h2>Corners that eat bearings</h2>
          <HungryList hungry={hungry.slice(0, 3)} />
        </section>
      )}
    </>
  );
}

const shapeWords = (g: GroupLives) =>
  g.weibull
    ? `${shapeInWords(g.weibull)} (shape ${g.weibull.shape.toFixed(1)}, ${g.weibull.shapeRange.map((x) => x.toFixed(1)).join(' to ')})`
    : (g.noWeibull ?? '');

function Half({ group: g, i }: { group: GroupLives; i: number }) {
  return (
    <li>
      <svg viewBox="0 0 34 14" aria-hidden="true">
        <path className={`life-steps of-${i}`} d="M1 3H18V11H33" />
      </svg>
      <span>
        {g.name}
        <br />
        <small>
          {g.failed} of {g.lives} failed
          {g.between > 0 && `, ${g.between} unseen: not in the curve`}
        </small>
      </span>
      <span className="right">
        <b className="num">{km(g.median.time)}</b>
        <br />
        <small className="num">
          {km(g.median.low)} to {km(g.median.high)}
        </small>
      </span>
    </li>
  );
}

function HungryList({ hungry }: { hungry: readonly HungryCorner[] }) {
  return (
    <ol className="hungry">
      {hungry.map((h) => (
        <li key={h.unit + h.corner}>
          <CornerGlyph corner={h.corner} height={36} />
          <span>
            Unit {h.unit}, {cornerNames[h.corner].toLowerCase()}
            <br />
            <small>{h.causes.join(', ') || 'not read yet'}</small>
          </span>
          <span className="right">
            <b className="num">{h.failed}</b>
            <br />
            <small className="num">in {both(h.withinKm, 'distance').value} km</small>
          </span>
        </li>
      ))}
    </ol>
  );
}

export function HungrySide({ hungry }: { hungry: readonly HungryCorner[] }) {
  const [first] = hungry;
  return (
    <>
      <section className="said" aria-live="polite">
        <h2 className="said-title">
          {first ? `Unit ${first.unit}, ${cornerNames[first.corner].toLowerCase()}` : 'None so far'}
        </h2>
        <p>
          {first
            ? `${first.failed} bearings in ${both(first.withinKm, 'distance').value} km. ${
                first.causes.length > 0
                  ? `Read so far: ${first.causes.join(', ')}.`
                  : 'No old part was read: read the next one.'
              }`
            : 'No corner has had two bearings fail.'}
        </p>
      </section>
      {hungry.length > 0 && (
        <section>
          <h2>Shortest lives first</h2>
          <HungryList hungry={hungry} />
        </section>
      )}
    </>
  );
}

export function CallsSide({ view: { calls, back } }: { view: LogbookView }) {
  return (
    <>
      <section className="said" aria-live="polite">
        <h2 className="said-title">
          {calls ? `Right ${calls.right} times of ${calls.count}` : 'Nothing to hold it against'}
        </h2>
        {calls && (
          <p>
            {calls.off.length === 0
              ? 'As often right as we said, as far as this many can tell.'
              : `Where we said about ${calls.off.map((b) => `${Math.round(100 * b.said)} %`).join(', ')} it was otherwise.`}
          </p>
        )}
      </section>
      {calls && (
        <section>
          <h2>Score</h2>
          <p className="note">
            <b className="num">{calls.brier.toFixed(3)}</b> mean squared gap (Brier): 0 is always
            right, 0.25 a coin.
          </p>
        </section>
      )}
      {back && back.of > 0 && (
        <section>
          <h2>Failed within {both(comebackKm, 'distance').value} km</h2>
          <p className="note">
            <b className="num">
              {back.count} of {back.of}
            </b>{' '}
            ({(100 * back.low).toFixed(0)} to {(100 * back.high).toFixed(0)} % by Wilson). A fault
            of fitting is looked for first.
          </p>
        </section>
      )}
    </>
  );
}

export function TookSide({ took }: { took: readonly TookAgainst[] }) {
  const enough = took.filter((t) => t.jobs.length >= 5);
  const [worst] = [...enough].sort((a, b) => b.ratio - a.ratio);
  return (
    <section className="said" aria-live="polite">
      <h2 className="said-title">
        {worst && worst.ratio > 1.1
          ? `${familyByCode(worst.family)?.name} takes longer`
          : 'About as planned'}
      </h2>
      <p>
        {worst
          ? `Middle of ${worst.jobs.length} jobs: ${worst.ratio.toFixed(2)} of the planned minutes. The quote takes the shop’s own minutes once five jobs of a kind are known.`
          : 'Too few to tell: five jobs of a kind are needed.'}
      </p>
    </section>
  );
}
