import { useEffect, useState } from 'react';
import { Dialog, MainAction } from '../../ui/Panels.tsx';
import { PinField } from '../../ui/SignFields.tsx';
import { onPinAsked, type PinAsked } from './askPin.ts';

/** Asks a person for the PIN once a shift on this tablet, when the first entry needs it; the entry goes on by itself. */
export function ShiftPin() {
  const [asked, setAsked] = useState<PinAsked>();
  const [pin, setPin] = useState('');
  useEffect(() => onPinAsked(setAsked), []);
  if (!asked) return null;
  const answer = (said: string | undefined) => {
    setAsked(undefined);
    setPin('');
    asked.answer(said);
  };
  return (
    <Dialog title={`Is it ${asked.name}?`} onClose={() => answer(undefined)}>
      <form
        className="grid gap-3"
        onSubmit={(e) => {
          e.preventDefault();
          if (pin.length >= 4) answer(pin);
        }}
      >
        <p className="note">
          Once a shift on this tablet; then switching between people is two taps.
        </p>
        <PinField person={asked.name} pin={pin} onPin={setPin} />
        <div className="foot">
          <MainAction
            type="submit"
            label={`Go on as ${asked.name}`}
            missing={pin.length >= 4 ? undefined : `The PIN of ${asked.name}`}
          />
        </div>
      </form>
    </Dialog>
  );
}
