import { create } from 'qrcode';

/** A text as a code that a telephone reads, four modules of rest round it. */
export function CodeMark({ text }: { text: string }) {
  const { modules } = create(text, { errorCorrectionLevel: 'M' });
  const { size } = modules;
  const cells = Array.from({ length: size * size }, (_, i) => i).filter((i) => modules.data[i]);
  const path = cells.map((i) => `M${4 + (i % size)} ${4 + Math.floor(i / size)}h1v1h-1z`).join('');
  return (
    <svg
      className="code-mark"
      viewBox={`0 0 ${size + 8} ${size + 8}`}
      role="img"
      aria-label="Code with the number of the job and its seal"
      shapeRendering="crispEdges"
    >
      <path d={path} />
    </svg>
  );
}
