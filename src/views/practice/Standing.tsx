import { useState } from 'react';
import { kindTitles, type PracticeView } from '../../core/practice/index.ts';
import { call } from '../shell/useJob.ts';

/** How one stands; the others see it where its owner says so. */
export function Standing({ view, who }: { view: PracticeView; who: string }) {
  const [shared, setShared] = useState(view.shared);
  const share = async () => {
    const r = await call<{ shared: boolean }>('POST', `/api/practice/${who}/share`, {
      shared: !shared,
    });
    if (r.ok) setShared(r.value.shared);
  };
  return (
    <>
      <section>
        <h2>{shared ? 'Yours, seen by the others' : 'Yours alone'}</h2>
        <Kinds kinds={view.kinds} />
        <button type="button" className="link" onClick={() => void share()}>
          {shared ? 'Keep it to myself' : 'Let the others see it'}
        </button>
      </section>
      {view.others.map((o) => (
        <section key={o.name}>
          <details className="more">
            <summary>{o.name} lets you see</summary>
            <Kinds kinds={o.kinds} />
          </details>
        </section>
      ))}
    </>
  );
}

const Kinds = ({ kinds }: { kinds: PracticeView['kinds'] }) => (
  <ul className="kinds">
    {kinds.map((k) => (
      <li key={k.kind}>
        <span>{kindTitles[k.kind]}</span>
        <span className="num">
          {k.of === 0 ? 'new' : `${k.right} of ${k.of}`}, level {k.level}
        </span>
      </li>
    ))}
  </ul>
);
