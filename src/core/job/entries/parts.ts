import { atTwenty, isCount, type Reading, readingsNeeded } from '../../matching/index.ts';
import { apart } from '../../printed.ts';
import type { EventBody } from '../../schemas/events.ts';
import type { By, Entries } from './entry.ts';
import type { JobState } from '../state.ts';

/** A reading at a named place replaces the one there; without a place the list fills up and then begins anew, so a slip is corrected by reading again. */
function withReading(list: readonly Reading[], r: Reading, most: number): Reading[] {
  if (r.plane === undefined && r.angleDeg === undefined)
    return list.length >= most ? [r] : [...list, r];
  return [...list.filter((x) => x.plane !== r.plane || x.angleDeg !== r.angleDeg), r];
}

/** Measured and taken over further apart than this, mm, is not built alike. Our judgement: more than a caliper can be off. */
const alikeMm = 0.5;

/** A figure that is read; where it shows that the corner is not built like the one that lent it, all that it lent falls. */
function figureRead(s: JobState, f: EventBody<'figure-read'> & By): void {
  const lent = s.figures[f.path];
  const from = lent?.takenFrom;
  const differs =
    typeof lent?.value === 'number' && typeof f.value === 'number'
      ? apart(lent.value, f.value) > alikeMm
      : lent?.value !== f.value;
  if (lent && from && !f.takenFrom && differs) {
    s.figures = Object.fromEntries(
      Object.entries(s.figures).filter(([, other]) => other.takenFrom !== from),
    );
    if (typeof lent.value === 'number' && typeof f.value === 'number')
      s.notAlike = { path: f.path, hereMm: f.value, thereMm: lent.value, takenFrom: from };
  }
  s.figures[f.path] = f;
}

/** The old part, the new one, and the seats it goes into. */
export const partEntries = {
  'old-part-read': (s, body) => {
    const { dimension: d, instrumentId, typed: _typed, ...taken } = body;
    s.oldTaken[d] = withReading(s.oldTaken[d] ?? [], taken, readingsNeeded(d));
    s.oldReadings[d] = s.oldTaken[d].map((r) => (isCount(d) ? r.valueMm : atTwenty(r)));
    s.oldInstrumentId = instrumentId;
  },
  'encoder-read': (s, body) => {
    s.oldEncoder = body;
  },
  'points-read': (s, body) => {
    s.oldPoints = { ...s.oldPoints, ...body };
  },
  'part-entered': (s, { part }) => {
    s.handPart = { ...part, byHand: true };
  },
  'part-confirmed': (s, { partNumber }) => {
    s.partConfirmed = partNumber;
  },
  'encoder-checked': (s, body, by) => {
    s.encoderChecked = { ...body, ...by };
  },
  'damage-read': (s, body, by) => {
    s.damage[body.seat] = { ...body, ...by };
  },
  'seat-read': (s, body, by) => {
    s.seats[body.seat] = { ...body, ...by };
  },
  'seat-felt': (s, body, by) => {
    s.felt[body.seat] = { ...body, ...by };
  },
  'seat-judged': (s, { seat, decision }) => {
    s.seatDecisions[seat] = decision;
  },
  'figure-read': (s, body, by) => figureRead(s, { ...body, ...by }),
} satisfies Partial<Entries>;
