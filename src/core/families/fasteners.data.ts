import type { Shares } from '../torque/tighten.ts';

/** How the fasteners of one kind are brought up; their figures come from the unit's record or the maker's data only. */
export interface FastenerKind {
  name: string;
  /** How many there are: the hub's studs, a number that is so on every car, or what is counted on this one. */
  count: 'studs' | 'counted' | number;
  /** Shares of the torque, round by round. Common practice, no published source. */
  shares: Shares;
  /** Why it is done in this way. */
  why?: string;
  /** Always taken new. */
  singleUse?: true;
}

const onePass: Shares = [1];
const rising: Shares = [0.5, 1];

export const fastenerKinds: Readonly<Record<string, FastenerKind>> = {
  'wheel-nuts': {
    name: 'Wheel nuts',
    count: 'studs',
    shares: [1, 1],
    why: 'Crosswise, so that the wheel comes down evenly; once round again, for the first ones have gone loose. By wrench, never by the gun alone.',
  },
  'retainer-nuts': {
    name: 'Retainer nuts',
    count: 'counted',
    shares: rising,
    why: 'Evenly, so that the plate is not warped.',
    singleUse: true,
  },
  cover: {
    name: 'Axle cover bolts',
    count: 'counted',
    shares: rising,
    why: 'Crosswise in two rounds: the cover is thin and its joint weeps where it is drawn down first.',
  },
  'stub-bolts': {
    name: 'Stub axle bolts',
    count: 'counted',
    shares: rising,
    why: 'Crosswise, so that the stub axle comes down square.',
  },
  'hub-bolts': {
    name: 'Hub bolts',
    count: 'counted',
    shares: rising,
    why: 'Crossed in stages from behind: drawn down on one side the unit sits crooked.',
    singleUse: true,
  },
  'hub-nuts': {
    name: 'Hub nuts',
    count: 'counted',
    shares: rising,
    why: 'Crossed in stages from behind: drawn down on one side the O-ring is cut.',
  },
  'shaft-nuts': {
    name: 'Shaft flange nuts',
    count: 'counted',
    shares: rising,
    why: 'Crosswise in two rounds: the cone washers clamp their studs evenly, or the studs shear later.',
  },
  'calliper-bracket': { name: 'Calliper bracket bolts', count: 2, shares: onePass },
  strut: {
    name: 'Strut bolts',
    count: 2,
    shares: onePass,
    why: 'At the paint marks; those through a bush at ride height.',
  },
  'lower-joint': { name: 'Lower joint pinch bolt', count: 1, shares: onePass },
  'steering-joint': { name: 'Steering joint nut', count: 1, shares: onePass },
  'lock-pin': { name: 'Lock pin', count: 1, shares: onePass },
  'level-plug': { name: 'Level plug', count: 1, shares: onePass },
  'brake-line': { name: 'Brake line', count: 1, shares: onePass },
};

/** What the fasteners of the walks are called. */
export const fastenerName = (id: string): string => fastenerKinds[id]?.name ?? id;
