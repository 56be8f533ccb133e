import { useState } from 'react';
import { dayTime } from '../../core/units/index.ts';
import { PinDialog } from './PinDialog.tsx';
import { useJob } from './useJob.ts';

/** A job that was given up: why and when, in place of what would be to do. */
export function ClosedJob({ why }: { why: string }) {
  const { view } = useJob();
  const { closedMs } = view.state;
  return (
    <section>
      <h2>Closed{closedMs === undefined ? '' : `, ${dayTime(closedMs, view.timeZone)}`}</h2>
      <p className="note big">{why}</p>
      <p className="note">Nothing more is recorded on it. The picture shows where it stood.</p>
    </section>
  );
}

/** The way back, which a lead has. */
export function OpenAgain() {
  const { send } = useJob();
  const [opening, setOpening] = useState(false);
  return (
    <>
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
