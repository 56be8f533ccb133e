import type { HTMLAttributes, ReactNode } from 'react';

/** One line to type into, with its unit and what is wrong with it. Quantities have a field of their own. */
export function Field({
  label,
  text,
  onText,
  unit,
  fault,
  compact = false,
  inputMode,
  children,
}: {
  label: ReactNode;
  text: string;
  onText: (text: string) => void;
  unit?: string | undefined;
  fault?: string | undefined;
  compact?: boolean;
  inputMode?: HTMLAttributes<HTMLInputElement>['inputMode'];
  /** What stands beside the input, inside its box. */
  children?: ReactNode;
}) {
  return (
    <label className={`field${compact ? ' compact' : ''}${fault ? ' bad' : ''}`}>
      <span>{label}</span>
      <span className="box">
        <input value={text} onChange={(e) => onText(e.target.value)} inputMode={inputMode} />
        {unit && <span className="unit-name">{unit}</span>}
        {children}
      </span>
      <span className="say">{fault ?? ''}</span>
    </label>
  );
}
