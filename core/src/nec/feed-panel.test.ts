import { describe, expect, it } from 'vitest';
import { feedersFrom } from '../circuits/panel-tree';
import type { House } from '../house/schema';
import { arrangePanels } from '../panel/arrange';
import { served, twoUnits, withShop } from '../test/supply-cases';
import { must } from '../test/must';
import { checkHouse } from './check-house';
import { feedPanel } from './feed-panel';
import { feederLoad } from './requirements/feeder-load';
import { scheduleOf } from './schedule-of';
import { rules } from './rules';

const newId = (prefix: string) => `${prefix}-new`;
const about = (house: House, id: string) => {
  const { findings } = checkHouse(house, { rules: rules.filter((rule) => rule.id === id) });
  return findings.map((one) => one.message);
};
const unfed = () => withShop().with((house) => void delete house.feeders['F']);

describe('a panel that is fed from another', () => {
  it('takes a breaker for its load and a quarter more, conductors for it, and spaces that are free', () => {
    const charging = unfed()
      .circuit('C', 60, { poles: 2, panel: 'Q', space: 1, purpose: 'individual' })
      .load('ev-charger-48', 'shop', 'c0', 40, 'C')
      .circuit('Range', 50, { poles: 2, panel: 'P', space: 1 });
    const { house } = must(feedPanel(charging.build(), 'Q', newId));
    // 11,520 VA at 125 %: 60 A, and a quarter more.
    expect(feederLoad(house, { to: 'Q', ratingA: 60 }).amps).toBeCloseTo(60, 6);
    expect(Object.values(house.feeders)).toEqual([
      expect.objectContaining({ from: 'P', to: 'Q', ratingA: 80, space: 2, wiring: 'raceway', ground: '8' }),
    ]);
    for (const id of ['feeder-size', 'feeder-ground', 'feeder-in-ground', 'panel-spaces', 'panel-fed', 'raceway-fill'])
      expect(about(house, id), id).toEqual([]);
  });

  it('is named where there is nothing to feed it from', () =>
    expect(feedPanel(served().build(), 'P', newId)).toMatchObject({ ok: false, problems: [{ code: 'no-panel' }] }));

  it('stands on the schedule of the one that feeds it, with its load on the legs', () => {
    const house = withShop().circuit('C', 20, { panel: 'Q', space: 1 }).load('dryer', 'shop', 'c0', 40, 'C').build();
    const { rows, legVa, freeSpaces } = scheduleOf(house, 'P');
    expect(
      rows.filter((row) => row.feeder).map(({ space, directory, continued }) => [space, directory, continued]),
    ).toEqual([
      [1, 'Feeder to Q', false],
      [3, 'Feeder to Q', true],
    ]);
    expect(freeSpaces).toBe(38);
    expect(legVa.A + legVa.B).toBeCloseTo(
      rows.reduce((sum, row) => sum + row.va, 0),
      6,
    );
    expect(legVa.A).toBeGreaterThan(0);
  });

  it('takes the circuits of its own part of the house, and what is planned is placed there', () => {
    const house = withShop()
      .circuit('S', 20)
      .receptacle('shop', 'c0', 40, { circuit: 'S' })
      .circuit('K', 20)
      .receptacle('kitchen', 'c0', 40, { circuit: 'K' })
      .build();
    expect(arrangePanels(house)).toMatchObject({ S: { panel: 'Q' }, K: { panel: 'P' } });
    expect(feedersFrom(house, 'P').map((one) => one.to)).toEqual(['Q']);
  });
});

describe('the load of a feeder', () => {
  it('of a shop counts what is plugged in beside its receptacles, and nothing twice', () => {
    const shop = () =>
      withShop().circuit('C', 20, { panel: 'Q', space: 1 }).receptacle('shop', 'c0', 40, { circuit: 'C' });
    const vaOf = (house: House) => feederLoad(house, { to: 'Q', ratingA: 60 }).calculation.va;
    expect(vaOf(shop().build())).toBe(180);
    // A freezer on the same circuit takes nothing from the receptacle beside it.
    const plugged = shop().load('freezer', 'shop', 'c0', 90, 'C', { va: 500 }).build();
    expect(vaOf(plugged)).toBe(680);
    // One that is fastened is among the fixed appliances, at 100 % alone, and not among the receptacles again.
    const fastened = shop().load('water-heater', 'shop', 'c0', 90, 'C', { va: 4500, motor: false }).build();
    expect(vaOf(fastened)).toBe(4680);
  });

  it('is that of a whole dwelling where all of one unit hangs on it: 220.82 and 310.12 hold', () => {
    const house = twoUnits('hall')
      .panel('A', 'a', 20)
      .circuit('C', 20, { panel: 'A', space: 1 })
      .receptacle('a', 'c0', 30, { circuit: 'C' })
      .circuit('D', 20, { panel: 'P', space: 1 })
      .receptacle('b', 'c0', 30, { circuit: 'D' })
      .build();
    const { isWholeDwelling, calculation } = feederLoad(house, { to: 'A', ratingA: 100 });
    expect(isWholeDwelling).toBe(true);
    // Its own floor alone, with two small-appliance circuits and one for the laundry.
    expect(calculation.lines.find((line) => line.what.startsWith('General'))?.sum).toMatch(/^297 ft²/);
    const whole = twoUnits('hall')
      .panel('A', 'a', 20)
      .circuit('C', 20, { panel: 'A', space: 1 })
      .receptacle('a', 'c0', 30, { circuit: 'C' })
      .circuit('E', 20, { panel: 'P', space: 1 })
      .receptacle('a', 'c0', 90, { circuit: 'E' })
      .build();
    expect(feederLoad(whole, { to: 'A', ratingA: 100 }).isWholeDwelling, 'one circuit of it elsewhere').toBe(false);
  });
});
