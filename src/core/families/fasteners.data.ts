/** What the fasteners of the walks are called; their figures come from the unit's record or the maker's data only. */
export const fastenerNames: Readonly<Record<string, string>> = {
  'wheel-nuts': 'Wheel nuts',
  'calliper-bracket': 'Calliper bracket bolts',
  'lower-joint': 'Lower joint pinch bolt',
  'steering-joint': 'Steering joint nut',
  strut: 'Strut bolts',
  cover: 'Axle cover bolts',
  'lock-pin': 'Lock pin',
  'level-plug': 'Level plug',
  'brake-line': 'Brake line',
  'stub-bolts': 'Stub axle bolts',
};
