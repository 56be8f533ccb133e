import { type Rule, ruleGroups } from '../src/core/rules/index.ts';

const levels = {
  good: 'Good',
  check: 'Check',
  stop: 'Stop',
  refuses: 'not taken',
  owes: 'still owed',
};

/** Every rule with what it may say and its source, as docs/rules.md shows it. */
export function rulesInMarkdown(): string {
  const groups = ruleGroups.map(({ title, rules }) => {
    const rows = Object.entries<Rule>(rules).map(([id, r]) => {
      const says = r.says.map((l) => levels[l]).join(', ');
      return `| \`${id}\` | ${r.title} | ${says} | ${r.source} |`;
    });
    return `## ${title}\n\n| rule | what it is about | says | source |\n| --- | --- | --- | --- |\n${rows.join('\n')}\n`;
  });
  return `# Rules\n\nMade by \`npm run rules\` from the records in \`src/core\`; the same rules stand on the page \`/rules\`, where a tapped verdict shows its figures.\n\n${groups.join('\n')}`;
}
