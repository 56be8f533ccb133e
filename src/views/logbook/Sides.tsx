import { cornerNames } from '../../core/corner.ts';
import { familyByCode } from '../../core/families/index.ts';
import {
  enoughJobs,
  type GroupLives,
  type HungryCorner,
  longerThanPlanned,
  type LogbookView,
  shapeInWords,
  slowest,
  type TookAgainst,
  toldInWords,
} from '../../core/logbook/index.ts';
import type { Person } from '../../core/job/index.ts';
import { CornerGlyph } from '../../ui/Marks.tsx';
import { both } from '../../ui/units.ts';
import { Comebacks } from './Comebacks.tsx';

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

export function CallsSide({
  view: { calls, back },
  people,
}: {
  view: LogbookView;
  people: readonly Person[];
}) {
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
      {back && <Comebacks back={back} people={people} />}
    </>
  );
}

export function TookSide({
  took,
  quotes,
}: {
  took: readonly TookAgainst[];
  quotes: LogbookView['quotes'];
}) {
  const worst = slowest(took);
  return (
    <>
      <section className="said" aria-live="polite">
        <h2 className="said-title">
          {worst && worst.ratio > longerThanPlanned
            ? `${familyByCode(worst.family)?.name} takes longer`
            : 'About as planned'}
        </h2>
        <p>
          {worst
            ? `Middle of ${worst.jobs.length} jobs: ${worst.ratio.toFixed(2)} of the planned minutes. Plan and quote go by the shop’s own pace once ${enoughJobs} jobs of a kind are known.`
            : `Too few to tell: ${enoughJobs} jobs of a kind are needed.`}
        </p>
      </section>
      <section>
        <h2>Against what was agreed</h2>
        <p className="note">
          {quotes ? (
            <>
              <b className="num">
                {quotes.over} of {quotes.of}
              </b>{' '}
              came to more than the customer agreed to; in the middle hands, bearing and what was
              taken by its number came to {Math.round(100 * quotes.ratio)} % of it.
            </>
          ) : (
            'No job with an agreed sum and an hour’s price has been signed yet.'
          )}
        </p>
      </section>
    </>
  );
}
