import { type Static, Type } from '@sinclair/typebox';
import { closed, Maybe, oneOf, Text } from '../schemas/common.ts';

const fields = {
  torqueNm: Maybe(Type.Number({ exclusiveMinimum: 0, maximum: 3000 })),
  angleDeg: Maybe(Type.Number({ exclusiveMinimum: 0, maximum: 720 })),
  /** "M12 × 1.5". */
  thread: Maybe(Text(20)),
  /** "10.9". */
  grade: Maybe(Text(10)),
  /** What is on the thread. */
  state: Maybe(oneOf(['dry', 'oiled', 'threadlocker'] as const)),
  /** How many of them stand in the circle, or in the row. */
  count: Maybe(Type.Integer({ minimum: 1, maximum: 10 })),
  /** Used once. */
  singleUse: Maybe(Type.Boolean()),
  /** Tightened by the maker's manual; its figure was not copied. */
  byManual: Maybe(Type.Literal(true)),
  /** Page, plate or screen where it stands. */
  source: Text(),
};
/** A fastener as somebody read it from the maker's data. */
export const ReadFastenerSchema = closed(fields);
export type ReadFastener = Static<typeof ReadFastenerSchema>;

/** A fastener on a unit's record. */
export const FastenerSchema = closed({
  name: Text(60),
  ...fields,
  /** As it was written before its figures had fields of their own. */
  figure: Maybe(Text(40)),
});
export type Fastener = Static<typeof FastenerSchema>;

/** Whether anything is said of a fastener: a figure, or whose manual. */
export const isSaid = ({ torqueNm, angleDeg, byManual }: ReadFastener): boolean =>
  torqueNm !== undefined || angleDeg !== undefined || byManual === true;

/** A fastener's figure as it is read out: "60 N·m + 90°". */
export function fastenerInWords(f: Omit<Fastener, 'name' | 'source'>): string {
  const torque = f.torqueNm === undefined ? [] : [`${f.torqueNm} N·m`];
  const angle = f.angleDeg === undefined ? [] : [`${f.angleDeg}°`];
  const figure = [...torque, ...angle].join(' + ');
  return figure || f.figure || 'by the maker’s manual';
}
