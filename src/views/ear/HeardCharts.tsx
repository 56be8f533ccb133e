import { useMemo } from 'react';
import type { Settings } from '../../core/noise/index.ts';
import OrderChart from './OrderChart.tsx';
import type { Heard } from './useEar.ts';

const ofTheDrive = (family: string) => family === 'tyre' || family === 'driveline';

/** The last two recordings laid on turns of the wheel: what rings once a blow, and what hums. */
export function HeardCharts({
  heard,
  settings,
  jobNumber,
}: {
  heard: readonly Heard[];
  settings: Pick<Settings, 'axleRatio' | 'pinionTeeth'> | undefined;
  jobNumber: string;
}) {
  const last = heard.at(-1)?.analysis;
  const lines = useMemo(
    () => ({
      envelope: heard.map((h) => ({ name: h.name, spectrum: h.analysis.envelope })),
      raw: heard.map((h) => ({ name: h.name, spectrum: h.analysis.raw })),
    }),
    [heard],
  );
  const peaks = useMemo(() => {
    const found = last?.peaks.filter((p) => p.family === last.finding) ?? [];
    return {
      envelope: found.filter((p) => !ofTheDrive(p.family)),
      raw: found.filter((p) => ofTheDrive(p.family)),
    };
  }, [last]);
  if (!last) return <NothingHeard />;
  const { axleRatio, pinionTeeth } = settings ?? {};
  return (
    <>
      <OrderChart
        title={`Envelope, ${Math.round(last.band.fromHz)}–${Math.round(last.band.toHz)} Hz: what rings once a blow`}
        lines={lines.envelope}
        peaks={peaks.envelope}
        maxOrder={18}
        fileName={`envelope-${jobNumber}`}
      />
      <OrderChart
        title="Plain spectrum: wheel, tyre, driveline"
        lines={lines.raw}
        peaks={peaks.raw}
        maxOrder={axleRatio && pinionTeeth ? Math.ceil((pinionTeeth + 2) * axleRatio) : 10}
        fileName={`spectrum-${jobNumber}`}
      />
    </>
  );
}

function NothingHeard() {
  return (
    <div className="ear-empty">
      <svg viewBox="0 0 600 200" aria-hidden="true">
        <path
          className="ghost"
          d="M20 180H580M20 20V180M60 180L80 120L100 180M200 180L214 60L228 180M400 180L414 90L428 180"
        />
      </svg>
      <p className="note big">
        Drag a WAV file here, or choose one. Speed and tyre first: they lay the sound on turns of
        the wheel.
      </p>
    </div>
  );
}
