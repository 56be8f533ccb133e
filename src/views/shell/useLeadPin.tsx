import { useState } from 'react';
import { AskPinDialog } from './AskPinDialog.tsx';

/** A lead who gave the PIN: as a form carries them in its body. */
export interface LeadSays {
  byId: string;
  pin: string;
}

/** The same where the body is a record or a file, which has no room for them. */
export const leadHeaders = ({ byId, pin }: LeadSays): Record<string, string> => ({
  'x-lead-id': byId,
  'x-lead-pin': pin,
});

/** Asks for a lead's PIN at the moment it is needed; what was typed in the form behind it stays. */
export function useLeadPin(person: { id: string; name: string } | undefined) {
  const [answer, setAnswer] = useState<(says: LeadSays | undefined) => void>();
  /** Who answers for it; nothing where the PIN was not given. */
  const ask = () =>
    new Promise<LeadSays | undefined>((done) => {
      setAnswer(() => (says: LeadSays | undefined) => {
        setAnswer(undefined);
        done(says);
      });
    });
  const dialog = answer && person && (
    <AskPinDialog
      title="A lead answers for this"
      text="Presses, torque tools and instruments are what others are judged by: a lead changes them."
      name={person.name}
      confirm="Keep as"
      onAnswer={(pin) => answer(pin === undefined ? undefined : { byId: person.id, pin })}
    />
  );
  return { ask, dialog };
}
