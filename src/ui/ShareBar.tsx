/** How much of something has passed, as a filled bar. With a label it speaks for itself; without one the text beside it does. */
export function ShareBar({ share, label }: { share: number; label?: string }) {
  const spoken = label
    ? {
        role: 'progressbar',
        'aria-label': label,
        'aria-valuemin': 0,
        'aria-valuemax': 100,
        'aria-valuenow': Math.round(share * 100),
      }
    : { 'aria-hidden': true };
  return (
    <svg className="bar" viewBox="0 0 100 10" preserveAspectRatio="none" {...spoken}>
      <rect className="bar-fill" x="0" y="1" width={100 * share} height="8" />
      <rect
        className="bar-frame"
        x=".6"
        y="1"
        width="98.8"
        height="8"
        vectorEffect="non-scaling-stroke"
      />
    </svg>
  );
}
