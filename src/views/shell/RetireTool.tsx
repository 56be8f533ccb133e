import { useState } from 'react';
import { ReasonDialog } from './ReasonDialog.tsx';

/** Puts a tool away for good, with the reason, or takes it back into use; jobs that name it keep it. */
export function RetireTool({
  what,
  retired,
  onRetire,
}: {
  what: string;
  retired: boolean;
  /** Nothing where it is taken back into use. */
  onRetire: (why: string | undefined) => Promise<void>;
}) {
  const [asking, setAsking] = useState(false);
  return (
    <>
      <button
        type="button"
        className="link"
        onClick={() => (retired ? void onRetire(undefined) : setAsking(true))}
      >
        {retired ? 'Use again' : 'Retire'}
        <span className="visually-hidden"> {what}</span>
      </button>
      {asking && (
        <ReasonDialog
          title={`Retire ${what}?`}
          text="It is offered no more; jobs that were done with it keep it."
          onClose={() => setAsking(false)}
          onReason={async (why) => {
            await onRetire(why.slice(0, 60));
            return true;
          }}
        />
      )}
    </>
  );
}
