import { type Corner, cornerNames } from '../corner.ts';
import { layoutNames, type Layout } from '../diagnosis/index.ts';
import { familyByCode, type FamilyCode } from '../families/index.ts';
import { type Verdict, verdict } from '../verdict.ts';

/** What a family stands on: absent where it may be either. Common practice, no published source. */
interface StandsOn {
  axle?: 'front';
  driven?: boolean;
  solid?: true;
  words: string;
}
const needsSolid: StandsOn = { driven: true, solid: true, words: 'a driven solid axle' };
const standsOn: Partial<Record<FamilyCode, StandsOn>> = {
  P3L: { axle: 'front', driven: true, words: 'a driven front wheel' },
  N1: { axle: 'front', driven: true, words: 'a driven front wheel' },
  T2: { driven: false, words: 'a wheel that is not driven' },
  A1: needsSolid,
  A2: needsSolid,
  A3: needsSolid,
};

const isFront = (corner: Corner) => corner.endsWith('F');
const isDriven = (layout: Layout, front: boolean) =>
  layout === 'all' || (layout === 'front') === front;
/** Undefined where the record does not tell: all wheels may be driven through either. */
const isSolid = (layout: Layout, front: boolean): boolean | undefined => {
  if (layout === 'all') return undefined;
  return layout === 'solid-rear' && !front;
};

/** A family that cannot stand at this corner of this unit: one of the two is on record wrongly. */
export function layoutDoubt(
  code: FamilyCode | undefined,
  layout: Layout,
  corner: Corner,
): Verdict | undefined {
  const on = code && standsOn[code];
  if (!on) return undefined;
  const front = isFront(corner);
  const driven = isDriven(layout, front);
  const fits =
    (on.axle === undefined || front) &&
    (on.driven === undefined || on.driven === driven || layout === 'all') &&
    (on.solid === undefined || isSolid(layout, front) !== false);
  if (fits) return undefined;
  return verdict('match.layout', {
    part: familyByCode(code)?.name ?? code,
    with: {
      on: on.words,
      unit: layoutNames[layout],
      corner: cornerNames[corner].toLowerCase(),
    },
  });
}
