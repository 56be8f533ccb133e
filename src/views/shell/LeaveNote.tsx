import { useState } from 'react';
import { Field } from '../../ui/Field.tsx';
import { useDraft } from '../../ui/useDraft.ts';
import { PhotoBox } from './PhotoBox.tsx';
import { useJob } from './useJob.ts';

/** A word or a picture left at any step; for the next shift it stands on the Floor until it is read. */
export function LeaveNote({ of }: { of: string }) {
  const { view, send } = useJob();
  const [text, setText, clear] = useDraft(`${view.job.id}:note`);
  const [forShift, setForShift] = useState(false);
  const [open, setOpen] = useState(false);
  const own = view.state.photos.filter((p) => p.of === of).length;
  const leave = async () => {
    const said = text.trim();
    if (said === '') return;
    const body = { text: said.slice(0, 400), ...(forShift ? { forShift } : {}) };
    if (await send('note-left', body)) clear();
  };
  return (
    <section className="leave-note">
      <details className="more" open={open} onToggle={(e) => setOpen(e.currentTarget.open)}>
        <summary>Note or photo{own > 0 && `, ${own} ${own === 1 ? 'photo' : 'photos'}`}</summary>
        {open && (
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
                  {n.text}{' '}
                  <span className="cap">{view.people.find((p) => p.id === n.byId)?.name}</span>
                </li>
              ))}
            </ul>
            <PhotoBox of={of} />
          </div>
        )}
      </details>
    </section>
  );
}
