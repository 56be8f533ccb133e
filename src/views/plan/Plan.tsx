import { cautions, itemsOf, type RouteId } from '../../core/families/index.ts';
import { expansionMm, type Film, films, materials } from '../../core/fits/index.ts';
import {
  chosenPart,
  type Depth,
  depthNames,
  depthOf,
  depths,
  fastenerOn,
  familyCodeOf,
  familyOf,
  filmNames,
  filmOf,
  missingFor,
  solvedFor,
  stepsOf,
  strokesOf,
  usualRoute,
  timerNow,
} from '../../core/job/index.ts';
import { chillMinutes, schedule } from '../../core/plan/index.ts';
import { type Operation, operationNames, type SolveResult } from '../../core/press/index.ts';
import { fastenerInWords } from '../../core/torque/index.ts';
import { Call, type CallStatus, Caution, Choices, MainAction, Toggles } from '../../ui/Panels.tsx';
import { JobSheet, type SheetProps, StationBody } from '../shell/JobSheet.tsx';
import { useJob } from '../shell/useJob.ts';
import { useServerClock } from '../shell/useTick.ts';
import { Timeline } from './Timeline.tsx';
import './plan.css';

export default function Plan(props: SheetProps) {
  return (
    <JobSheet {...props} station="plan">
      <Body />
    </JobSheet>
  );
}

type Wait = 'soak' | 'chill';

/** Whether this route can be set up with this kit, and where it waits. */
function toldOf(
  strokes: readonly { o: Operation; found: SolveResult | undefined }[],
  idleMin: number,
  walked: boolean,
): { status: CallStatus; text: string } {
  if (!walked)
    return {
      status: 'stop',
      text: 'This route is worked outside True Spindle. Choose one with its hours.',
    };
  // What is not known yet is no verdict on the kit: it is read at its stroke.
  const open = strokes.filter((x) => x.found === undefined).length;
  if (open > 0)
    return {
      status: 'to-do',
      text: `${open} of ${strokes.length} strokes wait for figures of this corner: they are read at their stroke.`,
    };
  const gap = strokes.find((x) => x.found?.solutions.length === 0);
  const lacks = gap?.found?.missing[0]?.text;
  if (gap) return { status: 'check', text: `${operationNames[gap.o]}: the kit lacks ${lacks}.` };
  const waits =
    idleMin > 0 ? `${idleMin} min idle in a wait.` : 'Every wait fits inside other work.';
  if (strokes.length === 0) return { status: 'to-do', text: `Nothing is pressed here. ${waits}` };
  const all = strokes.length === 1 ? 'The stroke' : `All ${strokes.length} strokes`;
  return { status: 'good', text: `${all} can be set up with this kit. ${waits}` };
}

