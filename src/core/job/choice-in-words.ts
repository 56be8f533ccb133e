import { isOneOf } from '../keys-of.ts';
import { filmNames } from './school-on-job.ts';
import { familyOf } from './family-on-job.ts';
import type { JobNow } from './job-now.ts';
import { partByNumber } from './part-on-job.ts';
import { pressById } from './press-on-job.ts';
import { partInShort } from '../matching/index.ts';
import { films } from '../fits/index.ts';

const fieldNames: Readonly<Record<string, string>> = {
  without: 'Not at hand',
  partNumber: 'Part',
  route: 'Route',
  chill: 'Bearing chilled',
  warm: 'Bearing warmed',
  soak: 'Penetrant soak',
  film: 'Film on the seat',
  people: 'Work at it',
  depth: 'Worked',
  capId: 'On the pusher',
  pusherId: 'Pusher',
  supportId: 'Support',
  riserId: 'Under the support',
  pressId: 'Tool',
  usedAgain: 'This bearing goes back in',
};

function valueInWords(key: string, value: unknown, job: JobNow): string {
  if (typeof value === 'boolean') return value ? 'yes' : 'no';
  if (Array.isArray(value)) return value.length > 0 ? value.join(', ') : 'nothing';
  if (typeof value === 'number') return String(value);
  if (typeof value !== 'string') return 'not chosen';
  switch (key) {
    case 'route':
      return familyOf(job)?.routes.find((r) => r.id === value)?.name ?? value;
    case 'film':
      return isOneOf(films, value) ? filmNames[value] : value;
    case 'partNumber': {
      const part = partByNumber(job, value);
      return part ? `${part.number}, ${partInShort(part)}` : value;
    }
    case 'pressId':
      return pressById(job, value)?.name ?? value;
    default:
      return job.ctx.adapters.find((a) => a.id === value)?.name ?? value;
  }
}

/** A choice as a person says it: each of its fields by name, each value by what it stands for. */
export function choiceInWords(value: unknown, job: JobNow): { what: string; value: string }[] {
  if (typeof value !== 'object' || value === null) return [{ what: 'Chosen', value: 'nothing' }];
  return Object.entries(value).map(([key, v]) => ({
    what: fieldNames[key] ?? 'Chosen',
    value: valueInWords(key, v, job),
  }));
}
