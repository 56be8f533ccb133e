import { type Static, Type } from '@sinclair/typebox';
import { closed, Text } from './common.ts';

/**
 * A whole shop as one open archive: a zip with `manifest.json` and one file of JSON lines for each kind of record, as it
 * is kept. PINs are in it as their hashes only. A new kind of record adds itself by having a table.
 */
export const ShopManifestSchema = closed({
  format: Type.Literal('true-spindle/shop'),
  version: Type.Literal(1),
  madeMs: Type.Integer({ minimum: 0 }),
  shop: Type.String({ maxLength: 80 }),
  files: Type.Array(
    closed({
      path: Type.String({ pattern: '^tables/[a-z_]+\\.ndjson$' }),
      table: Text(60),
      rows: Type.Integer({ minimum: 0 }),
      sha256: Type.String({ pattern: '^[0-9a-f]{64}$' }),
    }),
    { maxItems: 100 },
  ),
});
export type ShopManifest = Static<typeof ShopManifestSchema>;

export const importModes = ['look', 'fill', 'merge'] as const;

/** What an archive brings to this shop, or brought. */
export interface ShopImport {
  shop: string;
  /** Whether anything was written. */
  written: boolean;
  /** Nothing is here yet: all of it is taken as it is. */
  intoEmpty: boolean;
  tables: { table: string; rows: number; fresh: number; same: number; differs: number }[];
  jobs: number;
  /** Of these, jobs whose chain of entries is whole. */
  sealed: number;
}
