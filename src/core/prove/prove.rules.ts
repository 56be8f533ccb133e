import { geometry, judgement, practice, ruleTable } from '../rules/rule.ts';

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
  'prove.disagrees': {
    title: 'One runout, one figure',
    says: ['refuses'],
    source: judgement,
    digits: 3,
    sentence: (f) =>
      `${f.at} mm typed, and ${f.is('read')} mm was read round the face: one of the two is wrong. Read the face again, or take what was read.`,
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
  'runout.few': {
    title: 'Enough readings round the circle',
    says: ['refuses'],
    source: geometry,
    digits: 0,
    sentence: (f) =>
      `${f.value} ${f.value === 1 ? 'reading' : 'readings'}: a tilt is told from rust by at least ${f.min}.`,
  },
  'runout.uneven': {
    title: 'Readings evenly round the circle',
    says: ['refuses'],
    source: judgement,
    digits: 0,
    sentence: (f) =>
      `A gap of ${f.at}° is left unseen: turn the hub by about ${f.most}° between readings.`,
  },
  'runout.rest': {
    title: 'Rust or damage apart from tilt',
    says: ['check'],
    source: judgement,
    digits: 3,
    sentence: (f) =>
      `More rust, dirt or damage than tilt: ${f.at} mm beside the fitted face. Clean and read again, most of all at ${f.is('at')}°.`,
  },
  'runout.over': {
    title: 'Runout inside its limit',
    says: ['stop'],
    source: 'the limit’s own source',
    digits: 3,
    sentence: (f) => `${f.at} mm in all, over the limit of ${f.max} mm.`,
  },
  'runout.good': {
    title: 'It runs true',
    says: ['good'],
    source: 'the limit’s own source',
    digits: 3,
    sentence: (f) => `${f.at} mm in all.`,
  },
  'runout.hub-first': {
    title: 'The hub before the disc',
    says: ['refuses'],
    source: practice,
    sentence: () =>
      'Read the flange of the hub first: without it nobody can say what is the disc’s own.',
  },
  'prove.unsigned': {
    title: 'Signed by name',
    says: ['owes'],
    source: practice,
    sentence: () => 'Not signed yet',
  },
});
