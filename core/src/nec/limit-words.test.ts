import { describe, expect, it } from 'vitest';
import { limitName, limitValue, readLimit } from './limit-words';
import { rules } from './rules';

describe('the limits of rules, as people read and type them', () => {
  it.each([
    ['reachIn', 72, 'reach', `6'-0"`],
    ['byArea', 0, 'by area', 'no'],
    ['singleBayException', 1, 'single bay exception', 'yes'],
    ['share', 0.8, 'share', '80 %'],
    ['leastA', 100, 'least', '100 A'],
    ['fanLb', 70, 'fan', '70 lb'],
    ['cables', 1, 'cables', '1'],
  ])('%s %f: %s, %s', (limit, value, name, words) => {
    expect(limitName(limit)).toBe(name);
    expect(limitValue(limit, value)).toBe(words);
  });

  it('every limit of every rule is read back as it is written', () => {
    for (const rule of rules)
      for (const entry of Object.values(rule.meta.editions) as { limits: Record<string, number> }[])
        for (const [limit, value] of Object.entries(entry.limits)) {
          const read = readLimit(limit, limitValue(limit, value));
          expect(read, `${rule.id} ${limit}`).toEqual({ ok: true, value: expect.closeTo(value, 6) as number });
        }
  });

  it.each([
    ['reachIn', 'abc'],
    ['share', ''],
    ['byArea', 'perhaps'],
    ['leastA', 'many'],
  ])('%s "%s" is refused with a word on what to type', (limit, text) =>
    expect(readLimit(limit, text)).toMatchObject({ ok: false }),
  );
});
