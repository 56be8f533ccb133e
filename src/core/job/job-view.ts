import type { JobCorner } from '../corner.ts';
import type { Person } from '../schemas/floor.ts';
import type { JobNow } from './job-now.ts';

export type { FloorRow, FloorView, JobSummary, Mark, Person, Timer } from '../schemas/floor.ts';

/** What a job screen gets; the server's answer to GET /api/jobs/{id} and to every command on it. */
export interface JobView extends JobNow {
  /** Names what `ctx` and `people` say: a tablet that has them sends it, and is not sent them again. */
  context: string;
  job: {
    id: string;
    number: string;
    unitId: string;
    corner: JobCorner;
    createdMs: number;
    byId: string;
  };
  people: Person[];
  nowMs: number;
  /** IANA name of the shop's time zone. */
  timeZone: string;
}

/** What a tablet is answered that may have what a job is judged against already. */
export type JobAnswer = Omit<JobView, 'ctx' | 'people'> & Partial<Pick<JobView, 'ctx' | 'people'>>;
