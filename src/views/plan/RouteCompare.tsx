import { familyOf, type WeighedRoute, weighedRoutes } from '../../core/job/index.ts';
import type { RouteId } from '../../core/families/index.ts';
import { useJob } from '../shell/useJob.ts';

const hours = (min: number) => `${Math.floor(min / 60)} h ${String(min % 60).padStart(2, '0')}`;

function kitWords({ gaps, checks, strokes }: WeighedRoute): string {
  if (strokes === 0) return 'nothing is pressed';
  if (gaps > 0) return `${gaps} ${gaps === 1 ? 'stroke' : 'strokes'} without tools here`;
  return checks > 0
    ? `${checks} ${checks === 1 ? 'stack' : 'stacks'} no better than Check`
    : 'every stroke with tools from here';
}

/** The routes side by side on one scale of time: hands, waits, alignment, what is missing and what can go wrong. */
export function RouteCompare({
  chosen,
  onRoute,
}: {
  chosen: RouteId;
  onRoute: (route: RouteId) => void;
}) {
  const { view } = useJob();
  const walked = weighedRoutes(view);
  const longest = Math.max(1, ...walked.map((w) => w.minutes));
  return (
    <div className="routes" role="radiogroup" aria-label="Route">
      {(familyOf(view)?.routes ?? []).map((r) => {
        const w = walked.find((x) => x.route.id === r.id);
        return (
          <button
            key={r.id}
            type="button"
            role="radio"
            aria-checked={r.id === chosen}
            className={r.id === chosen ? 'is-on' : ''}
            onClick={() => onRoute(r.id)}
          >
            <b>{r.name}</b>
            {w ? <RouteBar w={w} longest={longest} /> : <span>worked outside True Spindle</span>}
            {w && <span>{kitWords(w)}</span>}
            <span>
              Alignment {r.alignmentMin > 0 ? `checked, ${r.alignmentMin} min` : 'not needed'}
            </span>
            <span>{r.risk}</span>
          </button>
        );
      })}
    </div>
  );
}

function RouteBar({ w, longest }: { w: WeighedRoute; longest: number }) {
  const x = (min: number) => (min / longest) * 196;
  const work = w.minutes - w.route.alignmentMin;
  return (
    <span className="route-bar">
      <b className="num">{hours(w.minutes)}</b>
      <svg className="drawing" viewBox="0 0 200 20" aria-hidden="true">
        <rect
          className="hands-on"
          fill="var(--blue-wash)"
          x="1"
          y="3"
          width={x(w.handsMin)}
          height="14"
        />
        {work > w.handsMin && (
          <rect
            className="wait-bar"
            fill="none"
            x={1 + x(w.handsMin)}
            y="3"
            width={x(work - w.handsMin)}
            height="14"
          />
        )}
        {w.route.alignmentMin > 0 && (
          <rect
            className="out"
            fill="var(--hatch)"
            x={1 + x(work)}
            y="3"
            width={x(w.route.alignmentMin)}
            height="14"
          />
        )}
      </svg>
      <span className="visually-hidden">{w.handsMin} min with hands on it</span>
    </span>
  );
}
