import { useState } from 'react';
import {
  handTravelMm,
  rankTools,
  type ReadThrough,
  readThrough,
  settingOf,
  showsOther,
  type Through,
  type ToolWay,
  usualBar,
  usualBarWay,
  usualPersonKg,
  type Wrench,
} from '../../core/torque/index.ts';
import { KGF_M, LBF_N } from '../../core/units/index.ts';
import { VerdictLines } from '../../ui/Panels.tsx';
import { QuantityInput } from '../../ui/QuantityInput.tsx';
import { both, readTyped } from '../../ui/units.ts';
import { HowItStands } from './HowItStands.tsx';

/** What was typed of a tool as it goes on record, nothing where it cannot be read: through something else than the bare wrench it is what that showed. */
export const readAt = (
  read: ReturnType<typeof readTyped> | undefined,
  way: ToolWay | undefined,
): Partial<ReadThrough> & { typed?: string } =>
  read?.ok
    ? {
        ...(way ? readThrough(read.value, way) : { actual: read.value }),
        typed: read.typed.slice(0, 40),
      }
    : {};

/** What a figure typed of a torque means, said at its field; undefined where it is the one at the nut anyway. */
export function atTheWrench(
  text: string,
  way: ToolWay | undefined,
): { where: string; hint: string; said: string | undefined } | undefined {
  if (!way || !showsOther(way)) return undefined;
  const read = readTyped(text, 'torque');
  const nut = read.ok && both(readThrough(read.value, way).actual, 'torque');
  return {
    where: ' at the wrench',
    hint: 'What the wrench shows; at the nut it is another figure',
    said: nut ? `At the nut: ${nut.value} ${nut.unit} / ${nut.other}` : undefined,
  };
}

/** Which tool reads a torque, best first, and what to set on it; for an angle, which tool shows it. */
export function useToolAtHand(
  nm: number | undefined,
  tools: readonly Wrench[],
  today: string,
): {
  way: ToolWay | undefined;
  tool: Wrench | undefined;
  ways: ToolWay[];
  pick: (key: string) => void;
  offset: OffsetText;
} {
  const [key, pick] = useState<string>();
  const [mm, setMm] = useState('');
  const [deg, setDeg] = useState('');
  const [length, angle] = [readTyped(mm, 'length'), readTyped(deg, 'angle')];
  const between: Through = length.ok
    ? { offsetMm: length.value, offsetAngleDeg: angle.ok ? angle.value : 0 }
    : {};
  const ranked = nm === undefined ? [] : rankTools(nm, tools, today, between);
  const others = nm === undefined ? tools : [];
  const ways = [...ranked, ...others.map((w) => settingOf(0, w, {}, tools, today))];
  const way = ways.find((w) => keyOf(w) === key) ?? ways[0];
  return { way, tool: way?.wrench, ways, pick, offset: { mm, setMm, deg, setDeg } };
}
interface OffsetText {
  mm: string;
  setMm: (s: string) => void;
  deg: string;
  setDeg: (s: string) => void;
}

const keyOf = (w: ToolWay): string =>
  w.through.multiplierId ? `${w.wrench.id}+${w.through.multiplierId}` : w.wrench.id;

const standingLb = Math.round((usualPersonKg * KGF_M) / LBF_N);

export function ToolAtHand({
  at,
  nm,
  angleDeg,
  tools,
}: {
  at: ReturnType<typeof useToolAtHand>;
  /** Torque that it has to give; undefined for an angle, a turn or a lock. */
  nm: number | undefined;
  angleDeg?: number | undefined;
  tools: readonly Wrench[];
}) {
  const { way, ways, pick, offset } = at;
  if (!way) return <p className="note">No tool here can do it: add one on the Shop page.</p>;
  const { wrench, through } = way;
  const nameOf = (w: ToolWay) => {
    const multiplier = tools.find((t) => t.id === w.through.multiplierId);
    return multiplier ? `${w.wrench.name} through ${multiplier.name}` : w.wrench.name;
  };
  const cannot = nm !== undefined && way.verdicts.some((v) => v.status === 'stop');
  return (
    <section className="tool-at-hand grid gap-2">
      <label className="field">
        <span>Tool{nm === undefined ? '' : ', best first'}</span>
        <select className="pick" value={keyOf(way)} onChange={(e) => pick(e.target.value)}>
          {ways.map((w) => (
            <option key={keyOf(w)} value={keyOf(w)}>
              {nameOf(w)}
            </option>
          ))}
        </select>
      </label>
      {nm !== undefined && <VerdictLines verdicts={way.verdicts} />}
      {wrench.lengthMm !== undefined && wrench.type !== 'angle-gauge' && (
        <HowItStands
          lengthMm={wrench.lengthMm}
          through={through}
          setNm={nm === undefined ? undefined : way.setNm}
          travelMm={angleDeg === undefined ? undefined : handTravelMm(angleDeg, wrench.lengthMm)}
        />
      )}
      {nm !== undefined && wrench.lengthMm === undefined && showsOther(way) && (
        <p className="strong">
          Set {both(way.setNm, 'torque').value} {both(way.setNm, 'torque').unit} on it.
        </p>
      )}
      {nm !== undefined && (
        <details className="more">
          <summary>An offset adapter between?</summary>
          <div className="pair-in">
            <QuantityInput
              compact
              label="Square to square"
              dimension="length"
              text={offset.mm}
              onText={offset.setMm}
            />
            <QuantityInput
              compact
              label="Its angle, 0° straight on"
              dimension="angle"
              text={offset.deg}
              onText={offset.setDeg}
            />
          </div>
          {way.lengthUnknown && (
            <p className="note">
              The length of this wrench from square to grip is not on record: it cannot be reckoned.
            </p>
          )}
          <p className="cap">
            An extension along the nut’s axis changes nothing; the hand stays on the mark of the
            grip.
          </p>
        </details>
      )}
      {cannot && <BodyWeight nm={nm} />}
    </section>
  );
}

/** Where somebody stands on a level bar, when no tool of the shop reaches. */
function BodyWeight({ nm }: { nm: number }) {
  const way = usualBarWay(nm);
  if (!way) return null;
  return (
    <p className="cap">
      Stop-gap: {usualPersonKg} kg / {standingLb} lb stands {way.standM.toFixed(2)} m /{' '}
      {both(way.standM * 1000, 'length', 0).other} from the nut on a level bar of {usualBar.lengthM}{' '}
      m, its own weight counted, ±10 % at best{way.reaches ? '' : ': this bar is too short'}. Hold
      on to something, and check again with a wrench.
    </p>
  );
}
