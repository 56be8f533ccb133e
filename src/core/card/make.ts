import { by } from './by.ts';
import { photosOf, racewaysOf } from './old-part-lines.ts';
import { cornerNames } from '../corner.ts';
import {
  complaintInShort,
  layoutNames,
  resultInWords,
  suspectsFor,
  testById,
} from '../diagnosis/index.ts';
import {
  facts,
  itemsOf,
  schoolOption,
  schools,
  schoolsOf as schoolsOfFamily,
} from '../families/index.ts';
import { type SeatKind, seatMarkNames } from '../fits/index.ts';
import {
  setupOf,
  checksFor,
  chosenPart,
  depthOf,
  familyCodeOf,
  familyOf,
  type FastenerOnJob,
  fastenersOf,
  filmNames,
  instrumentById,
  isPractice,
  isTightened,
  type JobNow,
  kindOf,
  leftOut,
  recheckOf,
  schoolOf,
  seatName,
  seatResult,
  seatVerdicts,
  stackOf,
  strokeJudged,
  wayOf,
} from '../job/index.ts';
import {
  dimensionNames,
  dimensionsOf,
  isCount,
  meanOf,
  partInShort,
  sizeOf,
} from '../matching/index.ts';
import {
  figuresFor,
  judgeStack,
  type Operation,
  operationNames,
  operations,
  piecesOf,
} from '../press/index.ts';
import type { EventBody } from '../schemas/events.ts';
import { type Check, judgeCheck } from '../prove/index.ts';
import { sentence } from '../rules/index.ts';
import type { JobEvent } from '../schemas/events.ts';
import {
  dragInWords,
  fastenerInWords,
  judgeStage,
  type Procedure,
  type Stage,
  stageWindow,
  unitSigns,
} from '../torque/index.ts';
import { fixed, moneyInWords } from '../units/index.ts';
import { type CardDocument, type CardLine, type CardStroke, cardVersion } from './card.ts';
import { turnedBack } from './turned-back.ts';

/** A job with its whole record, as a card is made from it. */
export interface CardSource extends JobNow {
  job: { number: string; createdMs: number };
  events: readonly JobEvent[];
}

/** The job card as it stands; people by their id. */
export function makeCard(source: CardSource): CardDocument {
  const { job, ctx, state } = source;
  return {
    format: 'true-spindle/job-card',
    version: cardVersion,
    number: job.number,
    startedMs: job.createdMs,
    unit: unitOf(source),
    corner: { id: ctx.corner, name: cornerNames[ctx.corner] },
    family: familyOf(source)?.name ?? 'not on record',
    complaint: state.complaint
      ? { short: complaintInShort(state.complaint), ...state.complaint }
      : null,
    diagnosis: diagnosisOf(source),
    findings: state.results.map((r): CardLine => {
      const test = testById(r.testId);
      return { what: test?.short ?? r.testId, value: test ? resultInWords(test, r) : '', ...by(r) };
    }),
    found: [...state.found, ...state.notes.map((n) => n.text)],
    turnedBack: turnedBack(source),
    part: partOf(source),
    items: itemLines(source),
    oldPart: oldPartLines(source),
    ...racewaysOf(source),
    ...photosOf(source),
    seats: [...seatLines('bore', source), ...seatLines('journal', source)],
    schools: schoolsOf(source),
    ...handsOnOf(source),
    ...waysOf(source),
    ...agreedOf(source),
    ...(depthOf(source) === 'full' ? {} : { depth: depthOf(source) }),
    ...(Object.keys(state.figures).length > 0 ? { figures: figureLines(source) } : {}),
    strokes: operations.flatMap((o) => strokeOf(o, source) ?? []),
    ...fastenerLines(source),
    seen: seenLines(source),
    encoder: state.encoderChecked
      ? {
          side: state.encoderChecked.side,
          method: state.encoderChecked.method,
          ...by(state.encoderChecked),
        }
      : null,
    torque: ctx.procedure ? torqueOf(ctx.procedure, source) : null,
    checks: checksFor(source).flatMap((c) => checkLine(c, source) ?? []),
    overrides: state.overrides.map((o) => ({ rule: o.rule, reason: o.reason, ...by(o) })),
    signed: state.signed ? by(state.signed) : null,
    recheckKm: state.signed ? recheckOf(source) : null,
    caution:
      'True Spindle supports a trained person. The vehicle maker’s instructions, local rules and licensed practice come first.',
    ...onlyFor(source),
  };
}

