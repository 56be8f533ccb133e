import {
  looks,
  openQuestions,
  placeInWords,
  placeNames,
  severityWords,
} from '../../core/old-part/index.ts';
import { Call } from '../../ui/Panels.tsx';
import { QuantityInput } from '../../ui/QuantityInput.tsx';
import { ShareBar } from '../../ui/ShareBar.tsx';
import { PhotoBox } from '../shell/PhotoBox.tsx';
import type { ReadingRaceways } from './useRaceways.ts';

/** What the marks speak for, what to do on this car, and what was laid down so far. */
export function Causes({ at, recorded }: { at: ReadingRaceways; recorded: boolean }) {
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
                  {openQuestions(m, { family: at.family, balls: at.ballCount }).map((q) => (
                    <small key={q} className="strong">
                      {q}
                    </small>
                  ))}
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
