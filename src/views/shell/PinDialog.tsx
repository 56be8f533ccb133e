import { useState } from 'react';
import { VerdictShape } from '../../ui/Marks.tsx';
import { Dialog } from '../../ui/Panels.tsx';
import { PinField, ReasonField } from '../../ui/SignFields.tsx';
import { faultOf, useJob } from './useJob.ts';

/** Asks the one who answers for something for a reason (if wanted) and the PIN. */
export function PinDialog({
  title,
  text,
  reason,
  onClose,
  onPin,
}: {
  title: string;
  text: string;
  reason?: boolean;
  onClose: () => void;
  onPin: (pin: string, reason: string) => Promise<boolean>;
}) {
  const { view, who, problem } = useJob();
  const [pin, setPin] = useState('');
  const [why, setWhy] = useState('');
  const person = view.people.find((p) => p.id === who)?.name ?? 'nobody';
  const fault =
    faultOf(problem, 'pin', 'byId') ??
    (problem && problem.status !== 409 ? problem.detail : undefined);
  const ready = pin.length >= 4 && (!reason || why.trim() !== '');
  return (
    <Dialog title={title} onClose={onClose}>
      <form
        className="grid gap-3"
        onSubmit={async (e) => {
          e.preventDefault();
          if (ready && (await onPin(pin, why.trim()))) onClose();
          else setPin('');
        }}
      >
        <p className="note">{text}</p>
        {reason && <ReasonField label="Reason, kept on the job card" text={why} onText={setWhy} />}
        <PinField person={person} pin={pin} onPin={setPin} />
        {fault && (
          <p className="verdict-line stop" role="alert">
            <VerdictShape status="stop" size={20} />
            <span>{fault}</span>
          </p>
        )}
        <div className="foot">
          <button type="submit" className={`btn ${ready ? 'main' : 'notyet'}`}>
            {ready ? `Sign as ${person}` : `${reason ? 'Reason and PIN' : 'PIN'} first`}
          </button>
        </div>
      </form>
    </Dialog>
  );
}
