import { describe, expect, it } from 'vitest';
import { motorAmps } from '../electrical/tables';
import { LOAD_KINDS } from '../house/schema-equipment';
import { LOAD_LIBRARY, USES, useOf } from './library';
import { parsePower } from './parse-power';

describe('what stands on a plate', () => {
  it.each([
    ['1500', 120, 1500],
    ['1,500', 120, 1500],
    ['12,000 W', 240, 12000],
    ['1.5 kW', 120, 1500],
    ['12.5 A', 120, 1500],
    ['12.5a', 240, 3000],
    ['3 hp', 240, 4080],
    ['1/2 hp', 120, 1176],
    ['1-1/2 hp', 240, 2400],
    ['6 ft', 240, 1500],
    ['9.6 kva', 240, 9600],
  ] as const)('%s at %i V is %i VA', (text, volts, va) =>
    expect(parsePower(text, volts)).toMatchObject({ ok: true, value: { va } }),
  );

  it.each([
    ['800 W', 0.8, 1000],
    ['1 kW', 0.5, 2000],
    ['1000 VA', 0.8, 1000],
    ['10 A', 0.8, 1200],
  ] as const)('%s at a power factor of %f is %i VA', (text, factor, va) =>
    expect(parsePower(text, 120, 'VA', factor)).toMatchObject({ ok: true, value: { va } }),
  );

  it.each([
    ['0', 'must be greater than zero'],
    ['-5', 'type the number off the plate'],
    ['lots', 'type the number off the plate'],
    ['900 kW', 'more than a house has'],
    ['25 hp', 'above 10 hp'],
  ])('%s is refused: %s', (text, why) => {
    const read = parsePower(text, 240, 'VA');
    expect(read.ok ? '' : read.problems[0]!.message).toContain(why);
    expect(read.ok ? '' : read.problems[0]!.message).toContain('VA:');
  });
});

describe('the library', () => {
  it('has about eighty kinds, each with a use, a believable size and volts', () => {
    expect(LOAD_KINDS.length).toBeGreaterThanOrEqual(80);
    for (const kind of LOAD_KINDS) {
      const load = LOAD_LIBRARY[kind];
      expect(USES).toContain(useOf(kind));
      expect(load.va / load.volts).toBeLessThanOrEqual(80);
      if (load.volts === 120) expect(load.va).toBeLessThanOrEqual(2400);
      if (!load.cord) expect(load.fastened, `${kind} is hard-wired`).toBe(true);
      if (load.hp)
        expect(Math.abs(load.va - motorAmps(load.hp, load.volts)! * load.volts) / load.va).toBeLessThan(0.05);
    }
  });
});