/** What goes beside what, and when it ends. */
function Body() {
  const { view, send, choose } = useJob();
  const { state, choices, job } = view;
  const family = familyOf(view);
  const usual = usualRoute(view);
  const routes = family?.routes ?? [];
  const plan = choices.plan?.value ?? {
    route: usual.id,
    soak: true,
    chill: false,
    film: undefined,
  };
  const s = schedule({ ...plan, family: family?.code });
  const strip = stepsOf(view, 'strip');
  // Only what this corner's own way takes up.
  const fasteners = stepsOf(view, 'rebuild').flatMap(
    (x) => (x.fastener && fastenerOn(view, x.fastener)) || [],
  );
  const tools = [...new Set(strip.flatMap((x) => x.tools ?? []))];
  const strokes = strokesOf(view).map((o) => ({ o, found: solvedFor(view, o) }));
  const told = toldOf(strokes, s.idleMin, routes.find((r) => r.id === plan.route)?.walked === true);
  const waits: Wait[] = [
    ...(plan.soak ? ['soak' as const] : []),
    ...(plan.chill ? ['chill' as const] : []),
  ];
  const set = (route: RouteId, w: readonly Wait[], film = plan.film) =>
    choose('plan', {
      route,
      soak: w.includes('soak'),
      chill: w.includes('chill'),
      ...(film ? { film } : {}),
    });
  const walkable = routes.find((r) => r.id === plan.route)?.walked;
  const start = async () => {
    if (!choices.plan && !(await set(plan.route, waits))) return;
    if (state.done.includes('plan') || (await send('station-done', { station: 'plan' })))
      location.assign(`/jobs/${job.id}/press-out`);
  };
  const depth = depthOf(view);
  const missing = missingFor('plan', view).filter((m) => m !== 'No route chosen')[0];
  return (
    <StationBody
      kicker={`${strip.length} steps to strip, ${stepsOf(view, 'rebuild').length} to rebuild, one technician`}
      title="What goes beside what?"
      picture={
        <div className="plan-pic">
          <Timeline plan={s} startMs={view.nowMs} timeZone={view.timeZone} />
          <div className="waits">
            <h2>Waits</h2>
            <Toggles<Wait>
              name="Waits"
              values={waits}
              onValues={(w) => set(plan.route, w)}
              options={[
                ...(strip.some((x) => x.id === 'soak')
                  ? [{ id: 'soak' as const, label: 'penetrant soak, 20 min' }]
                  : []),
                ...(strokes.length > 0
                  ? [{ id: 'chill' as const, label: 'chill the bearing, 75 min' }]
                  : []),
              ]}
            />
            <h2>How deep</h2>
            <Choices<Depth>
              name="How deep"
              value={depth}
              onValue={(d) => choose('depth', { depth: d })}
              options={depths.map((id) => ({ id, label: depthNames[id] }))}
            />
            {strokes.length > 0 && (
              <>
                <h2>Film on the seat</h2>
                <Choices<Film>
                  name="Film on the seat"
                  value={filmOf(view)}
                  onValue={(f) => set(plan.route, waits, f)}
                  options={films.map((f) => ({ id: f, label: filmNames[f] }))}
                />
              </>
            )}
          </div>
          <div className="routes" role="radiogroup" aria-label="Route">
            {routes.map((r) => (
              <button
                key={r.id}
                type="button"
                role="radio"
                aria-checked={r.id === plan.route}
                className={r.id === plan.route ? 'is-on' : ''}
                onClick={() => set(r.id, waits)}
              >
                <b>{r.name}</b>
                <span>
                  {r.walked
                    ? hours(schedule({ ...plan, route: r.id, family: family?.code }).endMin)
                    : 'worked outside True Spindle'}
                </span>
                <span>
                  Alignment {r.alignmentMin > 0 ? `checked, ${r.alignmentMin} min` : 'not needed'}
                </span>
                <span>{r.risk}</span>
              </button>
            ))}
          </div>
        </div>
      }
      side={
        <>
          <Call status={told.status}>{told.text}</Call>
          {!choices.plan && (
            <section>
              <p className="cap">{usual.reason}</p>
            </section>
          )}
          {plan.chill && choices.plan && <Freezer />}
          <section>
            <h2>Take to the car{strokes.length > 0 ? ' and the press' : ''}</h2>
            <p className="note">{tools.join(', ')}.</p>
            <table className="rows">
              <tbody>
                {strokes.map(
                  ({ o, found }) =>
                    found?.solutions[0] && (
                      <tr key={o}>
                        <td>{operationNames[o].replace('Press ', '')}</td>
                        <td className="right">
                          {[found.solutions[0].stack.pusher, found.solutions[0].stack.support]
                            .flatMap((a) => a?.name ?? [])
                            .join(', ')}
                        </td>
                      </tr>
                    ),
                )}
              </tbody>
            </table>
          </section>
          <section>
            <h2>Fasteners</h2>
            <table className="rows">
              <tbody>
                {fasteners.map((f) => (
                  <tr key={f.name}>
                    <td>{f.name}</td>
                    <td className="figure">
                      <b>{fastenerInWords(f)}</b>
                    </td>
                  </tr>
                ))}
                {fasteners.length === 0 && (
                  <tr>
                    <td>No figures on record: take them from the maker’s data.</td>
                  </tr>
                )}
              </tbody>
            </table>
            <p className="cap">{fasteners[0]?.source}</p>
          </section>
          <section>
            <h2>New each time</h2>
            <p className="note">
              {itemsOf(familyCodeOf(view))
                .filter((i) => i.singleUse)
                .map((i) => i.name)
                .join(', ')}
              .
            </p>
          </section>
          <section>
            <p className="cap">
              True Spindle supports a trained person. The vehicle maker’s instructions, local rules
              and licensed practice come first.
            </p>
          </section>
          <div className="grow" />
        </>
      }
      actions={
        <MainAction
          label="Start work"
          missing={walkable ? missing : 'Choose a route that can be walked'}
          onAct={start}
        />
      }
    />
  );
}

const hours = (min: number) => `${Math.floor(min / 60)} h ${String(min % 60).padStart(2, '0')}`;

/** The chill as a real wait: in its wrapping against frost, ready when the core is cold. */
function Freezer() {
  const { view, send } = useJob();
  const now = useServerClock(view.nowMs);
  const timer = view.state.timers.find((t) => t.id === 'chill');
  const part = chosenPart(view);
  const cold = timer !== undefined && timerNow(timer, now).stand === 'over';
  return (
    <section>
      <h2>Freezer</h2>
      {!timer ? (
        <>
          <p className="note">
            In its wrapping, against frost. Cold after about {chillMinutes} min.{' '}
            {part &&
              `At −18 °C the ring is ${(-expansionMm(part.bearing.outerMm, materials.steel.alphaPerK, -38)).toFixed(3)} mm smaller outside.`}
          </p>
          <Caution why={cautions.cold.why}>{cautions.cold.text}</Caution>
          <button
            type="button"
            className="btn quiet small w-full mt-2"
            onClick={() =>
              send('timer-started', {
                timerId: 'chill',
                label: 'bearing chills',
                minutes: chillMinutes,
              })
            }
          >
            Bearing is in: start the clock
          </button>
        </>
      ) : (
        <>
          <p className="note">
            <b className="num">{cold ? 'Cold' : timerNow(timer, now).words}</b>{' '}
            {cold ? 'now: wipe the frost, oil, press at once' : 'until it is cold'}
          </p>
          <button
            type="button"
            className="btn quiet small w-full mt-2"
            onClick={() => send('timer-ended', { timerId: 'chill' })}
          >
            Taken out
          </button>
        </>
      )}
    </section>
  );
}
