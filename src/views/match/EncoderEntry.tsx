import { useState } from 'react';
import type { Encoder } from '../../core/corner-record.ts';
import type { Side } from '../../core/corner.ts';
import { chosenPart, cornerRecord, worksInOneGo } from '../../core/job/index.ts';

import { Field } from '../../ui/Field.tsx';
import { Choices } from '../../ui/Panels.tsx';
import { ThumbPad } from '../../ui/ThumbPad.tsx';
import { useDraft } from '../../ui/useDraft.ts';
import { faultOf, useJob } from '../shell/useJob.ts';
import { readTyped } from '../../ui/units.ts';

/** The encoder that was read, in a few words. */
export function encoderWords(e: Encoder & { side: Side }): string {
  if (e.kind === 'none') return 'none';
  return `${e.pairs} ${e.kind === 'magnetic' ? 'pole pairs' : 'teeth'}, ${e.side}`;
}

/** Kind, side and count of the old part's encoder. */
export function EncoderEntry({ onDone }: { onDone: () => void }) {
  const { view, send, problem } = useJob();
  const kept = view.state.oldEncoder;
  // Held side by side: where the record says which face the sensor looks at, one tap says the same of the old part.
  const part = chosenPart(view);
  const sensor = cornerRecord(view)?.sensorSide;
  const asNew = worksInOneGo(view) && part && sensor && { ...part.bearing.encoder, side: sensor };
  const [kind, setKind] = useState<Encoder['kind'] | undefined>(kept?.kind);
  const [side, setSide] = useState<Side | undefined>(kept?.side);
  const [pairs, setPairs] = useDraft(`${view.job.id}:old:pairs`);
  const parsed = readTyped(pairs, 'count');
  const counted = parsed.ok && Number.isInteger(parsed.value);
  const uncounted = pairs && !counted ? 'A whole number.' : undefined;
  const ready = kind !== undefined && side !== undefined && (kind === 'none' || counted);
  return (
    <form
      className="grid gap-2"
      onSubmit={async (e) => {
        e.preventDefault();
        if (
          ready &&
          (await send('encoder-read', {
            kind,
            side,
            pairs: kind === 'none' || !parsed.ok ? 0 : parsed.value,
          }))
        )
          onDone();
      }}
    >
      <p className="cap">
        Encoder of the old part. Never find it with a magnet: use the viewing card or a paper clip.
      </p>
      {asNew && (
        <button
          type="button"
          className="btn quiet"
          onClick={async () => (await send('encoder-read', asNew)) && onDone()}
        >
          As the new one: {encoderWords(asNew)}
        </button>
      )}
      <Choices
        name="Encoder kind"
        value={kind}
        onValue={setKind}
        options={[
          { id: 'magnetic', label: 'magnetic' },
          { id: 'toothed', label: 'toothed' },
          { id: 'none', label: 'none' },
        ]}
      />
      <Choices
        name="Side it faced"
        value={side}
        onValue={setSide}
        options={[
          { id: 'inboard', label: 'inboard' },
          { id: 'outboard', label: 'outboard' },
        ]}
      />
      {kind !== 'none' && (
        <>
          <Field
            label={kind === 'toothed' ? 'Teeth' : 'Pole PAIRS (poles ÷ 2)'}
            text={pairs}
            onText={setPairs}
            inputMode="numeric"
            fault={faultOf(problem, 'body.pairs') ?? uncounted}
          />
          <ThumbPad text={pairs} onText={setPairs} />
        </>
      )}
      <button type="submit" className={`btn${ready ? '' : ' notyet'}`}>
        Record encoder
      </button>
    </form>
  );
}
