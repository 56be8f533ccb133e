import { useEffect, useState } from 'react';
import {
  candidatesFor,
  chosenPart,
  conflictsOf,
  familyOf,
  instrumentById,
  oldPart,
  readingsToGo,
} from '../../core/job/index.ts';
import {
  atTwenty,
  dimensionNames,
  dimensionsOf,
  isCount,
  measureAgain,
  oneRow,
  outlierInWords,
  readingFault,
  readingsNeeded,
  statsOf,
  type DimensionId,
  type Reading,
} from '../../core/matching/index.ts';
import { resultInWords, testById } from '../../core/diagnosis/index.ts';
import type { Corner, Encoder, Rolling, SealKind, Side, Spacer } from '../../core/parts.ts';
import { both, parseQuantity } from '../../core/units/index.ts';
import { Choices } from '../../ui/Panels.tsx';
import { VerdictShape } from '../../ui/Marks.tsx';
import { QuantityInput } from '../../ui/QuantityInput.tsx';
import { ThumbPad } from '../../ui/ThumbPad.tsx';
import { useDraft } from '../../ui/useDraft.ts';
import { faultOf, useJob } from '../shell/useJob.ts';
import { FlangeOver } from './FlangeOver.tsx';
import { OldOverNew } from './OldOverNew.tsx';
import { useIndicator } from './useIndicator.ts';

type Open = DimensionId | 'encoder' | 'points' | 'bench';

/** Where a size is read: angles in planes for a diameter, places for a width; a count has none. */
function slotsOf(d: DimensionId): { plane?: number; angleDeg?: number; name: string }[] {
  if (isCount(d) || d === 'boltCircleMm') return [{ name: 'once' }];
  if (d === 'widthMm')
    return [
      { plane: 0, angleDeg: 0, name: '0°' },
      { plane: 0, angleDeg: 180, name: '180°' },
    ];
  return [0, 1].flatMap((plane) =>
    [0, 90].map((angleDeg) => ({
      plane,
      angleDeg,
      name: `${plane === 0 ? 'face' : 'middle'} ${angleDeg}°`,
    })),
  );
}
const taken = (
  list: readonly Reading[],
  s: { plane?: number | undefined; angleDeg?: number | undefined },
) =>
  list.some(
    (r) =>
      s.plane === undefined ||
      ((r.plane ?? 0) === s.plane &&
        (r.angleDeg ?? (list.indexOf(r) === 0 ? 0 : 90)) === s.angleDeg),
  );

export interface MeasureProps {
  /** The old part is off and lies on the bench: it can be turned by hand too. */
  off: boolean;
}

/** A reading that is being typed. */
interface Typing {
  dimension: DimensionId;
  reading: Reading;
}

