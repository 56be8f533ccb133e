import { axleNut, ground, sensor, steering, strut, wheel } from './shared.data.ts';
import type { Step } from './steps.ts';

/**
 * Family P1, knuckle off for the bench press or only the shaft aside on the car: one description from which strip and rebuild both come.
 * Common practice, no published source; figures for fasteners come from the unit's own record only.
 */
export const p1Steps: readonly Step[] = [
  ground,
  {
    id: 'soak',
    place: 'car',
    minutes: 2,
    lit: ['knuckle', 'clip'],
    stays: true,
    out: {
      text: 'Penetrant on the joints, the snap ring and behind the knuckle',
      why: 'It needs its time before anything is struck.',
      wait: { label: 'penetrant soak', minutes: 20 },
      tools: ['penetrant'],
    },
  },
  axleNut,
  wheel,
  {
    id: 'calliper',
    place: 'car',
    minutes: 8,
    lit: ['calliper'],
    out: {
      text: 'Calliper off with its bracket, hung on a wire',
      why: 'The hose must never carry it.',
      tools: ['socket set', 'wire'],
      caution: 'hose',
    },
    back: {
      text: 'Calliper and bracket on, pedal pumped',
      why: 'Before the car moves a metre.',
      look: 'Hose not twisted: no S-shape',
      fastener: 'calliper-bracket',
    },
  },
  {
    id: 'disc',
    place: 'car',
    minutes: 3,
    lit: ['disc'],
    out: { text: 'Disc off', why: 'It is in the way of the hub.' },
    back: {
      text: 'Hub face cleaned, disc on',
      why: 'Rust under the disc becomes runout.',
      look: 'No rust left on the face',
    },
  },
  sensor,
  {
    id: 'shaft',
    place: 'car',
    minutes: 6,
    lit: ['nut', 'shaft'],
    single: 'axle-nut',
    out: {
      text: 'Nut back on flush, tap the shaft until it moves in the splines',
      why: 'A mushroomed thread costs a shaft.',
      caution: 'thread',
    },
    back: {
      text: 'Shaft through the hub, new axle nut on by hand until it seats',
      why: 'The stages at Torque begin from there.',
      look: 'Thread clean, in the state the procedure asks for',
      nut: true,
    },
  },
  steering,
  {
    id: 'lower',
    place: 'car',
    only: 'bench',
    minutes: 6,
    lit: ['lower'],
    single: 'pinch-bolts',
    out: {
      text: 'Lower joint: pinch bolt out, joint levered down',
      why: 'Spread the clamp, not the boot.',
    },
    back: {
      text: 'Lower joint in, new pinch bolt',
      why: 'A stretched bolt does not clamp again.',
      fastener: 'lower-joint',
    },
  },
  strut,
  {
    id: 'shield',
    place: 'bench',
    minutes: 3,
    lit: ['shield'],
    out: { text: 'Dust shield off', why: 'It would be crushed on the press.' },
    back: {
      text: 'Dust shield on, before the hub',
      why: 'Forgotten, it means the bearing again.',
      look: 'Lies flat, clears the disc',
      answeredBy: 'shield-on',
    },
  },
];
