import { practice, ruleTable } from '../rules/rule.ts';

export const proveRules = ruleTable({
  'prove.seen': {
    title: 'Seen and right',
    says: ['good', 'stop'],
    source: practice,
    sentence: (f) =>
      f.is('right') ? 'Seen and right.' : 'Not right: put it right and check again.',
  },
  'prove.within': {
    title: 'Within its limit',
    says: ['good', 'stop'],
    source: 'the limit’s own source',
    sentence: (f) =>
      f.value <= f.max
        ? 'Inside the limit.'
        : `Over the limit of ${f.max} ${f.is('unit')}: find why before it leaves.`,
  },
  'prove.no-value': {
    title: 'Measured, not answered',
    says: ['stop'],
    source: practice,
    sentence: () => 'No reading.',
  },
  'prove.check': {
    title: 'A check of this family',
    says: ['refuses'],
    source: 'final checks of the family',
    sentence: (f) => `No check is called “${f.part}”.`,
  },
  'prove.reading': {
    title: 'A reading where a limit stands',
    says: ['refuses'],
    source: practice,
    sentence: (f) => `“${f.part}” needs a reading in ${f.is('unit')}.`,
  },
  'prove.unchecked': {
    title: 'Every check of the release',
    says: ['owes'],
    source: practice,
    sentence: (f) => `${f.part}: not checked`,
  },
  'prove.not-right': {
    title: 'Every check right before release',
    says: ['owes'],
    source: practice,
    sentence: (f) => `${f.part}: not right yet`,
  },
  'prove.unsigned': {
    title: 'Signed by name',
    says: ['owes'],
    source: practice,
    sentence: () => 'Not signed yet',
  },
});
