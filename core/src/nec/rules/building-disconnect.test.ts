import { testRule } from '../../test/rule-tester';
import { served, withShop } from '../../test/supply-cases';
import { buildingDisconnect } from './building-disconnect';

const known = { building: { disconnect: 'yes' } };
/** The shop without a panel, on circuits from the house. */
const onCircuits = (n: number) => {
  const house = withShop({}, known).with((one) => {
    delete one.feeders['F'];
    delete one.panels['Q'];
  });
  for (let i = 0; i < n; i++)
    house
      .circuit(`C${i}`, 20, { panel: 'P', space: 5 + i })
      .receptacle('shop', 'c0', 40 + 40 * i, { circuit: `C${i}` });
  return house;
};

testRule(buildingDisconnect, {
  passes: [
    ['one feeder, a main of 60 A', withShop({}, known), 'Shop is supplied once and has a disconnect.'],
    ['one circuit with a switch', onCircuits(1)],
    [
      'a main of 30 A for two circuits of two wires',
      withShop({}, { ...known, panel: { mainA: 30 } })
        .circuit('A', 20, { panel: 'Q', space: 1 })
        .circuit('B', 15, { panel: 'Q', space: 2 }),
    ],
    [
      'two circuits that share a neutral count as one',
      onCircuits(2).with((house) => {
        house.circuits['C0']!.sharesNeutralWith = 'C1';
        house.circuits['C1']!.sharesNeutralWith = 'C0';
      }),
    ],
    ['no power at all', onCircuits(0), 'Shop has no power.'],
  ],
  fails: [
    [
      'a feeder and a circuit besides',
      withShop({}, known).circuit('C', 20, { panel: 'P', space: 9 }).receptacle('shop', 'c0', 40, { circuit: 'C' }),
      'Shop is supplied by 2 feeders and circuits; one is allowed. A panel in it, fed by one feeder, takes the circuits.',
    ],
    [
      'a dwelling of its own has 100 A at least',
      withShop({}, known).room('flat', 'kitchen', [600, 204.5, 240, 120], { building: 'B' }),
    ],
    [
      'no disconnect',
      withShop({}, { building: { disconnect: 'no' } }),
      'Shop has no disconnect at it: it is needed outside or inside nearest the entrance of the conductors.',
    ],
    [
      'a main of 50 A',
      withShop({}, { ...known, panel: { mainA: 50 } }),
      'The disconnect of Shop is rated 50 A; 60 A is the least for what it serves. The breaker of its feeder may be smaller.',
    ],
  ],
  cannotTell: [
    [
      'nothing is said of a disconnect',
      withShop(),
      'Whether Shop has a disconnect is not said; for a single circuit a snap switch will do.',
    ],
  ],
  notApplicable: [['no other building', served()]],
});
