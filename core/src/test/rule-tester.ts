import { afterAll, describe, expect, it } from 'vitest';
import type { House } from '../house/schema';
import { checkHouse, type Finding } from '../nec/check-house';
import type { Rule } from '../nec/rule';
import type { HouseBuilder } from './house-builder';

/** A case reads: what is built, the house, and the sentence (or sentences) that the rule must say. */
type Case = readonly [what: string, house: HouseBuilder, ...sentences: string[]];

interface RuleTables {
  readonly passes: readonly Case[];
  readonly fails: readonly Case[];
  readonly cannotTell?: readonly Case[];
  readonly notApplicable?: readonly (readonly [what: string, house: HouseBuilder])[];
}

const gravest = (verdicts: readonly Finding[]): string =>
  verdicts.some((one) => one.kind === 'fail')
    ? 'fail'
    : verdicts.some((one) => one.kind === 'cannot-tell')
      ? 'cannot-tell'
      : 'pass';

const only = (house: House, rule: Rule) => {
  const check = checkHouse(house, { rules: [rule] });
  return { verdicts: [...check.findings, ...check.passes], status: check.statuses[0]!.status };
};

/**
 * Runs a rule on its tables and nags: no case twice, every message said at least once, every edition that differs from
 * another has a case, and each case says its sentence to the letter.
 */
export function testRule(rule: Rule, tables: RuleTables): void {
  const said = new Set<string>();
  const editions = new Set<string>();
  const names = new Set<string>();
  const run = (kind: string, cases: readonly Case[]) => {
    for (const [what, builder, ...sentences] of cases)
      it(`${kind}: ${what}`, () => {
        expect(names, 'a case stands twice').not.toContain(what);
        names.add(what);
        const house = builder.build();
        editions.add(house.job.edition);
        const { verdicts } = only(house, rule);
        for (const one of verdicts) said.add(one.key.split('|')[1]!);
        expect(verdicts.length, 'the rule said nothing').toBeGreaterThan(0);
        expect(gravest(verdicts)).toBe(kind);
        const messages = verdicts.filter((one) => one.kind === kind).map((one) => one.message);
        for (const sentence of sentences) expect(messages).toContain(sentence);
      });
  };
  describe(rule.id, () => {
    run('pass', tables.passes);
    run('fail', tables.fails);
    run('cannot-tell', tables.cannotTell ?? []);
    for (const [what, builder] of tables.notApplicable ?? [])
      it(`not applicable: ${what}`, () => expect(only(builder.build(), rule).status).toMatch(/^not /));
    it('has a reason and sources', () => {
      expect(rule.meta.why.length).toBeGreaterThan(30);
      for (const entry of Object.values(rule.meta.editions))
        expect((entry as { section: string }).section).not.toBe('');
    });
    afterAll(() => {
      expect([...said].sort(), 'messages that no case makes it say').toEqual(Object.keys(rule.meta.messages).sort());
      const entries = Object.entries(rule.meta.editions).map(([edition, entry]) => ({
        edition,
        text: JSON.stringify(entry),
      }));
      for (const { text } of entries) {
        const alike = entries.filter((one) => one.text === text).map((one) => one.edition);
        expect(
          alike.some((edition) => editions.has(edition)),
          `no case under NEC ${alike.join(', ')}`,
        ).toBe(true);
      }
    });
  });
}
