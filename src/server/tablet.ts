import type { Person } from '../core/job/index.ts';
import { jobView } from './job-record.ts';
import { Problem } from './problem.ts';

interface Cookies {
  get: (name: string) => { value: string } | undefined;
}

/** The technician this tablet was last set to; the first of the shop on a new tablet. */
export const whoOn = (cookies: Cookies, people: readonly Person[]): string =>
  people.find((p) => p.id === cookies.get('ts-who')?.value && !p.retired)?.id ??
  people.find((p) => !p.retired)?.id ??
  '';

/** The value, or undefined where the server says 404. */
export async function orNotFound<T>(work: Promise<T>): Promise<T | undefined> {
  try {
    return await work;
  } catch (e) {
    if (e instanceof Problem && e.status === 404) return undefined;
    throw e;
  }
}

/** The job that the quick page was opened from, while it still takes notes. */
export async function jobForScratch(cookies: Cookies, id: string | undefined) {
  const view = id === undefined ? undefined : await orNotFound(jobView(id));
  if (!view || view.state.signed || view.state.closed) return undefined;
  return { id: view.job.id, number: view.job.number, by: whoOn(cookies, view.people) };
}
