import { mkdtempSync, readdirSync, readFileSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import type { TestProject } from 'vitest/node';
import { ruleIds } from '../src/core/rules/index.ts';

/** After a whole run: every rule has spoken in some test. A run of single files is not held to it. */
export default function setup(project: TestProject): () => Promise<void> {
  const folder = mkdtempSync(join(tmpdir(), 'true-spindle-rules-'));
  process.env['RULES_PROVOKED'] = folder;
  return async () => {
    const spoke = new Set(
      readdirSync(folder).flatMap(
        (f) => JSON.parse(readFileSync(join(folder, f), 'utf8')) as string[],
      ),
    );
    rmSync(folder, { recursive: true, force: true });
    const ran = project.vitest.state.getFiles().filter((f) => f.projectName === project.name);
    const { testFiles } = await project.globTestFiles();
    const silent = ruleIds.filter((id) => !spoke.has(id));
    if (ran.length < testFiles.length || silent.length === 0) return;
    console.error(`FAILED: no test provokes these rules: ${silent.join(', ')}`);
    process.exitCode = 1;
  };
}
