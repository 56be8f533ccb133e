import { useState } from 'react';
import { Dialog, MainAction } from '../../ui/Panels.tsx';
import { PinField } from '../../ui/SignFields.tsx';

type Headers = Readonly<Record<string, string>>;

/** Asks for a lead's PIN at the moment it is needed; what was typed in the form behind it stays. */
export function useLeadPin(person: { id: string; name: string } | undefined) {
  const [answer, setAnswer] = useState<(headers: Headers | undefined) => void>();
  /** What a lead's request carries; nothing where the PIN was not given. */
  const ask = () =>
    new Promise<Headers | undefined>((done) => {
      setAnswer(() => (headers: Headers | undefined) => {
        setAnswer(undefined);
        done(headers);
      });
    });
  const dialog = answer && person && (
    <LeadPinDialog
      name={person.name}
      onClose={() => answer(undefined)}
      onPin={(pin) => answer({ 'x-lead-id': person.id, 'x-lead-pin': pin })}
    />
  );
  return { ask, dialog };
}

function LeadPinDialog({
  name,
  onClose,
  onPin,
}: {
  name: string;
  onClose: () => void;
  onPin: (pin: string) => void;
}) {
  const [pin, setPin] = useState('');
  return (
    <Dialog title="A lead answers for this" onClose={onClose}>
      <form
        className="grid gap-3"
        onSubmit={(e) => {
          e.preventDefault();
          if (pin.length >= 4) onPin(pin);
        }}
      >
        <p className="note">
          Presses, torque tools and instruments are what others are judged by: a lead changes them.
        </p>
        <PinField person={name} pin={pin} onPin={setPin} />
        <div className="foot">
          <MainAction
            type="submit"
            label={`Keep as ${name}`}
            missing={pin.length >= 4 ? undefined : `The PIN of ${name}`}
          />
        </div>
      </form>
    </Dialog>
  );
}
