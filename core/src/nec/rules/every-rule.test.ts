import { readdirSync, readFileSync } from 'node:fs';
import { describe, expect, it } from 'vitest';
import { rules } from './index';

const folder = new URL('.', import.meta.url).pathname;
const files = readdirSync(folder).filter(
  (name) => name.endsWith('.ts') && !name.endsWith('.test.ts') && name !== 'index.ts',
);
const testOf = (id: string): string => readFileSync(`${folder}${id}.test.ts`, 'utf8');
const documentation = readFileSync(new URL('../../../../docs/rules.md', import.meta.url), 'utf8');
const camel = (id: string) => id.replace(/-(.)/g, (_, letter: string) => letter.toUpperCase());

describe('folder, list, tables and documentation agree', () => {
  it('lists each file once, under its own name', () =>
    expect(rules.map((rule) => `${rule.id}.ts`).sort()).toEqual(files.sort()));
  it.each(rules.map((rule) => rule.id))('%s has a table of cases beside it and stands in docs/rules.md', (id) => {
    expect(testOf(id)).toContain(`testRule(${camel(id)},`);
    expect(documentation).toContain(`\`${id}\``);
  });
});
