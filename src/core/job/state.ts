import type { Complaint, TestResult } from '../diagnosis/index.ts';
import type { OldPart } from '../matching/index.ts';
import type { Encoder, Side } from '../parts.ts';
import type { Operation, StrokeReading } from '../press/index.ts';
import type { EventBody, JobEvent } from '../schemas/events.ts';
import type { Station } from './stations.ts';

export type ItemState = EventBody<'item-marked'>['state'];

export interface Timer {
  id: string;
  label: string;
  startedMs: number;
  endsMs: number;
}

type Kept<T> = T & { byId: string; atMs: number };

/** What the record says now: a projection of the events, nothing more. */
export interface JobState {
  complaint?: Complaint;
  results: Kept<TestResult>[];
  diagnosis?: Kept<EventBody<'diagnosis-accepted'>>;
  items: Record<string, ItemState>;
  stepsDone: { strip: string[]; rebuild: string[] };
  found: string[];
  timers: Timer[];
  cautionsRead: string[];
  facts: string[];
  oldReadings: OldPart['readings'];
  oldInstrumentId?: string;
  oldEncoder?: Encoder & { side: Side };
  seats: { bore?: Kept<EventBody<'seat-read'>>; journal?: Kept<EventBody<'seat-read'>> };
  seatDecisions: { bore?: 'reuse' | 'replace'; journal?: 'reuse' | 'replace' };
  partConfirmed?: string;
  encoderChecked?: Kept<EventBody<'encoder-checked'>>;
  readings: Partial<Record<Operation, StrokeReading[]>>;
  strokes: Partial<Record<Operation, Kept<EventBody<'stroke-recorded'>>>>;
  stages: Kept<EventBody<'stage-recorded'>>[];
  checks: Record<string, Kept<EventBody<'check-recorded'>>>;
  overrides: Kept<EventBody<'overridden'>>[];
  done: Station[];
  signed?: Kept<EventBody<'signed'>>;
  recheckedKm?: number;
  closed?: string;
}

export const emptyState = (): JobState => ({
  results: [], items: {}, stepsDone: { strip: [], rebuild: [] }, found: [], timers: [], cautionsRead: [], facts: [], oldReadings: {},
  seats: {}, seatDecisions: {}, readings: {}, strokes: {}, stages: [], checks: {}, overrides: [], done: [],
});

/** Folds the record into the state. Order is the server's sequence. */
export function project(events: readonly JobEvent[]): JobState {
  const s = emptyState();
  for (const e of events) apply(s, e);
  return s;
}

const once = (list: string[], x: string) => { if (!list.includes(x)) list.push(x); };

function apply(s: JobState, e: JobEvent): void {
  const kept = { byId: e.byId, atMs: e.atMs };
  switch (e.type) {
    case 'complaint-recorded': s.complaint = e.body; break;
    case 'test-recorded':
      // A test done again replaces its earlier answer in the judgement; both stay on record.
      s.results = [...s.results.filter((r) => r.testId !== e.body.testId || r.place !== e.body.place), { ...e.body, ...kept }];
      break;
    case 'diagnosis-accepted': s.diagnosis = { ...e.body, ...kept }; break;
    case 'item-marked': s.items[e.body.itemId] = e.body.state; break;
    case 'caution-read': once(s.cautionsRead, e.body.cautionId); break;
    case 'step-done':
      once(s.stepsDone[e.body.phase], e.body.stepId);
      if (e.body.found) s.found.push(e.body.found);
      break;
    case 'timer-started': s.timers.push({ id: e.body.timerId, label: e.body.label, startedMs: e.atMs, endsMs: e.atMs + e.body.minutes * 60_000 }); break;
    case 'timer-ended': s.timers = s.timers.filter((t) => t.id !== e.body.timerId); break;
    case 'fact-seen': once(s.facts, e.body.factId); break;
    case 'old-part-read': {
      const list = s.oldReadings[e.body.dimension] ?? [];
      // Two readings across 90°; a third begins anew, so a slip is corrected by reading again.
      s.oldReadings[e.body.dimension] = list.length >= 2 ? [e.body.valueMm] : [...list, e.body.valueMm];
      s.oldInstrumentId = e.body.instrumentId;
      break;
    }
    case 'encoder-read': s.oldEncoder = e.body; break;
    case 'seat-read': s.seats[e.body.seat] = { ...e.body, ...kept }; delete s.seatDecisions[e.body.seat]; break;
    case 'seat-judged': s.seatDecisions[e.body.seat] = e.body.decision; break;
    case 'part-confirmed': s.partConfirmed = e.body.partNumber; break;
    case 'encoder-checked': s.encoderChecked = { ...e.body, ...kept }; break;
    case 'stroke-reading': s.readings[e.body.operation] = [...(s.readings[e.body.operation] ?? []), { travelMm: e.body.travelMm, forceKn: e.body.forceKn }]; break;
    case 'stroke-recorded': s.strokes[e.body.operation] = { ...e.body, ...kept }; break;
    case 'stage-recorded': s.stages.push({ ...e.body, ...kept }); break;
    case 'check-recorded': s.checks[e.body.checkId] = { ...e.body, ...kept }; break;
    case 'overridden': s.overrides.push({ ...e.body, ...kept }); break;
    case 'station-done': if (!s.done.includes(e.body.station)) s.done.push(e.body.station); break;
    case 'station-reopened': s.done = s.done.filter((x) => x !== e.body.station); break;
    case 'signed':
      s.signed = { ...e.body, ...kept };
      if (!s.done.includes('prove')) s.done.push('prove');
      break;
    case 'recheck-done': s.recheckedKm = e.body.odometerKm; break;
    case 'job-closed': s.closed = e.body.reason; break;
  }
}

export const overrideOf = (s: JobState, rule: string) => s.overrides.find((o) => o.rule === rule);
