import { useState } from 'react';
import { cornerNames } from '../../core/corner.ts';
import {
  type Asked,
  cameBack,
  type LifeRecord,
  type LogbookView,
  type Question,
  questionNames,
  questionShort,
  ranKm,
  questions,
} from '../../core/logbook/index.ts';
import type { Person } from '../../core/job/index.ts';
import { both } from '../../ui/units.ts';
import { ShopPage } from '../shell/ShopPage.tsx';
import { CallsPlot } from './CallsPlot.tsx';
import { GroupSide, HungrySide, CallsSide, TookSide } from './Sides.tsx';
import { HungryPlot } from './HungryPlot.tsx';
import { SurvivalPlot } from './SurvivalPlot.tsx';
import { TookPlot } from './TookPlot.tsx';
import './logbook.css';

const addressOf = ({ question, family, by }: Asked): string =>
  `/logbook?${new URLSearchParams({
    q: question,
    ...(family ? { family } : {}),
    ...(by ? { by } : {}),
  }).toString()}`;

/** What lasts here, and what did we get wrong: one question, its picture, how sure, and the jobs behind it. */
export default function Logbook({
  shop,
  view,
  people,
}: {
  shop: string;
  view: LogbookView;
  people: readonly Person[];
}) {
  const [behind, setBehind] = useState(false);
  const { asked } = view;
  const lives = view.behind;
  return (
    <ShopPage
      shop={shop}
      note={`Logbook, ${view.lives} lives`}
      title={questionNames[asked.question]}
      lines={[
        `${view.lives} bearings fitted and followed`,
        ...(view.madeUp > 0 ? [`${view.madeUp} of them made up for the demo`] : []),
      ]}
      main="station kit-main logbook"
    >
      <div className="pic">
        <Questions asked={asked} />
        <Filters view={view} />
        <div className="fig">
          {behind ? <Behind lives={lives} count={view.behindCount} /> : <Picture view={view} />}
        </div>
      </div>
      <aside className="side" aria-label="What it says">
        <div className="side-in">
          <Side view={view} people={people} />
          {view.jumps.length > 0 && (
            <section>
              <p className="note">
                The clock goes back on unit {view.jumps.join(', ')}: look at what was typed.
              </p>
            </section>
          )}
          <div className="grow" />
          <section>
            <p className="cap">
              <a className="link" href="/api/export/lives.csv" download>
                CSV of all lives
              </a>
              ; earlier ones are brought in by a lead at{' '}
              <a className="link" href="/shop">
                Shop
              </a>
              .
            </p>
          </section>
        </div>
        <div className="acts one">
          <button
            type="button"
            className="btn main"
            aria-disabled={lives.length === 0}
            onClick={() => setBehind(!behind && lives.length > 0)}
          >
            {behind ? 'Back to the picture' : `Open the ${view.behindCount} behind it`}
          </button>
        </div>
      </aside>
    </ShopPage>
  );
}

const Questions = ({ asked }: { asked: Asked }) => (
  <nav className="questions" aria-label="Questions">
    {questions.map((q: Question) => (
      <a
        key={q}
        href={addressOf({ question: q, family: asked.family })}
        aria-current={q === asked.question ? 'page' : undefined}
      >
        {questionShort[q]}
      </a>
    ))}
  </nav>
);

function Filters({ view: { asked, families, comparison } }: { view: LogbookView }) {
  const go = (more: Partial<Asked>) => location.assign(addressOf({ ...asked, ...more }));
  return (
    <div className="filters">
      <label className="field inline">
        <span>Kind of bearing</span>
        <select
          className="pick"
          value={asked.family ?? ''}
          onChange={(e) =>
            go({ family: families.find((f) => f.code === e.target.value)?.code, by: undefined })
          }
        >
          <option value="">all</option>
          {families.map((f) => (
            <option key={f.code} value={f.code}>
              {f.name}, {f.lives}
            </option>
          ))}
        </select>
      </label>
      {comparison && comparison.others.length > 0 && (
        <label className="field inline">
          <span>By</span>
          <select
            className="pick"
            value={comparison.by}
            onChange={(e) => go({ by: e.target.value })}
          >
            {comparison.others.map((o) => (
              <option key={o.id} value={o.id}>
                {o.name}
              </option>
            ))}
          </select>
        </label>
      )}
    </div>
  );
}

function Picture({ view }: { view: LogbookView }) {
  if (view.comparison) return <SurvivalPlot comparison={view.comparison} />;
  if (view.calls) return <CallsPlot calls={view.calls} />;
  if (view.took && view.took.length > 0) return <TookPlot took={view.took} />;
  if (view.asked.question === 'corners' && view.hungry && view.hungry.length > 0)
    return <HungryPlot hungry={view.hungry} />;
  return <p className="note big">{nothingYet[view.asked.question]}</p>;
}

const nothingYet: Record<Question, string> = {
  lasts: 'One kind only, or none: there is nothing to hold against each other yet.',
  school: 'All these bearings were fitted the same way: no school to compare.',
  wrong: 'No call has been answered by the bench yet. Read the old part, and it is.',
  corners: 'No corner has had two bearings fail.',
  cost: 'No job has both its planned minutes and its worked ones.',
};

function Side({ view, people }: { view: LogbookView; people: readonly Person[] }) {
  switch (view.asked.question) {
    case 'lasts':
    case 'school':
      return <GroupSide view={view} />;
    case 'wrong':
      return <CallsSide view={view} people={people} />;
    case 'corners':
      return <HungrySide hungry={view.hungry ?? []} />;
    case 'cost':
      return <TookSide took={view.took ?? []} quotes={view.quotes} />;
  }
}

const endWords: Record<LifeRecord['end'], string> = {
  running: 'running',
  failed: 'failed',
  suspicion: 'replaced on suspicion',
  sold: 'sold',
};

/** The lives a picture is made of; each leads to its job where there is one. */
function Behind({ lives, count }: { lives: readonly LifeRecord[]; count: number }) {
  return (
    <>
      {count > lives.length && (
        <p className="note">
          The latest {lives.length} of {count}; all of them are in the CSV.
        </p>
      )}
      <table className="rows behind">
        <thead>
          <tr>
            <th>Unit</th>
            <th>Fitted</th>
            <th>Ran</th>
            <th>End</th>
          </tr>
        </thead>
        <tbody>
          {lives.map((l) => {
            const far = ranKm(l);
            const ran = far === undefined ? undefined : both(far, 'distance');
            return (
              <tr key={l.id}>
                <td>
                  <b>{l.unit}</b> {cornerNames[l.corner].toLowerCase()}
                  <br />
                  <span className="cap">
                    {l.maker}{' '}
                    {l.job && (
                      <a className="link" href={`/archive?words=${encodeURIComponent(l.job)}`}>
                        job {l.job}
                      </a>
                    )}
                  </span>
                </td>
                <td className="num">{l.fittedOn}</td>
                <td className="figure">{ran ? `${ran.value} ${ran.unit}` : 'still running'}</td>
                <td>
                  {endWords[l.end]}
                  {cameBack(l) && <b> soon</b>}
                  {l.cause && (
                    <>
                      <br />
                      <span className="cap">{l.cause}</span>
                    </>
                  )}
                </td>
              </tr>
            );
          })}
        </tbody>
      </table>
    </>
  );
}
