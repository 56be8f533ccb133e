import type { CornerRecord } from '../corner-record.ts';
import type { Consumable, ConsumableSize } from '../schemas/workshop.ts';

/** Sizes that a thing has to have to fit one corner. */
export type SizeNeeded =
  /** Fluids, pastes: any of their kind. */
  | { kind: 'any' }
  /** Nothing on record says it: it is held against the old one. */
  | { kind: 'by-the-old-one' }
  | { kind: 'size'; size: ConsumableSize };

const sealSize = ({ seal }: CornerRecord): ConsumableSize | undefined =>
  seal && { innerMm: seal.innerMm, outerMm: seal.outerMm, widthMm: seal.widthMm };

/** Where the size of an item stands in the record of its corner. Common practice, no published source. */
const sizes: Readonly<Record<string, (r: CornerRecord) => ConsumableSize | undefined>> = {
  'snap-ring': ({ knuckle }) => knuckle && { outerMm: knuckle.boreMm },
  'press-ring': ({ shaft }) => shaft && { innerMm: shaft.journalMm, widthMm: shaft.ring.widthMm },
  'axle-seal': sealSize,
  'stub-seal': sealSize,
  'hub-seal': sealSize,
  'axle-nut': ({ nut }) => nut,
};

/** What fits: the size that the corner's record gives, where there is one. `pieces`: counted and used once, so it has a size. */
export function sizeNeeded(
  item: { id: string; singleUse: boolean },
  record: CornerRecord | undefined,
): SizeNeeded {
  if (!item.singleUse) return { kind: 'any' };
  const size = record && sizes[item.id]?.(record);
  return size ? { kind: 'size', size } : { kind: 'by-the-old-one' };
}

/** A catalogue's sizes are nominal: these are the same when they are written the same. */
const sameMm = 0.005;

/** Whether a thing has every size that is needed; what its catalogue does not say is not taken to fit. */
export function hasSize({ size }: Consumable, needed: ConsumableSize): boolean {
  return Object.entries(needed).every(([key, want]) => {
    const has = size?.[key as keyof ConsumableSize];
    return typeof want === 'number' && typeof has === 'number'
      ? Math.abs(has - want) < sameMm
      : has === want;
  });
}

/** "for 76 mm bore": a needed size in words. */
export function sizeInWords(s: ConsumableSize): string {
  if (s.threadMm !== undefined)
    return [
      `M${s.threadMm} × ${s.pitchMm ?? '?'}`,
      s.hand === 'left' ? 'left-hand thread' : '',
      s.lock ? lockNames[s.lock] : '',
    ]
      .filter(Boolean)
      .join(', ');
  const { innerMm, outerMm, widthMm } = s;
  if (innerMm !== undefined && outerMm !== undefined) return `${innerMm} × ${outerMm} × ${widthMm}`;
  return innerMm === undefined
    ? `${outerMm} mm bore`
    : `${innerMm} mm shaft${widthMm === undefined ? '' : `, ${widthMm} wide`}`;
}

/** The thread of the centre nut and its hand; a left-hand nut that is pulled the usual way strips the shaft. */
export const threadInWords = (nut: CornerRecord['nut']): string =>
  nut
    ? `M${nut.threadMm} × ${nut.pitchMm}, ${nut.hand}-hand${nut.hand === 'left' ? ': tightens anticlockwise' : ''}`
    : 'hand not on record: look before you pull';

export const lockNames: Record<NonNullable<ConsumableSize['lock']>, string> = {
  stake: 'staked collar',
  'split-pin': 'castle nut and split pin',
  plate: 'lock plate',
  self: 'self-locking',
};
