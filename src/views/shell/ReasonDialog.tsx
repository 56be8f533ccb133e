import { type ReactNode, useState } from 'react';
import { Dialog } from '../../ui/Panels.tsx';

/** Asks for a reason that is kept on the record. */
export function ReasonDialog({
  title,
  text,
  first = '',
  confirm = 'Record',
  byTap = false,
  onClose,
  onReason,
  children,
}: {
  title: string;
  text: string;
  /** What stands in the field when it opens. */
  first?: string;
  confirm?: string;
  /** What cannot be undone is confirmed by a tap on its button, not by the Enter key. */
  byTap?: boolean;
  onClose: () => void;
  onReason: (reason: string) => Promise<boolean>;
  /** What is asked besides. */
  children?: ReactNode;
}) {
  const [why, setWhy] = useState(first);
  const ready = why.trim() !== '';
  const record = async () => {
    if (ready && (await onReason(why.trim()))) onClose();
  };
  return (
    <Dialog title={title} onClose={onClose}>
      <form
        className="grid gap-3"
        onSubmit={(e) => {
          e.preventDefault();
          if (!byTap) void record();
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
        {children}
        <div className="foot">
          <button
            type={byTap ? 'button' : 'submit'}
            className={`btn ${ready ? 'main' : 'notyet'}`}
            onClick={byTap ? record : undefined}
          >
            {ready ? confirm : 'Type the reason'}
          </button>
        </div>
      </form>
    </Dialog>
  );
}
