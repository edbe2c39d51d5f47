import { describe, expect, it } from 'vitest';
import type { House } from '../house/schema';
import { byTheTool } from '../test/by-the-tool';
import { demo } from '../test/demo-house';
import { ranchHouse } from '../test/ranch-house';
import { mistakesOn, plantMistake, readingsWith, suspectsOf, testedUnits, unitOf } from './simulated-tester';
import { testScript } from './test-script';

const houses: readonly (readonly [string, House])[] = [
  ['the demo house', demo],
  ['a ranch by the tool alone', byTheTool(ranchHouse('2023'))],
];
/** So many suspects are read at a glance; what stands behind them no test at receptacles and switches tells apart. */
const AT_A_GLANCE = 5;

describe.each(houses)('a tester carried through %s', (_, house) => {
  const script = testScript(house);
  const units = testedUnits(house);

  it('reads right at every step of sound wiring, and suspects nothing', () => {
    const tried = script.filter((one) => one.kind === 'receptacle' || one.kind === 'switch');
    expect(tried.length).toBeGreaterThan(20);
    const switches = tried.filter((one) => one.kind === 'switch');
    for (const step of switches) expect(unitOf(units, step), step.what).toBeDefined();
    for (const unit of units) {
      const sound = { id: '', words: '', remedy: '', found: 'often', net: unit.net } as const;
      const readings = readingsWith(unit, sound, script);
      expect([...readings.values()].filter((one) => one !== 'right')).toEqual([]);
      expect(suspectsOf(unit, script, readings)).toEqual([]);
    }
  });
});

it('plants what some step shows, and what was missed more often than what was not', () => {
  const [, house] = houses[1]!;
  const script = testScript(house);
  const unit = testedUnits(house).find((one) => one.receptacles.size > 4)!;
  let seed = 1;
  const chance = () => (seed = (seed * 16_807) % 2_147_483_647) / 2_147_483_647;
  const drawn = Array.from({ length: 60 }, () =>
    plantMistake(unit, script, (kind) => (kind === 'reversed' ? 8 : 1), chance)!,
  );
  for (const { readings } of drawn) expect([...readings.values()].some((one) => one !== 'right')).toBe(true);
  const plain = Array.from({ length: 60 }, () => plantMistake(unit, script, () => 1, chance)!);
  const reversed = (all: typeof drawn) => all.filter((one) => one.kind === 'reversed').length;
  expect(reversed(drawn)).toBeGreaterThan(2 * reversed(plain));
});

it('with any mistake planted: script, wrong reading and finder list it always, nine of ten times at a glance', () => {
  let [seen, glanced] = [0, 0];
  const kinds = new Set<string>();
  for (const [, house] of houses) {
    const script = testScript(house);
    for (const unit of testedUnits(house)) {
      const all = mistakesOn(unit);
      // Of each class of mistake a sample; of the large lighting circuits a smaller one, since they take a second each.
      const every = Math.max(1, Math.floor(all.length / (unit.groups.size > 5 ? 3 : 8)));
      for (const fault of all.filter((_one, i) => i % every === 0)) {
        const readings = readingsWith(unit, fault, script);
        for (const reading of readings.values()) kinds.add(reading);
        // A loose ground at a lamp, or hot and neutral reversed in it, is seen by no tester in a receptacle.
        if ([...readings.values()].every((one) => one === 'right')) continue;
        seen++;
        const at = suspectsOf(unit, script, readings).findIndex((one) => one.ids.includes(fault.id));
        expect(at, fault.words).toBeGreaterThanOrEqual(0);
        if (at < AT_A_GLANCE) glanced++;
      }
    }
  }
  expect(seen).toBeGreaterThan(100);
  expect(glanced / seen).toBeGreaterThanOrEqual(0.9);
  for (const reading of ['open-ground', 'open-neutral', 'open-hot', 'hot-neutral-reversed', 'wrong-lights'])
    expect(kinds, reading).toContain(reading);
});
