import { useState } from 'react';
import type { DecidedAt } from '../../core/rules/address.ts';
import type { Level, Rule, Said } from '../../core/rules/index.ts';
import { limitOf, ruleGroups, rules, sentence, sourceOf } from '../../core/rules/index.ts';
import { VerdictShape, verdictWords } from '../../ui/Marks.tsx';
import { Frame } from '../../ui/Panels.tsx';
import { ShopPage } from '../shell/ShopPage.tsx';
import './rules.css';

interface Props {
  shop: string;
  /** The verdict that led here, and where it was decided. */
  said?: Said | undefined;
  at?: DecidedAt | undefined;
}

/** Which rule said that, and on whose word? Every rule of the house, and the one that spoke. */
export default function Rules({ shop, said, at }: Props) {
  const [words, setWords] = useState('');
  const shown = ruleGroups
    .map((g) => ({ title: g.title, found: matching(g.rules, words) }))
    .filter((g) => g.found.length > 0);
  return (
    <ShopPage
      shop={shop}
      note="Rules"
      title="Rules"
      lines={[`${Object.keys(rules).length} rules, each with its source`]}
      {...(at ? { back: { href: at.href, word: 'Back to the job' } } : {})}
      frame="floor rules-frame"
      main="rules-main"
    >
      <aside className="rules-side" aria-label="This verdict">
        {said ? <ThisVerdict said={said} at={at} /> : <HowToRead />}
        <label className="field compact">
          <span>Find a rule</span>
          <span className="box">
            <input type="search" value={words} onChange={(e) => setWords(e.target.value)} />
          </span>
        </label>
        <nav aria-label="Groups of rules">
          {shown.map((g) => (
            <a key={g.title} href={`#${anchor(g.title)}`}>
              {g.title} <span className="num">{g.found.length}</span>
            </a>
          ))}
        </nav>
      </aside>
      <div className="rules-list" role="region" aria-label="All rules" tabIndex={0}>
        {shown.map((g) => (
          <section key={g.title} id={anchor(g.title)}>
            <h2>{g.title}</h2>
            <ul>
              {g.found.map(([id, rule]) => (
                <RuleRow key={id} id={id} rule={rule} here={said?.rule === id} />
              ))}
            </ul>
          </section>
        ))}
        {shown.length === 0 && <p className="note">No rule has these words.</p>}
      </div>
    </ShopPage>
  );
}

const anchor = (title: string) => title.toLowerCase().replaceAll(' ', '-');

function matching(group: Readonly<Record<string, Rule>>, words: string): [string, Rule][] {
  const asked = words.toLowerCase().split(/\s+/u).filter(Boolean);
  return Object.entries(group).filter(([id, rule]) => {
    const text = `${id} ${rule.title} ${rule.source}`.toLowerCase();
    return asked.every((w) => text.includes(w));
  });
}

const levelWords: Record<Exclude<Level, 'good' | 'check' | 'stop'>, string> = {
  refuses: 'not taken',
  owes: 'still owed',
};

/** What a rule may say: a verdict by shape and word, the rest by word. */
function Says({ level }: { level: Level }) {
  if (level === 'refuses' || level === 'owes')
    return <span className="rule-level">{levelWords[level]}</span>;
  return (
    <span className="rule-level">
      <VerdictShape status={level} size={18} /> {verdictWords[level]}
    </span>
  );
}

function RuleRow({ id, rule, here }: { id: string; rule: Rule; here: boolean }) {
  return (
    <li id={id} className="rule-row" aria-current={here || undefined}>
      <b>{rule.title}</b>
      <span className="rule-says">
        {rule.says.map((level) => (
          <Says key={level} level={level} />
        ))}
      </span>
      <span className="rule-source">{rule.source}</span>
      <code>{id}</code>
    </li>
  );
}

function ThisVerdict({ said, at }: { said: Said; at: DecidedAt | undefined }) {
  const rule: Rule = rules[said.rule];
  const { value, unit = '', part } = said;
  const limit = limitOf(said);
  return (
    <section className="rule-here">
      <h2>{rule.title}</h2>
      <p className="rule-said">{sentence(said)}</p>
      {value !== undefined && (
        <Frame
          name={part ?? ''}
          value={`${value.toFixed(rule.digits ?? 1)} ${unit}`.trim()}
          limit={limit}
        />
      )}
      <dl>
        <dt>Source</dt>
        <dd>{sourceOf(said)}</dd>
        {at && (
          <>
            <dt>Decided at</dt>
            <dd>
              <a className="link" href={at.href}>
                {at.what}
              </a>
            </dd>
          </>
        )}
        <dt>Rule</dt>
        <dd>
          <a className="link" href={`#${said.rule}`}>
            {said.rule}
          </a>
        </dd>
      </dl>
    </section>
  );
}

const HowToRead = () => (
  <section className="rule-here">
    <h2>How to read them</h2>
    <p className="note">
      Tap a verdict anywhere: its rule opens here with the figures it found, its limit and where it
      was decided. A figure without a published source says so.
    </p>
  </section>
);
