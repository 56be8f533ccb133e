import type { FamilyCode } from './families.data.ts';

/** Questions on which good technicians differ; each is chosen per job, with a reason, and stays on its card. Common practice, no published source. */
export interface SchoolQuestion {
  ask: string;
  /** The first is our default. */
  options: readonly SchoolOption[];
  /** Families it is asked of; all where absent. */
  of?: readonly FamilyCode[];
}
export interface SchoolOption {
  id: string;
  name: string;
  /** Why, and when it is right. */
  why: string;
}

const option = (id: string, name: string, why: string): SchoolOption => ({ id, name, why });

export const schoolIds = [
  'crack-nut',
  'hub',
  'stuck-ring',
  'bond',
  'nut-load',
  'collar',
  'gun',
  'used-lock',
  'pilot',
  'adjust',
  'feed',
  'shaft-face',
  'maker',
  'both-sides',
] as const;
export type SchoolId = (typeof schoolIds)[number];

export const schools: Readonly<Record<SchoolId, SchoolQuestion>> = {
  'crack-nut': {
    ask: 'Crack the nut on the ground or in the air',
    options: [
      option('ground', 'on the ground, brakes on', 'Only because the bearing is replaced.'),
      option('gun', 'impact gun in the air', 'For removal only; where nobody can hold the brake.'),
    ],
    of: ['P1', 'P2', 'P3', 'B2'],
  },
  hub: {
    ask: 'Hub: used again or new',
    options: [
      option('measured', 'used again, measured', 'Where journal and flange measure good.'),
      option(
        'new',
        'always new',
        'Where the ring cannot come off without touching the journal, or time costs more.',
      ),
    ],
    of: ['P1', 'B2', 'T2', 'A3'],
  },
  'stuck-ring': {
    ask: 'Ring stuck on the hub',
    options: [
      option('separator', 'separator first, then cut and split', 'The journal is not touched.'),
      option('cut', 'cut and split at once', 'Where no separator gets behind it.'),
      option('heat', 'heat and drop', 'Only on a hub that is scrapped or measured again.'),
    ],
    of: ['P1'],
  },
  bond: {
    ask: 'Breaking the rust bond of the unit, gentlest first',
    options: [
      option(
        'soak',
        'soak 20 min, then turn it in its bore',
        'Nothing is hurt: blows from side to side on the outer flange only.',
      ),
      option(
        'bolt',
        'press or air hammer on a bolt left in by a few threads',
        'Goes through the outer flange into the knuckle: the bolt is scrap, the knuckle thread looked at.',
      ),
      option(
        'through-balls',
        'slide hammer on the wheel flange',
        'Every blow goes through the balls: only where the unit is scrap. Knuckle and joints take it too.',
      ),
      option(
        'cut',
        'knuckle off, unit pressed out',
        'Where nothing else moves it: the knuckle is carried at its bore, never at its arms.',
      ),
    ],
    of: ['P3', 'P3L'],
  },
  'nut-load': {
    ask: 'Last torque of the nut where the procedure is silent',
    options: [
      option('air', 'in the air, hub held', 'The rollers are unloaded.'),
      option('ground', 'on the ground', 'Where nothing holds the hub.'),
    ],
    of: ['P1', 'P2', 'P3', 'B2'],
  },
  collar: {
    ask: 'Axle bearing and its press ring',
    options: [
      option('two', 'two strokes', 'Force and seat of each are seen.'),
      option('one', 'both in one stroke', 'Where the fitting sheet asks for it.'),
    ],
    of: ['A2'],
  },
  gun: {
    ask: 'Impact gun for fitting',
    options: [
      option('never', 'never', 'It tells no torque and hammers the rollers.'),
      option('first', 'first part only', 'Never the last stage, never the hub into its ring.'),
    ],
  },
  'used-lock': {
    ask: 'Used lock nut, pin, bolts',
    options: [
      option('new', 'always new', 'What locked once has given.'),
      option(
        'threadlocker',
        'again, with threadlocker',
        'Where none is to be had; said on the card.',
      ),
    ],
  },
  pilot: {
    ask: 'Between hub and knuckle',
    options: [
      option(
        'ceramic',
        'thin ceramic paste on the pilot only',
        'Never on face, wheel seat or threads.',
      ),
      option('anti-seize', 'anti-seize', 'Where it is all there is; as thin.'),
      option('dry', 'dry, wax outside', 'Where the maker asks for dry.'),
    ],
    of: ['P3', 'P3L'],
  },
  adjust: {
    ask: 'Taper pair: play or tight',
    options: [
      option('play', 'small end play by the dial', 'Grease-packed: tight runs hot.'),
      option(
        'tight',
        'run tight, barely backed off',
        'Oil-bathed axles in rough use; hub felt for heat after 20 km.',
      ),
    ],
    of: ['T2', 'A3'],
  },
  feed: {
    ask: 'What feeds the bearing',
    options: [
      option('as-built', 'as built', 'Two greases, or oil where grease was, wash each other out.'),
      option('grease', 'grease, with an inner seal', 'Kept apart from the axle oil.'),
      option(
        'oil',
        'axle oil, inner seal left out',
        'A conversion: every condition met, and the unit marked.',
      ),
    ],
    of: ['A3'],
  },
  'shaft-face': {
    ask: 'Joint of the shaft flange',
    options: [
      option('as-built', 'as built', 'What sealed before seals again.'),
      option('gasket', 'gasket', 'Where both faces are flat.'),
      option('sealant', 'sealant only', 'Where the face frets.'),
    ],
    of: ['A3'],
  },
  maker: {
    ask: 'Which set to buy',
    options: [
      option(
        'known',
        'a known maker, whole kit',
        'By our own figures once there are enough; by rating until then.',
      ),
      option('cheapest', 'the cheapest that fits', 'Where the car goes soon.'),
    ],
  },
  'both-sides': {
    ask: 'One side or both',
    options: [
      option('one', 'only the bad one', 'The other is measured and compared.'),
      option('pair', 'both', 'Where the other is above half its limit.'),
    ],
  },
};

/** Questions of one family, in the order of the work. */
export const schoolsOf = (code: FamilyCode | undefined): SchoolId[] =>
  schoolIds.filter((id) => code !== undefined && (schools[id].of ?? [code]).includes(code));

export const schoolOption = (id: SchoolId, option_: string): SchoolOption | undefined =>
  schools[id].options.find((o) => o.id === option_);
