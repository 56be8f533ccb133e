import Papa from 'papaparse';
import { cornerNames } from '../core/parts.ts';
import { complaintInShort, layoutNames, resultInWords, suspectsFor, testById } from '../core/diagnosis/index.ts';
import { facts, itemsOf } from '../core/families/index.ts';
import { benchOf, checksFor, chosenPart, familyCodeOf, familyOf, filmNames, instrumentById, schoolOf, seatName, seatResult, stackOf } from '../core/job/index.ts';
import { dimensionNames, dimensionsOf, isCount, meanOf, partInShort, sizeOf } from '../core/matching/index.ts';
import { judgeStack, judgeStroke, operationNames, operations, piecesOf } from '../core/press/index.ts';
import { judgeCheck, recheckKm } from '../core/proof/index.ts';
import { judgeStage, stageWindow } from '../core/torque/index.ts';
import type { Status } from '../core/verdict.ts';
import type { JobRecord } from './jobs.ts';
import { verifyChain } from './chain.ts';

export interface CardLine {
  what: string;
  value: string;
  limit?: string;
  status?: Status;
  who?: string;
  atMs?: number;
}

/** The job card: one document for paper, JSON and CSV. Schema: docs/formats.md. */
export function jobCard(r: JobRecord) {
  const { job, ctx, state, choices, events } = r;
  const name = (id: string) => r.people.find((p) => p.id === id)?.name ?? id;
  const part = chosenPart(ctx, choices);
  const suspect = suspectsFor(ctx.unit.layout).find((s) => s.id === state.diagnosis?.suspectId);
  const kept = (k: { byId: string; atMs: number }) => ({ who: name(k.byId), atMs: k.atMs });
  const seal = verifyChain(job, events);
  return {
    format: 'true-spindle/job-card' as const,
    version: 1 as const,
    number: job.number,
    startedMs: job.createdMs,
    unit: { fleetNo: ctx.unit.fleetNo, name: ctx.unit.name, maker: ctx.unit.maker, layout: layoutNames[ctx.unit.layout], odometerKm: state.signed?.odometerKm ?? ctx.unit.odometerKm },
    corner: { id: ctx.corner, name: cornerNames[ctx.corner] },
    family: familyOf(ctx, state)?.name ?? 'not on record',
    complaint: state.complaint ? { short: complaintInShort(state.complaint), ...state.complaint } : null,
    diagnosis: state.diagnosis ? { suspect: suspect?.name ?? state.diagnosis.suspectId, probability: state.diagnosis.probability, reason: state.diagnosis.reason ?? null, ...kept(state.diagnosis) } : null,
    findings: state.results.map((t): CardLine => ({ what: testById(t.testId)?.short ?? t.testId, value: testById(t.testId) ? resultInWords(testById(t.testId)!, t) : '', ...kept(t) })),
    found: state.found,
    part: part ? { number: part.number, maker: part.maker, size: partInShort(part), encoderPairs: part.bearing.encoder.pairs } : null,
    items: itemsOf(familyCodeOf(ctx, state)).map((i): CardLine => ({ what: i.name, value: (state.items[i.id] ?? 'not ordered').replace('-', ' '), ...(i.singleUse ? { limit: 'new each time' } : {}) })),
    oldPart: dimensionsOf(familyOf(ctx, state)?.kind ?? 'ring-set').map((d): CardLine => {
      const nominal = part && sizeOf(part, d);
      const digits = isCount(d) ? 0 : 2;
      return { what: dimensionNames[d], value: meanOf(state.oldReadings[d])?.toFixed(digits) ?? 'not read', ...(nominal === undefined ? {} : { limit: nominal.toFixed(digits) }) };
    }),
    seats: (['bore', 'journal'] as const).flatMap((kind): CardLine[] => {
      const s = seatResult(kind, ctx, state, choices);
      const read = state.seats[kind];
      if (!s || !read) return [];
      const what = seatName(kind, r);
      return [
        { what: `${what}, mean of ${read.readingsMm.flat().length}, ${instrumentById(ctx, read.instrumentId)?.name ?? read.instrumentId}`, value: s.meanMm.toFixed(3), limit: `${s.classLimits.lowMm.toFixed(3)}–${s.classLimits.highMm.toFixed(3)}`, status: s.verdicts[0]!.status, ...kept(read) },
        { what: `${what}, out of round`, value: s.outOfRoundMm.toFixed(3), limit: `max ${s.limitMm.toFixed(3)}` },
        { what: `${what}, taper`, value: s.taperMm.toFixed(3), limit: `max ${s.limitMm.toFixed(3)}` },
        { what: `Fit at the ${kind}, tight by`, value: s.interference.likely.toFixed(3), limit: `${s.interference.low.toFixed(3)}–${s.interference.high.toFixed(3)}` },
      ];
    }),
    schools: choices.plan ? { route: familyOf(ctx, state)?.routes.find((x) => x.id === choices.plan!.value.route)?.name ?? choices.plan.value.route, film: filmNames[schoolOf(choices).film], chilled: choices.plan.value.chill } : null,
    strokes: operations.flatMap((o) => {
      const stroke = state.strokes[o];
      const bench = benchOf(o, ctx, state, choices);
      if (!stroke || !bench) return [];
      const verdict = judgeStroke(stroke, bench);
      const stack = stackOf(ctx, stroke.stack);
      return [{
        operation: o, name: operationNames[o], peakKn: stroke.peakKn ?? null, tool: bench.press.name, expectedKn: bench.forceKn, depthMm: stroke.depthMm ?? null, plannedMm: bench.requirement.travelMm,
        stack: stack ? piecesOf(stack).map((a) => a.name) : [],
        path: stack ? judgeStack(stack, bench).path.nodes : [], readings: state.readings[o] ?? [], status: verdict.status, text: verdict.verdicts[0]!.text, ...kept(stroke),
      }];
    }),
    seen: events.flatMap((e): CardLine[] => (e.type === 'fact-seen' ? [{ what: facts[e.body.factId].ask, value: facts[e.body.factId].done, who: name(e.byId), atMs: e.atMs }] : [])),
    encoder: state.encoderChecked ? { side: state.encoderChecked.side, method: state.encoderChecked.method, ...kept(state.encoderChecked) } : null,
    torque: ctx.procedure ? {
      procedure: ctx.procedure.name, source: ctx.procedure.source, checkedBy: ctx.procedure.checkedBy ?? null,
      readings: state.stages.map((s) => {
        const stage = ctx.procedure!.stages.find((x) => x.id === s.stageId)!;
        const window = stageWindow(stage);
        const unit = stage.kind === 'torque' ? 'N·m' : stage.kind === 'turn-hub' ? 'turns' : stage.kind === 'lock' ? '' : '°';
        const verdict = judgeStage(ctx.procedure!, stage, s.actual);
        return { stageId: stage.id, stage: stage.text, planned: stage.value ?? null, unit, window: window ?? null, actual: s.actual ?? null, typed: s.typed ?? null, tool: ctx.wrenches.find((w) => w.id === s.toolId)?.name ?? s.toolId, status: verdict.status, ...kept(s) };
      }),
    } : null,
    checks: checksFor(r).flatMap((c): CardLine[] => {
      const a = state.checks[c.id];
      if (!a) return [];
      const v = judgeCheck(c, a);
      return [{ what: c.text, value: c.numeric ? `${a.value} ${c.numeric.unit}` : a.ok ? 'right' : 'not right', ...(v.limit ? { limit: v.limit } : {}), status: v.status, ...kept(a) }];
    }),
    overrides: state.overrides.map((o) => ({ rule: o.rule, reason: o.reason, ...kept(o) })),
    signed: state.signed ? kept(state.signed) : null,
    recheckKm: state.signed ? recheckKm : null,
    seal: { ...seal, verified: seal.verified && r.snapshotFits },
    caution: 'True Spindle supports a trained person. The vehicle maker’s instructions, local rules and licensed practice come first.',
  };
}
export type JobCard = ReturnType<typeof jobCard>;

