import { judgement, practice, ruleTable } from '../rules/rule.ts';

const bench = 'old part on the bench';

/** Whether a part of the catalogue can take the old one's place. */
export const matchRules = ruleTable({
  'match.kind': {
    title: 'The same kind of bearing',
    says: ['stop'],
    source: bench,
    sentence: (f) => `${f.part} is a ${f.is('kind')}, the job needs a ${f.is('needed')}.`,
  },
  'match.size': {
    title: 'The same size',
    says: ['stop'],
    source: `${bench}; sizes go in whole steps, 0.1 mm by calliper, common practice, no published source`,
    sentence: (f) => `${f.part} ${f.is('nominal')} against ${f.is('read')} read.`,
  },
  'match.encoder': {
    title: 'The same encoder',
    says: ['stop'],
    source: bench,
    sentence: (f) =>
      `Encoder ${f.is('part')} against ${f.is('old')}.${f.is('twice') ? ' One of them may count poles, not pairs: count again.' : ''}`,
  },
  'match.rolling': {
    title: 'The same rolling elements',
    says: ['stop'],
    source: practice,
    sentence: (f) =>
      f.is('cylindrical')
        ? `Cylindrical rollers take no side load: never in place of ${f.is('old')}, whatever the size.`
        : `${f.is('part')} against ${f.is('old')}.`,
  },
  'match.rolls': {
    title: 'A type that can carry what this place asks',
    says: ['stop'],
    source: practice,
    sentence: (f) => `Not ${f.is('rolling')} but ${f.is('only')} belong here: ${f.is('why')}.`,
  },
  'match.seals': {
    title: 'Sealed on the same sides',
    says: ['stop'],
    source: bench,
    sentence: (f) =>
      f.is('turned')
        ? `Sealed the other way: ${f.is('partIn')} inboard where ${f.is('oldIn')} was.`
        : `Seals: ${f.is('partIn')} inboard and ${f.is('partOut')} outboard, against ${f.is('oldIn')} and ${f.is('oldOut')}.`,
  },
  'match.spacer': {
    title: 'Spacer to suit',
    says: ['stop'],
    source: practice,
    sentence: (f) =>
      f.is('part') === 'built-in'
        ? 'Its spacer is built in: with the old spacer fitted too, the preload is wrong.'
        : `Spacer ${f.is('part')} against ${f.is('old')} before: keep or order the spacer to suit.`,
  },
  'match.rating': {
    title: 'No weaker than the part on record',
    says: ['stop'],
    source: 'static rating by ISO 76; 2 % for the rounding of catalogues, our judgement',
    sentence: (f) =>
      `Static rating ${f.value} kN is below the ${f.is('recordKn')} kN of the part on record.`,
  },
  'match.unit': {
    title: 'The sizes on the unit’s record',
    says: ['stop'],
    source: 'the unit’s record; ±0.1 mm until it says better, our judgement',
    digits: 1,
    sentence: (f) =>
      `The ${f.part} of this part is ${f.at} mm, the unit’s record has ${f.is('record')} mm. It is another part, or the record is wrong.`,
  },
  'match.seat': {
    title: 'The seats as they were read',
    says: ['stop'],
    source: judgement,
    digits: 2,
    sentence: (f) =>
      `This part is ${f.at} mm where the ${f.part} was read as ${f.is('read')} mm: more apart than any wear.`,
  },
  'match.record': {
    title: 'As the unit’s record has it, where the old part was not read',
    says: ['stop'],
    source: 'the unit’s record; ±0.1 mm until it says better, our judgement',
    sentence: (f) =>
      `${f.part} ${f.is('new')} against ${f.is('record')} on the unit’s record. Where the record is wrong, read it on the old part.`,
  },
  'match.reading': {
    title: 'A reading that can be of this part',
    says: ['refuses'],
    source: judgement,
    sentence: (f) => f.is('fault'),
  },
  'match.count': {
    title: 'Counts are whole',
    says: ['refuses'],
    source: 'a count has no parts',
    sentence: () => 'This is counted: a whole number.',
  },
  'match.family': {
    title: 'A family by its answers',
    says: ['refuses'],
    source: judgement,
    sentence: (f) => f.is('fault') || 'The answers do not give this probability.',
  },
  'match.item': {
    title: 'Items of the family',
    says: ['refuses'],
    source: 'items of the family',
    sentence: (f) => `No item is called “${f.part}”.`,
  },
  'match.part': {
    title: 'A part that is in the catalogue and can be',
    says: ['refuses'],
    source: 'catalogue',
    sentence: (f) => f.is('fault') || `The catalogue has no part “${f.part}”.`,
  },
  'match.part-twice': {
    title: 'One part to a number',
    says: ['refuses'],
    source: 'catalogue',
    sentence: (f) => `The catalogue already has a part “${f.part}”.`,
  },
});
