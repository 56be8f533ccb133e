import { mkdirSync, writeFileSync } from 'node:fs';
import { join } from 'node:path';
import { afterAll } from 'vitest';
import { ruleIds, rules } from '../src/core/rules/index.ts';

/** Notes which rules the tests of one file made speak, for the count at the end of the run. */
const spoke = new Set<string>();
for (const id of ruleIds) {
  const rule = rules[id];
  Object.defineProperty(rules, id, {
    enumerable: true,
    get: () => {
      spoke.add(id);
      return rule;
    },
  });
}

afterAll(() => {
  const folder = process.env['RULES_PROVOKED'];
  if (!folder) return;
  mkdirSync(folder, { recursive: true });
  writeFileSync(join(folder, `${process.pid}-${Date.now()}.json`), JSON.stringify([...spoke]));
});
