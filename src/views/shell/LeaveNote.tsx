import { useState } from 'react';
import { useJob } from './useJob.ts';
import { late } from '../../ui/late.tsx';

const NoteForm = late(async () => (await import('./NoteForm.tsx')).NoteForm);

/** A word or a picture left at any step; for the next shift it stands on the Floor until it is read. */
export function LeaveNote({ of }: { of: string }) {
  const { view } = useJob();
  const [open, setOpen] = useState(false);
  const own = view.state.photos.filter((p) => p.of === of).length;
  return (
    <section className="leave-note">
      <details className="more" open={open} onToggle={(e) => setOpen(e.currentTarget.open)}>
        <summary>Note or photo{own > 0 && `, ${own} ${own === 1 ? 'photo' : 'photos'}`}</summary>
        {open && <NoteForm of={of} />}
      </details>
    </section>
  );
}
