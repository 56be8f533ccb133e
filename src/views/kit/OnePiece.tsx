import { useState } from 'react';
import { type Adapter, type KitName, kitNames } from '../../core/press/index.ts';
import { VerdictShape } from '../../ui/Marks.tsx';
import { Choices } from '../../ui/Panels.tsx';
import { call } from '../shell/useJob.ts';

/** One piece of the kit: where it is kept, a copy of it, and out of use with a reason. */
export function OnePiece({
  piece: p,
  onKept,
}: {
  piece: Adapter;
  onKept: (a: Adapter, said: string) => void;
}) {
  const [why, setWhy] = useState('');
  const [problem, setProblem] = useState<string>();
  const keep = async (a: Adapter, said: string) => {
    const r = await call<Adapter>('POST', '/api/adapters', a);
    if (r.ok) {
      setProblem(undefined);
      onKept(a, said);
    } else setProblem(r.problem.errors[0]?.reason ?? r.problem.detail);
  };
  const { retired: _retired, ...inUse } = p;
  const copy = () => {
    const n = `${p.name} copy`;
    return keep(
      { ...inUse, id: `${p.id}-copy-${Date.now() % 10_000}`, name: n.slice(0, 60) },
      `${n} is in the kit.`,
    );
  };
  return (
    <section className="one-piece">
      <h2>{p.name}</h2>
      <p className="num">
        {p.outerMm} × {p.innerMm || '–'} × {p.heightMm} mm, {p.ratingKn} kN
      </p>
      <p className="note">
        {p.material}
        {p.note ? `, ${p.note}` : ''}
      </p>
      {p.retired ? (
        <>
          <p className="verdict-line stop">
            <VerdictShape status="stop" size={20} />
            Retired: {p.retired}
          </p>
          <button
            type="button"
            className="btn quiet small"
            onClick={() => keep(inUse, `${p.name} is in use again.`)}
          >
            Use it again
          </button>
        </>
      ) : (
        <>
          <Choices<KitName>
            name="Kept in"
            value={p.kit ?? 'bench'}
            onValue={(kit) => keep({ ...p, kit }, `${p.name} is in the ${kit} kit.`)}
            options={kitNames.map((id) => ({ id, label: id }))}
          />
          <form
            className="retire"
            onSubmit={(e) => {
              e.preventDefault();
              if (why.trim()) void keep({ ...p, retired: why.trim() }, `${p.name} is retired.`);
            }}
          >
            <label className="field compact">
              <span>Retire it, because</span>
              <input
                className="text-in"
                value={why}
                onChange={(e) => setWhy(e.target.value)}
                maxLength={200}
              />
            </label>
            <button type="submit" className={`btn quiet small${why.trim() ? '' : ' notyet'}`}>
              Retire
            </button>
          </form>
          <button type="button" className="btn quiet small" onClick={copy}>
            Copy
          </button>
        </>
      )}
      {problem && (
        <p className="note" role="alert">
          {problem}
        </p>
      )}
    </section>
  );
}
