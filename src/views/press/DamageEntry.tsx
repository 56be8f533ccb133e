import { useState } from 'react';
import { judgeDamage, type SeatKind } from '../../core/fits/index.ts';
import { seatPart } from '../../core/job/index.ts';

import { Field } from '../../ui/Field.tsx';
import { VerdictLines } from '../../ui/Panels.tsx';
import { QuantityInput } from '../../ui/QuantityInput.tsx';
import { useDraft } from '../../ui/useDraft.ts';
import { useJob } from '../shell/useJob.ts';
import { readTyped } from '../../ui/units.ts';

/** Marks on the seat: how much of the circle, how deep, and where. */
export function DamageEntry({ kind }: { kind: SeatKind }) {
  const { view, send } = useJob();
  const kept = view.state.damage[kind];
  const [share, setShare] = useDraft(`${view.job.id}:damage:${kind}:share`);
  const [depth, setDepth] = useDraft(`${view.job.id}:damage:${kind}:depth`);
  const [seal, setSeal] = useState(kept?.sealTrack ?? false);
  const [grooved, setGrooved] = useState(kept?.grooved ?? false);
  const p = readTyped(share, 'share');
  const d = readTyped(depth, 'length');
  const none = share.trim() === '' && depth.trim() === '' && grooved;
  const wrong = !none && ((!p.ok && share !== '') || (p.ok && (p.value < 0 || p.value > 100)));
  const ready = none || (p.ok && d.ok && !wrong);
  const body = {
    seat: kind,
    nickShare: p.ok ? p.value / 100 : 0,
    nickDepthMm: d.ok ? d.value : 0,
    sealTrack: seal,
    grooved,
  };
  const marks = ready ? body : kept;
  const verdicts = marks ? judgeDamage(seatPart(view, kind), marks) : [];
  return (
    <details className="more" open={kept !== undefined}>
      <summary>Marks on the seat{kept ? ', recorded' : ''}</summary>
      <form
        className="grid gap-2"
        onSubmit={(e) => {
          e.preventDefault();
          if (ready) void send('damage-read', body);
        }}
      >
        <div className="pair-in">
          <Field
            compact
            label="Share of the circle"
            text={share}
            onText={setShare}
            inputMode="decimal"
            unit="%"
            fault={wrong ? 'From 0 to 100 %.' : undefined}
          />
          <QuantityInput
            compact
            label="Deepest"
            dimension="length"
            text={depth}
            onText={setDepth}
          />
        </div>
        <label className="check">
          <input type="checkbox" checked={seal} onChange={(e) => setSeal(e.target.checked)} /> Under
          a seal lip
        </label>
        <label className="check">
          <input type="checkbox" checked={grooved} onChange={(e) => setGrooved(e.target.checked)} />{' '}
          Grooved all round by a spun ring
        </label>
        <VerdictLines verdicts={verdicts} />
        <button type="submit" className={`btn quiet small${ready ? '' : ' notyet'}`}>
          Record marks
        </button>
      </form>
    </details>
  );
}
