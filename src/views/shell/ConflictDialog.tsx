import { choiceInWords } from '../../core/job/index.ts';
import { Dialog } from '../../ui/Panels.tsx';
import { useJob } from './useJob.ts';

/** Two tablets chose differently: both values are shown, what differs in bold, and nothing is lost. */
export function ConflictDialog() {
  const { problem, clear, view } = useJob();
  if (problem?.status !== 409) return null;
  const theirs = new Map(choiceInWords(problem.theirs, view).map((x) => [x.what, x.value]));
  const yours = new Map(choiceInWords(problem.yours, view).map((x) => [x.what, x.value]));
  const all = [...new Set([...theirs.keys(), ...yours.keys()])];
  return (
    <Dialog title="Changed meanwhile" onClose={clear}>
      <p className="note">{problem.detail}</p>
      <table className="rows">
        <thead>
          <tr>
            <th />
            <th className="figure">Stands now</th>
            <th className="figure">You chose</th>
          </tr>
        </thead>
        <tbody>
          {all.map((what) => {
            const stands = theirs.get(what) ?? 'not chosen';
            const mine = yours.get(what) ?? 'not chosen';
            return (
              <tr key={what}>
                <th>{what}</th>
                <td className="figure">{stands}</td>
                <td className="figure">{stands === mine ? mine : <b>{mine}</b>}</td>
              </tr>
            );
          })}
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
