import Papa from 'papaparse';
import {
  type CardLine,
  type JobCard,
  makeCard,
  unmeasured,
  withNames,
} from '../core/card/index.ts';
import { verifyChain } from './chain.ts';
import { harmless } from './csv.ts';
import type { JobRecord } from './job-record.ts';

/** The card of a job: as it was signed, or as it stands before. */
export function jobCard(r: JobRecord): JobCard {
  const seal = verifyChain(r.job, r.events);
  const corrections = r.state.corrections.map(({ byId: who, ...c }) => ({ ...c, who }));
  return {
    ...withNames(r.signedCard ?? makeCard(r), r.people),
    ...(corrections.length > 0 ? { corrections: withNames(corrections, r.people) } : {}),
    seal: { ...seal, verified: seal.verified && r.keptFits },
  };
}

const clock = (ms: number | undefined) => (ms === undefined ? '' : new Date(ms).toISOString());

/** The card as flat lines, UTC times. */
export function cardCsv(c: JobCard): string {
  const line = (section: string, l: CardLine) => ({
    section,
    what: harmless(l.what),
    value: harmless(l.value),
    limit: harmless(l.limit ?? ''),
    status: l.status ?? '',
    who: harmless(l.who ?? ''),
    at: clock(l.atMs),
  });
  return Papa.unparse([
    line('job', { what: 'Job', value: c.number }),
    ...(c.only ? [line('job', { what: 'Only', value: c.only })] : []),
    ...(c.madeAnewMs === undefined
      ? []
      : [line('job', { what: 'Made anew from the record', value: clock(c.madeAnewMs) })]),
    line('job', { what: 'Unit', value: c.unit.fleetNo }),
    line('job', { what: 'Corner', value: c.corner.id }),
    line('job', { what: 'Complaint', value: c.complaint?.short ?? '' }),
    ...(c.diagnosis
      ? [
          line('diagnosis', {
            what: c.diagnosis.suspect,
            value: `${Math.round(c.diagnosis.probability * 100)} %`,
            who: c.diagnosis.who,
            atMs: c.diagnosis.atMs,
          }),
        ]
      : []),
    ...c.findings.map((l) => line('finding', l)),
    ...c.items.map((l) => line('item', l)),
    ...c.oldPart.map((l) => line('old part', l)),
    ...c.seats.map((l) => line('seat', l)),
    ...c.strokes.map((s) =>
      line('stroke', {
        what: s.name,
        value: `${s.peakKn === null ? s.tool : `${s.peakKn} kN`}${s.depthMm === null ? '' : `, ${s.depthMm} mm`}`,
        limit: `${s.expectedKn.low.toFixed(1)}–${s.expectedKn.high.toFixed(1)} kN`,
        status: s.status,
        who: s.who,
        atMs: s.atMs,
      }),
    ),
    ...(c.figures ?? []).map((l) => line('figure', l)),
    ...(c.torque?.readings ?? []).map((t) =>
      line('torque', {
        what: t.stage,
        value: t.actual === null ? unmeasured(t) : `${t.actual} ${t.unit}`,
        limit: t.planned === null ? '' : `${t.planned} ${t.unit}`,
        status: t.status,
        who: t.who,
        atMs: t.atMs,
      }),
    ),
    ...(c.fasteners ?? []).map((l) => line('fastener', l)),
    ...(c.ways ?? []).map((l) => line('way', l)),
    ...c.seen.map((l) => line('seen', l)),
    ...c.turnedBack.map((l) => line('turned back', l)),
    ...c.checks.map((l) => line('check', l)),
    ...c.overrides.map((o) =>
      line('override', { what: o.rule, value: o.reason, who: o.who, atMs: o.atMs }),
    ),
    ...(c.signed
      ? [line('signed', { what: 'Signed', value: c.signed.who, atMs: c.signed.atMs })]
      : []),
    ...(c.corrections ?? []).map((x) =>
      line('correction', {
        what: x.line,
        value: x.is,
        limit: `was ${x.was}: ${x.reason}`,
        who: x.who,
        atMs: x.atMs,
      }),
    ),
    line('seal', { what: c.seal.verified ? 'verified' : 'altered', value: c.seal.hash }),
  ]);
}
