import { useEffect, useState } from 'react';
import { stations } from '../../core/job/index.ts';
import { useKept } from '../../ui/kept.ts';
import { isStation, type JobPage } from './jobPage.ts';
import { late } from '../../ui/late.tsx';

const KeyList = late(async () => (await import('./KeyList.tsx')).KeyList);

const storeKey = 'keys-off';

/**
 * Single-key shortcuts: never while typing, and they can be switched off (WCAG 2.1.4). On a page outside a job there is
 * no centre line to walk.
 */
export function Keys({ job }: { job?: { id: string; station: JobPage } }) {
  const { id: jobId, station } = job ?? {};
  const [help, setHelp] = useState(false);
  const [kept, keep] = useKept('localStorage', storeKey);
  const off = kept === '1';
  useEffect(() => {
    const onKey = (e: KeyboardEvent) => {
      const target = e.target as HTMLElement;
      if (
        e.ctrlKey ||
        e.metaKey ||
        e.altKey ||
        e.defaultPrevented ||
        target.closest('input, select, textarea, dialog')
      )
        return;
      if (e.key === '?') return setHelp(true);
      if (off) return;
      const beside = (step: 1 | -1) => {
        const page = station ?? 'complaint';
        const at = isStation(page) ? stations.indexOf(page) : stations.length;
        return jobId && stations[at + step];
      };
      const next = e.key === 'ArrowRight' ? beside(1) : e.key === 'ArrowLeft' && beside(-1);
      if (next) location.assign(`/jobs/${jobId}/${next}`);
      else if (e.key === 'f') location.assign('/');
      else if (e.key === 'l') location.assign('/library');
      else if (e.key === 's') location.assign(jobId ? `/scratch?job=${jobId}` : '/scratch');
      else if ((e.key === 'Enter' || e.key === ' ') && target === document.body)
        document.querySelector<HTMLButtonElement>('[data-main]')?.click();
    };
    /** A pedal or Space acts on the main action, never again on what a finger tapped last. */
    const onTap = (e: MouseEvent) => {
      const button = (e.target as HTMLElement).closest('button');
      // A click by the keyboard has no count: there the focus stays where it was brought.
      if (button && e.detail > 0 && !button.closest('dialog')) button.blur();
    };
    document.addEventListener('keydown', onKey);
    document.addEventListener('click', onTap);
    return () => {
      document.removeEventListener('keydown', onKey);
      document.removeEventListener('click', onTap);
    };
  }, [jobId, station, off]);
  if (!help) return null;
  return (
    <KeyList
      inJob={job !== undefined}
      off={off}
      onOff={(is) => keep(is ? '1' : '0')}
      onClose={() => setHelp(false)}
    />
  );
}
