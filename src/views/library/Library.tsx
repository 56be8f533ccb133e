import { useEffect, useState } from 'react';
import { kinds, type LibraryEntry, library, lookUp } from '../../core/library/index.ts';
import { FamilySection } from '../../ui/section/FamilySection.tsx';
import { ShopPage } from '../shell/ShopPage.tsx';
import './library.css';

const kindNames = {
  families: 'Kinds of bearing',
  schools: 'Where good technicians differ',
  cautions: 'Cautions',
  calculations: 'Calculations',
  figures: 'Reference figures',
  rules: 'Rules',
} as const;

/** What was that again? Everything that can be looked up, without a job. */
export default function Library({ shop, first }: { shop: string; first: string }) {
  const [words, setWords] = useState(first);
  useEffect(() => {
    const query = words.trim() === '' ? '' : `?q=${encodeURIComponent(words)}`;
    history.replaceState(undefined, '', `/library${query}`);
  }, [words]);
  const found = lookUp(words);
  return (
    <ShopPage
      shop={shop}
      note="Library"
      title="What was that again?"
      lines={[`${library.length} entries, each with its source`]}
      main="library-main"
    >
      <aside className="library-side">
        <label className="field">
          <span>Look for</span>
          <span className="box">
            <input
              type="search"
              value={words}
              onChange={(e) => setWords(e.target.value)}
              placeholder="castle nut, frost, 286 …"
            />
          </span>
        </label>
        <nav aria-label="Kinds of entries">
          {kinds.map((k) => {
            const n = found.filter((e) => e.kind === k).length;
            return (
              n > 0 && (
                <a key={k} href={`#${k}`}>
                  {kindNames[k]} <span className="num">{n}</span>
                </a>
              )
            );
          })}
        </nav>
        <p className="cap">
          True Spindle supports a trained person. The vehicle maker’s instructions, local rules and
          licensed practice come first.
        </p>
      </aside>
      <div className="library-list" role="region" aria-label="Entries" tabIndex={0}>
        {kinds.map((k) => {
          const own = found.filter((e) => e.kind === k);
          if (own.length === 0) return null;
          return (
            <section key={k} id={k}>
              <h2>{kindNames[k]}</h2>
              <ul className={`entries ${k}`}>
                {own.map((e) => (
                  <Entry key={e.id} e={e} />
                ))}
              </ul>
            </section>
          );
        })}
        {found.length === 0 && <p className="note big">Nothing holds these words.</p>}
      </div>
    </ShopPage>
  );
}

function Entry({ e }: { e: LibraryEntry }) {
  return (
    <li>
      {e.family && <FamilySection code={e.family} small label={`${e.title}, in section`} />}
      <div>
        <b>{e.href ? <a href={e.href}>{e.title}</a> : e.title}</b>
        {e.lines.map((l) => (
          <p key={l}>{l}</p>
        ))}
        <p className="cap">{e.source}</p>
      </div>
    </li>
  );
}
