import type { JobView } from '../../core/job/index.ts';
import {
  dentGapMm,
  lookIds,
  looks,
  markPlaces,
  pitchDeg,
  placeInWords,
  placeNames,
  severityWords,
  trackMm,
} from '../../core/old-part/index.ts';
import { Call, Choices, MainAction } from '../../ui/Panels.tsx';
import { ShareBar } from '../../ui/ShareBar.tsx';
import { QuantityInput } from '../../ui/QuantityInput.tsx';
import { PhotoBox } from '../shell/PhotoBox.tsx';
import { JobSheet, StationBody } from '../shell/JobSheet.tsx';
import { useJob } from '../shell/useJob.ts';
import { LookTile } from './LookTile.tsx';
import { outerPx, UnrolledRing } from './UnrolledRing.tsx';
import { type ReadingRaceways, useRaceways } from './useRaceways.ts';
import './old-part.css';

/** What killed it? The rings unrolled, what is seen laid on them, and the causes it speaks for. */
export default function OldPart({ first, who }: { first: JobView; who: string }) {
  return (
    <JobSheet first={first} who={who} station="raceways">
      <Body />
    </JobSheet>
  );
}

function Body() {
  const { view } = useJob();
  const at = useRaceways();
  const back = `/jobs/${view.job.id}/press-out`;
  const recorded = view.state.raceways !== undefined && !at.changed;
  return (
    <StationBody
      kicker={kickerOf(at)}
      title="What do the raceways say?"
      picture={
        <div className="old-part">
          <Rings at={at} />
          <Looks at={at} />
        </div>
      }
      side={<Causes at={at} recorded={recorded} />}
      actions={
        <>
          {recorded ? (
            <MainAction label="Back to the press" onAct={() => location.assign(back)} />
          ) : (
            <MainAction
              label="Record reading"
              missing={at.marks.length === 0 ? 'Tap a ring where it is marked' : undefined}
              onAct={() => void at.record()}
            />
          )}
          {!recorded && (
            <a className="btn quiet" href={back}>
              Back
            </a>
          )}
        </>
      }
    />
  );
}

const kickerOf = ({ rolling, ballCount }: ReadingRaceways): string =>
  rolling
    ? `Old bearing, ${ballCount} balls or rollers on a ${rolling.pitchMm.toFixed(0)} mm pitch`
    : 'Old bearing; its sizes are not known: drawn in usual proportions';

/** Drawn where no part says otherwise; no figure of it is said. */
const usual = { balls: 13, ballMm: 11.5, pitchMm: 58, contactAngleDeg: 35 };

function Rings({ at }: { at: ReadingRaceways }) {
  const b = { ...(at.rolling ?? usual), ...(at.ballCount ? { balls: at.ballCount } : {}) };
  const pxPerMm = outerPx / (Math.PI * trackMm(b, 'outer'));
  return (
    <div className="rings">
      {(['outer', 'inner'] as const).map((ring) => (
        <div key={ring}>
          <p className="ring-name">
            <b>{ring === 'outer' ? 'Outer ring' : 'Inner ring'}, unrolled</b>{' '}
            <small>
              {at.standing === ring ? 'stands still' : 'turns with the wheel'}
              {at.rolling &&
                `; balls ${pitchDeg(b).toFixed(1)}° or ${dentGapMm(b, ring).toFixed(1)} mm apart`}
            </small>
          </p>
          <UnrolledRing
            ring={ring}
            stands={at.standing === ring}
            trackMm={trackMm(b, ring)}
            pxPerMm={pxPerMm}
            pitchDeg={pitchDeg(b)}
            marks={at.marks.filter((m) => m.on === ring)}
            onTap={(row, atDeg) => at.add(ring, { row, atDeg })}
          />
        </div>
      ))}
    </div>
  );
}

