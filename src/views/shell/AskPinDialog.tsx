import { useState } from 'react';
import { Dialog, MainAction } from '../../ui/Panels.tsx';
import { PinField } from '../../ui/SignFields.tsx';

/** Asks one person for the PIN in the middle of something, which then goes on; nothing where it was not given. */
export function AskPinDialog({
  title,
  text,
  name,
  confirm,
  onAnswer,
}: {
  title: string;
  text: string;
  name: string;
  confirm: string;
  onAnswer: (pin: string | undefined) => void;
}) {
  const [pin, setPin] = useState('');
  const ready = pin.length >= 4;
  return (
    <Dialog title={title} onClose={() => onAnswer(undefined)}>
      <form
        className="grid gap-3"
        onSubmit={(e) => {
          e.preventDefault();
          if (ready) onAnswer(pin);
        }}
      >
        <p className="note">{text}</p>
        <PinField person={name} pin={pin} onPin={setPin} />
        <div className="foot">
          <MainAction
            type="submit"
            label={`${confirm} ${name}`}
            missing={ready ? undefined : `The PIN of ${name}`}
          />
        </div>
      </form>
    </Dialog>
  );
}
