import {
  byNut,
  type FactId,
  type FamilyCode,
  usedUpBy,
  type Walk,
  walks,
} from '../families/index.ts';
import {
  afterStroke,
  type Done,
  familiesDone,
  fittedAfter,
  homeAfter,
  isOfFitting,
  outAfterStroke,
  undoneBy,
} from '../families/order.ts';
import { keysOf } from '../keys-of.ts';
import type { Operation } from '../press/index.ts';
import { apart } from '../printed.ts';
import { checkRule } from '../prove/index.ts';
import type { EventBody, JobEvent } from '../schemas/events.ts';
import { openItemRule } from './items-on-job.ts';
import { type Fall, fallsOf } from './order.ts';
import type { JobState } from './state.ts';
import type { Station } from './stations.ts';

/** The facts by which an old part comes out with no stroke of a press. */
export const outByHand = [
  'shell-drawn',
  'rings-driven-out',
  'cups-driven-out',
  'bond-broken',
] as const;

const later: readonly Station[] = ['press-in', 'torque', 'prove'];

/** The families an entry can have been made in: the one it says, else those that the record before it allows. */
function familiesOf(s: JobState, family: FamilyCode | undefined): readonly FamilyCode[] {
  if (family) return [family];
  return familiesDone({ strokes: keysOf(s.strokes), facts: s.facts as FactId[] });
}
const walksOf = (codes: readonly FamilyCode[]): Walk[] => codes.map((code) => walks[code]);

/** An answer that somebody gave stands only for the reading it was given for. */
function dropOverrides(s: JobState, rule: string): void {
  s.overrides = s.overrides.filter((o) => o.rule !== rule);
}

/** A thing that is used once and was, is there no more: another one is taken in hand. */
function spend(s: JobState, itemId: string, seq: number): void {
  s.spentAt[itemId] = seq;
  // Whether the centre nut may be used again is said by its procedure: see `spentNut`.
  if (itemId !== 'axle-nut') delete s.items[itemId];
  dropOverrides(s, openItemRule(itemId));
}

/** What was fitted and seen no longer stands, and with it what it used up, the nut, the checks and the stations behind it. */
function fall(s: JobState, { strokes, facts }: Done, codes: readonly FamilyCode[], seq: number) {
  const gone = [
    ...strokes.filter((o) => o in s.strokes),
    ...facts.filter((f) => s.facts.includes(f)),
    ...s.stepsDone.rebuild,
    ...(s.stages.length > 0 ? [byNut] : []),
  ];
  for (const item of codes.flatMap((code) => usedUpBy(code, gone))) spend(s, item.id, seq);
  for (const o of strokes) {
    delete s.strokes[o];
    delete s.traces[o];
    delete s.readings[o];
    delete s.peaks[o];
    delete s.readAtMs[o];
  }
  s.facts = s.facts.filter((f) => !(facts as readonly string[]).includes(f));
  for (const f of facts) {
    delete s.contrary[f];
    delete s.seenAtMs[f];
  }
  s.stages = [];
  s.plays = [];
  for (const id of Object.keys(s.tightened)) delete s.tightened[id];
  s.runout = {};
  checksFall(s);
  s.stepsDone = { ...s.stepsDone, rebuild: [] };
  s.done = s.done.filter((x) => !later.includes(x));
}

/** Final checks prove the work as it stood: on work that was done again they are made again. */
function checksFall(s: JobState): void {
  for (const id of Object.keys(s.checks)) checkFalls(s, id);
}
function checkFalls(s: JobState, id: string): void {
  delete s.checks[id];
  dropOverrides(s, checkRule(id));
  s.done = s.done.filter((x) => x !== 'prove');
}

/** A new bearing that came out again is scrap: another one is taken in hand and turned the right way again. */
function newBearingSpent(s: JobState, seq: number): void {
  spend(s, 'bearing', seq);
  delete s.encoderChecked;
}

/** Measured and taken over further apart than this, mm, is not built alike. Our judgement: more than a caliper can be off. */
const alikeMm = 0.5;

/** A figure that is read shows that the corner is not built like the one that lent it: all that it lent falls. */
function lentFalls(s: JobState, f: EventBody<'figure-read'>): void {
  const lent = s.figures[f.path];
  const from = lent?.takenFrom;
  if (!lent || !from || f.takenFrom) return;
  const [here, there] = [f.value, lent.value];
  const measured = typeof here === 'number' && typeof there === 'number';
  if (measured ? apart(there, here) <= alikeMm : here === there) return;
  s.figures = Object.fromEntries(
    Object.entries(s.figures).filter(([, other]) => other.takenFrom !== from),
  );
  if (measured) s.notAlike = { path: f.path, hereMm: here, thereMm: there, takenFrom: from };
}

