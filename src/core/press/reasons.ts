import { bearingInnerMm } from './kit.ts';
import type { Status } from '../verdict.ts';
import { roles, type Judgement, type Role, type Stack } from './stack.ts';

/** Why a piece is wrong where it lies, in a few words for the drawing. */
export interface Reason {
  role: Role;
  status: Status;
  text: string;
  /** Where on its face it is wrong, radius in mm. */
  radiusMm: number;
}

/** Words of a rule that speak of a diameter at which two bodies meet. */
const collides: Readonly<Record<string, string>> = {
  'press.follow-bore': 'collides with the bore',
  'press.pass-inner': 'collides with the inner ring',
  'press.pass-shoulder': 'lands on the shoulder',
  'press.inside-studs': 'lands on the studs',
  'press.outer-ring-only': 'rests on the inner ring',
  'press.inner-ring-only': 'rests on the outer ring',
  'press.clear-flange': 'holds the hub flange',
  'press.clear-bearing': 'too narrow for the bearing',
  'press.journal-through': 'stops the journal',
  'press.round-flange': 'does not pass the flange',
  'press.round-neck': 'does not close round the ring',
  'press.round-pusher': 'does not pass round the shells',
  'press.clear-inner': 'meets the bearing',
  'press.over-shaft': 'does not go over the shaft',
  'press.shaft-drops': 'holds the shaft',
  'press.stud-room': 'meets the bearing',
  'press.head-through': 'holds the head',
  'press.thread-through': 'holds the stud',
  'press.seal-flush': 'can go too deep',
  'press.cap-follow': 'meets the work',
  'press.rod-piece': 'no way for the screw',
  'press.overhang': 'overhangs the face',
};
const others: Readonly<Record<string, string>> = {
  'press.reach': 'too low to bring it home',
  'press.drop': 'too shallow to drop free',
  'press.receive': 'too shallow to receive',
  'press.journal-room': 'too shallow for the journal',
  'press.stand-clear': 'too low: the knuckle stands on the bed',
  'press.over-end': 'meets the shaft’s end',
  'press.studs-clear': 'studs stand on the bed',
  'press.stud-drop': 'too shallow for the stud',
  'press.lip': 'lip too thick',
  'press.shape': 'not the shape for this place',
  'press.split': 'opens under a load',
  'kit.chrome': 'chrome: can shatter',
  'kit.wood': 'wood: cannot push square',
  'kit.rating': 'rated too low',
  'kit.retired': 'retired',
  'press.pressure': 'face gives way',
  'press.bridge': 'the ram drops into it',
  'press.cap-wide': 'falls into the pusher',
  'press.cap-solid': 'open under the ram',
  'press.riser-carries': 'support falls into it',
  'press.foot-bridge': 'the nut is drawn into it',
};

/** What is wrong with single pieces, worst first: for the drawing. */
export function reasonsOf(j: Judgement, s: Stack): Reason[] {
  return j.verdicts
    .filter((v) => v.status === 'stop' || v.rule === 'press.overhang')
    .flatMap((v): Reason[] => {
      const role =
        roles.find((r) => s[r] && v.text.startsWith(s[r]!.name)) ??
        (v.rule === 'press.bridge' ? 'pusher' : undefined);
      const a = role && s[role];
      if (!role || !a) return [];
      if (v.rule === 'press.contact')
        return [
          {
            role,
            status: v.status,
            radiusMm: a.outerMm / 2,
            text:
              (v.value ?? 0) > 0
                ? `bears by ${v.value!.toFixed(1)} mm only`
                : /not reach the (.*)\.$/u.exec(v.text)
                  ? `does not reach the ${/not reach the (.*)\.$/u.exec(v.text)![1]}`
                  : 'bears on nothing',
          },
        ];
      const hit = collides[v.rule];
      if (hit)
        return [
          {
            role,
            status: v.status,
            radiusMm: (v.value ?? a.outerMm) / 2,
            text: `${hit} at ${(v.value ?? a.outerMm).toFixed(1)} mm`,
          },
        ];
      const other = others[v.rule];
      return other
        ? [
            {
              role,
              status: v.status,
              radiusMm: Math.max(bearingInnerMm(a, 0), a.outerMm - 4) / 2,
              text: other,
            },
          ]
        : [];
    });
}
