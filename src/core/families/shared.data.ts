import type { Step } from './steps.ts';

/** Steps at the wheel that most families begin and end with. Common practice, no published source. */
export const ground: Step = {
  id: 'ground',
  place: 'car',
  minutes: 6,
  lit: ['wheel'],
  stays: true,
  out: {
    text: 'Level ground, wheels chocked, gearbox in neutral',
    why: 'Nothing may roll while the corner is in the air.',
    caution: 'lifting',
  },
};
export const parkingBrake: Step = {
  id: 'parking-brake',
  place: 'car',
  minutes: 2,
  lit: ['shoes'],
  stays: true,
  out: {
    text: 'Parking brake off; an electric one in its service mode',
    why: 'A motor that winds by itself takes fingers, and a held drum does not come off.',
    caution: 'stands',
  },
  back: {
    text: 'Parking brake out of service mode, adjusted, tried',
    why: 'Both sides alike before the car moves.',
    look: 'Holds on both sides',
  },
};
export const wheel: Step = {
  id: 'wheel',
  place: 'car',
  minutes: 6,
  lit: ['wheel'],
  out: {
    text: 'Lift, stands under, wheel off, wheel laid under the sill',
    why: 'The wheel under the sill is the second safety.',
    tools: ['stands', 'wheel socket'],
    caution: 'stands',
  },
  back: {
    text: 'Wheel on, nuts by hand in a cross; on the ground in a cross, twice',
    why: 'The first pass seats the wheel, the second finds what it let go.',
    look: 'Wheel seat and face clean',
    answeredBy: 'wheel-nuts',
    fastener: 'wheel-nuts',
  },
};
export const axleNut: Step = {
  id: 'nut',
  place: 'car',
  minutes: 5,
  lit: ['nut'],
  stays: true,
  out: {
    text: 'Crack the axle nut while the wheel stands on the ground',
    why: 'The car holds the hub still. Only because this bearing will be replaced: a loaded bearing with a slack nut is damaged.',
    tools: ['socket for the axle nut', 'breaker bar'],
    nut: true,
    caution: 'bar-slips',
  },
};
export const calliper: Step = {
  id: 'calliper',
  place: 'car',
  minutes: 10,
  lit: ['calliper', 'disc'],
  out: {
    text: 'Calliper off with its bracket, hung on a wire; disc off',
    why: 'The hose must never carry it.',
    tools: ['socket set', 'wire'],
    caution: 'hose',
  },
  back: {
    text: 'Face cleaned, disc on, calliper and bracket on, pedal pumped',
    why: 'Rust under the disc becomes runout; a soft pedal is found before the car moves.',
    look: 'Hose not twisted: no S-shape',
    fastener: 'calliper-bracket',
  },
};
export const sensor: Step = {
  id: 'sensor',
  place: 'car',
  minutes: 4,
  lit: ['sensor'],
  out: {
    text: 'Wheel-speed sensor out and tied aside',
    why: 'It breaks when the bearing passes it.',
    caution: 'sensor',
  },
  back: {
    text: 'Sensor in, lead clipped',
    why: 'A loose lead is cut by the wheel.',
    look: 'Tip clean, no filings',
  },
};
export const drum: Step = {
  id: 'drum',
  place: 'car',
  minutes: 6,
  lit: ['drum'],
  out: {
    text: 'Drum off; dust wiped wet, never blown',
    why: 'Brake dust stays out of lungs and out of the bearing.',
  },
  back: {
    text: 'Drum on, shoes adjusted until they just drag',
    why: 'No rub when the hub turns; the pedal stands high.',
    look: 'No oil and no grease on the shoes',
  },
};
/** Oil of an axle, last of all: the car is level and the shaft is in. */
export const level: Step = {
  id: 'level',
  place: 'car',
  minutes: 4,
  lit: ['housing'],
  stays: true,
  back: {
    text: 'Oil to the level, car level; breather clear',
    why: 'Low oil is a dry bearing. Filled before the shaft is in, it shows too much.',
    look: 'Plug in with its seal',
    fastener: 'level-plug',
    answeredBy: 'oil-level',
  },
};
export const soak: Step = {
  id: 'soak',
  place: 'car',
  minutes: 2,
  lit: ['knuckle'],
  stays: true,
  out: {
    text: 'Penetrant on everything that has to move',
    why: 'It needs its time before anything is struck.',
    wait: { label: 'penetrant soak', minutes: 20 },
    tools: ['penetrant'],
  },
};
export const steering: Step = {
  id: 'steering',
  place: 'car',
  only: 'bench',
  minutes: 6,
  lit: ['steering'],
  single: 'split-pin',
  out: {
    text: 'Steering joint parted',
    why: 'The knuckle has to come off.',
    tools: ['ball-joint splitter'],
  },
  back: {
    text: 'Steering joint on, new split pin bent both ways',
    why: 'A pin is used once.',
    fastener: 'steering-joint',
  },
};
export const strut: Step = {
  id: 'strut',
  place: 'car',
  only: 'bench',
  minutes: 8,
  lit: ['strut', 'knuckle'],
  out: {
    text: 'Cam bolts marked, strut bolts out, knuckle off',
    why: 'The cams set the camber: the mark saves the alignment.',
    tools: ['paint pen'],
    caution: 'spring',
  },
  back: {
    text: 'Knuckle on, strut bolts to the paint marks',
    why: 'Bush bolts are tightened at ride height.',
    look: 'Marks in line. Alignment is booked all the same',
    fastener: 'strut',
  },
};