/** The way gone at every question of the family; one that was chosen here with who and why. */
function waysOf(source: CardSource): Pick<CardDocument, 'ways'> {
  const ids = schoolsOfFamily(familyCodeOf(source));
  if (ids.length === 0) return {};
  return {
    ways: ids.map((id): CardLine => {
      const chosen = source.state.schools[id];
      const way = wayOf(source, id);
      const value = schoolOption(id, way)?.name ?? way;
      return {
        what: schools[id].ask,
        value: chosen?.reason ? `${value}: ${chosen.reason}` : value,
        ...(chosen ? by(chosen) : {}),
      };
    }),
  };
}

function agreedOf({ state: { agreed } }: CardSource): Pick<CardDocument, 'agreed'> {
  if (!agreed) return {};
  const upTo = moneyInWords(agreed.upToMinor, agreed.currency);
  return { agreed: { by: agreed.who, upTo, ...by(agreed) } };
}

function handsOnOf({ state }: CardSource): Pick<CardDocument, 'handsOnMin'> {
  const { doneMs } = state.work;
  return doneMs > 0 ? { handsOnMin: Math.round(doneMs / 60_000) } : {};
}

function onlyFor(source: CardSource): Pick<CardDocument, 'only'> {
  if (source.ctx.shop?.demo) return { only: 'demo' };
  return isPractice(source) ? { only: 'practice' } : {};
}

function figureLines(source: CardSource): CardLine[] {
  const read = source.state.figures;
  return figuresFor(familyCodeOf(source)).flatMap((f) => {
    const r = read[f.path];
    if (!r) return [];
    const value =
      typeof r.value === 'number'
        ? `${r.value.toFixed(1)} mm`
        : (f.options?.find((o) => o.id === r.value)?.name ?? r.value);
    return [
      { what: f.name, value, ...(r.takenFrom ? { limit: `as ${r.takenFrom}` } : {}), ...by(r) },
    ];
  });
}

/** How often, by what and to what a fastener was tightened, from its own readings. */
function tightenedLine(f: FastenerOnJob, source: CardSource): CardLine | undefined {
  const last = source.state.tightened[f.id]?.at(-1);
  if (!last || !f.walk || f.count === undefined) return undefined;
  const end = f.walk.turns.slice(-f.count).map((t) => f.walk?.at(t)?.reading.actual);
  const figures = end.filter((x) => x !== undefined);
  const round = f.rounds.at(-1) ?? {};
  const unit = 'angleDeg' in round ? '°' : ' N·m';
  const tool = source.ctx.wrenches.find((w) => w.id === last.toolId)?.name ?? last.toolId;
  const to = f.figure ? fastenerInWords(f.figure) : (last.to ?? '');
  const parts = [
    f.count > 1 ? `${f.count} of them` : '',
    f.rounds.length > 1 ? `${f.rounds.length} rounds` : '',
    figures.length > 0
      ? `read ${figures.map(fixed).join(', ')}${unit}`
      : `to ${to}, said by the tool`,
    isTightened(f) ? '' : 'not all of them',
    last.part ?? '',
    tool,
  ];
  return {
    what: f.name,
    value: parts.filter(Boolean).join('; '),
    limit: f.figure ? `${to}, ${f.figure.source}` : 'no figure on record',
    ...by(last),
  };
}

/** Fasteners besides the centre nut: by their own readings, else by the step that was said done. */
function fastenerLines(source: CardSource): Pick<CardDocument, 'fasteners'> {
  const lines = fastenersOf(source).flatMap((f): CardLine[] => {
    const own = tightenedLine(f, source);
    if (own) return [own];
    const done = source.events.findLast(
      (e) => e.type === 'step-done' && e.body.phase === 'rebuild' && e.body.stepId === f.stepId,
    );
    if (!done || !source.state.stepsDone.rebuild.includes(f.stepId)) return [];
    const what = f.name;
    if (!f.figure) return [{ what, value: 'tightened; no figure on record', ...by(done) }];
    const to = f.figure.byManual ? '' : 'to ';
    const value = `tightened ${to}${fastenerInWords(f.figure)}`;
    return [{ what, value, limit: f.figure.source, ...by(done) }];
  });
  return lines.length > 0 ? { fasteners: lines } : {};
}

