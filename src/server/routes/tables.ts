import {
  CountResetSchema,
  editTable,
  resetCounts,
  restoreTable,
  TableEditSchema,
  TableRestoreSchema,
  tablesView,
} from '../tables.ts';

import { route, type Route } from './route.ts';

/** The likelihood tables. */
export const tablesRoutes: readonly Route[] = [
  route(
    'GET',
    '/api/tables',
    'The likelihood tables: edits, counts of confirmed outcomes, versions',
    {},
    () => tablesView(),
  ),
  route(
    'POST',
    '/api/tables/edit',
    'Change rows of one test (lead, PIN); a new version',
    { body: TableEditSchema },
    ({ body }) => editTable(body),
  ),
  route(
    'POST',
    '/api/tables/restore',
    'Go back to the figures of an earlier version (lead, PIN); a new version',
    { body: TableRestoreSchema },
    ({ body }) => restoreTable(body),
  ),
  route(
    'POST',
    '/api/tables/reset-counts',
    'Let earlier outcomes count no more (lead, PIN); a new version',
    { body: CountResetSchema },
    ({ body }) => resetCounts(body),
  ),
];
