import type { JobCorner } from '../corner.ts';
import { complaintInShort, suspectsFor } from '../diagnosis/index.ts';
import { strokesIn } from '../families/index.ts';
import { partInShort } from '../matching/index.ts';
import { recheckKm } from '../prove/index.ts';
import type { JobSummary, SpineMark } from '../schemas/floor.ts';
import { procedureInShort } from '../torque/index.ts';
import { familyOf, walkOf } from './family-on-job.ts';
import type { JobNow } from './job-now.ts';
import { currentStation, missingFor } from './owed.ts';
import { chosenPart, confirmed } from './part-on-job.ts';
import { type Station, stations } from './stations.ts';

/** The centre line of a job: where it is and what each station found. */
export function spine(job: JobNow): SpineMark[] {
  const now = currentStation(job.state.done);
  return stations.map((station) => {
    const result = resultOf(station, job);
    if (station === now)
      return {
        station,
        mark: 'now',
        result: missingFor(now, job)[0] ?? result,
      };
    if (!job.state.done.includes(station)) return { station, mark: 'todo', result };
    return {
      station,
      mark: station === 'match' && !confirmed(job) ? 'provisional' : 'done',
      result: station === 'match' && !confirmed(job) ? 'provisional' : result,
    };
  });
}

/** "LF bearing"; any other cause by its name. */
function suspectInShort(id: string, { ctx }: JobNow): string {
  const suspect = suspectsFor(ctx.unit.layout).find((s) => s.id === id);
  if (suspect?.kind === 'bearing' && suspect.corner) return `${suspect.corner} bearing`;
  return suspect?.name.toLowerCase() ?? 'another cause';
}

function resultOf(station: Station, job: JobNow): string {
  const { state, ctx, choices } = job;
  switch (station) {
    case 'complaint':
      return state.complaint
        ? complaintInShort(state.complaint)
            .toLowerCase()
            .replace('above', 'over')
            .replace(' km/h', '')
        : '';
    case 'diagnose':
      return state.diagnosis
        ? `${suspectInShort(state.diagnosis.suspectId, job)} ${Math.round(state.diagnosis.probability * 100)} %`
        : '';
    case 'match': {
      const part = chosenPart(job);
      return part ? partInShort(part) : '';
    }
    case 'plan':
      return (
        familyOf(job)
          ?.routes.find((r) => r.id === choices.plan?.value.route)
          ?.name.toLowerCase() ?? ''
      );
    case 'press-out': {
      const peaks = strokesIn(walkOf(job)?.out ?? [])
        .map((o) => state.strokes[o]?.peakKn)
        .filter((x) => x !== undefined);
      return peaks.length > 0 ? `peak ${Math.max(...peaks).toFixed(0)} kN` : '';
    }
    case 'press-in': {
      const depth = strokesIn(walkOf(job)?.in ?? [])
        .map((o) => state.strokes[o]?.depthMm)
        .find((x) => x !== undefined);
      return depth === undefined ? '' : `seat ${depth.toFixed(1)} mm`;
    }
    case 'torque':
      return ctx.procedure ? procedureInShort(ctx.procedure) : '';
    case 'prove':
      return state.signed ? 'signed' : `${Object.keys(state.checks).length} checked`;
  }
}

/** Next action in a few words, and the fuller sentence behind it. */
export function nextAction(job: JobNow): { short: string; text: string } {
  if (job.state.closed) return { short: 'Closed', text: job.state.closed };
  const now = currentStation(job.state.done);
  if (!now) return { short: 'Signed', text: `Recheck after ${recheckOf(job)} km` };
  return { short: shortAction[now], text: missingFor(now, job)[0] ?? 'Ready to go on' };
}

const shortAction: Record<Station, string> = {
  complaint: 'Ask the driver',
  diagnose: 'Test on',
  match: 'Lay out the parts',
  plan: 'Choose the route',
  'press-out': 'Strip and press out',
  'press-in': 'Press in',
  torque: 'Torque the nut',
  prove: 'Prove it',
};

/** The clock at the signature as it would stand on today's clock: one that was brought down since takes it along. */
export function signedAtKm({ ctx, state }: JobNow): number | undefined {
  const { signed } = state;
  if (!signed) return undefined;
  return (ctx.unit.clockCorrected ?? [])
    .filter((c) => c.atMs > signed.atMs)
    .reduce((km, c) => km - (c.fromKm - c.toKm), signed.odometerKm);
}

/** Distance driven since a job was signed, against its recheck. */
export const sinceSigned = (signedKm: number, odometerKm: number, dueKm: number = recheckKm) => ({
  drivenKm: Math.max(0, odometerKm - signedKm),
  dueKm,
});

/** Distance to the recheck: the shop's own, else the common one. */
export const recheckOf = ({ ctx }: JobNow): number => ctx.shop?.recheckKm ?? recheckKm;

/** The recheck of a signed job; undefined when none is due. */
export function recheck(job: JobNow): ReturnType<typeof sinceSigned> | undefined {
  const { ctx, state } = job;
  const fromKm = signedAtKm(job);
  if (fromKm === undefined || state.recheckedKm !== undefined) return undefined;
  return sinceSigned(fromKm, ctx.unit.odometerKm ?? fromKm, recheckOf(job));
}

/** What the floor shows of a job that cannot be read: its corner as it was started, and why. */
export const unreadable = (job: { corner: JobCorner; byId: string }, why: string): JobSummary => ({
  onFloor: true,
  corner: job.corner,
  complaint: 'Cannot be shown',
  family: '',
  spine: stations.map((station) => ({ station, mark: 'blocked', result: '' })),
  next: { short: 'Cannot be shown', text: `Its record cannot be read: ${why}` },
  station: stations[0],
  timers: [],
  lastById: job.byId,
});

export function summaryOf(job: JobNow, lastById: string): JobSummary {
  const { ctx, state } = job;
  const station = currentStation(state.done);
  const part = chosenPart(job);
  const endedMs = state.signed?.atMs ?? state.closedMs;
  const signedKm = recheck(job) && signedAtKm(job);
  return {
    onFloor: !state.closed && (station !== undefined || signedKm !== undefined),
    corner: ctx.corner,
    complaint: complaintInShort(state.complaint),
    family: familyOf(job)?.name ?? 'Bearing not on record',
    spine: spine(job),
    next: nextAction(job),
    ...(station ? { station } : {}),
    timers: state.timers,
    lastById,
    ...(part ? { part: part.number } : {}),
    ...(endedMs === undefined ? {} : { endedMs }),
    ...(signedKm === undefined ? {} : { signedKm, dueKm: recheckOf(job) }),
    ...(state.closed ? { closed: state.closed } : {}),
    ...(state.shiftNote
      ? {
          note: {
            text: state.shiftNote.text,
            byId: state.shiftNote.byId,
            atMs: state.shiftNote.atMs,
          },
        }
      : {}),
  };
}
