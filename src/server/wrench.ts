import { handOf, refusal } from '../core/job/index.ts';
import { standInSettings, type StandInSetting } from '../core/standins/wrench-settings.ts';
import type { Aim, WrenchFault } from '../core/standins/wrench.ts';
import {
  afterPull,
  followPull,
  type PullSample,
  sampleAtWrench,
  snugOf,
  type Stage,
  stageWindow,
  type WrenchMessage,
} from '../core/torque/index.ts';
import { type DigitalWrench, standInWrench } from '../devices/wrench.ts';
import { inUse } from './in-use.ts';
import { jobView } from './job-record.ts';
import { invalid, notFound, refused } from './problem.ts';
import { sse, standInSpeed } from './streams.ts';

const claim = inUse('wrench');

const faultOf = (setting: StandInSetting): WrenchFault =>
  setting === 'slips' || setting === 'cross-threaded' || setting === 'yields' ? setting : 'good';

/** Where the hand stops, in the stage's own unit. */
function stopAt(stage: Stage, setting: StandInSetting): number {
  const value = stage.value ?? 0;
  const { low, high } = stageWindow(stage) ?? { low: value, high: value };
  if (setting === 'short') return low - (high - low);
  return setting === 'too-far' ? high + (high - low) : value;
}

const aimOf = (stage: Stage, setting: StandInSetting): Aim => {
  const stop = stopAt(stage, setting);
  const hand = { ratchet: setting === 'ratchet', missDeg: 0 };
  return stage.kind === 'angle'
    ? { targetDeg: stop, ...hand }
    : { targetDeg: 720, targetNm: stop, ...hand };
};

/** The wrench on the nut of each job, with what it has seen since its last reading was recorded. */
const onNut = new Map<string, { reading: string; wrench: DigitalWrench }>();
const mostWrenches = 50;

function wrenchOn(
  jobId: string,
  reading: string,
  snugNm: number,
  setting: StandInSetting,
): DigitalWrench {
  const held = onNut.get(jobId);
  if (held?.reading === reading) return held.wrench;
  const hidden = { snugNm, fault: faultOf(setting), seed: Date.now() % 1_000_000 };
  const wrench = standInWrench(hidden, standInSpeed);
  onNut.delete(jobId);
  onNut.set(jobId, { reading, wrench });
  const [oldest] = onNut.keys();
  if (onNut.size > mostWrenches && oldest !== undefined) onNut.delete(oldest);
  return wrench;
}

async function* messages(
  wrench: DigitalWrench,
  stage: Stage,
  snugNm: number,
  setting: StandInSetting,
  shows: (s: PullSample) => PullSample,
): AsyncGenerator<WrenchMessage> {
  const seen = wrench.seen.length > 0 ? followPull(wrench.seen, snugNm) : undefined;
  const next = afterPull(stage.kind, seen, wrench.lost);
  // A nut that cannot be judged any more by pulling is not pulled.
  const ends = next === 'by-mark' || next === 'spoilt';
  if (!ends) wrench.lost = false;
  const { name, standIn, lost } = wrench;
  yield { name, standIn, lost, seen: wrench.seen.map(shows) };
  if (ends) return;
  for await (const s of wrench.read(aimOf(stage, setting), setting === 'silent')) yield shows(s);
}

/** Readings of the stand-in wrench for one stage of the centre nut, as server-sent events, until it is put down. */
export async function wrenchStream(
  jobId: string,
  stageId: string,
  setting: string,
  through: string,
): Promise<Response> {
  const known = standInSettings.find((s) => s === setting);
  if (!known)
    throw invalid([{ field: 'setting', reason: `One of ${standInSettings.join(', ')}.` }]);
  const gain = Number(through);
  if (!(gain > 0 && gain < 1000)) throw invalid([{ field: 'gain', reason: 'A number over 0.' }]);
  const view = await jobView(jobId);
  const stage = view.ctx.procedure?.stages.find((s) => s.id === stageId);
  if (!stage || !view.ctx.procedure) throw notFound('stage', stageId);
  const snugNm = snugOf(view.ctx.procedure, stage);
  if ((stage.kind !== 'torque' && stage.kind !== 'angle') || snugNm === undefined)
    throw invalid([{ field: 'stage', reason: 'A wrench reads a torque, or an angle after one.' }]);
  const tool = view.ctx.wrenches.find((w) => w.type === 'digital' && !w.retired);
  if (!tool) throw invalid([{ field: 'toolId', reason: 'This shop has no digital wrench.' }]);
  const body = { stageId, toolId: tool.id, actual: stage.value ?? 0 };
  const no = refusal('stage-recorded', body, view);
  if (no) throw refused(no);
  const letGo = claim(jobId);
  const reading = `${stageId}:${view.state.stages.length}`;
  const wrench = wrenchOn(jobId, reading, snugNm, known);
  // The stand-in knows the nut; what stands between, and a left-hand thread, show another figure on the wrench.
  const { hand } = handOf(view);
  const shows = (s: PullSample) => sampleAtWrench(s, gain, hand);
  return sse(messages(wrench, stage, snugNm, known, shows), letGo);
}
