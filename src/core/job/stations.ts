/** Stations of a job, in order. */
export const stations = [
  'complaint',
  'diagnose',
  'match',
  'plan',
  'press-out',
  'press-in',
  'torque',
  'prove',
] as const;
export type Station = (typeof stations)[number];

export const stationNames: Record<Station, string> = {
  complaint: 'Complaint',
  diagnose: 'Diagnose',
  match: 'Match',
  plan: 'Plan',
  'press-out': 'Press out',
  'press-in': 'Press in',
  torque: 'Torque',
  prove: 'Prove',
};
