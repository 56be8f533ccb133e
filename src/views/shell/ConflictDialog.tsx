import { Dialog } from '../../ui/Panels.tsx';
import { useJob } from './useJob.ts';

const words = (value: unknown): string =>
  value === null || value === undefined
    ? 'nothing'
    : Object.entries(value as Record<string, unknown>)
        .map(([k, v]) => `${k}: ${String(v)}`)
        .join(', ');

/** Two tablets chose differently: both values are shown and nothing is lost. */
export function ConflictDialog() {
  const { problem, clear } = useJob();
  if (problem?.status !== 409) return null;
  return (
    <Dialog title="Changed meanwhile" onClose={clear}>
      <p className="note">{problem.detail}</p>
      <table className="rows">
        <tbody>
          <tr>
            <th>Stands now</th>
            <td className="figure">
              <b>{words(problem.theirs)}</b>
            </td>
          </tr>
          <tr>
            <th>You chose</th>
            <td className="figure">
              <b>{words(problem.yours)}</b>
            </td>
          </tr>
        </tbody>
      </table>
      <div className="foot">
        <button type="button" className="btn main" onClick={() => location.reload()}>
          Show what stands
        </button>
      </div>
    </Dialog>
  );
}
