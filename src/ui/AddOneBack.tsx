/** Adds a reading to those taken so far, and takes the last one back. */
export function AddOneBack({
  label,
  ready,
  some,
  onAdd,
  onBack,
}: {
  label: string;
  ready: boolean;
  /** At least one was taken. */
  some: boolean;
  onAdd: () => void;
  onBack: () => void;
}) {
  return (
    <div className="pair-in">
      <button type="button" className="btn quiet small" aria-disabled={!ready} onClick={onAdd}>
        {label}
      </button>
      {some && (
        <button type="button" className="btn quiet small" onClick={onBack}>
          One back
        </button>
      )}
    </div>
  );
}
