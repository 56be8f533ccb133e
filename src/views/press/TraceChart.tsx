import { Chart, Filler, LinearScale, LineController, LineElement, PointElement } from 'chart.js';
import zoom from 'chartjs-plugin-zoom';
import { useEffect, useRef } from 'react';
import { type Setup, forceAtKn } from '../../core/press/index.ts';
import type { EventBody } from '../../core/schemas/events.ts';

Chart.register(LineController, LineElement, PointElement, LinearScale, Filler, zoom);

const token = (name: string) =>
  getComputedStyle(document.documentElement).getPropertyValue(name).trim();

/** Force over travel with the band that was expected. */
export default function TraceChart({
  trace,
  setup,
}: {
  trace: EventBody<'stroke-traced'>;
  setup: Setup;
}) {
  const canvas = useRef<HTMLCanvasElement>(null);
  useEffect(() => {
    const { requirement: r } = setup;
    const steps = Array.from({ length: 31 }, (_, i) => (r.travelMm * i) / 30);
    const band = (which: 'low' | 'high') =>
      steps.map((x) => ({ x, y: forceAtKn(setup, x)[which] }));
    const font = { family: token('--num'), size: 15 };
    const axis = (text: string) => ({
      type: 'linear' as const,
      title: { display: true, text, color: token('--ink'), font },
      ticks: { color: token('--ink'), font },
      grid: { color: token('--rule') },
    });
    const chart = new Chart(canvas.current!, {
      type: 'line',
      data: {
        datasets: [
          {
            data: band('low'),
            borderColor: token('--ink-2'),
            borderWidth: 1,
            borderDash: [4, 3],
            pointRadius: 0,
          },
          {
            data: band('high'),
            borderColor: token('--ink-2'),
            borderWidth: 1,
            borderDash: [4, 3],
            pointRadius: 0,
            fill: '-1',
            backgroundColor: token('--blue-wash'),
          },
          {
            data: trace.samples.map(([, x, y]) => ({ x: x!, y: y! })),
            borderColor: token('--blue'),
            borderWidth: 2,
            pointRadius: 0,
            order: -1,
          },
        ],
      },
      options: {
        animation: false,
        parsing: false,
        maintainAspectRatio: false,
        scales: { x: axis('travel, mm'), y: axis('force, kN') },
        plugins: {
          zoom: {
            zoom: {
              wheel: { enabled: true },
              pinch: { enabled: true },
              drag: { enabled: true },
              mode: 'xy',
            },
          },
        },
      },
    });
    return () => chart.destroy();
  }, [trace, setup]);
  return (
    <div className="trace-chart">
      <canvas
        ref={canvas}
        role="img"
        aria-label={`Force over travel, ${trace.samples.length} readings, peak ${Math.max(...trace.samples.map(([, , f]) => f!)).toFixed(1)} kN`}
      />
    </div>
  );
}
