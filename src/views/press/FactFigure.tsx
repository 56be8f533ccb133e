import { type FactId, facts, type FamilyCode } from '../../core/families/index.ts';
import { FamilySection } from '../../ui/section/FamilySection.tsx';

/** Drawings of their own, face-on or in section, not to scale. */
const drawn: Partial<Record<FactId, React.ReactNode>> = {
  'inner-ring-off': (
    <>
      <path className="out f-sheet" d="M30 20H60V100H30zM60 34H120V86H60zM120 50H170V70H120z" />
      <path className="axis" d="M14 60H190" />
      <path className="ghost" d="M84 26h34v10H84zM84 84h34v10H84z" />
      <path className="dim" d="M101 20V8M101 100v12" />
    </>
  ),
  'snap-ring-out': (
    <>
      <circle className="thin" cx="100" cy="60" r="50" />
      <circle className="thin" cx="100" cy="60" r="38" />
      <path className="ring-open" d="M86 16A46 46 0 1 0 114 16" />
      <path className="dim" d="M100 52V10" />
    </>
  ),
  'snap-ring-fitted': (
    <>
      <circle className="thin" cx="100" cy="60" r="50" />
      <circle className="thin" cx="100" cy="60" r="38" />
      <path className="ring-shut" d="M92 104A46 46 0 1 1 108 104" />
      <path className="centre-line-thin" d="M100 4V116M44 60h112" />
    </>
  ),
  'shield-on': (
    <>
      <path className="out f-sheet" d="M60 16H140L150 40V80L140 104H60L50 80V40z" />
      <circle className="out f-paper" cx="100" cy="60" r="26" />
      <path className="centre-line-thin" d="M100 4V116M40 60h120" />
    </>
  ),
  'turns-smoothly': (
    <>
      <circle className="out f-sheet" cx="100" cy="60" r="44" />
      <circle className="thin" cx="100" cy="60" r="14" />
      {[0, 1, 2, 3, 4].map((i) => (
        <circle
          key={i}
          className="out f-paper thin2"
          cx={100 + 30 * Math.sin((i * 2 * Math.PI) / 5)}
          cy={60 - 30 * Math.cos((i * 2 * Math.PI) / 5)}
          r="5"
        />
      ))}
      <path className="turn" d="M52 34A54 54 0 0 1 128 14" />
    </>
  ),
  'no-gap': (
    <>
      <path className="out f-sheet" d="M40 14H90V106H40zM92 30H150V90H92z" />
      <path className="axis" d="M20 60H180" />
      <path className="dim" d="M91 6V24M91 96v18" />
    </>
  ),
  'groove-clear': (
    <>
      <path className="out f-sheet" d="M30 16H170V40H150V56H170V104H30z" />
      <path className="out f-paper" d="M30 58H120V104H30z" />
      <path className="dim" d="M136 44V54" />
      <path className="centre-line-thin" d="M20 48H186" />
    </>
  ),
};

/** What to look at: a drawing of its own, else the family's section with the part lit. */
export function FactFigure({ id, family }: { id: FactId; family: FamilyCode | undefined }) {
  const body = drawn[id];
  if (!body && family)
    return (
      <div className="fact-fig">
        <FamilySection code={family} lit={facts[id].lit ?? []} small label={facts[id].ask} />
      </div>
    );
  return (
    <svg className="drawing fact-fig" viewBox="0 0 200 120" aria-hidden="true">
      {body}
    </svg>
  );
}
