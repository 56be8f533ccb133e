import type { Judgement } from '../press/index.ts';
import type { RuleId } from '../rules/index.ts';
import type { Verdict } from '../verdict.ts';

const dents = 'Dents that nobody sees at the bench are heard after some hundred kilometres.';
const bursts = 'It may burst or give way under the ram; splinters fly at eye height.';
const slips = 'Under force it tips or slips out, and the part goes crooked.';

/** What a stack does on the car that a rule stops. */
const harms: Partial<Record<RuleId, string>> = {
  'press.through-balls': dents,
  'press.outer-ring-only': dents,
  'press.inner-ring-only': dents,
  'press.inside-studs': 'Studs bend or lose their seat, and the flange no longer runs true.',
  'kit.chrome': bursts,
  'kit.wood': bursts,
  'kit.rating': bursts,
  'press.bridge': slips,
  'press.cap-wide': slips,
  'press.cap-solid': slips,
  'press.foot-bridge': slips,
  'press.riser-carries': slips,
  'press.support-close': slips,
  'press.contact': slips,
  'press.reach': 'It stops before the part is home: the ring does not find its groove.',
  'press.cap-follow': 'It stops before the part is home, on the edge of the bore.',
  'press.follow-bore': 'It wedges in the bore and scores the seat.',
  'press.lands-on-bore':
    'The force goes into the knuckle, and nothing moves until something breaks.',
  'press.drop': 'What comes out stands on the press before it is free: the force goes into it.',
};
const misfit =
  'A piece that does not fit marks what it touches, or keeps the part from coming home.';

/** The word that decides a judgement. */
export const gravestOf = ({ status, verdicts }: Judgement): Verdict | undefined =>
  verdicts.find((v) => v.status === status);

/** What would have come of it. */
export const harmOf = (v: Verdict): string =>
  v.status === 'stop'
    ? (harms[v.rule] ?? misfit)
    : 'Nothing is hurt: what sits tight takes the force.';
