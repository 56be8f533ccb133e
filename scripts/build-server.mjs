/** Bundles what Node runs beside the pages: the start and the worker for heavy computing. Their packages stay outside. */
import { build } from 'esbuild';

await build({
  entryPoints: { serve: 'src/serve/main.ts', worker: 'src/server/heavy/worker.ts' },
  outdir: 'dist',
  outExtension: { '.js': '.mjs' },
  bundle: true,
  platform: 'node',
  format: 'esm',
  target: 'node20',
  packages: 'external',
  logLevel: 'warning',
});
