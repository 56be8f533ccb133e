import { geometry, judgement, practice, ruleTable } from '../rules/rule.ts';

const limits = 'the procedure on record; the place nearest the middle is common practice';

export const adjustRules = ruleTable({
  'adjust.place': {
    title: 'The lock in the safe place',
    says: ['good', 'check', 'stop'],
    source: limits,
    digits: 3,
    sentence: (f) => {
      if (f.value > f.max) return `Over ${f.max} mm: too loose.`;
      if (f.value < f.min) return `Under ${f.min} mm: too tight.`;
      const near = f.is('near');
      if (near !== '')
        return `Inside, and nearer to a limit than the ${near} mm that reading and place may be off.${f.is('taken') ? ' No other is better: another washer, or a finer dial.' : ''}`;
      return f.is('taken')
        ? 'Inside; of the places inside, the one furthest from both limits.'
        : 'Inside; another place is further from both limits.';
    },
  },
  'adjust.none-fits': {
    title: 'A place inside the window',
    says: ['check'],
    source: practice,
    sentence: () =>
      'No place of the lock leaves what is asked: another washer, or the nut turned over. Never tighter.',
  },
  'adjust.loose': {
    title: 'Not over its end play',
    says: ['check'],
    source: limits,
    digits: 3,
    sentence: (f) => `Too loose by ${(f.value - f.max).toFixed(3)} mm: another place of the lock.`,
  },
  'adjust.tight': {
    title: 'Not under its end play',
    says: ['check'],
    source: limits,
    digits: 3,
    sentence: (f) => `Too tight by ${(f.min - f.value).toFixed(3)} mm: loosen to the next place.`,
  },
  'adjust.spread': {
    title: 'Push and pull that agree',
    says: ['check'],
    source: judgement,
    digits: 3,
    sentence: (f) =>
      `The times lie ${f.value.toFixed(3)} mm apart: rock is not counted, and the base must not slip. Read again while the hub is turned.`,
  },
  'adjust.not-now': {
    title: 'End play is read after the final torque',
    says: ['refuses'],
    source: practice,
    sentence: () =>
      'The stages before it are not in their windows yet: end play is read after them.',
  },
  'adjust.sign': {
    title: 'Pulled out reads more than pushed in',
    says: ['refuses'],
    source: geometry,
    sentence: () =>
      'Pulled out it reads less than pushed in: the dial was moved, or stands the other way.',
  },
  'adjust.no-reading': {
    title: 'End play is read before it is kept',
    says: ['refuses'],
    source: practice,
    sentence: () => 'Read the end play in the place where the nut is locked.',
  },
  'adjust.between': {
    title: 'The lock in a mark',
    says: ['refuses'],
    source: geometry,
    sentence: () =>
      'The lock lies between two places: turn the nut to one, and read the end play again there.',
  },
});