const clock = (ms: number | undefined) => (ms === undefined ? '' : new Date(ms).toISOString());

/** The card as flat lines, UTC times. */
export function cardCsv(c: JobCard): string {
  const line = (section: string, l: CardLine) => ({ section, what: l.what, value: l.value, limit: l.limit ?? '', status: l.status ?? '', who: l.who ?? '', at: clock(l.atMs) });
  return Papa.unparse([
    line('job', { what: 'Job', value: c.number }), line('job', { what: 'Unit', value: c.unit.fleetNo }), line('job', { what: 'Corner', value: c.corner.id }),
    line('job', { what: 'Complaint', value: c.complaint?.short ?? '' }),
    ...(c.diagnosis ? [line('diagnosis', { what: c.diagnosis.suspect, value: `${Math.round(c.diagnosis.probability * 100)} %`, who: c.diagnosis.who, atMs: c.diagnosis.atMs })] : []),
    ...c.findings.map((l) => line('finding', l)), ...c.items.map((l) => line('item', l)), ...c.oldPart.map((l) => line('old part', l)), ...c.seats.map((l) => line('seat', l)),
    ...c.strokes.map((s) => line('stroke', { what: s.name, value: `${s.peakKn === null ? s.tool : `${s.peakKn} kN`}${s.depthMm === null ? '' : `, ${s.depthMm} mm`}`, limit: `${s.expectedKn.low.toFixed(1)}–${s.expectedKn.high.toFixed(1)} kN`, status: s.status, who: s.who, atMs: s.atMs })),
    ...(c.torque?.readings ?? []).map((t) => line('torque', { what: t.stage, value: t.actual === null ? 'seen' : `${t.actual} ${t.unit}`, limit: t.planned === null ? '' : `${t.planned} ${t.unit}`, status: t.status, who: t.who, atMs: t.atMs })),
    ...c.seen.map((l) => line('seen', l)), ...c.checks.map((l) => line('check', l)),
    ...c.overrides.map((o) => line('override', { what: o.rule, value: o.reason, who: o.who, atMs: o.atMs })),
    ...(c.signed ? [line('signed', { what: 'Signed', value: c.signed.who, atMs: c.signed.atMs })] : []),
    line('seal', { what: c.seal.verified ? 'verified' : 'altered', value: c.seal.hash }),
  ]);
}
