import { type ReactNode, useId } from 'react';
import type { Dimension } from '../core/units/index.ts';
import { both, readTyped, unitHere } from './units.ts';
import { VerdictShape } from './Marks.tsx';

export interface QuantityProps {
  label: ReactNode;
  dimension: Dimension;
  text: string;
  onText: (text: string) => void;
  decimals?: number;
  /** A fault from elsewhere (the server, a rule), shown beside the field. */
  fault?: string | undefined;
  hint?: string;
  /** What the text means, where it is read in another way than by its dimension. */
  said?: string;
  /** The size it should come near to: a comma in it is no riddle then. */
  near?: number | undefined;
  autoFocus?: boolean;
  compact?: boolean;
}

/** A figure with its unit; takes the other system too and says both back. What was typed stays. */
export function QuantityInput({
  label,
  dimension,
  text,
  onText,
  decimals,
  fault,
  hint,
  said,
  near,
  autoFocus,
  compact,
}: QuantityProps) {
  const id = useId();
  const parsed = readTyped(text, dimension, near);
  const wrong = fault ?? (text.trim() !== '' && !parsed.ok && !said ? parsed.reason : undefined);
  const shown = parsed.ok ? both(parsed.value, dimension, decimals) : undefined;
  return (
    <div className={`field${wrong ? ' bad' : ''}${compact ? ' compact' : ''}`}>
      <span>
        <label htmlFor={id}>{label}</label>
      </span>
      <div className="box">
        <input
          id={id}
          value={text}
          onChange={(e) => onText(e.target.value)}
          inputMode="text"
          autoComplete="off"
          autoCorrect="off"
          spellCheck={false}
          aria-invalid={wrong !== undefined}
          aria-describedby={`${id}-say`}
          autoFocus={autoFocus}
        />
        <span className="unit-name">{unitHere(dimension)}</span>
      </div>
      <div className="say" id={`${id}-say`} role={wrong ? 'alert' : undefined}>
        {wrong ? (
          <>
            <VerdictShape status="stop" size={18} />
            <span>{wrong}</span>
          </>
        ) : (
          <span className="num">
            {said ??
              (shown
                ? `${shown.value} ${shown.unit}${shown.other ? ` / ${shown.other}` : ''}`
                : hint)}
          </span>
        )}
      </div>
    </div>
  );
}
