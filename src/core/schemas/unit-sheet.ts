import type { Corner, JobCorner } from '../corner.ts';
import type { LifeRecord } from '../logbook/index.ts';
import type { ServiceDue } from '../service/index.ts';
import type { UnitRecord } from './workshop.ts';

/** What the unit's page shows. */
export interface UnitSheet {
  unit: UnitRecord;
  /** Its jobs, newest first. */
  jobs: {
    id: string;
    number: string;
    corner: JobCorner;
    startedMs: number;
    endedMs?: number;
    part?: string;
    state: 'open' | 'signed' | 'closed';
  }[];
  /** Bearings fitted to it, as the book of lives has them. */
  lives: LifeRecord[];
  /** Bearings of it that are packed or fed, and when each is seen to next. */
  services: ServiceDue[];
  /** Bore of the part on record at each corner, mm. */
  bores: Partial<Record<Corner, number>>;
  /** When its record was changed, newest first. */
  changes: number[];
  /** Procedures of its corners by name. */
  procedures: Partial<Record<Corner, { name: string; source: string }>>;
  shop: string;
  people: { id: string; name: string; lead: boolean; retired?: true }[];
  timeZone: string;
}
