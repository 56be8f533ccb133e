import { type ReactNode, useState } from 'react';
import { resultInWords, testById } from '../../core/diagnosis/index.ts';
import {
  candidatesFor,
  chosenPart,
  conflictsOf,
  instrumentById,
  type JobNow,
  kindOf,
  oldPart,
  encoderToRead,
  readingsToGo,
  instrumentsInUse,
} from '../../core/job/index.ts';
import {
  atTwenty,
  type CataloguePart,
  type DimensionId,
  dimensionNames,
  dimensionsOf,
  isCount,
  measureAgain,
  oneRow,
  outlierInWords,
  type Reading,
  type ReadingStats,
  statsOf,
} from '../../core/matching/index.ts';
import { VerdictShape } from '../../ui/Marks.tsx';
import { useJob } from '../shell/useJob.ts';
import { BenchEntry } from './BenchEntry.tsx';
import { EncoderEntry, encoderWords } from './EncoderEntry.tsx';
import { FlangeOver } from './FlangeOver.tsx';
import { OldOverNew } from './OldOverNew.tsx';
import { PointsEntry } from './PointsEntry.tsx';
import { ReadingEntry, type Typing } from './ReadingEntry.tsx';
import { taken } from './readingSlots.ts';

type Open = DimensionId | 'encoder' | 'points' | 'bench';
type Stats = Partial<Record<DimensionId, ReadingStats>>;

export interface MeasureProps {
  /** The old part is off and lies on the bench: it can be turned by hand too. */
  off: boolean;
}

/** What the old bearing felt like in the hand, once it was turned on the bench. */
const turnedOf = ({ ctx, state }: JobNow) =>
  state.results.find((r) => r.testId === 'bench' && r.place === ctx.corner && !r.skipped);

/** The first thing that is still to be read. */
function dueOf(view: JobNow, off: boolean): Open {
  const [next] = readingsToGo(view);
  if (next) return next.d;
  if (encoderAsked(view, off)) return 'encoder';
  return off && !turnedOf(view) ? 'bench' : 'points';
}

/** On the car every part is looked at for an encoder, for the catalogue tells parts apart by it; off it, only what can have one. */
const encoderAsked = (view: JobNow, off: boolean): boolean =>
  off ? encoderToRead(view) : !view.state.oldEncoder;

const atBench = (d: DimensionId, r: Reading): number => (isCount(d) ? r.valueMm : atTwenty(r));

/** Readings with the one that is being typed in its place, so that drawing and running figures show it. */
function readingsWith({ state }: JobNow, typing: Typing | undefined, d: DimensionId): Reading[] {
  const list = state.oldTaken[d] ?? [];
  if (typing?.dimension !== d) return list;
  const { reading } = typing;
  const others = list.filter((r) => reading.plane === undefined || !taken([r], reading));
  return [...others, reading];
}

function statsWith(view: JobNow, typing: Typing | undefined): Stats {
  const doubtMm = instrumentById(view, view.state.oldInstrumentId)?.doubtMm ?? 0;
  const of = (d: DimensionId) =>
    statsOf(
      readingsWith(view, typing, d).map((r) => ({ ...r, atTwentyMm: atBench(d, r) })),
      isCount(d) ? 0 : doubtMm,
    );
  return Object.fromEntries(dimensionsOf(kindOf(view)).map((d) => [d, of(d)]));
}

/** The old part, size by size, with its section or flange beside it and the running figures on the drawing. */
export function useMeasure({ off }: MeasureProps) {
  const { view } = useJob();
  const { state } = view;
  const toGo = readingsToGo(view);
  const [picked, setPicked] = useState<Open>();
  const [typing, setTyping] = useState<Typing>();
  const open = picked ?? dueOf(view, off);
  const stats = statsWith(view, typing);
  const list = candidatesFor(view);
  const chosen = chosenPart(view);
  const begun = toGo.length < dimensionsOf(kindOf(view)).length;
  // Nothing chosen: the old one is laid over the nearest that still agrees.
  const nearest = begun ? list.find((c) => c.status !== 'stop')?.part : undefined;
  const next = () => {
    setTyping(undefined);
    setPicked(undefined);
  };
  const typed = typing && {
    [typing.dimension]: readingsWith(view, typing, typing.dimension).map((r) =>
      atBench(typing.dimension, r),
    ),
  };
  const again = measureAgain(list, oldPart(view), instrumentsInUse(view));
  return {
    picture: (
      <div className="old-grid">
        <div className="old-entry">
          <OpenEntry open={open} onTyping={setTyping} onDone={next} />
        </div>
        <div className="old-see">
          <OldOverPart
            part={chosen ?? nearest}
            chosen={chosen !== undefined}
            old={{ ...state.oldReadings, ...typed }}
            lit={open}
            stats={stats}
          />
          <ReadList off={off} open={open} stats={stats} onOpen={setPicked} />
        </div>
      </div>
    ),
    side: <Warnings list={[...warningsOf(view, stats), ...(again ? [again.text] : [])]} />,
    left: toGo.reduce((n, x) => n + x.n, 0) + Number(encoderAsked(view, off)),
    list,
    part: chosen,
    instrument: instrumentById(view, state.oldInstrumentId),
    conflicts: conflictsOf(view),
  };
}

