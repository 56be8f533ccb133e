import { useState } from 'react';
import { AskPinDialog } from '../shell/AskPinDialog.tsx';
import { call, useJob } from '../shell/useJob.ts';

/** A lead gives a job that ended to practise on; its people and its unit are taken out. */
export function AsExercise() {
  const { view, who } = useJob();
  const [asking, setAsking] = useState(false);
  const [said, setSaid] = useState<string>();
  const person = view.people.find((p) => p.id === who);
  if (!person?.lead || (!view.state.signed && !view.state.closed)) return null;
  const make = async (pin: string | undefined) => {
    setAsking(false);
    if (pin === undefined) return;
    const r = await call<{ made: number }>('POST', `/api/jobs/${view.job.id}/exercise`, {
      byId: who,
      pin,
    });
    setSaid(
      r.ok
        ? `${r.value.made === 1 ? 'One exercise' : `${r.value.made} exercises`} in Practice now.`
        : r.problem.detail,
    );
  };
  return (
    <section>
      <button type="button" className="link" onClick={() => setAsking(true)}>
        Make it an exercise
      </button>
      {said && (
        <p className="cap" role="status">
          {said}
        </p>
      )}
      {asking && (
        <AskPinDialog
          title="To practise on"
          text="What was seen and what it was is asked of the others. Who worked on it and which unit it was is taken out."
          name={person.name}
          confirm="Give it as"
          onAnswer={(pin) => void make(pin)}
        />
      )}
    </section>
  );
}
