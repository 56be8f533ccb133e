import type { Operation } from '../press/operations.ts';
import type { CautionId } from './cautions.data.ts';
import type { FactRule } from './fact.rules.ts';
import type { BodyRole } from './sections/index.ts';

/** Things to see or to do with one's own hands that a later step depends on. */
export const factIds = [
  'snap-ring-out',
  'inner-ring-off',
  'groove-clear',
  'snap-ring-fitted',
  'shield-on',
  'turns-smoothly',
  'no-gap',
  'shells-behind',
  'seat-clean',
  'aligned',
  'clip-heard',
  'collar-off',
  'guard-on',
  'retainer-on',
  'axle-seal-on',
  'ring-to-bearing',
  'shell-drawn',
  'track-good',
  'shaft-good',
  'shell-oiled',
  'lip-oiled',
  'note-changed',
  'rings-driven-out',
  'packed',
  'spacer-in',
  'dust-rings',
  'shell-held-back',
  'bond-broken',
  'pilot-clean',
  'face-flat',
  'pilot-filmed',
  'unit-seated',
  'needle-packed',
  'o-ring-greased',
  'cups-driven-out',
  'cups-home',
  'spindle-good',
  'cones-packed',
  'hub-seal-in',
  'washers-laid',
  'needle-good',
  'oil-parts',
  'tube-clean',
  'breather-clear',
  'oil-filmed',
  'hub-oil-measured',
] as const;
export type FactId = (typeof factIds)[number];

export interface Fact {
  ask: string;
  why: string;
  done: string;
  /** The opposite of it, as one may find it, and what to do then. */
  opposite: { seen: string; then: string };
  /** What can hurt on the way to it, by its name. */
  caution?: CautionId;
  /** Strokes that stay locked until it is seen, and the rule that locks them. */
  locks?: { before: readonly Operation[]; rule: FactRule };
  /** What is measured with it, and typed: a volume, mL. */
  amount?: string;
  /** Bodies of the family's section to light up as its picture; facts of pressed-in bearings have drawings of their own. */
  lit?: readonly BodyRole[];
}

const lock = (rule: FactRule, ...before: Operation[]) => ({ locks: { before, rule } });