function OpenEntry({
  open,
  onTyping,
  onDone,
}: {
  open: Open;
  onTyping: (t: Typing | undefined) => void;
  onDone: () => void;
}) {
  if (open === 'encoder') return <EncoderEntry onDone={onDone} />;
  if (open === 'points') return <PointsEntry />;
  if (open === 'bench') return <BenchEntry onDone={onDone} />;
  return <ReadingEntry key={open} dimension={open} onTyping={onTyping} onDone={onDone} />;
}

/** The old part laid over the one it is held against. */
function OldOverPart({
  part,
  chosen,
  old,
  lit,
  stats,
}: {
  part: CataloguePart | undefined;
  chosen: boolean;
  old: Partial<Record<DimensionId, number[]>>;
  lit: Open;
  stats: Stats;
}) {
  const { view } = useJob();
  if (!part)
    return (
      <p className="note big">
        Measure, and the catalogue answers. No part is chosen yet to lay the old one over.
      </p>
    );
  if (kindOf(view) === 'hub-unit') return <FlangeOver part={part} old={old} lit={lit} />;
  return (
    <OldOverNew
      part={part.bearing}
      single={oneRow(part.kind)}
      rolling={part.rolling}
      partName={chosen ? part.number : `${part.number}, nearest`}
      old={old}
      lit={lit}
      encoderSide={view.state.oldEncoder?.side}
      stats={stats}
    />
  );
}

/** Mean with its doubt, and how far from round and straight. */
function statsWords(d: DimensionId, s: ReadingStats | undefined): string {
  if (!s) return 'not read';
  if (isCount(d)) return s.meanMm.toFixed(0);
  const round = s.outOfRoundMm > 0 ? `, round to ${s.outOfRoundMm.toFixed(3)}` : '';
  const taper = s.taperMm > 0 ? `, taper ${s.taperMm.toFixed(3)}` : '';
  return `${s.meanMm.toFixed(3)} ± ${s.doubtMm.toFixed(3)}${round}${taper}`;
}

function pointsWords({ oldPoints: { rolling, seals, spacer } }: JobNow['state']): string {
  const said = [
    rolling,
    seals && `${seals.inboard} in, ${seals.outboard} out`,
    spacer && `spacer ${spacer}`,
  ].filter(Boolean);
  return said.join(', ') || 'not looked at';
}

/** Everything that is read of an old part, with what it came to; tapped, it is read again. */
function ReadList({
  off,
  open,
  stats,
  onOpen,
}: {
  off: boolean;
  open: Open;
  stats: Stats;
  onOpen: (o: Open) => void;
}) {
  const { view } = useJob();
  const { state } = view;
  const turned = turnedOf(view);
  const bench = testById('bench')!;
  const felt = bench.results?.find((r) => r.id === turned?.result)?.name.toLowerCase();
  const rows: [Open, string, string][] = [
    ...dimensionsOf(kindOf(view)).map((d): [Open, string, string] => [
      d,
      dimensionNames[d],
      statsWords(d, stats[d]),
    ]),
    ['encoder', 'Encoder', state.oldEncoder ? encoderWords(state.oldEncoder) : 'not read'],
    ['points', 'Rolls, seals, spacer', pointsWords(state)],
  ];
  if (off)
    rows.push([
      'bench',
      'Turned by hand',
      turned ? (felt ?? resultInWords(bench, turned)) : 'not done',
    ]);
  return (
    <ul className="read-list">
      {rows.map(([id, name, said]) => (
        <li key={id}>
          <button type="button" aria-pressed={open === id} onClick={() => onOpen(id)}>
            <span>{name}</span>
            <b className="num">{said}</b>
          </button>
        </li>
      ))}
    </ul>
  );
}

/** Readings that cannot all be true, and one that stands apart. */
function warningsOf(view: JobNow, stats: Stats): string[] {
  const odd = dimensionsOf(kindOf(view)).flatMap((d) => {
    const outlier = stats[d]?.outlier;
    return outlier ? [`${dimensionNames[d]}: ${outlierInWords(outlier)}`] : [];
  });
  return [...conflictsOf(view).map((c) => c.reason), ...odd.slice(0, 1)];
}

function Warnings({ list }: { list: readonly string[] }): ReactNode {
  if (list.length === 0) return null;
  return (
    <section>
      {list.map((w) => (
        <p key={w} className="line-v">
          <VerdictShape status="check" size={22} />
          <span>{w}</span>
        </p>
      ))}
    </section>
  );
}
