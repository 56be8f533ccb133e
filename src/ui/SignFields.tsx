/** Why something is done, kept with it. */
export function ReasonField({
  label,
  text,
  onText,
  compact = false,
}: {
  label: string;
  text: string;
  onText: (text: string) => void;
  compact?: boolean;
}) {
  return (
    <label className={`field${compact ? ' compact' : ''}`}>
      <span>{label}</span>
      <input
        className="text-in"
        value={text}
        onChange={(e) => onText(e.target.value)}
        maxLength={400}
      />
    </label>
  );
}

/** The PIN of the one who answers for it. */
export function PinField({
  person,
  pin,
  onPin,
  compact = false,
}: {
  person: string;
  pin: string;
  onPin: (pin: string) => void;
  compact?: boolean;
}) {
  return (
    <label className={`field${compact ? ' compact' : ''}`}>
      <span>PIN of {person}</span>
      <input
        className="text-in num"
        type="password"
        inputMode="numeric"
        autoComplete="off"
        value={pin}
        onChange={(e) => onPin(e.target.value)}
        maxLength={8}
      />
    </label>
  );
}
