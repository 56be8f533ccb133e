import type { Role, Stack } from '../../core/press/index.ts';
import type { ChoiceBody } from '../../core/schemas/events.ts';
import { stackList } from '../../ui/section/cutaway/stackList.ts';
import { useJob } from '../shell/useJob.ts';
import { stackIds, stackKey, type Stroke } from './useStroke.ts';

/** What stays chosen when a piece or a tool of the stroke changes. */
export const keptChoice = ({ setup }: Stroke): Partial<ChoiceBody<'stack-hub-out'>> => ({
  pressId: setup.press.id,
  ...(setup.usedAgain ? { usedAgain: true } : {}),
});

/** With what the force is given; a tap on another lays the stack anew. */
export function ToolPicker({ stroke }: { stroke: Stroke }) {
  const { choose } = useJob();
  const { operation, setup, tools } = stroke;
  if (tools.length < 2) return null;
  return (
    <section>
      <label className="field tool-pick">
        <span>With</span>
        <select
          className="pick"
          value={setup.press.id}
          onChange={(e) =>
            choose(stackKey(operation), { ...keptChoice(stroke), pressId: e.target.value })
          }
        >
          {tools.map((p) => (
            <option key={p.id} value={p.id}>
              {p.name}
              {p.kind === 'hammer' ? '' : `, ${p.capacityKn} kN`}
            </option>
          ))}
        </select>
      </label>
    </section>
  );
}

/** The stack from top to bottom; a piece of the kit is changed by a tap. */
export function StackSection({
  stroke,
  stack,
  byHand,
  onByHand,
  onPick,
}: {
  stroke: Stroke;
  stack: Stack;
  byHand: boolean;
  onByHand: (on: boolean) => void;
  onPick: (role: Role) => void;
}) {
  const { choose } = useJob();
  const { setup, recorded, solved, operation } = stroke;
  const best = solved.solutions[0]?.stack;
  return (
    <section className="stack">
      <h2>
        Stack, top to bottom <span className="cap">tinted: your kit</span>
      </h2>
      <ol>
        {stackList(stack, setup).map(({ key, name, size, role }, i) => (
          <li key={key}>
            {role ? (
              <button
                type="button"
                className="from-kit"
                disabled={recorded !== undefined}
                onClick={() => onPick(role)}
              >
                <span className="figure num">{i + 1}</span>
                <b>{name}</b>
                <span className="num">{size}</span>
              </button>
            ) : (
              <div>
                <span className="figure num">{i + 1}</span>
                <span>{name}</span>
                <span className="num">{size}</span>
              </div>
            )}
          </li>
        ))}
      </ol>
      {stroke.byHand && !recorded && best && (
        <button
          type="button"
          className="btn quiet small w-full mt-2"
          onClick={() => choose(stackKey(operation), { ...stackIds(best), ...keptChoice(stroke) })}
        >
          Use the best stack: {[best.pusher, best.support].flatMap((a) => a?.name ?? []).join(', ')}
        </button>
      )}
      {!recorded && (
        <div className="links">
          <button
            type="button"
            className="link"
            aria-pressed={byHand}
            onClick={() => onByHand(!byHand)}
          >
            {byHand ? 'Close the drawer' : 'Lay it by hand'}
          </button>
          {!stack.cap && (
            <button type="button" className="link" onClick={() => onPick('cap')}>
              Lay a piece on top
            </button>
          )}
          {stack.support && !stack.riser && (
            <button type="button" className="link" onClick={() => onPick('riser')}>
              Raise the support
            </button>
          )}
        </div>
      )}
    </section>
  );
}

/** A bearing that goes back in may not carry the force through its balls on removal either. */
export function GoesBack({ stroke: { operation, setup } }: { stroke: Stroke }) {
  const { choose } = useJob();
  return (
    <section>
      <label className="check">
        <input
          type="checkbox"
          checked={setup.usedAgain ?? false}
          onChange={(e) =>
            choose(stackKey(operation), { pressId: setup.press.id, usedAgain: e.target.checked })
          }
        />{' '}
        This bearing goes back in
      </label>
    </section>
  );
}
