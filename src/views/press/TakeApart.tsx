import { undoneWith, walks } from '../../core/families/index.ts';
import { familyCodeOf } from '../../core/job/index.ts';
import type { Operation } from '../../core/press/index.ts';
import { useJob } from '../shell/useJob.ts';
import { keepTab } from '../shell/useTab.ts';

/** Goes back to Press out, where the part comes out again: the reason stands on the record, what was fitted falls with it. */
export function TakeApart({ operation }: { operation: Operation }) {
  const { view, send } = useJob();
  const code = familyCodeOf(view);
  const out = (code && walks[code]?.out) ?? [];
  const undo = undoneWith(operation);
  // Where no stroke takes it out, it comes by hand, at the tab that asks whether it is out.
  const tab =
    out.find((t) => t.kind === 'stroke' && t.operation === undo) ??
    out.find((t) => t.kind === 'facts');
  if (!tab) return null;
  const back = async () => {
    const reason = 'Fitted part to come out again';
    if (!(await send('station-reopened', { station: 'press-out', reason }))) return;
    keepTab(`press-out:${view.job.id}`, tab.id);
    location.assign(`/jobs/${view.job.id}/press-out`);
  };
  return (
    <button type="button" className="btn quiet" onClick={back}>
      Out again
    </button>
  );
}
