import { itemsOf } from '../../core/families/index.ts';
import {
  familyCodeOf,
  fastenerOn,
  setupOf,
  solvedFor,
  stepsOf,
  strokesOf,
} from '../../core/job/index.ts';
import { operationNames } from '../../core/press/index.ts';
import { fastenerInWords } from '../../core/torque/index.ts';
import { useJob } from '../shell/useJob.ts';

/** What to look at while it is apart; common practice, no published source. */
const whileApart = [
  'boots and joints of the shaft',
  'brake hose, pads, disc',
  'ball joint and tie rod, play',
  'sensor lead',
  'dust shield',
  'wheel studs',
];

/** Everything that has to lie on the cart, to print: tools, pieces for each stroke, fasteners, parts that are new. */
export function PickList() {
  const { view } = useJob();
  const tools = [...new Set(stepsOf(view, 'strip').flatMap((x) => x.tools ?? []))];
  // Only what this corner's own way takes up.
  const fasteners = stepsOf(view, 'rebuild').flatMap(
    (x) => (x.fastener && fastenerOn(view, x.fastener)) || [],
  );
  const stacks = strokesOf(view).flatMap((o) => {
    const best = solvedFor(view, o)?.solutions[0];
    if (!best) return [];
    const { cap, pusher, support, riser } = best.stack;
    const pieces = [cap, pusher, support, riser].flatMap((a) => a?.name ?? []);
    const tool = setupOf(view, o)?.press.name;
    return [{ o, pieces: [...pieces, ...(tool ? [tool] : [])] }];
  });
  const items = itemsOf(familyCodeOf(view));
  return (
    <>
      <section>
        <h2>Take to the car{stacks.length > 0 ? ' and the press' : ''}</h2>
        <p className="note">{tools.join(', ')}.</p>
        <table className="rows">
          <tbody>
            {stacks.map(({ o, pieces }) => (
              <tr key={o}>
                <td>{operationNames[o].replace('Press ', '')}</td>
                <td className="right">{pieces.join(', ')}</td>
              </tr>
            ))}
          </tbody>
        </table>
      </section>
      <section>
        <h2>Fasteners</h2>
        <table className="rows">
          <tbody>
            {fasteners.map((f) => (
              <tr key={f.name}>
                <td>{f.name}</td>
                <td className="figure">
                  <b>{fastenerInWords(f)}</b>
                </td>
              </tr>
            ))}
            {fasteners.length === 0 && (
              <tr>
                <td>No figures on record: take them from the maker’s data.</td>
              </tr>
            )}
          </tbody>
        </table>
        <p className="cap">{fasteners[0]?.source}</p>
      </section>
      <section>
        <h2>New each time</h2>
        <p className="note">
          {items
            .filter((i) => i.singleUse)
            .map((i) => i.name)
            .join(', ')}
          .
        </p>
        <p className="cap">
          Beside it:{' '}
          {items
            .filter((i) => !i.singleUse)
            .map((i) => i.name.toLowerCase())
            .join(', ')}
          .
        </p>
      </section>
      <section>
        <h2>While it is apart</h2>
        <p className="note">{whileApart.join(' · ')}</p>
      </section>
    </>
  );
}
