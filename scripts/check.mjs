/** Runs every check in turn, goes on after a failure, and closes with one line that counts them all. */
import { spawnSync } from 'node:child_process';
import { mkdtempSync, readFileSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';

const scratch = mkdtempSync(join(tmpdir(), 'true-spindle-check-'));
let passed = 0;
let failed = 0;

/** One command that counts as one check. */
function step(name, command, args) {
  console.log(`\n== ${name}`);
  const ok = spawnSync(command, args, { stdio: 'inherit' }).status === 0;
  console.log(`${ok ? 'passed' : 'FAILED'}: ${name}`);
  if (ok) passed += 1;
  else failed += 1;
  return ok;
}

/** A test run; its own tests are counted. A run that reports none has failed. */
function suite(name, project) {
  console.log(`\n== ${name}`);
  const out = join(scratch, `${project}.json`);
  const { status } = spawnSync(
    'npx',
    [
      'vitest',
      'run',
      '--project',
      project,
      '--reporter=default',
      '--reporter=json',
      `--outputFile.json=${out}`,
    ],
    { stdio: 'inherit' },
  );
  try {
    const report = JSON.parse(readFileSync(out, 'utf8'));
    passed += report.numPassedTests;
    failed += report.numFailedTests;
    if (report.numTotalTests === 0 || (status !== 0 && report.numFailedTests === 0)) failed += 1;
  } catch {
    failed += 1;
  }
}

step('types: the core without DOM and Node', 'npx', ['tsc', '-p', 'tsconfig.core.json']);
step('types: pages', 'npx', ['astro', 'check', '--minimumSeverity', 'error']);
step('format', 'npx', ['prettier', '--check', '--log-level', 'warn', '.']);
step('lint', 'npx', ['eslint', '.', '--max-warnings', '0']);
step('nothing unused', 'npx', ['knip', '--no-config-hints']);
suite('unit', 'unit');
if (step('build', 'npm', ['run', '--silent', 'build'])) {
  step('attack, short', 'npx', ['tsx', 'scripts/attack/main.ts', '--short']);
  suite('browser', 'browser');
} else failed += 1;

rmSync(scratch, { recursive: true, force: true });
console.log(`\n${passed} passed, ${failed} failed`);
process.exitCode = failed > 0 ? 1 : 0;
