import type { FamilyCode } from '../families/index.ts';
import type { JobNow } from './job-now.ts';

/** The pace of this shop for a kind of bearing, and how many jobs say so; undefined while they are too few. */
export const paceOf = ({ ctx }: JobNow, family: FamilyCode | undefined) =>
  family && ctx.shop?.paces?.[family];
