import { useState } from 'react';
import type { Warmth } from '../../core/job/index.ts';

import { QuantityInput } from '../../ui/QuantityInput.tsx';
import { useDraft } from '../../ui/useDraft.ts';
import { useJob } from '../shell/useJob.ts';
import { readTyped } from '../../ui/units.ts';

/** How warm hub and spindle run, as typed. */
export function useWarmth() {
  const { job } = useJob().view;
  const [hub, setHub] = useDraft(`${job.id}:warm:hub`);
  const [spindle, setSpindle] = useDraft(`${job.id}:warm:spindle`);
  const [apart, setApart] = useDraft(`${job.id}:warm:apart`);
  const [h, s, l] = [
    readTyped(hub, 'rise'),
    readTyped(spindle, 'rise'),
    readTyped(apart, 'length'),
  ];
  const read: Warmth | undefined =
    h.ok && s.ok && l.ok ? { hubK: h.value, spindleK: s.value, apartMm: l.value } : undefined;
  return { hub, setHub, spindle, setSpindle, apart, setApart, read };
}

/** What becomes of the end play when the hub runs warm. */
export function WarmPlay({
  warmth: w,
  shiftMm,
}: {
  warmth: ReturnType<typeof useWarmth>;
  shiftMm: number | undefined;
}) {
  const [open, setOpen] = useState(false);
  return (
    <section>
      <details className="more" open={open} onToggle={(e) => setOpen(e.currentTarget.open)}>
        <summary>And when it runs warm?</summary>
        <div className="grid gap-2">
          <QuantityInput
            compact
            label="Hub warmer by"
            dimension="rise"
            text={w.hub}
            onText={w.setHub}
          />
          <QuantityInput
            compact
            label="Spindle warmer by"
            dimension="rise"
            text={w.spindle}
            onText={w.setSpindle}
          />
          <QuantityInput
            compact
            label="Rows apart"
            dimension="length"
            text={w.apart}
            onText={w.setApart}
          />
          {w.read && shiftMm === undefined && (
            <p className="note">Part or hub do not say what they are made like.</p>
          )}
          <p className="cap">
            Small ends facing each other, as in most hubs. An upper bound: the steel cup follows the
            hub less.
          </p>
        </div>
      </details>
    </section>
  );
}