/** Common practice, no published source. */
export const facts: Record<FactId, Fact> = {
  'inner-ring-off': {
    ask: 'Old inner ring off the hub journal',
    why: 'Separator first; cut to two thirds and split only if it will not move. Never touch the journal or the seal track.',
    done: 'Ring is off',
    caution: 'cutting',
    opposite: {
      seen: 'The ring is still on',
      then: 'Separator first, then cut to two thirds and split. Do not touch the journal.',
    },
    ...lock('press.old-ring', 'hub-in'),
  },
  'snap-ring-out': {
    ask: 'Snap ring out of its groove',
    why: 'With the ring in, the press takes the knuckle.',
    done: 'Ring is out',
    opposite: {
      seen: 'The ring will not come out',
      then: 'Clean and soak the groove, press the ring in with two picks. Nothing is pressed before it is out.',
    },
    ...lock('press.snap-ring', 'bearing-out'),
  },
  'groove-clear': {
    ask: 'Snap-ring groove fully clear',
    why: 'A ring that is short of its seat hides part of the groove, and the snap ring jumps out on the road.',
    done: 'Groove is clear all round',
    opposite: {
      seen: 'Part of the groove is hidden',
      then: 'The ring is short of its seat: press again until the groove is clear all round.',
    },
    ...lock('press.groove', 'hub-in'),
  },
  'snap-ring-fitted': {
    ask: 'New snap ring in, all round',
    why: 'Opening downwards, so that water drains. It must snap, and turn in its groove.',
    done: 'Snapped in, gap down',
    opposite: {
      seen: 'It does not snap in',
      then: 'Look at the groove and at the seat depth; press again if the groove is not clear. A bent ring is replaced.',
    },
    ...lock('press.snap-ring-in', 'hub-in'),
  },
  'shield-on': {
    ask: 'Dust shield on',
    why: 'Behind the hub it cannot be fitted. Forgotten, it means the bearing again.',
    done: 'Shield is on',
    opposite: {
      seen: 'The shield is missing or bent',
      then: 'Fit it, or straighten it, before the hub goes in.',
    },
    ...lock('press.shield', 'hub-in'),
  },
  'turns-smoothly': {
    ask: 'Turned by hand, ten turns',
    why: 'Stiff is normal for a new bearing; sandy is not.',
    done: 'Turns smoothly',
    opposite: {
      seen: 'Rough, or it rubs',
      then: 'Look for a shield that rubs first. Sandy means the bearing was hurt: press it out, it is scrap.',
    },
  },
  'no-gap': {
    ask: 'No gap between hub shoulder and ring',
    why: 'A thin blade must not go in anywhere.',
    done: 'No gap',
    opposite: {
      seen: 'A gap is seen',
      then: 'The hub is not home: press it on, supported on the inner ring, until the blade does not go in.',
    },
  },
  'shells-behind': {
    ask: 'Half-shells behind the shoulder of the outer ring',
    why: 'Drawn by the flange, the balls carry it and the cartridge comes apart with half of it still in.',
    done: 'On the shoulder, clear of the flange',
    opposite: {
      seen: 'They do not sit on the shoulder',
      then: 'Take shells of the right bore; never pull by the flange.',
    },
    lit: ['outer'],
    ...lock('press.shells', 'cartridge-out'),
  },
  'seat-clean': {
    ask: 'Bore and the relief behind the shoulder cleaned to metal',
    why: 'The shoulder sets the depth. Dirt in the relief holds it off, and the clip does not snap.',
    done: 'Bare metal, thin paste on the seat',
    opposite: {
      seen: 'Rust or dirt is left',
      then: 'Clean the bore and the relief behind the shoulder to bare metal.',
    },
    lit: ['knuckle'],
    ...lock('press.seat-clean', 'cartridge-in'),
  },
  aligned: {
    ask: 'Stands true, by eye, both ways',
    why: 'Tapped true on the shells, never on the flange.',
    done: 'True both ways',
    opposite: {
      seen: 'It stands crooked',
      then: 'Back off, tap it true on the shells, look again from both sides.',
    },
    lit: ['outer', 'hub'],
    ...lock('press.aligned', 'cartridge-in'),
  },
  'clip-heard': {
    ask: 'The clip was heard to snap',
    why: 'No snap, no hold: draw on, or out again and clean.',
    done: 'Heard it',
    opposite: {
      seen: 'No snap was heard',
      then: 'Draw on until it snaps; if it does not, out again and clean the relief.',
    },
    lit: ['clip'],
  },
  'collar-off': {
    ask: 'Press ring off the shaft',
    why: 'Drilled or cut two thirds through, on the slant, split with a chisel. Never into the shaft or the seal track: tape over it.',
    done: 'Ring is off, shaft not touched',
    caution: 'cutting',
    opposite: {
      seen: 'The ring still holds',
      then: 'Drill or cut further, on the slant, never into the shaft; split with a chisel.',
    },
    lit: ['press-ring'],
    ...lock('press.collar', 'shaft-bearing-off'),
  },
  'guard-on': {
    ask: 'Guard round the bearing, nobody in line',
    why: 'It can burst when it lets go, and it comes with a bang.',
    done: 'Guard is round it',
    opposite: {
      seen: 'No guard to hand',
      then: 'Wrap it in a steel tube or a heavy blanket and stand aside: no ram before that.',
    },
    lit: ['outer', 'inner'],
    ...lock('press.guard', 'shaft-bearing-off'),
  },
  'retainer-on': {
    ask: 'Retainer plate on the shaft, right way round',
    why: 'It does not go over the bearing afterwards: forgotten, it costs bearing and ring.',
    done: 'Plate is on',
    opposite: {
      seen: 'The plate was forgotten or turned',
      then: 'Plate on, right way round, before anything is pressed on.',
    },
    lit: ['plate'],
    ...lock('press.retainer', 'shaft-bearing-on', 'bearing-and-ring-on'),
  },
  'axle-seal-on': {
    ask: 'Axle seal on the shaft, spring to the oil, lip oiled',
    why: 'It sits behind the bearing. Turned round, it pumps the oil out.',
    done: 'Seal is on',
    opposite: {
      seen: 'The seal is not on, or turned',
      then: 'Seal on, spring to the oil, lip oiled, before the bearing.',
    },
    lit: ['seal'],
    ...lock('press.axle-seal', 'shaft-bearing-on', 'bearing-and-ring-on'),
  },
  'ring-to-bearing': {
    ask: 'No gap between press ring and bearing',
    why: 'A thin blade must not go in. A gap is end play of the whole axle.',
    done: 'No gap',
    opposite: {
      seen: 'A gap is seen',
      then: 'Press the ring on until the blade does not go in anywhere.',
    },
    lit: ['press-ring', 'inner'],
  },
  'shell-drawn': {
    ask: 'Old shell out of its bore',
    why: 'The largest puller that passes, drawn straight. A crooked pull raises the edge of the bore.',
    done: 'Shell is out',
    opposite: {
      seen: 'It does not come',
      then: 'The largest puller that passes, drawn straight, with warmth; not from one side.',
    },
    lit: ['outer'],
  },
  'track-good': {
    ask: 'Track on the shaft felt with a fingernail',
    why: 'The shaft is the inner raceway. A pit or a groove means a new shaft or an offset repair bearing.',
    done: 'Smooth, nothing to feel',
    opposite: {
      seen: 'A pit or a groove is felt',
      then: 'A new shaft, or an offset repair bearing that runs on fresh metal. Not back on this track.',
    },
    lit: ['shaft'],
    ...lock('press.track', 'shell-in'),
  },
  'shaft-good': {
    ask: 'Journal and track of the seal felt with a fingernail, shaft turned in V-blocks',
    why: 'The lip runs on this track and the bearing sits on this journal: a groove leaks, a bent shaft eats the next bearing.',
    done: 'Smooth and straight',
    opposite: {
      seen: 'A groove, a nick or a bend',
      then: 'A sleeve over a groove under the lip, or a new shaft. A bent or nicked shaft does not go back.',
    },
    lit: ['shaft'],
    ...lock('press.shaft-good', 'shaft-bearing-on', 'bearing-and-ring-on'),
  },
  'shell-oiled': {
    ask: 'Bore dressed, shell oiled outside, marked end out',
    why: 'A thin shell that grabs folds. The marked end is the hard one.',
    done: 'Oiled, marked end out',
    opposite: {
      seen: 'The bore has a raised edge',
      then: 'Dress it until nothing catches, then oil the shell.',
    },
    lit: ['outer'],
    ...lock('press.shell-oiled', 'shell-in'),
  },
  'shell-held-back': {
    ask: 'Number on the old seal read, and whether the hub is oil-fed',
    why: 'An oil-fed hub has no seal here; a sealed one needs the same number.',
    done: 'Read and matched',
    opposite: {
      seen: 'The number cannot be read',
      then: 'Measure the seal, or ask the maker’s list by the unit; do not guess whether the hub is oil-fed.',
    },
    lit: ['seal'],
  },
  'lip-oiled': {
    ask: 'Seal lip oiled, lip to the oil',
    why: 'Dry at the first start it is burnt before the first corner.',
    done: 'Oiled, right way round',
    opposite: {
      seen: 'The lip is dry, turned or cut',
      then: 'Oil it, lip to the oil; a cut lip is replaced.',
    },
    lit: ['seal'],
    ...lock('press.seal-lip', 'seal-in'),
  },
  'note-changed': {
    ask: 'The note changed at the seat',
    why: 'Dull becomes hard: it stands on its stop. One blow more than that dents it.',
    done: 'Heard it change',
    opposite: {
      seen: 'The note did not change',
      then: 'It is not on its stop yet: drive on, evenly, until it sounds hard.',
    },
    lit: ['outer'],
  },
  'rings-driven-out': {
    ask: 'Both bearings out, driven side by side all round',
    why: 'A punch in one place only cocks the ring and tears the bore.',
    done: 'Both are out',
    caution: 'hammer',
    opposite: {
      seen: 'A ring is stuck',
      then: 'From side to side all round, with warmth; not from one place.',
    },
    lit: ['outer', 'inner'],
  },
  packed: {
    ask: 'Both bearings packed, spacer faces to each other',
    why: 'A third to half of the room between them; the faces that meet the spacer are ground.',
    done: 'Packed, faces inwards',
    opposite: {
      seen: 'No grease, or faces turned',
      then: 'Pack a third to a half of the room, ground faces to the spacer.',
    },
    lit: ['ball'],
    ...lock('press.packed', 'first-ring-in'),
  },
  'spacer-in': {
    ask: 'Spacer in before the second bearing',
    why: 'Without it the nut squeezes the balls; afterwards it does not go in.',
    done: 'Spacer is in',
    opposite: {
      seen: 'The spacer is missing',
      then: 'It goes in now: behind the second bearing it does not.',
    },
    lit: ['spacer'],
    ...lock('press.spacer', 'second-ring-in'),
  },
  'dust-rings': {
    ask: 'Dust rings in, opening inwards',
    why: 'They keep the water out and the grease in.',
    done: 'Both are in',
    opposite: {
      seen: 'A ring is missing or turned',
      then: 'Both in, opening inwards.',
    },
    lit: ['seal'],
  },
  'bond-broken': {
    ask: 'Rust bond broken, unit off',
    why: 'Blows on the bolt that stayed, on the outer flange, or from side to side. Through the wheel flange they go through the balls: on scrap only, and never on a unit that goes back on.',
    done: 'Unit is off',
    caution: 'hammer',
    opposite: {
      seen: 'It does not move',
      then: 'Soak it another twenty minutes, then an air hammer on the bolt left in by a few threads. Never pry against the sensor or the shield.',
    },
    lit: ['bolt', 'outer'],
  },
  'pilot-clean': {
    ask: 'Pilot bore and face of the knuckle clean to metal',
    why: 'Wire wheel, no chisel: a nick in the pilot holds the unit off its face.',
    done: 'Clean to metal',
    opposite: {
      seen: 'Rust or a nick is left',
      then: 'Clean again; dress a nick flush with a fine stone, nothing more.',
    },
    lit: ['knuckle'],
  },
  'face-flat': {
    ask: 'Face flat under a straightedge, pilot without a ridge',
    why: 'A unit on a crooked face runs out by it, and its bolts work loose.',
    done: 'Flat all round',
    opposite: {
      seen: 'Light shows under the straightedge',
      then: 'Find the ridge and dress it. A face that is bent or worn away means another knuckle.',
    },
    lit: ['knuckle'],
  },
  'pilot-filmed': {
    ask: 'Thin film on the pilot, face and sensor dry',
    why: 'The next hand gets it off again; grease on the face lets the joint settle.',
    done: 'Film on the pilot',
    opposite: {
      seen: 'Grease is on the face',
      then: 'Wipe the face dry before the unit goes on.',
    },
    lit: ['knuckle', 'outer'],
  },
  'unit-seated': {
    ask: 'Unit in by hand, home on its face all round',
    why: 'No bolt draws it in: crooked it jams, and the flange cracks.',
    done: 'Home by hand',
    opposite: {
      seen: 'It stands off on one side',
      then: 'Take it off again: dirt, a nick, or a lead that lies between.',
    },
    lit: ['outer', 'hub'],
  },
  'needle-packed': {
    ask: 'Needle bearing in the unit packed, more than it came with',
    why: 'What it comes with keeps rust off in the box; behind the shaft nobody gets in again.',
    done: 'Packed',
    opposite: {
      seen: 'It is dry or rusty',
      then: 'A dry one is packed; a rusty one means another unit.',
    },
    lit: ['seal', 'shaft'],
  },
  'o-ring-greased': {
    ask: 'New O-ring greased, in its groove without a twist',
    why: 'It holds the vacuum that locks the hub.',
    done: 'In its groove',
    opposite: {
      seen: 'It is twisted or nicked',
      then: 'Another one: a nick leaks from the first day.',
    },
    lit: ['seal'],
  },
  'cups-driven-out': {
    ask: 'Both cups out, driven side by side all round',
    why: 'From behind, a little on each side: a punch in one place cocks the cup and tears the bore.',
    done: 'Both are out',
    caution: 'hammer',
    opposite: {
      seen: 'A cup is stuck',
      then: 'From side to side all round, with warmth; where the hub has notches, in them. Not from one place.',
    },
    lit: ['outer'],
  },
  'cups-home': {
    ask: 'No gap under either cup, wide end out',
    why: 'A thin blade must not go in behind it anywhere. A cup that settles later leaves play.',
    done: 'Home all round',
    opposite: {
      seen: 'The blade goes in, or the wide end is in',
      then: 'Press it home; one that went in the wrong way round comes out again.',
    },
    lit: ['outer', 'hub'],
  },
  'spindle-good': {
    ask: 'Spindle felt and seen: seats of the cones and track of the seal',
    why: 'Cones slide on it by hand, by design. Blueing, a step or a groove means it turned, ran hot or leaks.',
    done: 'Bright, no step, cones slide by hand',
    opposite: {
      seen: 'Blue, a step, or a groove under the lip',
      then: 'A step or blueing means another spindle; a groove under the lip a sleeve, or a seal that runs beside it.',
    },
    lit: ['spindle'],
  },
  'cones-packed': {
    ask: 'Cones packed or oiled, as this axle is fed',
    why: 'Grease through from the wide end until it comes out at the small one; oil where the axle’s own oil feeds them.',
    done: 'Packed or oiled',
    opposite: {
      seen: 'Dry, or two greases together',
      then: 'Wash the old grease out first; pack again with one grease only.',
    },
    lit: ['inner', 'ball'],
  },
  'hub-seal-in': {
    ask: 'Inner cone in, new seal over it, lip oiled',
    why: 'The cone does not go in behind the seal; a dry lip is burnt before the first corner.',
    done: 'Seal is in',
    opposite: {
      seen: 'The seal went in first, or crooked',
      then: 'Out with it, and another one: a seal is used once.',
    },
    lit: ['seal'],
  },
  'washers-laid': {
    ask: 'Washer set complete: metal, hexagonal nylon, metal',
    why: 'As it came off, laid out in a row: an earlier hand may have had it wrong, and two metal ones together wear through.',
    done: 'Complete, in its order',
    opposite: {
      seen: 'Another order, or one is missing or worn',
      then: 'It is on record as found. A whole set, laid out in its right order: metal, hexagonal nylon, metal.',
    },
    lit: ['clip', 'shaft'],
  },
  'needle-good': {
    ask: 'Needle bearing behind the shaft: bright, every needle there, its track not grooved',
    why: 'It carries the shaft alone when the hub is free; behind the new unit nobody sees it again.',
    done: 'Bright, none missing',
    opposite: {
      seen: 'Blue, pitted, or a needle is gone',
      then: 'The needle bearing is replaced too; a grooved shaft with it.',
    },
    lit: ['shaft', 'hub'],
  },
  'oil-parts': {
    ask: 'Bearing and outer seal made for oil, inner seal left out',
    why: 'A seal for grease weeps oil on to the brake; one left inside keeps the oil from the bearing.',
    done: 'Both for oil, inner one out',
    opposite: {
      seen: 'One of them is for grease, or the inner seal is in',
      then: 'The right one first, or the axle stays on grease: choose that at Plan.',
    },
    lit: ['inner', 'seal'],
  },
  'tube-clean': {
    ask: 'Tube cleaned to metal, the carrier out for it',
    why: 'Rust and sludge of years are washed into the gear set.',
    done: 'Clean to metal',
    opposite: {
      seen: 'Rust or sludge is left in it',
      then: 'Carrier out and the tube cleaned, or the axle stays on grease.',
    },
    lit: ['spindle'],
  },
  'breather-clear': {
    ask: 'Breather clear, track of the seal perfect',
    why: 'A warm axle that cannot breathe pushes its oil past every lip.',
    done: 'Clear, and no groove',
    opposite: {
      seen: 'Blocked, or a groove under the lip',
      then: 'Breather freed; a groove gets a sleeve, or a seal that runs beside it.',
    },
    lit: ['spindle', 'seal'],
  },
  'oil-filmed': {
    ask: 'Bearing filmed with oil or a little grease',
    why: 'The oil of the axle comes after the first kilometres: until then the bearing has what it was given.',
    done: 'Filmed all round',
    opposite: { seen: 'It is dry', then: 'A film on rollers and tracks before the hub goes on.' },
    lit: ['inner', 'ball'],
  },
  'hub-oil-measured': {
    ask: 'Oil for the hubs measured out, to be poured above the old level',
    why: 'The hubs take some of it, and the old level leaves the gears short. About 0.4 L is one report; what was measured out for this axle is noted for the next hand.',
    done: 'Measured out',
    amount: 'Measured out',
    opposite: {
      seen: 'Not measured out',
      then: 'Measure it before the axle is closed. It goes in at the level, last of all, with the car level.',
    },
    lit: ['spindle'],
  },
};
