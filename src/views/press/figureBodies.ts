import type { BodyRole } from '../../core/families/index.ts';

/** Which bodies of a family's section a figure is of, by where it stands in the record. */
const bodies: Readonly<Record<string, readonly BodyRole[]>> = {
  knuckle: ['knuckle'],
  housing: ['housing', 'knuckle'],
  far: ['housing'],
  hub: ['hub'],
  cartridge: ['outer', 'hub'],
  shaft: ['shaft'],
  seal: ['seal'],
};
export const bodiesOf = (path: string): readonly BodyRole[] =>
  bodies[path.split('.')[0] ?? ''] ?? [];
