import { describe, expect, it } from 'vitest';
import { EDITIONS, type House } from '../house/schema';
import { validateHouse } from '../house/validate';
import { wireHouse } from '../makeup/make-up';
import { runAlong } from '../makeup/wired-run';
import { proveUnit } from '../proof/prove';
import { byTheTool } from '../test/by-the-tool';
import { ofItsOwnMaking } from '../test/own-making';
import { randomHouse } from '../test/random-house';
import { askew, inMeters, mirrored, renamed, reordered, shifted, split, turned, verdictsOf } from '../test/same-house';
import { checkHouse } from './check-house';

/** Two of each edition, from an open plan on one floor to three levels with a garage, with angled walls, half levels and second kitchens among them; hundreds by `npm run houses`. */
const SEEDS = [8, 12, 28, 13, 22, 18, 87, 39];

describe.each(SEEDS)('a house at random, seed %i', (seed) => {
  const edition = EDITIONS[seed % EDITIONS.length]!;
  const drawn = randomHouse(seed, edition);
  const house = byTheTool(drawn);
  const said = verdictsOf(house);

  it(`laid out, planned and wired by the tool alone under ${edition} breaks nothing and proves`, () => {
    expect(ofItsOwnMaking(checkHouse(house).findings).map((one) => `${one.ruleId}: ${one.message}`)).toEqual([]);
    const { units, boxes } = wireHouse(house);
    const flaws = units.flatMap((unit) => proveUnit(house, unit, boxes).flaws.map((one) => one.message));
    expect(flaws).toEqual([]);
    expect(Object.keys(house.boxes).length).toBeGreaterThan(20);
  });

  it('comes out the same a second time', () => expect(byTheTool(drawn)).toEqual(house));

  const hasIsland = Object.values(house.features).some(({ kind }) => kind === 'island');
  it.skipIf(hasIsland)('askew on the sheet it is told the same, down to the length of its cables', () => {
    const read = validateHouse(askew(structuredClone(house)));
    if (!read.ok) throw new Error(read.problems.map((one) => `${one.path} ${one.message}`).join('; '));
    expect(verdictsOf(read.value)).toEqual(said);
    const feet = (of: House) => wireHouse(of).units.map((one) => Math.round((runAlong(one)?.cableFt ?? 0) * 100));
    expect(feet(read.value)).toEqual(feet(house));
  });

  it.each([
    ['shifted', shifted],
    ['turned by a quarter', turned],
    ['in a mirror', mirrored],
    ['with walls in two pieces', split],
    ['with other room names', renamed],
    ['with its records in another order', reordered],
    ['in meters', inMeters],
  ] as const)('%s it is told the same', (_, change) => {
    const read = validateHouse(change(structuredClone(house)));
    if (!read.ok) throw new Error(read.problems.map((one) => `${one.path} ${one.message}`).join('; '));
    expect(verdictsOf(read.value)).toEqual(said);
  });
});
