import { printed } from '../printed.ts';
import { type Found, type RuleId, rules } from '../rules/index.ts';
import { type Band, verdict, type Verdict } from '../verdict.ts';
import { faceLimitMpa, facePressureMpa } from './contact.ts';
import { type Adapter, bearingInnerMm } from './kit.ts';
import type { Need, Window } from './requirement.ts';
import { contactMm, measured, type Role } from './stack.ts';

/** Whether a dimension of the piece falls out of its window. */
export function missesWindow(a: Adapter, { measure, min, max }: Window): boolean {
  const value = measured(a, measure);
  return (min !== undefined && value < printed(min)) || (max !== undefined && value > printed(max));
}

/** A window that stops the stroke; the others only ask for a look. */
export const stops = (w: Window): boolean => rules[w.rule].says.includes('stop');

/** Where only more height or depth is missing, a further piece can help. */
export const grows = (w: Window): boolean =>
  w.min !== undefined && (w.measure === 'heightMm' || w.measure === 'hollowMm');

function windowVerdict(a: Adapter, role: Role, w: Window): Verdict {
  const { min, max } = w;
  return verdict(w.rule, {
    role,
    part: a.name,
    value: measured(a, w.measure),
    ...(min === undefined ? {} : { min }),
    ...(max === undefined ? {} : { max }),
    unit: 'mm',
    with: { measure: w.measure, what: w.what ?? '' },
  });
}

/**
 * Everything wrong with one piece in one place, alone or as one with its spacer; `leave` passes over windows that a
 * spacer may still fill.
 */
export function judgePiece(
  a: Adapter,
  role: Role,
  need: Need | undefined,
  forceKn: Band,
  leave: (w: Window) => boolean = () => false,
): Verdict[] {
  const alone = judgeMaterial(a, role, need, forceKn);
  if (!need) return alone;
  const missed = need.windows.filter((w) => !leave(w) && missesWindow(a, w));
  return [
    ...alone,
    ...judgeShape(a, role, need),
    ...missed.map((w) => windowVerdict(a, role, w)),
    ...judgeFace(a, role, need, forceKn),
    ...judgePilot(a, role, need),
  ];
}

/** What holds for a piece wherever it lies: retired, brittle, soft, rated too low, in two halves. */
function judgeMaterial(a: Adapter, role: Role, need: Need | undefined, forceKn: Band): Verdict[] {
  const out: Verdict[] = [];
  const say = (rule: RuleId, found: Found = {}) =>
    out.push(verdict(rule, { role, part: a.name, ...found }));
  const pushes = role === 'pusher' || role === 'cap';
  if (a.retired) say('kit.retired', { with: { why: a.retired } });
  if (a.material === 'chrome' && pushes) say('kit.chrome');
  if (a.material === 'wood' && pushes) say('kit.wood');
  if (forceKn.high > a.ratingKn)
    say('kit.rating', { value: a.ratingKn, min: forceKn.high, unit: 'kN' });
  // Two halves hold only where they are shut in by what they grip.
  const halves = a.shape === 'half-shells' || a.shape === 'split-plate';
  if (halves && !need?.shapes?.only.includes(a.shape)) say('press.split');
  return out;
}

function judgeShape(a: Adapter, role: Role, { shapes }: Need): Verdict[] {
  if (!shapes || shapes.only.includes(a.shape)) return [];
  const names = shapes.only.join(' or ').replaceAll('-', ' ');
  return [verdict('press.shape', { role, part: a.name, with: { shapes: names, why: shapes.why } })];
}

/** How the piece bears on its face: wide enough, not too hard, and standing on it. */
function judgeFace(a: Adapter, role: Role, need: Need, forceKn: Band): Verdict[] {
  const out: Verdict[] = [];
  const { face } = need;
  const contact = contactMm(a, need);
  const pressure = facePressureMpa(a, need, forceKn.high);
  const bears = contact >= face.leastMm;
  const on = { role, part: a.name, unit: 'mm' as const, with: { face: face.name } };
  if (bears && pressure > faceLimitMpa(a))
    out.push(
      verdict('press.pressure', { ...on, value: pressure, max: faceLimitMpa(a), unit: 'MPa' }),
    );
  if (!bears) out.push(verdict('press.contact', { ...on, value: contact, min: face.leastMm }));
  const wall = (a.outerMm - bearingInnerMm(a, need.proudMm)) / 2;
  const overhangs = a.outerMm > face.outerMm && contact < wall / 2;
  if (role === 'support' && !need.shapes && bears && overhangs)
    out.push(
      verdict('press.overhang', {
        ...on,
        value: face.outerMm,
        with: { face: face.name, wall: wall.toFixed(1), contact: contact.toFixed(1) },
      }),
    );
  return out;
}

/** Whether the piece has the nose that this place asks for; true where none is asked for. */
export const isPiloted = (a: Adapter, { pilot }: Need): boolean =>
  !pilot || (a.pilotMm !== undefined && a.pilotMm >= pilot.min && a.pilotMm <= pilot.max);

function judgePilot(a: Adapter, role: Role, need: Need): Verdict[] {
  if (!need.pilot || isPiloted(a, need)) return [];
  const { min, max, in: bore } = need.pilot;
  const nose = { value: a.pilotMm, min, max, unit: 'mm' as const };
  return [verdict('press.pilot', { role, part: a.name, ...nose, with: { bore } })];
}