/** What is laid down with the next tap: the look beside its rival, how grave, how far apart. */
function Looks({ at }: { at: ReadingRaceways }) {
  const look = looks[at.look];
  return (
    <div className="looks">
      <div className="look-strip" role="radiogroup" aria-label="What is seen">
        {lookIds.map((id) => (
          <button
            key={id}
            type="button"
            role="radio"
            aria-checked={id === at.look}
            onClick={() => at.setLook(id)}
          >
            <LookTile look={id} />
            <span>{looks[id].name}</span>
          </button>
        ))}
      </div>
      <div className="rivals">
        <figure>
          <LookTile look={at.look} />
          <figcaption>
            <b>if yes: {look.name.toLowerCase()}</b> {look.seen}
          </figcaption>
        </figure>
        <figure>
          <LookTile look={look.rival} />
          <figcaption>
            <b>if no: {looks[look.rival].name.toLowerCase()}</b> {looks[look.rival].seen}
          </figcaption>
        </figure>
        <div className="parting">
          <b>{look.ask}</b>
          <p className="cap">With a glass, light from the side.</p>
          <button type="button" className="btn quiet small" onClick={() => at.setLook(look.rival)}>
            No, the other
          </button>
        </div>
        <div className="lay">
          <Choices
            name="How grave"
            value={String(at.severity)}
            onValue={(v) => at.setSeverity(Number(v))}
            options={severityWords.map((w, i) => ({ id: String(i + 1), label: w }))}
          />
          <div className="lay-row">
            <label className="opt">
              <input
                type="checkbox"
                checked={at.round}
                onChange={(e) => at.setRound(e.target.checked)}
              />{' '}
              all round
            </label>
            {markPlaces.map((on) => (
              <button
                key={on}
                type="button"
                className="btn quiet small"
                onClick={() => at.addAt(on)}
                title={`On the ${placeNames[on]}`}
              >
                {on}
              </button>
            ))}
          </div>
        </div>
      </div>
    </div>
  );
}

function Causes({ at, recorded }: { at: ReadingRaceways; recorded: boolean }) {
  const [first] = at.causes;
  const chosen = at.causes.find((c) => c.cause === at.cause);
  return (
    <>
      {first ? (
        <Call status={recorded ? 'good' : 'check'}>
          {recorded ? 'Read and recorded: ' : 'It speaks for: '}
          {(chosen ?? first).name.toLowerCase()}.
        </Call>
      ) : (
        <Call status="to-do">
          Choose what you see, then tap the ring where it is. Tap balls, cage, seal or seat for the
          rest.
        </Call>
      )}
      {at.causes.length > 0 && (
        <section>
          <h2>What killed it</h2>
          <ul className="causes">
            {at.causes.slice(0, 4).map((c) => (
              <li key={c.cause}>
                <button
                  type="button"
                  aria-pressed={c.cause === at.cause}
                  onClick={() => at.take(c.cause)}
                >
                  <b>{c.name}</b>
                  <b className="num">
                    {Math.round(100 * c.probability)} <small>%</small>
                  </b>
                  <ShareBar share={c.probability} />
                  <span className="cap">{c.reasons.slice(0, 2).join(' ')}</span>
                </button>
              </li>
            ))}
          </ul>
          <p className="cap">Weights are our judgement; tap the one you take for it.</p>
        </section>
      )}
      {chosen && (
        <section>
          <h2>On this car</h2>
          <ol className="advice">
            {chosen.advice.map((a) => (
              <li key={a}>{a}</li>
            ))}
          </ol>
        </section>
      )}
      {at.marks.length > 0 && (
        <section>
          <h2>Seen</h2>
          <ul className="seen-marks">
            {at.marks.map((m, i) => (
              <li key={i}>
                <span>
                  {looks[m.look].name}, {placeNames[m.on]}
                  <small>
                    {[
                      m.row,
                      m.atDeg === undefined || m.round ? undefined : `${m.atDeg}°`,
                      placeInWords(m, at.family),
                      m.gapDeg === undefined ? undefined : `${m.gapDeg}° apart`,
                      severityWords[m.severity - 1],
                    ]
                      .filter(Boolean)
                      .join(', ')}
                  </small>
                </span>
                <button
                  type="button"
                  className="btn quiet small"
                  aria-label={`Take away: ${looks[m.look].name}, ${placeNames[m.on]}`}
                  onClick={() => at.remove(i)}
                >
                  Take away
                </button>
              </li>
            ))}
          </ul>
        </section>
      )}
      <section className="grid gap-2">
        <QuantityInput
          compact
          label="Where on the ring, 0° at the top"
          dimension="angle"
          {...at.where}
        />
        <QuantityInput compact label="From one to the next" dimension="angle" {...at.gap} />
        <QuantityInput compact label="Balls, counted" dimension="count" {...at.balls} />
      </section>
      <PhotoBox of="old part" />
      <div className="grow" />
    </>
  );
}
