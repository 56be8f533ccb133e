import { useState } from 'react';
import type { Bearing, Encoder } from '../../core/corner-record.ts';
import { familyOf } from '../../core/job/index.ts';
import { bearingFaults, type CataloguePart } from '../../core/matching/index.ts';
import { type Dimension } from '../../core/units/index.ts';
import { firstThat } from '../../ui/firstThat.ts';
import { Choices, Dialog, MainAction } from '../../ui/Panels.tsx';
import { QuantityInput } from '../../ui/QuantityInput.tsx';
import { useDraft } from '../../ui/useDraft.ts';
import { faultOf, useJob } from '../shell/useJob.ts';
import { readTyped } from '../../ui/units.ts';

const sizes = [
  ['outerMm', 'Outside'],
  ['boreMm', 'Bore'],
  ['widthMm', 'Width'],
  ['innerWidthMm', 'Width over inner rings'],
  ['outerFaceInnerMm', 'Outer face ends at'],
  ['innerFaceOuterMm', 'Inner face ends at'],
  ['ballMm', 'Ball or roller'],
  ['pitchMm', 'Pitch circle'],
] as const;
const counts = [
  ['balls', 'Rolling elements in a row'],
  ['contactAngleDeg', 'Contact angle, °'],
  ['staticRatingKn', 'Static rating, kN'],
  ['pairs', 'Pole pairs or teeth'],
] as const;

/** A part that no catalogue here lists, from the box or the counter: entered whole, then judged like any other. */
export function HandPart({
  onClose,
  onEntered,
}: {
  onClose: () => void;
  onEntered: (number: string) => void;
}) {
  const { view, send, problem } = useJob();
  const [text, setText, clear] = useDraft(`${view.job.id}:hand-part`);
  const draft: Record<string, string> = text ? (JSON.parse(text) as Record<string, string>) : {};
  const set = (k: string, v: string) => setText(JSON.stringify({ ...draft, [k]: v }));
  const [encoder, setEncoder] = useState<Encoder['kind']>();
  const num = (k: string, d: Dimension) => {
    const p = readTyped(draft[k] ?? '', d);
    return p.ok ? p.value : Number.NaN;
  };
  const bearing = {
    ...Object.fromEntries(sizes.map(([k]) => [k, num(k, 'length')])),
    balls: num('balls', 'count'),
    contactAngleDeg: num('contactAngleDeg', 'angle'),
    staticRatingKn: num('staticRatingKn', 'force'),
    encoder: { kind: encoder ?? 'none', pairs: encoder === 'none' ? 0 : num('pairs', 'count') },
  } as Bearing;
  const part: Omit<CataloguePart, 'byHand'> = {
    number: (draft['number'] ?? '').trim(),
    maker: (draft['maker'] ?? '').trim(),
    kind: familyOf(view)?.kind ?? 'ring-set',
    bearing,
    stock: 0,
    priceMinor: 0,
    currency: 'EUR',
    leadDays: 0,
    snapRingIncluded: false,
  };
  const whole = [
    ...sizes.map(([k]) => bearing[k]),
    bearing.balls,
    bearing.contactAngleDeg,
    bearing.staticRatingKn,
    ...(encoder === 'none' ? [] : [bearing.encoder.pairs]),
  ].every(Number.isFinite);
  const faults = whole ? bearingFaults(bearing) : [];
  const missing = firstThat(
    [part.number === '', 'Number on the part'],
    [part.maker === '', 'Maker'],
    [encoder === undefined, 'Which encoder'],
    [!whole, 'Every figure: none is guessed'],
    [true, faults[0]?.reason],
  );
  const enter = async () => {
    if (await send('part-entered', { part })) {
      clear();
      onEntered(part.number);
      onClose();
    }
  };
  return (
    <Dialog title="A part from outside the catalogue" onClose={onClose}>
      <form
        className="grid gap-2 hand-part"
        onSubmit={(e) => {
          e.preventDefault();
          if (!missing) void enter();
        }}
      >
        <div className="two-in">
          <label className="field compact">
            <span>Number</span>
            <input
              className="text-in"
              value={draft['number'] ?? ''}
              onChange={(e) => set('number', e.target.value)}
              maxLength={64}
            />
          </label>
          <label className="field compact">
            <span>Maker</span>
            <input
              className="text-in"
              value={draft['maker'] ?? ''}
              onChange={(e) => set('maker', e.target.value)}
              maxLength={60}
            />
          </label>
        </div>
        <Choices<Encoder['kind']>
          name="Encoder of the part"
          value={encoder}
          onValue={setEncoder}
          options={[
            { id: 'magnetic', label: 'magnetic' },
            { id: 'toothed', label: 'toothed' },
            { id: 'none', label: 'no encoder' },
          ]}
        />
        <div className="two-in">
          {sizes.map(([k, label]) => (
            <QuantityInput
              key={k}
              compact
              label={label}
              dimension="length"
              text={draft[k] ?? ''}
              onText={(t) => set(k, t)}
              fault={
                faults.find((f) => f.field === k)?.reason ??
                faultOf(problem, `body.part.bearing.${k}`)
              }
            />
          ))}
          {counts
            .filter(([k]) => k !== 'pairs' || encoder !== 'none')
            .map(([k, label]) => (
              <label key={k} className="field compact">
                <span>{label}</span>
                <span className="box">
                  <input
                    value={draft[k] ?? ''}
                    onChange={(e) => set(k, e.target.value)}
                    inputMode="decimal"
                  />
                </span>
              </label>
            ))}
        </div>
        {problem && problem.status !== 409 && (
          <p className="note" role="alert">
            {problem.detail}
          </p>
        )}
        <div className="foot">
          <MainAction type="submit" label="Judge this part" missing={missing} />
        </div>
      </form>
    </Dialog>
  );
}
