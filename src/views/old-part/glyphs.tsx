import type { ReactNode } from 'react';
import type { LookId } from '../../core/old-part/index.ts';

/** How a look is drawn, round 0 0, about 36 wide: on the ring and, larger, on its tile. */
export const glyphs: Readonly<Record<LookId, ReactNode>> = {
  'spall-below': (
    <>
      <path className="mark-dark" d="M-17 -3L-8 -10L4 -8L15 -10L18 1L9 9L-4 7L-14 8Z" />
      <path className="mark-light" d="M-11 -2L-3 -5L8 -4L11 1L2 4L-8 4Z" />
    </>
  ),
  'spall-surface': (
    <>
      <path className="mark-frost" d="M-19 -9H19V9H-19Z" />
      <path className="mark-line" d="M-12 -3l6 -3 5 3M0 4l7 -3 6 4M-14 5l5 -2" />
    </>
  ),
  'wear-even': <path className="mark-frost" d="M-20 -11H20V11H-20Z" />,
  'wear-torn': (
    <path
      className="mark-line"
      d="M-20 -6L-2 -8M-14 -1L18 -3M-19 4L8 2M-6 8L20 6"
      strokeWidth="2"
    />
  ),
  rust: (
    <>
      <circle className="mark-rust" cx="-9" cy="-3" r="6" />
      <circle className="mark-rust" cx="4" cy="5" r="4" />
      <circle className="mark-rust" cx="11" cy="-5" r="7" />
    </>
  ),
  shaken: <ellipse className="mark-frost edge" rx="9" ry="11" />,
  dents: (
    <>
      <ellipse className="mark-rim" rx="9" ry="12" />
      <ellipse className="mark-dark" rx="6" ry="9" />
    </>
  ),
  fretting: (
    <>
      <path className="mark-rust" d="M-18 -8L-4 -10L-8 6L-19 8Z" />
      <path className="mark-rust" d="M4 -4L18 -8L16 8L2 9Z" />
    </>
  ),
  current: (
    <path
      className="mark-line"
      d="M-18 -11V11M-13 -11V11M-8 -11V11M-3 -11V11M2 -11V11M7 -11V11M12 -11V11M17 -11V11"
      strokeWidth="1.6"
    />
  ),
  particles: (
    <>
      {[
        [-14, -5],
        [-7, 6],
        [-3, -7],
        [3, 2],
        [9, -4],
        [14, 6],
        [17, -8],
      ].map(([x, y]) => (
        <circle key={x} className="mark-dark" cx={x} cy={y} r="2" />
      ))}
    </>
  ),
  'broken-forced': (
    <path className="mark-line" d="M0 -14L5 -7L-4 -2L6 4L-2 9L3 14" strokeWidth="3" />
  ),
  'broken-fatigue': (
    <>
      <path className="mark-line" d="M0 -14L2 0L-1 14" strokeWidth="3" />
      <path className="mark-line" d="M-14 10Q-4 -10 -2 -12M-9 12Q-3 -4 -1 -6" />
    </>
  ),
  heat: (
    <>
      <path className="mark-heat" d="M-19 -11H19V11H-19Z" />
      <path className="mark-line" d="M-12 -11L-9 11M-3 -11L-5 11M6 -11L4 11M14 -11L15 11" />
    </>
  ),
};
