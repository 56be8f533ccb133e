import { useState } from 'react';
import { suspectsFor } from '../../core/diagnosis/index.ts';
import { ReasonDialog } from './ReasonDialog.tsx';
import { useJob } from './useJob.ts';

/** Closing ends a job for good: it asks, and wants the reason in words; what it was teaches the next diagnosis. */
export function CloseJobDialog({ why, onClose }: { why: string; onClose: () => void }) {
  const { view, send } = useJob();
  const [found, setFound] = useState('');
  const suspects = suspectsFor(view.ctx.unit.layout)
    .filter((s) => s.prior > 0)
    .sort((a, b) => a.name.localeCompare(b.name));
  return (
    <ReasonDialog
      title="Close this job?"
      text="Nothing more is recorded on it. It stays in the archive with its whole record."
      first={why}
      confirm="Close the job"
      byTap
      onClose={onClose}
      onReason={(reason) => send('job-closed', { reason, ...(found ? { found } : {}) })}
    >
      <label className="field">
        <span>What it was, where it was seen</span>
        <select className="pick" value={found} onChange={(e) => setFound(e.target.value)}>
          <option value="">not known</option>
          {suspects.map((s) => (
            <option key={s.id} value={s.id}>
              {s.name}
            </option>
          ))}
        </select>
      </label>
    </ReasonDialog>
  );
}
