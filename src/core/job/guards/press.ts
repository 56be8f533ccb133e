import { isSlip } from '../../fits/index.ts';
import { traceFault } from '../../press/index.ts';
import { figureRefusal } from '../figures-on-job.ts';
import { requirementOf } from '../press-on-job.ts';
import { refuse } from '../refusal.ts';
import { bareSeat, seatOf, workOf } from '../seats-on-job.ts';
import { samplesOf } from '../state.ts';
import { fault, type Guards, instrumentRefusal } from './guard.ts';

export const pressGuards: Guards = {
  'seat-read': (b, job) => {
    const unknown = instrumentRefusal(job, b.instrumentId);
    if (unknown) return unknown;
    const seat = seatOf(job, b.seat);
    if (!seat) return refuse('seat', 'press.geometry', workOf(job) ? { part: b.seat } : {});
    const slip = b.readingsMm.flat().find((mm) => isSlip(mm, seat.nominalMm));
    if (slip === undefined) return undefined;
    const nominal = { with: { nominal: seat.nominalMm } };
    return refuse('readingsMm', 'seat.reading', { value: slip, unit: 'mm', ...nominal });
  },
  'seat-felt': (b, job) => {
    const seat = bareSeat(job, b.seat);
    if (!seat) return refuse('seat', 'press.geometry', workOf(job) ? { part: b.seat } : {});
    if (!b.caliperMm) return undefined;
    const unknown = instrumentRefusal(job, b.instrumentId ?? '');
    if (unknown) return unknown;
    const slip = b.caliperMm.find((mm) => isSlip(mm, seat.nominalMm));
    if (slip === undefined) return undefined;
    const nominal = { with: { nominal: seat.nominalMm } };
    return refuse('caliperMm', 'seat.reading', { value: slip, unit: 'mm', ...nominal });
  },
  'stroke-reading': (b, job) =>
    b.travelMm === undefined && requirementOf(job, b.operation)?.fitting
      ? refuse('travelMm', 'stroke.no-travel')
      : undefined,
  'stroke-traced': (b) => {
    return fault(traceFault(samplesOf(b)), 'stroke.trace');
  },
  'figure-read': figureRefusal,
};
