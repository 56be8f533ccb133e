import { type Film, films } from '../../core/fits/index.ts';
import {
  type Depth,
  depthNames,
  depthOf,
  depths,
  filmNames,
  filmOf,
  type PlanChoice,
  stepsOf,
  strokesOf,
  temperHelps,
} from '../../core/job/index.ts';
import { warmBearingC } from '../../core/press/index.ts';
import { both } from '../../ui/units.ts';
import { Call, Choices, Toggles } from '../../ui/Panels.tsx';
import { useJob } from '../shell/useJob.ts';
import type { Visit } from './useVisit.ts';

type Wait = 'soak' | 'chill' | 'warm';
const handsNames = { '1': 'one', '2': 'two' } as const;

/** Waits, hands, corners, depth and film: what the plan is made with. */
export function HowItIsDone({
  plan,
  onSet,
  visit,
}: {
  plan: PlanChoice;
  onSet: (change: Partial<PlanChoice>) => void;
  visit: Visit;
}) {
  const { view, choose } = useJob();
  const soaks = stepsOf(view, 'strip').some((x) => x.id === 'soak');
  const pressed = strokesOf(view).length > 0;
  const helps = temperHelps(view);
  const warmTo = `${both(warmBearingC, 'temperature', 0).value} ${both(warmBearingC, 'temperature', 0).unit}`;
  const waits: Wait[] = [
    ...(plan.soak ? ['soak' as const] : []),
    ...(plan.chill ? ['chill' as const] : []),
    ...(plan.warm ? ['warm' as const] : []),
  ];
  return (
    <div className="waits">
      <h2>Waits</h2>
      <Toggles<Wait>
        name="Waits"
        values={waits}
        onValues={(w) =>
          onSet({
            soak: w.includes('soak'),
            chill: w.includes('chill'),
            warm: w.includes('warm'),
          })
        }
        options={[
          ...(soaks ? [{ id: 'soak' as const, label: 'penetrant soak, 20 min' }] : []),
          // One that was chosen before stays in sight, so that it can be taken back.
          ...(helps === 'cold' || plan.chill
            ? [{ id: 'chill' as const, label: 'chill the bearing, 75 min' }]
            : []),
          ...(helps === 'warm' || plan.warm
            ? [{ id: 'warm' as const, label: `warm the bearing, ${warmTo} at most` }]
            : []),
        ]}
      />
      {plan.chill && helps !== 'cold' && (
        <Call status="check">
          The new bearing goes on to a shaft: cold shrinks its bore too and tightens the fit. Take
          the chill back.
        </Call>
      )}
      <h2>Hands</h2>
      <Choices<'1' | '2'>
        name="How many work at it"
        value={plan.people === 2 ? '2' : '1'}
        onValue={(n) => onSet({ people: Number(n) })}
        options={(['1', '2'] as const).map((id) => ({ id, label: handsNames[id] }))}
      />
      {visit.others.length > 0 && (
        <>
          <h2>On this car too</h2>
          <Toggles<string>
            name="Planned together"
            values={visit.with}
            onValues={visit.setWith}
            options={visit.others.map((o) => ({
              id: o.jobId,
              label: `${o.corner}, job ${o.number}`,
            }))}
          />
        </>
      )}
      <h2>How deep</h2>
      <Choices<Depth>
        name="How deep"
        value={depthOf(view)}
        onValue={(d) => choose('depth', { depth: d })}
        options={depths.map((id) => ({ id, label: depthNames[id] }))}
      />
      {pressed && (
        <>
          <h2>Film on the seat</h2>
          <Choices<Film>
            name="Film on the seat"
            value={filmOf(view)}
            onValue={(film) => onSet({ film })}
            options={films.map((f) => ({ id: f, label: filmNames[f] }))}
          />
        </>
      )}
    </div>
  );
}
