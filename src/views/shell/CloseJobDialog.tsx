import { useJob } from './useJob.ts';
import { ReasonDialog } from './ReasonDialog.tsx';

/** Closing ends a job for good: it asks, and wants the reason in words. */
export function CloseJobDialog({ why, onClose }: { why: string; onClose: () => void }) {
  const { send } = useJob();
  return (
    <ReasonDialog
      title="Close this job?"
      text="Nothing more is recorded on it. It stays in the archive with its whole record."
      first={why}
      confirm="Close the job"
      byTap
      onClose={onClose}
      onReason={(reason) => send('job-closed', { reason })}
    />
  );
}
