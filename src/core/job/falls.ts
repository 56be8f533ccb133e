import {
  afterStroke,
  type Done,
  fittedAfter,
  homeAfter,
  isOfFitting,
  undoneBy,
} from '../families/order.ts';
import type { JobEvent } from '../schemas/events.ts';
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

/** What was fitted and seen no longer stands, and with it nut, checks and the stations behind it. */
function fall(s: JobState, { strokes, facts }: Done): void {
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
  s.checks = {};
  s.stepsDone = { ...s.stepsDone, rebuild: [] };
  s.done = s.done.filter((x) => !later.includes(x));
}

/** A new bearing that came out again is scrap: another one is taken in hand and turned the right way again. */
function newBearingSpent(s: JobState): void {
  delete s.items['bearing'];
  delete s.encoderChecked;
}

const falls: Record<Fall, (s: JobState, e: JobEvent) => void> = {
  'verdict-of-seat': (s, e) => {
    if (e.type === 'seat-read' || e.type === 'seat-felt' || e.type === 'damage-read')
      delete s.seatDecisions[e.body.seat];
  },
  'after-stroke': (s, e) => {
    if (e.type !== 'stroke-recorded') return;
    const { operation } = e.body;
    const undone = undoneBy(operation).filter((o) => o in s.strokes);
    const [first] = undone;
    if (first) {
      fall(s, { ...afterStroke(first), strokes: [first, ...afterStroke(first).strokes] });
      newBearingSpent(s);
    } else if (operation in s.strokes) fall(s, afterStroke(operation));
  },
  'built-on-the-contrary': (s, e) => {
    if (e.type === 'fact-seen' && e.body.absent && isOfFitting(e.body.factId))
      fall(s, { strokes: [], facts: [] });
  },
  'taken-out-by-hand': (s, e) => {
    if (e.type !== 'fact-seen') return;
    const { factId } = e.body;
    if (e.body.absent || !(outByHand as readonly string[]).includes(factId)) return;
    const home = homeAfter(factId);
    if (!home.strokes.some((o) => o in s.strokes) && !home.facts.some((f) => s.facts.includes(f)))
      return;
    fall(s, fittedAfter(factId));
    newBearingSpent(s);
  },
};

/** Takes back what no longer stands once an entry is in the record. Called before the entry itself is applied. */
export function applyFalls(s: JobState, e: JobEvent): void {
  for (const f of fallsOf(e.type)) falls[f](s, e);
}
