import { useState } from 'react';
import type { Rolling, SealKind, Spacer } from '../../core/corner-record.ts';
import type { Side } from '../../core/corner.ts';
import { Choices } from '../../ui/Panels.tsx';
import { useJob } from '../shell/useJob.ts';

const sealOptions = [
  { id: 'contact', label: 'lip' },
  { id: 'shield', label: 'shield' },
  { id: 'open', label: 'open' },
] as const;

/** What is seen, not measured. Each may stay open. */
export function PointsEntry() {
  const { view, send } = useJob();
  const { rolling, spacer, seals } = view.state.oldPoints;
  const [sides, setSides] = useState<Partial<Record<Side, SealKind>>>(seals ?? {});
  const seal = (side: Side, kind: SealKind) => {
    const next = { ...sides, [side]: kind };
    setSides(next);
    if (next.inboard && next.outboard)
      void send('points-read', { seals: { inboard: next.inboard, outboard: next.outboard } });
  };
  return (
    <section className="grid gap-2 points">
      <div>
        <h2>What rolls</h2>
        <Choices<Rolling>
          name="What rolls"
          value={rolling}
          onValue={(v) => send('points-read', { rolling: v })}
          options={[
            { id: 'ball', label: 'balls' },
            { id: 'taper', label: 'taper rollers' },
            { id: 'cylindrical', label: 'straight rollers' },
            { id: 'needle', label: 'needles' },
          ]}
        />
      </div>
      <div>
        <h2>Seal outboard</h2>
        <Choices<SealKind>
          name="Seal outboard"
          value={sides.outboard}
          onValue={(v) => seal('outboard', v)}
          options={sealOptions}
        />
      </div>
      <div>
        <h2>Seal inboard</h2>
        <Choices<SealKind>
          name="Seal inboard"
          value={sides.inboard}
          onValue={(v) => seal('inboard', v)}
          options={sealOptions}
        />
      </div>
      <div>
        <h2>Spacer</h2>
        <Choices<Spacer>
          name="Spacer"
          value={spacer}
          onValue={(v) => send('points-read', { spacer: v })}
          options={[
            { id: 'none', label: 'none' },
            { id: 'separate', label: 'separate' },
            { id: 'built-in', label: 'built in' },
          ]}
        />
      </div>
    </section>
  );
}
