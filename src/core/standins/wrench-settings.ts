/** What the stand-in wrench can be told to hide: how the hand stops, in how many pulls, and what is wrong with the nut. */
export const standInSettings = [
  'good',
  'ratchet',
  'short',
  'too-far',
  'slips',
  'cross-threaded',
  'yields',
  'silent',
] as const;
export type StandInSetting = (typeof standInSettings)[number];
