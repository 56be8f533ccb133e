import { choiceBodies, eventBodies } from '../../core/schemas/events.ts';
import { computeRoutes } from './compute.ts';
import { devicesRoutes } from './devices.ts';
import { jobsRoutes } from './jobs.ts';
import { openapi } from './openapi.ts';
import { peopleRoutes } from './people.ts';
import { practiceRoutes } from './practice.ts';
import { route, type Route } from './route.ts';
import { shopRoutes } from './shop.ts';
import { tablesRoutes } from './tables.ts';
import { tabletRoutes } from './tablets.ts';
import { unitsRoutes } from './units.ts';

export type { Route } from './route.ts';

/** Every door of the server, by subject. */
export const routes: readonly Route[] = [
  ...shopRoutes,
  ...peopleRoutes,
  ...unitsRoutes,
  ...practiceRoutes,
  ...jobsRoutes,
  ...tablesRoutes,
  ...tabletRoutes,
  ...computeRoutes,
  ...devicesRoutes,
  route('GET', '/api/openapi.json', 'This interface', {}, () => openapi(routes)),
];

/** What may come in: every body, every entry of a job, every choice. */
export const bodies = [
  ...routes.flatMap((r) => r.body ?? []),
  ...Object.values(eventBodies),
  ...Object.values(choiceBodies),
];
