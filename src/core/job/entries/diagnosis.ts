import type { Entries } from './entry.ts';

export const diagnosisEntries = {
  'complaint-recorded': (s, body) => {
    s.complaint = body;
  },
  // A test done again replaces its earlier answer in the judgement; both stay on record.
  'test-recorded': (s, body, by) => {
    s.results = [
      ...s.results.filter((r) => r.testId !== body.testId || r.place !== body.place),
      { ...body, ...by },
    ];
  },
  'diagnosis-accepted': (s, body, by) => {
    s.diagnosis = { ...body, ...by };
  },
  'family-named': (s, { code, probability }, by) => {
    s.family = { code, probability, ...by };
  },
  'raceways-read': (s, body, by) => {
    s.raceways = { ...body, ...by };
  },
} satisfies Partial<Entries>;
