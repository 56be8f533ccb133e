import { Printer } from 'lucide-react';
import { useRef } from 'react';
import { cautions } from '../../core/families/index.ts';
import { dangerOf, ringHolds } from '../../core/job/index.ts';
import {
  type Setup,
  impactAdvice,
  type Judgement,
  type Operation,
  operationNames,
  type Press,
  screws,
  screwTorqueBandNm,
  seatToleranceMm,
  type Stack,
} from '../../core/press/index.ts';
import { sentence } from '../../core/rules/index.ts';
import { VerdictLines } from '../../ui/Panels.tsx';
import { both } from '../../ui/units.ts';
import { savePng, saveSvg } from '../../ui/exportSvg.ts';
import { stackList } from '../../ui/section/cutaway/stackList.ts';
import { useJob } from '../shell/useJob.ts';

/** Takes the drawing away: as a file, or as one printed page to lay beside the press. */
export function SetupSheet({
  stack,
  setup,
  judgement,
}: {
  stack: Stack;
  setup: Setup;
  judgement: Judgement;
}) {
  const { view } = useJob();
  const { requirement: r, forceKn, press } = setup;
  const here = useRef<HTMLElement>(null);
  const drawing = () =>
    here.current?.closest('.station')?.querySelector<SVGSVGElement>('.pic svg.drawing') ??
    undefined;
  const name = `${r.operation}-${view.job.number}`;
  const kn = (v: number) => {
    const b = both(v, 'force', 1);
    return `${b.value} kN / ${b.other}`;
  };
  const danger = dangerOf(press);
  return (
    <section ref={here} className="setup">
      <h2 className="no-print">Take it to the press</h2>
      <div className="three-btns no-print">
        <button type="button" className="btn quiet small" onClick={() => window.print()}>
          <Printer aria-hidden="true" />
          Sheet
        </button>
        <button
          type="button"
          className="btn quiet small"
          onClick={() => {
            const d = drawing();
            if (d) saveSvg(d, name);
          }}
        >
          SVG
        </button>
        <button
          type="button"
          className="btn quiet small"
          onClick={() => {
            const d = drawing();
            if (d) void savePng(d, name);
          }}
        >
          PNG
        </button>
      </div>
      <div className="sheet-only">
        <h1>{operationNames[r.operation]}</h1>
        <p>
          Unit {view.ctx.unit.fleetNo}, {view.ctx.corner}, job {view.job.number}. {press.name}
          {press.kind === 'hammer' ? '' : `, ${press.capacityKn} kN`}.
        </p>
        <ol>
          {stackList(stack, setup).map((p) => (
            <li key={p.key}>
              <b>{p.name}</b> {p.size}
            </li>
          ))}
        </ol>
        <p>
          Expect {kn(forceKn.low)} to {kn(forceKn.high)}; travel {r.travelMm.toFixed(1)} ±{' '}
          {seatToleranceMm} mm. {judgement.verdicts[0] && sentence(judgement.verdicts[0])}
        </p>
        <p>
          <b>{cautions[danger].text}</b> {cautions[danger].why}
        </p>
      </div>
      <Holds operation={r.operation} />
      <ScrewTorques setup={setup} presses={view.ctx.presses} />
    </section>
  );
}

/** What will hold the shaft in its axle once the ring is on. */
function Holds({ operation }: { operation: Operation }) {
  const { view } = useJob();
  const holds = ringHolds(view, operation);
  if (!holds) return null;
  const { value, other } = both(holds.holdsKn, 'force', 1);
  return (
    <div className="holds no-print">
      <h2>Holds the shaft</h2>
      {holds.verdict ? (
        <VerdictLines verdicts={[holds.verdict]} />
      ) : (
        <p className="cap">
          {value} kN / {other} at least. The load of this axle is not on the unit’s record: a bend
          cannot be held against it.
        </p>
      )}
    </div>
  );
}

/** Torque on the screws of the kit, else on common ones, and how far an impact gun may go. */
function ScrewTorques({
  setup: { requirement: r, forceKn, press },
  presses,
}: {
  setup: Setup;
  presses: readonly Press[];
}) {
  const own = presses.flatMap((p) =>
    p.screw && !p.retired ? [{ id: p.id, name: p.name, tool: p.screw }] : [],
  );
  const usual = own.length > 0 ? own : screws;
  const shown = press.screw ? own.filter((s) => s.id === press.id) : usual;
  if (r.throughMm === 0) return null;
  return (
    <details className="more no-print" open={press.screw !== undefined}>
      <summary>{press.screw ? 'Torque on the screw' : 'With a screw tool'}</summary>
      <table className="rows">
        <tbody>
          {shown.map((s) => {
            const band = screwTorqueBandNm(forceKn.high, s.tool);
            const t = both(band.likely, 'torque', 0);
            const [least, most] = [both(band.low, 'torque', 0), both(band.high, 'torque', 0)];
            return (
              <tr key={s.id}>
                <td>{s.name}</td>
                <td className="figure">
                  <b>
                    {t.value} {t.unit}
                  </b>
                  <br />
                  <span className="cap">
                    {t.other}; {least.value} to {most.value}
                  </span>
                </td>
              </tr>
            );
          })}
        </tbody>
      </table>
      <p className="cap">
        Torque for the greatest expected force, thread greased; from to is for friction from 0.08 to
        0.16. The tool is rated for what it gives when it runs easy. {impactAdvice(r)}
      </p>
    </details>
  );
}
