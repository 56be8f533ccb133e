import {
  lookIds,
  looks,
  markPlaces,
  placeNames,
  severityWords,
} from '../../core/old-part/index.ts';
import { Choices } from '../../ui/Panels.tsx';
import { LookTile } from './LookTile.tsx';
import type { ReadingRaceways } from './useRaceways.ts';

/** What is laid down with the next tap: the look beside its rival, how grave, how far apart. */
export function Looks({ at }: { at: ReadingRaceways }) {
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
