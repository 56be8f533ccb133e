import { Delete } from 'lucide-react';

const keys = ['7', '8', '9', '4', '5', '6', '1', '2', '3', '.', '0'] as const;

/** Figures under the thumb for gloved hands; the field itself still takes a keyboard. */
export function ThumbPad({ text, onText }: { text: string; onText: (t: string) => void }) {
  return (
    <div className="pad" role="group" aria-label="Figures">
      {keys.map((k) => (
        <button key={k} type="button" onClick={() => onText(text + k)}>
          {k}
        </button>
      ))}
      <button
        type="button"
        aria-label="Delete the last figure"
        onClick={() => onText(text.slice(0, -1))}
      >
        <Delete aria-hidden="true" />
      </button>
    </div>
  );
}