/** The old part, size by size, with its section or flange beside it and the running figures on the drawing. */
export function useMeasure({ off }: MeasureProps) {
  const { view } = useJob();
  const { ctx, state } = view;
  const chosen = chosenPart(view);
  const kind = familyOf(view)?.kind ?? 'ring-set';
  const dims = dimensionsOf(kind);
  const toGo = readingsToGo(view);
  const turned = state.results.find(
    (r) => r.testId === 'bench' && r.place === ctx.corner && !r.skipped,
  );
  const [picked, setPicked] = useState<Open>();
  const open: Open =
    picked ?? toGo[0]?.d ?? (!state.oldEncoder ? 'encoder' : off && !turned ? 'bench' : 'points');
  const instrument = instrumentById(view, state.oldInstrumentId);
  const [typing, setTyping] = useState<Typing>();
  // What is being typed stands in its place already, so that the drawing and the running figures show it.
  const takenWith = (d: DimensionId): Reading[] => {
    const list = state.oldTaken[d] ?? [];
    return typing?.dimension === d
      ? [
          ...list.filter((r) => typing.reading.plane === undefined || !taken([r], typing.reading)),
          typing.reading,
        ]
      : list;
  };
  const stats = Object.fromEntries(
    dims.map((d) => [
      d,
      statsOf(
        takenWith(d).map((r) => ({ ...r, atTwentyMm: isCount(d) ? r.valueMm : atTwenty(r) })),
        isCount(d) ? 0 : (instrument?.doubtMm ?? 0),
      ),
    ]),
  );
  const shown = {
    ...state.oldReadings,
    ...(typing
      ? {
          [typing.dimension]: takenWith(typing.dimension).map((r) =>
            isCount(typing.dimension) ? r.valueMm : atTwenty(r),
          ),
        }
      : {}),
  };
  const outlier = dims
    .map((d) => stats[d]?.outlier && `${dimensionNames[d]}: ${outlierInWords(stats[d].outlier)}`)
    .find(Boolean);
  const list = candidatesFor(view);
  // Nothing chosen: the old one is laid over the nearest that still agrees.
  const part =
    chosen ?? (toGo.length < dims.length ? list.find((c) => c.status !== 'stop')?.part : undefined);
  const again = measureAgain(list, oldPart(view), ctx.instruments);
  const left = toGo.reduce((n, x) => n + x.n, 0) + (state.oldEncoder ? 0 : 1);
  const row = (id: Open, name: string, said: string) => (
    <li key={id}>
      <button type="button" aria-pressed={open === id} onClick={() => setPicked(id)}>
        <span>{name}</span>
        <b className="num">{said}</b>
      </button>
    </li>
  );
  const picture = (
    <div className="old-grid">
      <div className="old-entry">
        {open === 'encoder' ? (
          <EncoderEntry onDone={() => setPicked(undefined)} />
        ) : open === 'points' ? (
          <PointsEntry />
        ) : open === 'bench' ? (
          <BenchEntry onDone={() => setPicked(undefined)} />
        ) : (
          <Entry
            key={open}
            dimension={open}
            onTyping={setTyping}
            onDone={() => {
              setTyping(undefined);
              setPicked(undefined);
            }}
          />
        )}
      </div>
      <div className="old-see">
        {part ? (
          kind === 'hub-unit' ? (
            <FlangeOver part={part} old={shown} lit={open} />
          ) : (
            <OldOverNew
              part={part.bearing}
              single={oneRow(part.kind)}
              rolling={part.rolling}
              partName={chosen ? part.number : `${part.number}, nearest`}
              old={shown}
              lit={open}
              encoderSide={state.oldEncoder?.side}
              stats={stats}
            />
          )
        ) : (
          <p className="note big">
            Measure, and the catalogue answers. No part is chosen yet to lay the old one over.
          </p>
        )}
        <ul className="read-list">
          {dims.map((d) =>
            row(
              d,
              dimensionNames[d],
              stats[d]
                ? `${stats[d].meanMm.toFixed(isCount(d) ? 0 : 3)}${isCount(d) ? '' : ` ± ${stats[d].doubtMm.toFixed(3)}`}${stats[d].outOfRoundMm > 0 ? `, round to ${stats[d].outOfRoundMm.toFixed(3)}` : ''}${stats[d].taperMm > 0 ? `, taper ${stats[d].taperMm.toFixed(3)}` : ''}`
                : 'not read',
            ),
          )}
          {row(
            'encoder',
            'Encoder',
            state.oldEncoder ? encoderWords(state.oldEncoder) : 'not read',
          )}
          {row(
            'points',
            'Rolls, seals, spacer',
            [
              state.oldPoints.rolling,
              state.oldPoints.seals &&
                `${state.oldPoints.seals.inboard} in, ${state.oldPoints.seals.outboard} out`,
              state.oldPoints.spacer && `spacer ${state.oldPoints.spacer}`,
            ]
              .filter(Boolean)
              .join(', ') || 'not looked at',
          )}
          {off &&
            row(
              'bench',
              'Turned by hand',
              turned ? resultInWords(testById('bench')!, turned).split(': ')[1]! : 'not done',
            )}
        </ul>
      </div>
    </div>
  );
  const warnings = [
    ...conflictsOf(view).map((c) => c.reason),
    ...(outlier ? [outlier] : []),
    ...(again ? [again.text] : []),
  ];
  const side =
    warnings.length > 0 ? (
      <section>
        {warnings.map((w) => (
          <p key={w} className="line-v">
            <VerdictShape status="check" size={22} />
            <span>{w}</span>
          </p>
        ))}
      </section>
    ) : null;
  return { picture, side, left, list, part: chosen, instrument, conflicts: conflictsOf(view) };
}

