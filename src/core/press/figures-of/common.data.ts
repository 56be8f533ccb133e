import type { Bearing } from '../../corner-record.ts';
import { materials } from '../../corner-record.ts';
import type { Figure, Known } from '../figures.ts';

const metals: Record<(typeof materials)[number], string> = {
  steel: 'steel',
  'grey-iron': 'grey iron',
  'ductile-iron': 'ductile iron',
  aluminium: 'aluminium',
};
export const metalOptions = materials.map((id) => ({ id, name: metals[id] }));
export const sides = [
  { id: 'outboard', name: 'wheel side' },
  { id: 'inboard', name: 'car side' },
] as const;

/** Usual classes of a wheel bearing's seats: general bearing practice, not the maker's. */
export const usual = 'usual class, general bearing practice';
export const usualBore = (path: string) => (_b: Bearing, known: Known) => {
  const metal = known(path);
  if (metal === undefined) return undefined;
  return { value: metal === 'aluminium' ? 'R7' : 'P7', from: usual };
};
export const outside = (b: Bearing) => ({ value: b.outerMm, from: 'the ring’s outside' });
export const bore = (b: Bearing) => ({ value: b.boreMm, from: 'the ring’s bore' });
export const always = (value: string) => () => ({ value, from: usual });

export function onlyDrawn(path: string, name: string, outline: Figure['outline']): Figure {
  return { path, name, how: 'Only drawn.', needs: [], outline };
}

/** A bore with its stop, of whatever carries it. */
export function housingFigures(
  at: 'housing' | 'far',
  what: string,
  needs: Figure['needs'],
  outline: { depth: number; wall: number; shoulder: (b: Bearing) => number },
  also: Figure['needs'] = [],
): Figure[] {
  const both = [...needs, ...also];
  return [
    {
      path: `${at}.material`,
      name: `Metal of the ${what}`,
      how: 'A magnet holds on iron and steel. A casting with a rough skin is iron.',
      options: metalOptions,
      needs: both,
      seat: true,
      outline: () => 'steel',
    },
    {
      path: `${at}.outerMm`,
      name: `${capital(what)}, across, round the bore`,
      how: 'Caliper over the solid metal.',
      needs: both,
      seat: true,
      outline: (b) => b.outerMm + outline.wall,
    },
    {
      path: `${at}.depthMm`,
      name: `${capital(what)}, whole depth`,
      how: 'Caliper or depth rod along the axis.',
      needs: both,
      outline: (b) => b.widthMm + outline.depth + 10,
    },
    {
      path: `${at}.seatDepthMm`,
      name: 'Face to where the part stops',
      how: 'Depth rod from the face it goes in by to the stop, or to the old part and its width with it.',
      needs,
      seat: true,
      outline: (b) => b.widthMm + outline.depth,
    },
    {
      path: `${at}.shoulderMm`,
      name: 'Opening beyond the stop',
      how: 'Caliper in the opening behind.',
      needs: both,
      outline: outline.shoulder,
    },
    {
      path: `${at}.boreMm`,
      name: 'Bore',
      how: 'It follows from the part.',
      needs,
      seat: true,
      derive: outside,
      outline: (b) => b.outerMm,
    },
    {
      path: `${at}.boreClass`,
      name: 'Class of the bore',
      how: 'It follows from the metal.',
      needs,
      seat: true,
      derive: usualBore(`${at}.material`),
      outline: () => 'P7',
    },
  ];
}
const capital = (text: string) => text.slice(0, 1).toUpperCase() + text.slice(1);

export const length = (
  path: string,
  name: string,
  how: string,
  needs: Figure['needs'],
  outline: Figure['outline'],
): Figure => ({ path, name, how, needs, outline });
