import { thinned } from '../../press/index.ts';
import type { EventBody } from '../../schemas/events.ts';
import { type JobState, samplesOf } from '../state.ts';
import type { Entries } from './entry.ts';

/** A gauge read by eye: with its travel a point of the strip, without it only a peak. */
function typedReading(s: JobState, r: EventBody<'stroke-reading'>): void {
  const { operation: o, travelMm, forceKn } = r;
  if (travelMm === undefined) s.peaks[o] = Math.max(s.peaks[o] ?? 0, forceKn);
  else s.readings[o] = [...(s.readings[o] ?? []), { travelMm, forceKn }];
}

export const pressEntries = {
  'stroke-reading': (s, body, { atMs }) => {
    typedReading(s, body);
    s.readAtMs[body.operation] = atMs;
  },
  'stroke-traced': (s, body, by) => {
    s.traces[body.operation] = { ...body, ...by };
    s.readings[body.operation] = thinned(samplesOf(body));
    s.readAtMs[body.operation] = by.atMs;
  },
  'stroke-recorded': (s, body, by) => {
    s.strokes[body.operation] = { ...body, ...by };
  },
} satisfies Partial<Entries>;
