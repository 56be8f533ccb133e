import { ourShare, wrenchSetting } from '../../torque/index.ts';
import { choice, type Maker } from '../exercise.ts';
import { landed } from '../picture.ts';
import { pickOne, shuffled, between } from './draw.ts';

/** What is set on the wrench through an offset: the harder, the smaller the difference. */
export const offset: Maker = (r, level) => {
  const lengthMm = pickOne([320, 400, 500, 620], r);
  const offsetMm = Math.round(between(40, 160, r) / level) + 20;
  const offsetAngleDeg = pickOne([0, 30, 45, 60, 90, 180], r);
  const wanted = pickOne([80, 100, 120, 180, 220], r);
  const set = (mm: number, deg: number) => wrenchSetting(wanted, lengthMm, mm, deg);
  const right = set(offsetMm, offsetAngleDeg);
  const id = (nm: number) => nm.toFixed(1);
  const all = [
    right,
    wanted,
    set(offsetMm, 180 - offsetAngleDeg),
    set(offsetMm, 0),
    set(offsetMm / 2, offsetAngleDeg),
  ];
  const values = [...new Set(all.map(id))];
  const picture = { of: 'offset', lengthMm, through: { offsetMm, offsetAngleDeg } } as const;
  // Common allowance of a torque where none is printed.
  const either = ourShare * wanted;
  return choice({
    ask: `${wanted} N·m at the nut, the offset as drawn: what is set?`,
    picture,
    options: shuffled(values.slice(0, 4), r).map((v) => ({ id: v, text: `${v} N·m` })),
    answer: id(right),
    after: (chosen) => ({
      of: 'beside',
      list: [
        { title: `${chosen.text} set`, picture: { ...picture, setNm: Number(chosen.id) } },
        {
          title: 'Then',
          picture: landed({
            title: 'Torque that the nut gets',
            unit: 'N·m',
            low: wanted - either,
            high: wanted + either,
            at: (wanted * Number(chosen.id)) / right,
          }),
        },
      ],
    }),
    because: `${wanted} × ${lengthMm}/(${lengthMm} + ${offsetMm} × cos ${offsetAngleDeg}°) = ${id(right)} N·m.`,
    source: 'Machinery’s Handbook, T·L/(L + E cos θ), from memory',
    otherwise: `Set to ${wanted} N·m, the nut gets ${((wanted * wanted) / right).toFixed(0)} N·m.`,
    hard: { value: Number(Math.abs(right - wanted).toFixed(1)), unit: 'N·m apart' },
  });
};
