import { useState } from 'react';
import { PinDialog } from './PinDialog.tsx';
import { useJob } from './useJob.ts';

/** A job that was given up: why, and the way back that a lead has. */
export function ClosedJob({ why }: { why: string }) {
  const { send } = useJob();
  const [opening, setOpening] = useState(false);
  return (
    <>
      <p className="note">
        <b>Closed:</b> {why}
      </p>
      <button type="button" className="btn quiet" onClick={() => setOpening(true)}>
        Open it again
      </button>
      {opening && (
        <PinDialog
          title="Open this job again?"
          text="A lead opens a closed job. It goes on where it stood; both stand on its card."
          reason
          onClose={() => setOpening(false)}
          onPin={(pin, reason) => send('job-reopened', { reason }, pin)}
        />
      )}
    </>
  );
}
