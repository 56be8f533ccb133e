import {
  Chart,
  type ChartConfiguration,
  Filler,
  LinearScale,
  LineController,
  LineElement,
  type Plugin,
  PointElement,
} from 'chart.js';
import { useEffect, useRef } from 'react';
import type { OrderSpectrum, Peak } from '../../core/noise/index.ts';
import { saveCsv, saveFile } from '../../ui/saveFile.ts';

Chart.register(LineController, LineElement, PointElement, LinearScale, Filler);

export interface Line {
  name: string;
  spectrum: OrderSpectrum;
}

interface Props {
  title: string;
  lines: readonly Line[];
  peaks: readonly Peak[];
  maxOrder: number;
  fileName: string;
}

const token = (name: string) =>
  getComputedStyle(document.documentElement).getPropertyValue(name).trim();
const short: Record<Peak['family'], string> = {
  'outer-ring': 'outer',
  'inner-ring': 'inner',
  ball: 'ball',
  tyre: 'wheel',
  driveline: 'drive',
};

/** Our marks over the spectrum: a line at each order of a family and its name on the first. */
const marks = (peaks: readonly Peak[]): Plugin<'line'> => ({
  id: 'marks',
  afterDatasetsDraw({ ctx, chartArea, scales }) {
    const x = scales['x']!;
    ctx.save();
    ctx.font = `600 15px ${token('--face')}`;
    for (const p of peaks) {
      const at = x.getPixelForValue(p.order);
      if (at < chartArea.left || at > chartArea.right) continue;
      const wheel = p.family === 'tyre' || p.family === 'driveline';
      ctx.strokeStyle = ctx.fillStyle = token(wheel ? '--check' : '--blue');
      ctx.setLineDash(wheel ? [2, 3] : [6, 3]);
      ctx.beginPath();
      ctx.moveTo(at, chartArea.top + 18);
      ctx.lineTo(at, chartArea.bottom);
      ctx.stroke();
      ctx.setLineDash([]);
      ctx.beginPath();
      if (wheel) ctx.arc(at, chartArea.top + 12, 5, 0, 7);
      else {
        ctx.moveTo(at - 7, chartArea.top + 6);
        ctx.lineTo(at + 7, chartArea.top + 6);
        ctx.lineTo(at, chartArea.top + 18);
      }
      ctx.fill();
      if (p.harmonic === 1)
        ctx.fillText(
          `${short[p.family]} ${p.order.toFixed(2)}, ${p.dbOverFloor.toFixed(0)} dB`,
          Math.min(at + 10, chartArea.right - 150),
          chartArea.top + 17,
        );
    }
    ctx.restore();
  },
});

/** dB over the local floor against wheel orders; drag or wheel to zoom. */
export default function OrderChart({ title, lines, peaks, maxOrder, fileName }: Props) {
  const canvas = useRef<HTMLCanvasElement>(null);
  const chart = useRef<Chart>(undefined);
  useEffect(() => {
    let gone = false;
    void import('chartjs-plugin-zoom').then(({ default: zoom }) => {
      if (gone || !canvas.current) return;
      Chart.register(zoom);
      const num = { family: token('--num'), size: 15 };
      const config: ChartConfiguration<'line'> = {
        type: 'line',
        data: {
          datasets: lines.map((l, i) => ({
            label: l.name,
            parsing: false,
            pointRadius: 0,
            borderWidth: i === lines.length - 1 ? 1.6 : 1.2,
            borderColor: token(i === lines.length - 1 ? '--ink' : '--edge'),
            borderDash: i === lines.length - 1 ? [] : [5, 3],
            fill: i === lines.length - 1 ? 'start' : false,
            backgroundColor: token('--blue-wash'),
            data: Array.from(
              l.spectrum.db.subarray(0, Math.ceil(maxOrder / l.spectrum.step)),
              (y, k) => ({ x: k * l.spectrum.step, y: Math.max(-6, y) }),
            ).slice(Math.ceil(0.3 / l.spectrum.step)),
          })),
        },
        options: {
          animation: false,
          responsive: true,
          maintainAspectRatio: false,
          scales: {
            x: {
              type: 'linear',
              min: 0,
              max: maxOrder,
              title: {
                display: true,
                text: 'orders of wheel rotation',
                color: token('--ink-2'),
                font: { size: 14 },
              },
              ticks: { color: token('--ink'), font: num },
              grid: { color: token('--rule') },
            },
            y: {
              min: -6,
              suggestedMax: 30,
              title: {
                display: true,
                text: 'dB over floor',
                color: token('--ink-2'),
                font: { size: 14 },
              },
              ticks: { color: token('--ink'), font: num },
              grid: { color: token('--rule') },
            },
          },
          plugins: {
            zoom: {
              zoom: {
                wheel: { enabled: true },
                pinch: { enabled: true },
                drag: { enabled: true },
                mode: 'x',
              },
              pan: { enabled: false },
              limits: { x: { min: 0, max: maxOrder } },
            },
          },
        },
        plugins: [marks(peaks)],
      };
      chart.current = new Chart(canvas.current, config);
    });
    return () => {
      gone = true;
      chart.current?.destroy();
    };
  }, [lines, peaks, maxOrder]);
  const png = () =>
    canvas.current?.toBlob((blob) => blob && saveFile(blob, `${fileName}.png`), 'image/png');
  const csv = () => {
    const last = lines.at(-1)!.spectrum;
    const text = [
      'order,dbOverFloor',
      ...Array.from(last.db, (y, k) => `${(k * last.step).toFixed(4)},${y.toFixed(2)}`),
    ].join('\n');
    saveCsv(text, fileName);
  };
  return (
    <figure className="order-chart">
      <figcaption>
        <b>{title}</b>
        <span>
          <button type="button" className="link" onClick={() => chart.current?.resetZoom()}>
            Whole
          </button>
          <button type="button" className="link" onClick={png}>
            PNG
          </button>
          <button type="button" className="link" onClick={csv}>
            CSV
          </button>
        </span>
      </figcaption>
      <div className="canvas-box">
        <canvas
          ref={canvas}
          role="img"
          aria-label={`${title}: ${peaks.map((p) => `${short[p.family]} order ${p.order.toFixed(2)} ${p.dbOverFloor.toFixed(0)} dB`).join(', ') || 'no peaks'}`}
        />
      </div>
    </figure>
  );
}
