import { useState } from 'react';
import { cautions } from '../../core/families/index.ts';
import { halfGoneMin, leftMm, type Warming, warmingFaults } from '../../core/fits/index.ts';
import { seatOf, temperHelps, workOf } from '../../core/job/index.ts';
import { keysOf } from '../../core/keys-of.ts';
import { freezerC, warmBearingC } from '../../core/press/index.ts';

import { anchorAt } from '../../ui/firstThat.ts';
import { VerdictShape } from '../../ui/Marks.tsx';
import { Caution, Choices } from '../../ui/Panels.tsx';
import { QuantityInput } from '../../ui/QuantityInput.tsx';
import { useDraft } from '../../ui/useDraft.ts';
import { useJob } from '../shell/useJob.ts';
import { asTyped, readTyped } from '../../ui/units.ts';

/** Usual time constants in still air, min (judgement). */
const tau = { bearing: 6, housing: 14 } as const;

/** What is brought to a temperature, and what that may help: a bore takes a cold ring or is warmed, a shaft takes a warm one. */
const ways = {
  chill: { of: 'bearing', helps: 'cold', label: 'chill the bearing', startC: freezerC },
  housing: { of: 'housing', helps: 'cold', label: 'warm the housing', startC: 80 },
  warm: { of: 'bearing', helps: 'warm', label: 'warm the bearing', startC: warmBearingC },
} as const;
type Way = keyof typeof ways;

/** What cold or heat gives at the seat, and how long it lasts; the window runs as a timer on the floor. */
export function TemperaturePlan() {
  const { view, send } = useJob();
  const { state, choices, job } = view;
  const helps = temperHelps(view);
  const [picked, setWay] = useState<Way>();
  const open = keysOf(ways).filter((w) => ways[w].helps === helps);
  const way = picked ?? open[0] ?? 'chill';
  const what = ways[way].of;
  const [startText, setStart] = useDraft(
    `${job.id}:temp:${way}`,
    asTyped(ways[way].startC, 'temperature', 0),
  );
  const [shopText, setShop] = useDraft(`${job.id}:temp:shop`, asTyped(20, 'temperature', 0));
  const work = workOf(view);
  const start = readTyped(startText, 'temperature');
  const shop = readTyped(shopText, 'temperature');
  if (!work || open.length === 0) return null;
  const diameterMm = way === 'warm' ? work.bearing.boreMm : work.bearing.outerMm;
  const w: Warming | undefined =
    start.ok && shop.ok
      ? {
          diameterMm,
          material: what === 'bearing' ? 'steel' : (seatOf(view, 'bore')?.material ?? 'steel'),
          startC: start.value,
          shopC: shop.value,
          tauMin: tau[what],
        }
      : undefined;
  const faults = start.ok ? warmingFaults(what, start.value) : [];
  const gain = w ? leftMm(w, 0) : undefined;
  const half = halfGoneMin(tau[what]);
  const x = (min: number) => 10 + 19.6 * min;
  const y = (mm: number) => 44 - (36 * Math.abs(mm)) / Math.max(0.001, Math.abs(gain ?? 0));
  const chosen = way === 'warm' ? choices.plan?.value.warm : choices.plan?.value.chill;
  const running = state.timers.some((t) => t.id === 'temperature-window');
  return (
    <details className="more">
      <summary>Cold or heat: what it gives</summary>
      <div className="grid gap-2">
        <Choices
          name="What is brought to a temperature"
          value={way}
          onValue={setWay}
          options={open.map((id) => ({ id, label: ways[id].label }))}
        />
        {way !== 'chill' && <Caution why={cautions.heat.why}>{cautions.heat.text}</Caution>}
        <div className="pair-in">
          <QuantityInput
            compact
            label={what === 'bearing' ? 'Bearing at' : 'Knuckle at'}
            dimension="temperature"
            decimals={0}
            text={startText}
            onText={setStart}
          />
          <QuantityInput
            compact
            label="Shop at"
            dimension="temperature"
            decimals={0}
            text={shopText}
            onText={setShop}
          />
        </div>
        {w && gain !== undefined && (
          <>
            <p className="num">
              <b>
                {gain > 0 ? '+' : '−'}
                {Math.abs(gain).toFixed(3)} mm
              </b>{' '}
              on {diameterMm} mm; half of it is gone after about <b>{half.toFixed(0)} min</b>.
            </p>
            <svg
              className="drawing w-full"
              viewBox="0 0 318 62"
              role="img"
              aria-label={`What is left of it over 15 minutes`}
            >
              <path className="strip-tick" d="M10 44H308" />
              <path
                className="force-trace"
                fill="none"
                d={`M${Array.from({ length: 31 }, (_, i) => `${x(i / 2).toFixed(1)} ${y(leftMm(w, i / 2)).toFixed(1)}`).join('L')}`}
              />
              <path className="projection" d={`M${x(half)} 6V44`} />
              {[0, 5, 10, 15].map((m) => (
                <text key={m} className="figure" x={x(m)} y="60" textAnchor={anchorAt(m, 0, 15)}>
                  {m}
                  {m === 15 ? ' min' : ''}
                </text>
              ))}
            </svg>
          </>
        )}
        {faults.map((f) => (
          <p key={f} className="verdict-line stop">
            <VerdictShape status="stop" size={18} />
            <span>{f}</span>
          </p>
        ))}
        <p className="cap">
          {way === 'chill'
            ? 'Wipe off the frost and oil the seat. Gloves.'
            : 'No flame. Encoder and seals near it set the ceiling.'}{' '}
          Time constant {tau[what]} min, judgement. School:{' '}
          {chosen ? `${ways[way].label}, chosen at Plan` : 'neither cold nor heat chosen at Plan'}.
        </p>
        <button
          type="button"
          className="btn quiet small"
          aria-disabled={faults.length > 0 || running || !w}
          onClick={() => {
            if (faults.length === 0 && !running && w)
              void send('timer-started', {
                timerId: 'temperature-window',
                label: way === 'chill' ? 'chill window' : 'heat window',
                minutes: Number(half.toFixed(1)),
              });
          }}
        >
          {running ? 'The window is running' : 'Out now: start the window'}
        </button>
      </div>
    </details>
  );
}
