import { Upload } from 'lucide-react';
import { useRef } from 'react';

/** A button that opens a file. The same file can be chosen twice in a row. */
export function FileButton({
  label,
  name = label,
  accept,
  busy = false,
  onFile,
}: {
  label: string;
  /** What a screen reader calls the file, where the button's word is too short for it. */
  name?: string;
  accept: string;
  busy?: boolean;
  onFile: (file: File) => void;
}) {
  const input = useRef<HTMLInputElement>(null);
  return (
    <>
      <button
        type="button"
        className="btn quiet small"
        aria-busy={busy}
        onClick={() => input.current?.click()}
      >
        <Upload aria-hidden="true" />
        {busy ? 'Reading…' : label}
      </button>
      <input
        ref={input}
        type="file"
        accept={accept}
        className="visually-hidden"
        aria-label={name}
        tabIndex={-1}
        onChange={(e) => {
          const file = e.target.files?.[0];
          e.target.value = '';
          if (file) onFile(file);
        }}
      />
    </>
  );
}
