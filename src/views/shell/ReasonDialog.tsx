import { useState } from 'react';
import { Dialog } from '../../ui/Panels.tsx';

/** Asks for a reason that is kept on the record. */
export function ReasonDialog({
  title,
  text,
  onClose,
  onReason,
}: {
  title: string;
  text: string;
  onClose: () => void;
  onReason: (reason: string) => Promise<boolean>;
}) {
  const [why, setWhy] = useState('');
  const ready = why.trim() !== '';
  return (
    <Dialog title={title} onClose={onClose}>
      <form
        className="grid gap-3"
        onSubmit={async (e) => {
          e.preventDefault();
          if (ready && (await onReason(why.trim()))) onClose();
        }}
      >
        <p className="note">{text}</p>
        <label className="field">
          <span>Reason</span>
          <input
            className="text-in"
            value={why}
            onChange={(e) => setWhy(e.target.value)}
            maxLength={200}
          />
        </label>
        <div className="foot">
          <button type="submit" className={`btn ${ready ? 'main' : 'notyet'}`}>
            {ready ? 'Record' : 'Type the reason'}
          </button>
        </div>
      </form>
    </Dialog>
  );
}
