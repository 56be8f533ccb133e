import type { RingSize, Settings, SpeedMark } from '../../core/noise/index.ts';

import { useDraft } from '../../ui/useDraft.ts';
import { speedAndTyre } from '../shell/speedAndTyre.ts';
import { readTyped } from '../../ui/units.ts';

type Texts = Record<
  'speed' | 'speedAfter' | 'at' | 'tyre' | 'ratio' | 'pinion' | 'bore' | 'outer',
  string
>;
type Read = { ok: true; settings: Omit<Settings, 'bearing'> } | { ok: false; reason: string };

/** What the ear must be told of the drive: its fields, and what they say together. */
export function useEarSettings(jobId: string, unitTyre: string) {
  const [speed, setSpeed] = useDraft(`${jobId}:ear:speed`);
  const [speedAfter, setSpeedAfter] = useDraft(`${jobId}:ear:speed2`);
  const [at, setAt] = useDraft(`${jobId}:ear:at`);
  const [tyre, setTyre] = useDraft(`${jobId}:ear:tyre`, unitTyre);
  const [ratio, setRatio] = useDraft(`${jobId}:ear:ratio`);
  const [pinion, setPinion] = useDraft(`${jobId}:ear:pinion`);
  const [bore, setBore] = useDraft(`${jobId}:ear:bore`);
  const [outer, setOuter] = useDraft(`${jobId}:ear:outer`);
  const texts = { speed, speedAfter, at, tyre, ratio, pinion, bore, outer };
  return {
    texts,
    set: {
      speed: setSpeed,
      speedAfter: setSpeedAfter,
      at: setAt,
      tyre: setTyre,
      ratio: setRatio,
      pinion: setPinion,
      bore: setBore,
      outer: setOuter,
    },
    read: readSettings(texts),
  };
}
export type EarSettings = ReturnType<typeof useEarSettings>;

/** Speed, tyre and ratio as typed, or the first thing that is wrong with them. */
function readSettings(t: Texts): Read {
  const drive = speedAndTyre(t.speed, t.tyre);
  if (!drive.ok) return drive;
  const speeds: SpeedMark[] = [{ atS: 0, kmh: drive.kmh }];
  if (t.speedAfter.trim() !== '') {
    const then = readTyped(t.speedAfter, 'speed');
    const at = readTyped(t.at, 'time');
    if (!then.ok) return { ok: false, reason: `Second speed: ${then.reason}` };
    if (!at.ok || !(at.value > 0))
      return { ok: false, reason: 'At which second was the second speed reached?' };
    speeds.push({ atS: at.value, kmh: then.value });
  }
  const ratio = t.ratio.trim() === '' ? undefined : readTyped(t.ratio, 'ratio');
  if (ratio && (!ratio.ok || ratio.value <= 1))
    return { ok: false, reason: 'The axle ratio is a number over 1, such as 3.9.' };
  const rings = readRings(t);
  if (rings && !rings.ok) return rings;
  const teeth = t.pinion.trim() === '' ? undefined : Number(t.pinion);
  if (teeth !== undefined && !(Number.isInteger(teeth) && teeth >= 5 && teeth <= 30))
    return { ok: false, reason: 'A pinion has 5 to 30 teeth.' };
  return {
    ok: true,
    settings: {
      speeds,
      circumferenceMm: drive.circumferenceMm,
      ...(ratio?.ok ? { axleRatio: ratio.value } : {}),
      ...(teeth === undefined ? {} : { pinionTeeth: teeth }),
      ...(rings ? { rings: rings.rings } : {}),
    },
  };
}

/** The ring size, where it is typed because no part is known. */
function readRings({
  bore,
  outer,
}: Texts): { ok: true; rings: RingSize } | { ok: false; reason: string } | undefined {
  if (bore.trim() === '' && outer.trim() === '') return undefined;
  const [b, o] = [readTyped(bore, 'length'), readTyped(outer, 'length')];
  if (!b.ok) return { ok: false, reason: `Bore of the bearing: ${b.reason}` };
  if (!o.ok) return { ok: false, reason: `Outside of the bearing: ${o.reason}` };
  if (b.value >= o.value)
    return { ok: false, reason: 'The bore of the bearing is smaller than its outside.' };
  return { ok: true, rings: { boreMm: b.value, outerMm: o.value } };
}
