import type { ReadFastener } from '../../core/torque/index.ts';

import { Field } from '../../ui/Field.tsx';
import { firstThat } from '../../ui/firstThat.ts';
import { QuantityInput } from '../../ui/QuantityInput.tsx';
import { useDraft } from '../../ui/useDraft.ts';
import { useJob } from '../shell/useJob.ts';
import { readTyped } from '../../ui/units.ts';

/** A fastener without a figure: typed with where it stands written, or left to the maker's manual by name. */
export function FastenerEntry({ fastenerId }: { fastenerId: string }) {
  const { view, send } = useJob();
  const draft = `${view.job.id}:fastener:${fastenerId}`;
  const [torque, setTorque] = useDraft(`${draft}:torque`);
  const [angle, setAngle] = useDraft(`${draft}:angle`);
  const [source, setSource] = useDraft(`${draft}:source`);
  const nm = readTyped(torque, 'torque');
  const deg = readTyped(angle, 'angle');
  const odd = (text: string, p: { ok: boolean }) => text.trim() !== '' && !p.ok;
  const missing = firstThat(
    [!nm.ok && !deg.ok, 'Type its torque or angle'],
    [odd(torque, nm) || odd(angle, deg), 'One figure cannot be read'],
    [source.trim() === '', 'Type where it stands'],
  );
  const keep = (fastener: ReadFastener) => send('fastener-read', { fastenerId, fastener });
  return (
    <details className="more">
      <summary>Figure not on record: type it</summary>
      <form
        className="grid gap-2"
        onSubmit={(e) => {
          e.preventDefault();
          if (missing) return;
          void keep({
            ...(nm.ok ? { torqueNm: nm.value } : {}),
            ...(deg.ok ? { angleDeg: deg.value } : {}),
            source: source.trim(),
          });
        }}
      >
        <div className="pair-in">
          <QuantityInput
            compact
            label="Torque"
            dimension="torque"
            text={torque}
            onText={setTorque}
          />
          <QuantityInput
            compact
            label="Then an angle"
            dimension="angle"
            text={angle}
            onText={setAngle}
          />
        </div>
        <Field label="Where it stands: page, plate, screen" text={source} onText={setSource} />
        <div className="pair-in">
          <button type="submit" className={`btn small ${missing ? 'notyet' : ''}`}>
            {missing ?? 'Keep the figure'}
          </button>
          <button
            type="button"
            className="btn quiet small"
            onClick={() => void keep({ byManual: true, source: 'the maker’s manual, not copied' })}
          >
            By the maker’s manual
          </button>
        </div>
      </form>
    </details>
  );
}
