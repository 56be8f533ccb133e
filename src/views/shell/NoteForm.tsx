import { useState } from 'react';
import { Field } from '../../ui/Field.tsx';
import { useDraft } from '../../ui/useDraft.ts';
import { PhotoBox } from './PhotoBox.tsx';
import { useJob } from './useJob.ts';

/** What is left: a word, for the next shift or not, and pictures. */
export function NoteForm({ of }: { of: string }) {
  const { view, send } = useJob();
  const [text, setText, clear] = useDraft(`${view.job.id}:note`);
  const [forShift, setForShift] = useState(false);
  const leave = async () => {
    const said = text.trim();
    if (said === '') return;
    const body = { text: said.slice(0, 400), ...(forShift ? { forShift } : {}) };
    if (await send('note-left', body)) clear();
  };
  return (
    <div className="grid gap-2">
      <Field compact label="Note" text={text} onText={setText} />
      <label className="opt">
        <span>
          <input
            type="checkbox"
            checked={forShift}
            onChange={(e) => setForShift(e.target.checked)}
          />{' '}
          For the next shift: on the Floor until it is read
        </span>
      </label>
      <button
        type="button"
        className="btn quiet small"
        aria-disabled={text.trim() === ''}
        onClick={() => void leave()}
      >
        Leave it
      </button>
      <ul className="notes">
        {view.state.notes.slice(-3).map((n) => (
          <li key={n.atMs} className="note">
            {n.text} <span className="cap">{view.people.find((p) => p.id === n.byId)?.name}</span>
          </li>
        ))}
      </ul>
      <PhotoBox of={of} />
    </div>
  );
}
