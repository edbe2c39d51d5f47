import { aHouse, type HouseBuilder } from '../../test/house-builder';
import { led } from '../../test/routed';
import { testRule } from '../../test/rule-tester';
import { twoUnits } from '../../test/supply-cases';
import { fireSeparation } from './fire-separation';

/** A circuit in a room with its panel, its cables led through the framing. */
const cabled = (house: HouseBuilder, room: string, panel?: string): HouseBuilder =>
  led(
    (panel ? house : house.panel('Q', room, 24))
      .circuit('a', 15, { panel: panel ?? 'Q', space: 1 })
      .receptacle(room, 'c0', 30, { circuit: 'a' })
      .receptacle(room, 'c0', 90, { circuit: 'a' }),
  );
const garage = () => aHouse().room('garage', 'garage', [0, 0, 240, 240]);

testRule(fireSeparation, {
  passes: [],
  fails: [
    [
      'a garage beside the kitchen',
      cabled(garage().room('kitchen', 'kitchen', [244.5, 0, 150, 150]), 'garage'),
      'garage: the gypsum board towards the dwelling stays whole around boxes, and holes of cables through that wall or ceiling are filled with material that resists the passage of flame (R302.11). Ask the authority what it takes.',
    ],
    [
      'two units',
      cabled(twoUnits('hall'), 'a', 'P'),
      'Between dwelling units: boxes that reach through the membrane are steel, 16 in² at most each and 100 in² in 100 ft² of wall together, with 1/8 in around them, or listed for the wall; holes of cables are firestopped.',
    ],
  ],
  notApplicable: [
    ['a garage beside the kitchen, no cable led yet', garage().room('kitchen', 'kitchen', [244.5, 0, 150, 150])],
    ['a garage by itself', cabled(garage(), 'garage')],
    ['a garage beside the porch alone', cabled(garage().room('porch', 'porch', [244.5, 0, 150, 150]), 'garage')],
  ],
});
