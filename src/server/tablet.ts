import type { Person } from '../core/job/index.ts';

interface Cookies {
  get: (name: string) => { value: string } | undefined;
}

/** The technician this tablet was last set to; the first of the shop on a new tablet. */
export const whoOn = (cookies: Cookies, people: readonly Person[]): string =>
  people.find((p) => p.id === cookies.get('ts-who')?.value)?.id ?? people[0]?.id ?? '';
