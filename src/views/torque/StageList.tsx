import type { Procedure, Walk } from '../../core/torque/index.ts';
import { VerdictWord } from '../../ui/Marks.tsx';
import { stageFigure } from './stageFigure.ts';

/** Every stage with its figure; a recorded one with its word. */
export function StageList({ procedure: p, walk }: { procedure: Procedure; walk: Walk }) {
  return (
    <ol className="stages">
      {p.stages.map((s, i) => {
        const f = stageFigure(s);
        const v = walk.verdicts[i];
        const now = i === walk.current;
        return (
          <li key={s.id} className={now ? 'now' : ''} aria-current={now ? 'step' : undefined}>
            <span className="index num">{i + 1}</span>
            <p>
              <b className="num">
                {f.value} <small>{f.unit}</small>
              </b>
              <span>
                {f.other ? `${f.other}, ` : ''}
                {s.text.toLowerCase()}
              </span>
            </p>
            {v && <VerdictWord status={v.status} size={20} />}
          </li>
        );
      })}
    </ol>
  );
}