function unitOf({ ctx, state }: CardSource): CardDocument['unit'] {
  const { fleetNo, name, maker, layout, odometerKm } = ctx.unit;
  return {
    fleetNo,
    name,
    maker: maker ?? '',
    layout: layoutNames[layout],
    odometerKm: state.signed?.odometerKm ?? odometerKm ?? null,
  };
}

function diagnosisOf({ ctx, state: { diagnosis } }: CardSource): CardDocument['diagnosis'] {
  if (!diagnosis) return null;
  const suspect = suspectsFor(ctx.unit.layout).find((s) => s.id === diagnosis.suspectId);
  return {
    suspect: suspect?.name ?? diagnosis.suspectId,
    probability: diagnosis.probability,
    reason: diagnosis.reason ?? null,
    ...by(diagnosis),
  };
}

function partOf(source: CardSource): CardDocument['part'] {
  const part = chosenPart(source);
  if (!part) return null;
  return {
    number: part.number,
    maker: part.maker,
    size: partInShort(part),
    encoderPairs: part.bearing.encoder.pairs,
  };
}

const itemLines = (source: CardSource): CardLine[] =>
  itemsOf(familyCodeOf(source)).map((i) => ({
    what: i.name,
    value: (source.state.items[i.id] ?? 'not ordered').replace('-', ' '),
    ...(i.singleUse ? { limit: 'new each time' } : {}),
  }));

function oldPartLines(source: CardSource): CardLine[] {
  const part = chosenPart(source);
  return dimensionsOf(kindOf(source)).map((d) => {
    const nominal = part && sizeOf(part, d);
    const digits = isCount(d) ? 0 : 2;
    const simulated = source.state.oldTaken[d]?.some((r) => r.standIn);
    return {
      what: dimensionNames[d],
      value: `${meanOf(source.state.oldReadings[d])?.toFixed(digits) ?? 'not read'}${simulated ? ', by a stand-in' : ''}`,
      ...(nominal === undefined ? {} : { limit: nominal.toFixed(digits) }),
    };
  });
}

function seatLines(kind: SeatKind, source: CardSource): CardLine[] {
  const { state } = source;
  const seat = seatResult(source, kind);
  const read = state.seats[kind];
  const what = seatName(source, kind);
  if (!seat || !read) return feltLines(kind, what, source);
  const instrument = instrumentById(source, read.instrumentId)?.name ?? read.instrumentId;
  const { classLimits, interference } = seat;
  const widest = `max ${seat.limitMm.toFixed(3)}`;
  return [
    {
      what: `${what}, mean of ${read.readingsMm.flat().length}, ${instrument}`,
      value: seat.meanMm.toFixed(3),
      limit: `${classLimits.lowMm.toFixed(3)}–${classLimits.highMm.toFixed(3)}`,
      status: seat.verdicts[0]!.status,
      ...by(read),
    },
    { what: `${what}, out of round`, value: seat.outOfRoundMm.toFixed(3), limit: widest },
    { what: `${what}, taper`, value: seat.taperMm.toFixed(3), limit: widest },
    {
      what: `Fit at the ${kind}, tight by`,
      value: interference.likely.toFixed(3),
      limit: `${interference.low.toFixed(3)}–${interference.high.toFixed(3)}`,
    },
  ];
}

/** A seat that was told by feel and eye: what was found is said, and that it was not measured. */
function feltLines(kind: SeatKind, what: string, source: CardSource): CardLine[] {
  const felt = source.state.felt[kind];
  const [gravest] = seatVerdicts(source, kind) ?? [];
  if (!felt || !gravest) return [];
  const caliper = felt.caliperMm?.map((mm) => mm.toFixed(2)).join(', ');
  const told = [
    'not measured',
    ...(felt.grip === 'not-tried' ? [] : [felt.grip]),
    ...felt.seen.map((m) => seatMarkNames[m]),
    ...(caliper ? [`caliper ${caliper}`] : []),
    ...(felt.noInstrument ? ['no instrument for it'] : []),
  ];
  const worse = gravest.rule === 'seat.by-feel' ? {} : { status: gravest.status };
  return [{ what, value: told.join('; '), ...worse, ...by(felt) }];
}

