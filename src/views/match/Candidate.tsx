import {
  type CataloguePart,
  type Comparison,
  type DimensionId,
  dimensionShort,
  type Mark,
  partInShort,
  sizeOf,
} from '../../core/matching/index.ts';
import { sentence } from '../../core/rules/index.ts';
import { VerdictWord } from '../../ui/Marks.tsx';

export function Sign({ mark }: { mark: Mark }) {
  return (
    <svg
      className={`sign ${mark}`}
      width="22"
      height="16"
      viewBox="0 0 22 16"
      role="img"
      aria-label={mark}
    >
      <path
        d="M3 5h16"
        strokeDasharray={mark === 'doubt' || mark === 'unread' ? '4 2.500' : undefined}
      />
      <path d="M3 11h16" strokeDasharray={mark === 'unread' ? '4 2.500' : undefined} />
      {mark === 'different' && <path d="M5 15L17 1" />}
    </svg>
  );
}

export const Legend = () => (
  <p className="legend">
    <span>
      <Sign mark="same" /> same
    </span>
    <span>
      <Sign mark="doubt" /> in doubt
    </span>
    <span>
      <Sign mark="different" /> different
    </span>
  </p>
);

const nameOf = (key: string) =>
  key === 'encoder' ? 'poles' : (dimensionShort[key as DimensionId] ?? key);

/** Where the part is: on the shelf, some days away, or only known by hand. */
function shelfWords({ byHand, stock, leadDays }: CataloguePart): string {
  if (byHand) return 'entered by hand';
  return stock > 0 ? `${stock} in stock` : `${leadDays} days`;
}

/** A candidate with its marks, its first blocker or its size, and where it comes from. */
export function Candidate({
  c,
  chosen,
  onChoose,
  offer,
}: {
  c: Comparison;
  chosen: boolean;
  onChoose: () => void;
  offer?: string | undefined;
}) {
  const shown = Object.entries(c.marks).filter(
    ([key, mark]) => mark !== 'unread' || key in dimensionShort || key === 'encoder',
  );
  const figure = (key: string) =>
    c.marks[key as DimensionId] === 'different'
      ? ` ${sizeOf(c.part, key as DimensionId) ?? ''}`
      : '';
  return (
    <article className={chosen ? 'is-on' : ''}>
      <p>
        <b>
          {c.part.maker} {c.part.number}
        </b>
        {c.blockers.length > 0 ? (
          <VerdictWord status="stop" size={18} />
        ) : (
          <span className="cap">{offer ?? shelfWords(c.part)}</span>
        )}
      </p>
      {c.blockers[0] ? (
        <p className="note">
          {sentence(c.blockers[0])}
          {c.blockers.length > 1 ? ` And ${c.blockers.length - 1} more.` : ''}
        </p>
      ) : (
        <p className="cap num">
          {partInShort(c.part)}
          {c.part.bearing.encoder.pairs
            ? `, ${c.part.bearing.encoder.pairs} pairs`
            : ', no encoder'}
        </p>
      )}
      {c.notes.slice(0, 1).map((n) => (
        <p key={n} className="cap">
          {n}
        </p>
      ))}
      <div className="marks">
        {shown.map(([key, mark]) => (
          <span key={key} className={mark}>
            <Sign mark={mark} />
            <small>
              {nameOf(key)}
              {figure(key)}
            </small>
          </span>
        ))}
        {chosen ? (
          <em>chosen</em>
        ) : (
          <button type="button" className="link" onClick={onChoose}>
            Choose
          </button>
        )}
      </div>
    </article>
  );
}
