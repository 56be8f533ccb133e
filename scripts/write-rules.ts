/** Writes docs/rules.md from the records of the rules. */
import { writeFileSync } from 'node:fs';
import { rulesInMarkdown } from './rules-markdown.ts';

writeFileSync(new URL('../docs/rules.md', import.meta.url), rulesInMarkdown());
