import type { JobCorner } from '../corner.ts';
import type { FleetService } from '../service/index.ts';
import type { UnitRecord } from '../schemas/workshop.ts';
import type { JobNow } from './job-now.ts';
import type { Timer } from './state.ts';
import type { nextAction, SpineMark } from './summary.ts';

export interface Person {
  id: string;
  name: string;
  lead: boolean;
  /** Works here no more: stands in records, answers for nothing new. */
  retired?: true;
}

export interface FloorRow {
  id: string;
  number: string;
  fleetNo: string;
  unitName: string;
  corner: JobCorner;
  complaint: string;
  family: string;
  spine: SpineMark[];
  next: ReturnType<typeof nextAction>;
  station: string | undefined;
  timers: Timer[];
  startedMs: number;
  who: string;
  recheck?: {
    drivenKm: number;
    dueKm: number;
    /** The day it is due at the latest, or sooner as the clock shows, UTC milliseconds. */
    dueMs?: number;
  };
  closed?: string;
  part?: string;
  endedMs?: number;
  /** A note for the next shift that nobody has read, and who left it. */
  note?: { text: string; who: string; atMs: number };
}

/** What the floor shows; the server's answer to GET /api/floor. */
export interface FloorView {
  shop: string;
  rows: FloorRow[];
  units: UnitRecord[];
  people: Person[];
  nowMs: number;
  /** IANA name of the shop's time zone. */
  timeZone: string;
  /** Distance to a recheck in this shop, km. */
  recheckKm: number;
  /** Packed bearings that are due soon or late, the first first. */
  services: FleetService[];
  /** How far the clock of this machine stands behind the last entry, where it was set back, ms. */
  clockBehindMs?: number;
}

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
