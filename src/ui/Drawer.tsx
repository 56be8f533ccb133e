import { type FocusEvent, type ReactNode, useEffect, useRef } from 'react';
import { createPortal } from 'react-dom';
import { DialogBody } from './Panels.tsx';

/** Shuts the drawer in which something lies; before its choice is told, so that the page is laid out once. */
export const shutDrawer = (inside: Element): void =>
  inside.closest<HTMLElement>('[popover]')?.hidePopover();

/**
 * Something to take one thing out of, over the page: gone with the choice, with Escape, with a tap or the focus beside it.
 * The page behind is not made inert as by a dialog: that lays it out anew, and what was chosen would be seen later.
 */
export function Drawer({
  title,
  onClose,
  children,
}: {
  title: string;
  onClose: () => void;
  children: ReactNode;
}) {
  const ref = useRef<HTMLDialogElement>(null);
  useEffect(() => {
    const d = ref.current;
    if (!d || d.matches(':popover-open')) return undefined;
    const opener = document.activeElement as HTMLElement | null;
    const byKeys = opener?.matches(':focus-visible') === true;
    d.showPopover();
    return () => {
      // Keys go on where they were; what a finger tapped is not what the pedal acts on next.
      const at = document.activeElement;
      if (!byKeys && at === opener) opener?.blur();
      if (byKeys && (at === document.body || d.contains(at))) opener.focus();
    };
  }, []);
  const shut = () => ref.current?.hidePopover();
  const left = ({ relatedTarget, currentTarget }: FocusEvent) => {
    if (relatedTarget && !currentTarget.contains(relatedTarget)) shut();
  };
  return createPortal(
    <dialog
      ref={ref}
      popover="auto"
      aria-label={title}
      onToggle={(e) => e.newState === 'closed' && onClose()}
      onBlur={left}
    >
      <DialogBody title={title} onClose={shut}>
        {children}
      </DialogBody>
    </dialog>,
    document.body,
  );
}
