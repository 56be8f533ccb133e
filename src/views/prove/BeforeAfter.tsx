import { testById } from '../../core/diagnosis/index.ts';
import { firstThat } from '../../ui/firstThat.ts';
import { useJob } from '../shell/useJob.ts';

const width = 420;

/** The same figures at Diagnose and now, on one axis each, where both were measured. */
export function BeforeAfter() {
  const { view } = useJob();
  const { state } = view;
  const heat = [...state.results]
    .reverse()
    .find((r) => r.testId === 'heat' && r.value !== undefined);
  const after = state.checks['warmth']?.value;
  const ear = [...state.results].reverse().find((r) => r.testId === 'ear' && r.value !== undefined);
  const said = state.complaint?.sound;
  const road = state.checks['road'];
  return (
    <section className="before-after" aria-label="Before and after">
      <div>
        <h2>Noise</h2>
        <p className="note">
          Before: {said ?? 'not said'}
          {state.complaint?.peaksKmh ? `, strongest at ${state.complaint.peaksKmh} km/h` : ''}
          {ear
            ? `; ${testById('ear')?.short.toLowerCase()} ${Math.abs(ear.value!).toFixed(0)} dB apart`
            : ''}
          . Now: {firstThat([!road, 'not driven yet'], [road?.ok, 'gone'], [true, 'still there'])}.
        </p>
      </div>
      {(heat || after !== undefined) && (
        <div>
          <h2>Both sides after a drive</h2>
          <svg
            className="drawing"
            viewBox={`0 0 ${width + 60} 64`}
            role="img"
            aria-label={`Before ${heat ? Math.abs(heat.value!).toFixed(0) : 'not read'}, now ${after ?? 'not read'} °C`}
          >
            <path className="strip-tick" d={`M0 40H${width}`} />
            {[0, 20, 40, 60].map((v) => (
              <g key={v}>
                <path className="strip-tick" d={`M${(v / 60) * width} 40v6`} />
                <text className="figure" x={(v / 60) * width} y="60">
                  {v}
                  {v === 60 ? ' °C' : ''}
                </text>
              </g>
            ))}
            {heat && (
              <>
                <path
                  className="was-bar"
                  d={`M0 14H${Math.min(width, (Math.abs(heat.value!) / 60) * width)}`}
                />
                <text x={Math.min(width, (Math.abs(heat.value!) / 60) * width) + 6} y="18">
                  before
                </text>
              </>
            )}
            {after !== undefined && (
              <>
                <path className="now-bar" d={`M0 30H${Math.min(width, (after / 60) * width)}`} />
                <text x={Math.min(width, (after / 60) * width) + 6} y="34">
                  now
                </text>
              </>
            )}
          </svg>
        </div>
      )}
    </section>
  );
}
