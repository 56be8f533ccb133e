import {
  type Layout,
  type Place,
  placesOf,
  type TestKind,
  tests,
} from '../../core/diagnosis/index.ts';
import { stateWords } from './stateWords.ts';

const order = ['driven', 'lifted', 'wheel-off'] as const satisfies readonly TestKind['state'][];

/** Every test of this layout by the state the car is in, at each of its places: whatever was seen can be written down at once. */
export function AllTests({
  layout,
  onPick,
}: {
  layout: Layout;
  onPick: (at: { testId: string; place: Place }) => void;
}) {
  const here = tests.filter((t) => !t.layouts || t.layouts.includes(layout));
  return (
    <details className="all-tests">
      <summary>Record any other test</summary>
      {order.map((state) => (
        <div key={state}>
          <h3 className="cap">{stateWords[state]}</h3>
          {here
            .filter((t) => t.state === state)
            .map((t) => (
              <div key={t.id} className="one-test" role="group" aria-label={t.short}>
                {t.place !== 'car' && <span>{t.short}</span>}
                {placesOf(t).map((place) => (
                  <button
                    key={place}
                    type="button"
                    className="btn quiet small"
                    onClick={() => onPick({ testId: t.id, place })}
                  >
                    {place === 'car' ? t.short : place}
                  </button>
                ))}
              </div>
            ))}
        </div>
      ))}
    </details>
  );
}