/** One reading: pad under the thumb, the next slot after it. */
function Entry({
  dimension,
  onTyping,
  onDone,
}: {
  dimension: DimensionId;
  onTyping: (t: Typing | undefined) => void;
  onDone: () => void;
}) {
  const { view, send, problem } = useJob();
  const { state, ctx, job } = view;
  const key = `${job.id}:old`;
  const [text, setText, clear] = useDraft(`${key}:${dimension}`);
  const [zero, setZero] = useDraft(`${key}:zero`);
  const [temp, setTemp] = useDraft(`${key}:temp`);
  const [instrumentId, setInstrument] = useState(
    state.oldInstrumentId ?? ctx.instruments[0]?.id ?? '',
  );
  const slots = slotsOf(dimension);
  const list = state.oldTaken[dimension] ?? [];
  const due = slots.findIndex((s) => !taken(list, s));
  const [slot, setSlot] = useState<number>();
  const at = slots[slot ?? Math.max(0, due)]!;
  const count = isCount(dimension);
  const parsed = parseQuantity(text, count ? 'count' : 'length');
  const z = zero.trim() === '' ? undefined : parseQuantity(zero, 'length');
  const t = temp.trim() === '' ? undefined : parseQuantity(temp, 'temperature');
  const indicator = useIndicator();
  const doubt = instrumentById(view, instrumentId)?.doubtMm;
  const fault = parsed.ok
    ? count && !Number.isInteger(parsed.value)
      ? 'This is counted: a whole number.'
      : readingFault(dimension, parsed.value, state.oldReadings)
    : undefined;
  const slip =
    z && !z.ok ? `Zero: ${z.reason}` : t && !t.ok ? `Temperature: ${t.reason}` : undefined;
  const corrected =
    parsed.ok && !count
      ? atTwenty({
          valueMm: parsed.value,
          zeroMm: z?.ok ? z.value : undefined,
          partC: t?.ok ? t.value : undefined,
        })
      : undefined;
  const whole = parsed.ok && !fault && !slip ? parsed.value : undefined;
  const [zeroMm, partC] = [z?.ok ? z.value : undefined, t?.ok ? t.value : undefined];
  const { plane, angleDeg } = at;
  useEffect(() => {
    onTyping(
      whole === undefined
        ? undefined
        : { dimension, reading: { valueMm: whole, plane, angleDeg, zeroMm, partC } },
    );
    return () => onTyping(undefined);
  }, [whole, dimension, plane, angleDeg, zeroMm, partC, onTyping]);
  const submit = async (e: React.FormEvent) => {
    e.preventDefault();
    if (!parsed.ok || fault || slip) return;
    const body = {
      dimension,
      valueMm: parsed.value,
      typed: parsed.typed,
      instrumentId,
      ...(at.plane === undefined ? {} : { plane: at.plane, angleDeg: at.angleDeg! }),
      ...(z?.ok ? { zeroMm: z.value } : {}),
      ...(t?.ok ? { partC: t.value } : {}),
    };
    if (!(await send('old-part-read', body))) return;
    clear();
    setSlot(undefined);
    if (list.length + 1 >= readingsNeeded(dimension)) onDone();
  };
  const shown =
    parsed.ok && !fault
      ? count
        ? { value: String(parsed.value), other: undefined }
        : both(corrected!, 'length', 3)
      : undefined;
  const nominal = chosenPart(view)?.bearing;
  const from =
    nominal && (dimension === 'outerMm' || dimension === 'boreMm' || dimension === 'widthMm')
      ? nominal[dimension]
      : undefined;
  return (
    <form onSubmit={submit} className="grid gap-2">
      <p className="cap">
        {dimensionNames[dimension]}, old part, {at.name}
      </p>
      <p className="far-n num blue">
        {shown ? shown.value : '–'}
        <span>
          {shown
            ? `${count ? '' : 'mm'}${doubt === undefined || count ? '' : ` ± ${doubt}`}${shown.other ? ` / ${shown.other}` : ''}`
            : count
              ? 'counted'
              : 'mm'}
        </span>
      </p>
      {slots.length > 1 && (
        <div className="slots" role="group" aria-label="Place">
          {slots.map((s, i) => (
            <button key={s.name} type="button" aria-pressed={s === at} onClick={() => setSlot(i)}>
              {s.name}
              {taken(list, s) ? ' ✓' : ''}
            </button>
          ))}
        </div>
      )}
      {count ? (
        <label className={`field${fault ? ' bad' : ''}`}>
          <span>{dimensionNames[dimension]}</span>
          <span className="box">
            <input value={text} onChange={(e) => setText(e.target.value)} inputMode="numeric" />
          </span>
          <span className="say">{fault}</span>
        </label>
      ) : (
        <QuantityInput
          label={`${dimensionNames[dimension]} at ${at.name}`}
          dimension="length"
          decimals={3}
          text={text}
          onText={setText}
          fault={fault ?? slip ?? faultOf(problem, 'valueMm', 'body.valueMm')}
        />
      )}
      <ThumbPad text={text} onText={setText} />
      <button type="submit" className="btn">
        Record {shown?.value ?? 'reading'}
      </button>
      {!count && (
        <label className="field">
          <span>Read with</span>
          <select
            className="pick"
            value={instrumentId}
            onChange={(e) => setInstrument(e.target.value)}
          >
            {ctx.instruments.map((i) => (
              <option key={i.id} value={i.id}>
                {i.name} ± {i.doubtMm} mm
              </option>
            ))}
          </select>
        </label>
      )}
      {!count && (
        <details className="more">
          <summary>Zero, temperature, indicator</summary>
          <div className="grid gap-2">
            <QuantityInput
              compact
              label="Zero: shown at nothing, or over the setting ring"
              dimension="length"
              decimals={3}
              text={zero}
              onText={setZero}
            />
            <QuantityInput
              compact
              label="Temperature of the part, brought to 20 °C"
              dimension="temperature"
              decimals={0}
              text={temp}
              onText={setTemp}
            />
            {from !== undefined && (
              <button
                type="button"
                className="btn q small"
                onClick={() => indicator.read(from, (mm) => setText(mm.toFixed(3)))}
              >
                {indicator.now === undefined
                  ? 'Read the stand-in indicator'
                  : `${indicator.now.toFixed(3)} mm, settling…`}
              </button>
            )}
          </div>
        </details>
      )}
    </form>
  );
}

