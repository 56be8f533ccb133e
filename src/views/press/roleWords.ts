import type { Role } from '../../core/press/index.ts';

/** What each place of a stack does. */
export const roleWords: Record<Role, string> = {
  cap: 'under the ram',
  pusher: 'pushes',
  support: 'carries',
  riser: 'raises',
};
