// Writes what is derived from the code into docs/: the JSON Schema of the house file and the list of rules; and the sample houses into demo/.
// With --check it writes nothing and fails when a file is not current.
import { readFileSync, writeFileSync } from 'node:fs';
import { EDITIONS, houseJsonSchema, rules, writeHouseFile } from '../core/src/index';
import { SAMPLES } from '../core/src/test/samples';

function describeRules(): string {
  const stages = [...new Set(rules.map((rule) => rule.meta.stage))];
  const parts = stages.map((stage) => {
    const lines = rules
      .filter((rule) => rule.meta.stage === stage)
      .map((rule) => {
        const editions = EDITIONS.flatMap((edition) => {
          const entry = rule.meta.editions[edition];
          if (!entry) return [];
          const limits =
            Object.entries(entry.limits as Record<string, number>)
              .map(([name, value]) => `${name} ${value}`)
              .join(', ') || '–';
          return [`| ${edition} | ${entry.section} | ${limits} | ${entry.basis.source}, ${entry.basis.confidence} |`];
        });
        return `### \`${rule.id}\`\n\n${rule.meta.summary} (${rule.meta.severity}). ${rule.meta.why}\n\n| NEC | section | limits | basis |\n|---|---|---|---|\n${editions.join('\n')}\n`;
      });
    return `## ${stage[0]!.toUpperCase()}${stage.slice(1)}\n\n${lines.join('\n')}`;
  });
  return `# Rules\n\nMade by \`npm run generate\` from the rules themselves. No code book was at hand: every value is recalled, with its confidence.\n\n${parts.join('\n')}`;
}

const files = {
  'docs/house.schema.json': `${JSON.stringify(houseJsonSchema(), null, 1)}\n`,
  'docs/rules.md': describeRules(),
  ...Object.fromEntries(SAMPLES.map(({ file, house }) => [`demo/samples/${file}.json`, writeHouseFile(house)])),
};
let isCurrent = true;
for (const [path, text] of Object.entries(files)) {
  if (!process.argv.includes('--check')) writeFileSync(path, text);
  else if (readFileSync(path, 'utf8') !== text) {
    isCurrent = false;
    console.error(`${path} is not current. Run: npm run generate`);
  }
}
process.exitCode = isCurrent ? 0 : 1;
