import type { ReactNode } from 'react';
import type { EventBody } from '../../core/schemas/events.ts';
import { Call, MainAction } from '../../ui/Panels.tsx';
import { VerdictShape } from '../../ui/Marks.tsx';
import { StationBody } from '../shell/JobSheet.tsx';
import { useJob } from '../shell/useJob.ts';
import { FactFigure } from './FactFigure.tsx';

export type FactId = EventBody<'fact-seen'>['factId'];

const facts: Record<FactId, { ask: string; why: string; done: string }> = {
  'inner-ring-off': { ask: 'Old inner ring off the hub journal', why: 'Separator first; cut to two thirds and split only if it will not move. Never touch the journal or the seal track.', done: 'Ring is off' },
  'snap-ring-out': { ask: 'Snap ring out of its groove', why: 'With the ring in, the press takes the knuckle.', done: 'Ring is out' },
  'snap-ring-fitted': { ask: 'New snap ring in, all round', why: 'Opening downwards, so that water drains. It must snap, and turn in its groove.', done: 'Snapped in all round' },
  'shield-on': { ask: 'Dust shield on', why: 'Behind the hub it cannot be fitted. Forgotten, it means the bearing again.', done: 'Shield is on' },
  'turns-smoothly': { ask: 'Hub turned by hand, ten turns', why: 'Stiff is normal for a new bearing; sandy is not.', done: 'Turns smoothly' },
  'no-gap': { ask: 'No gap between hub shoulder and ring', why: 'A thin blade must not go in anywhere.', done: 'No gap' },
};

/** Things to see with one's own eyes before going on. */
export function FactBody({ kicker, title, tabs, facts: ids, onNext, nextLabel = 'Next', missing }: { kicker: string; title: string; tabs: ReactNode; facts: readonly FactId[]; onNext: () => void; nextLabel?: string; missing?: string | undefined }) {
  const { view, send } = useJob();
  const seen = (id: FactId) => view.state.facts.includes(id);
  const open = ids.filter((id) => !seen(id));
  return (
    <StationBody
      kicker={kicker} title={title} tabs={tabs}
      picture={<div className="facts">{ids.map((id) => (
        <section key={id} className={seen(id) ? 'seen' : ''}>
          <FactFigure id={id} />
          <div><h2>{facts[id].ask}</h2><p className="note">{facts[id].why}</p>
            {seen(id) ? <p className="vd good"><VerdictShape status="good" size={24} />{facts[id].done}</p> : <button type="button" className="btn" onClick={() => send('fact-seen', { factId: id })}>{facts[id].done}</button>}</div>
        </section>
      ))}</div>}
      side={<><Call status={open.length === 0 ? 'good' : 'check'}>{open.length === 0 ? 'Seen, and on record.' : `${open.length} to see before the press moves again.`}</Call><div className="grow" /></>}
      actions={<MainAction label={nextLabel} missing={open[0] ? facts[open[0]].ask : missing} onAct={onNext} />}
    />
  );
}