const encoderWords = (e: Encoder & { side: Side }) =>
  e.kind === 'none'
    ? 'none'
    : `${e.pairs} ${e.kind === 'magnetic' ? 'pole pairs' : 'teeth'}, ${e.side}`;

function EncoderEntry({ onDone }: { onDone: () => void }) {
  const { view, send, problem } = useJob();
  const kept = view.state.oldEncoder;
  const [kind, setKind] = useState<Encoder['kind'] | undefined>(kept?.kind);
  const [side, setSide] = useState<Side | undefined>(kept?.side);
  const [pairs, setPairs] = useDraft(`${view.job.id}:old:pairs`);
  const parsed = parseQuantity(pairs, 'count');
  const ready =
    kind !== undefined &&
    side !== undefined &&
    (kind === 'none' || (parsed.ok && Number.isInteger(parsed.value)));
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
          <label className={`field${faultOf(problem, 'body.pairs') ? ' bad' : ''}`}>
            <span>{kind === 'toothed' ? 'Teeth' : 'Pole PAIRS (poles ÷ 2)'}</span>
            <span className="box">
              <input value={pairs} onChange={(e) => setPairs(e.target.value)} inputMode="numeric" />
            </span>
            <span className="say">
              {pairs && !(parsed.ok && Number.isInteger(parsed.value)) ? 'A whole number.' : ''}
            </span>
          </label>
          <ThumbPad text={pairs} onText={setPairs} />
        </>
      )}
      <button type="submit" className={`btn${ready ? '' : ' notyet'}`}>
        Record encoder
      </button>
    </form>
  );
}

const sealOptions = [
  { id: 'contact', label: 'lip' },
  { id: 'shield', label: 'shield' },
  { id: 'open', label: 'open' },
] as const;

/** What is seen, not measured. Each may stay open. */
function PointsEntry() {
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

/** The last word on the old bearing; what is felt here teaches the tests. */
function BenchEntry({ onDone }: { onDone: () => void }) {
  const { view, send } = useJob();
  const test = testById('bench')!;
  return (
    <section className="grid gap-2">
      <p className="what">{test.name}</p>
      <p className="note">{test.why} What you feel here is counted for the tests that led to it.</p>
      <ul className="answers">
        {test.results?.map((r) => (
          <li key={r.id}>
            <button
              type="button"
              className="btn q"
              onClick={async () => {
                if (
                  await send('test-recorded', {
                    testId: 'bench',
                    place: view.ctx.corner as Corner,
                    result: r.id,
                  })
                )
                  onDone();
              }}
            >
              {r.name}
            </button>
          </li>
        ))}
      </ul>
    </section>
  );
}