function schoolsOf(source: CardSource): CardDocument['schools'] {
  const plan = source.choices.plan?.value;
  if (!plan) return null;
  const route = familyOf(source)?.routes.find((r) => r.id === plan.route);
  return {
    route: route?.name ?? plan.route,
    film: filmNames[schoolOf(source).film],
    chilled: plan.chill,
  };
}

function strokeOf(operation: Operation, source: CardSource): CardStroke | undefined {
  const { state } = source;
  const stroke = state.strokes[operation];
  const setup = setupOf(source, operation);
  if (!stroke || !setup) return undefined;
  const verdict = strokeJudged(source, operation);
  if (!verdict) return undefined;
  const stack = stackOf(source, stroke.stack);
  return {
    operation,
    name: operationNames[operation],
    fitting: setup.requirement.fitting,
    peakKn: stroke.peakKn ?? null,
    tool: state.traces[operation]?.gauge.startsWith('stand-in')
      ? `${setup.press.name}, read by a stand-in`
      : setup.press.name,
    expectedKn: setup.forceKn,
    depthMm: stroke.depthMm ?? null,
    plannedMm: setup.requirement.travelMm,
    stack: stack ? piecesOf(stack).map((a) => a.name) : [],
    path: stack ? judgeStack(stack, setup).path.nodes : [],
    readings: state.readings[operation] ?? [],
    status: verdict.status,
    text: sentence(verdict.verdicts[0]!),
    ...by(stroke),
  };
}

const seenValue = ({ factId, amountMl }: EventBody<'fact-seen'>): string =>
  amountMl === undefined ? facts[factId].done : `${facts[factId].done}: ${Math.round(amountMl)} mL`;

/** What was seen and still stands, each with the last who saw it. */
const seenLines = ({ events, state }: CardSource): CardLine[] =>
  events.flatMap((e, i) => {
    if (e.type !== 'fact-seen' || !state.facts.includes(e.body.factId)) return [];
    const { factId } = e.body;
    const later = events.slice(i + 1).some((x) => x.type === e.type && x.body.factId === factId);
    return later ? [] : [{ what: facts[factId].ask, value: seenValue(e.body), ...by(e) }];
  });

function torqueOf(procedure: Procedure, source: CardSource): NonNullable<CardDocument['torque']> {
  const { ctx, state } = source;
  const toolName = (id: string) =>
    (ctx.wrenches.find((w) => w.id === id) ?? instrumentById(source, id))?.name ?? id;
  return {
    procedure: procedure.name,
    source: procedure.source,
    checkedBy: procedure.checkedBy ?? null,
    readings: state.stages.map((s) => {
      const stage = procedure.stages.find((x) => x.id === s.stageId)!;
      return {
        stageId: stage.id,
        stage: stage.text,
        planned: stage.value ?? null,
        unit: unitSigns[stage.kind],
        window: windowOf(stage),
        actual: s.actual ?? null,
        ...(s.asSaid ? { asSaid: true } : {}),
        typed: s.typed ?? null,
        tool: s.drag ? `spring scale: ${dragInWords(s.drag)}` : toolName(s.toolId),
        status: judgeStage(procedure, stage, s).status,
        ...by(s),
      };
    }),
  };
}

function checkLine(check: Check, source: CardSource): CardLine | undefined {
  const answer = source.state.checks[check.id];
  if (!answer)
    return leftOut(check, source) ? { what: check.text, value: 'not measured' } : undefined;
  const verdict = judgeCheck(check, answer);
  const seen = answer.ok ? 'right' : 'not right';
  return {
    what: check.text,
    value: check.numeric ? `${answer.value} ${check.numeric.unit}` : seen,
    ...(check.numeric ? { limit: `max ${check.numeric.max} ${check.numeric.unit}` } : {}),
    status: verdict.status,
    ...by(answer),
  };
}

const windowOf = (stage: Stage) => {
  const window = stageWindow(stage);
  if (!window) return null;
  const { low, high, ours } = window;
  // JSON has no number without end.
  const upTo = Number.isFinite(high) ? high : null;
  return { low, high: upTo, ...(ours ? { ours } : {}) };
};
