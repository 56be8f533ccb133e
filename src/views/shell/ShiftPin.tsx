import { useEffect, useState } from 'react';
import { onPinAsked, type PinAsked } from './askPin.ts';
import { AskPinDialog } from './AskPinDialog.tsx';

/** Asks a person for the PIN once a shift on this tablet, when the first entry needs it; the entry goes on by itself. */
export function ShiftPin() {
  const [asked, setAsked] = useState<PinAsked>();
  useEffect(() => onPinAsked(setAsked), []);
  return (
    asked && (
      <AskPinDialog
        title={`Is it ${asked.name}?`}
        text="Once a shift on this tablet; then switching between people is two taps."
        name={asked.name}
        confirm="Go on as"
        onAnswer={(pin) => {
          setAsked(undefined);
          asked.answer(pin);
        }}
      />
    )
  );
}