/** Readings that a kept stroke was judged by are not another try's. */
function readingsOfEarlierTryFall(s: JobState, o: Operation): void {
  if ((s.strokes[o]?.atMs ?? -Infinity) < (s.readAtMs[o] ?? Infinity)) return;
  delete s.readings[o];
  delete s.peaks[o];
  delete s.traces[o];
}

/** What an entry of a kind takes back; narrowed to the kinds whose row in the table names the fall. */
type Falls = Record<Fall, (s: JobState, e: JobEvent) => void>;

const falls: Falls = {
  'verdict-of-seat': (s, e) => {
    if (e.type !== 'seat-read' && e.type !== 'seat-felt' && e.type !== 'damage-read') return;
    delete s.seatDecisions[e.body.seat];
    dropOverrides(s, `seat.${e.body.seat}`);
  },
  'after-stroke': (s, e) => {
    if (e.type !== 'stroke-recorded') return;
    const { operation } = e.body;
    readingsOfEarlierTryFall(s, operation);
    const codes = familiesOf(s, e.body.family);
    const gone = walksOf(codes);
    const [first] = undoneBy(operation).filter((o) => o in s.strokes);
    if (first) {
      const fitted = afterStroke(gone, first);
      const out = outAfterStroke(gone, operation);
      const done = {
        strokes: [first, ...fitted.strokes, ...out.strokes],
        facts: [...fitted.facts, ...out.facts],
      };
      fall(s, done, codes, e.seq);
      newBearingSpent(s, e.seq);
      // What is left in the knuckle has to come out too.
      if (out.strokes.length > 0) s.done = s.done.filter((x) => x !== 'press-out');
    } else if (operation in s.strokes) fall(s, afterStroke(gone, operation), codes, e.seq);
  },
  'built-on-the-contrary': (s, e) => {
    if (e.type !== 'fact-seen' || !e.body.absent) return;
    const codes = familiesOf(s, e.body.family);
    if (isOfFitting(walksOf(codes), e.body.factId))
      fall(s, { strokes: [], facts: [] }, codes, e.seq);
  },
  'fact-or-its-contrary': (s, e) => {
    if (e.type !== 'fact-seen') return;
    const { factId, absent } = e.body;
    if (absent) s.facts = s.facts.filter((f) => f !== factId);
    else delete s.contrary[factId];
  },
  'taken-out-by-hand': (s, e) => {
    if (e.type !== 'fact-seen') return;
    const { factId, family } = e.body;
    if (e.body.absent || !(outByHand as readonly string[]).includes(factId)) return;
    const codes = familiesOf(s, family);
    const gone = walksOf(codes);
    const home = homeAfter(gone, factId);
    if (!home.strokes.some((o) => o in s.strokes) && !home.facts.some((f) => s.facts.includes(f)))
      return;
    fall(s, fittedAfter(gone, factId), codes, e.seq);
    newBearingSpent(s, e.seq);
  },
  'lent-by-another': (s, e) => {
    if (e.type === 'figure-read') lentFalls(s, e.body);
  },
  'taken-as-number': (s, e) => {
    if (e.type === 'item-marked' && e.body.itemId !== 'bearing') delete s.taken[e.body.itemId];
  },
  /** Another nut in the place of one that was pulled has not been pulled. */
  'nut-renewed': (s, e) => {
    if (e.type !== 'item-marked' || e.body.itemId !== 'axle-nut') return;
    if (e.body.state !== 'in-hand' || s.items['axle-nut'] !== 'in-hand') return;
    if (s.stages.length === 0) return;
    s.stages = [];
    checksFall(s);
    s.done = s.done.filter((x) => x !== 'torque');
  },
  /** The stroke was kept after its last reading: the next one belongs to another try. */
  'readings-of-earlier-try': (s, e) => {
    if (e.type === 'stroke-reading') readingsOfEarlierTryFall(s, e.body.operation);
  },
  'answer-for-procedure': (s) => dropOverrides(s, 'torque.unchecked'),
  'checks-of-nut': (s) => checksFall(s),
  'answer-for-check': (s, e) => {
    if (e.type === 'check-recorded') dropOverrides(s, checkRule(e.body.checkId));
  },
  /** What was read of the disc is told from the hub as it was then; the check is of the face as it was read last. */
  'told-from-hub': (s, e) => {
    if (e.type !== 'runout-read') return;
    if (e.body.face === 'hub') delete s.runout.disc;
    checkFalls(s, 'runout');
  },
};

/** Takes back what no longer stands once an entry is in the record. Called before the entry itself is applied. */
export function applyFalls(s: JobState, e: JobEvent): void {
  for (const f of fallsOf(e.type)) falls[f](s, e);
}
