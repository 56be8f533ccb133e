import { atTwenty, isCount, type Reading, readingsNeeded } from '../../matching/index.ts';
import type { Entries } from './entry.ts';

/** A reading at a named place replaces the one there; without a place the list fills up and then begins anew, so a slip is corrected by reading again. */
function withReading(list: readonly Reading[], r: Reading, most: number): Reading[] {
  if (r.plane === undefined && r.angleDeg === undefined)
    return list.length >= most ? [r] : [...list, r];
  return [...list.filter((x) => x.plane !== r.plane || x.angleDeg !== r.angleDeg), r];
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
  'figure-read': (s, body, by) => {
    s.figures[body.path] = { ...body, ...by };
  },
} satisfies Partial<Entries>;
