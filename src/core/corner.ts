import { oneOf } from './schemas/common.ts';

/** A corner of the vehicle. */
export const corners = ['LF', 'RF', 'LR', 'RR'] as const;
export type Corner = (typeof corners)[number];
/** A job may begin before anyone can say which corner it is. */
export type JobCorner = Corner | 'unknown';
export const JobCornerId = oneOf([...corners, 'unknown'] as const);
export const cornerNames: Record<JobCorner, string> = {
  LF: 'Left front',
  RF: 'Right front',
  LR: 'Left rear',
  RR: 'Right rear',
  unknown: 'Corner not known',
};

/** Which way a face looks on the vehicle. */
export const sides = ['inboard', 'outboard'] as const;
export type Side = (typeof sides)[number];
export const SideId = oneOf(sides);
export const opposite = (side: Side): Side => (side === 'inboard' ? 'outboard' : 'inboard');
