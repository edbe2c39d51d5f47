import type { RoomKind } from '../../house/schema';
import { aHouse } from '../../test/house-builder';
import { testRule } from '../../test/rule-tester';
import { gfciProtection } from './gfci-protection';

const garage = () => aHouse().room('garage', 'garage', [0, 0, 240, 240], { bays: 1 }).circuit('G', 20);

const heatedFloor = (kind: RoomKind, load: Record<string, unknown> = {}) =>
  aHouse()
    .room('bath', kind, [0, 0, 96, 96])
    .circuit('H', 20)
    .load('floor-heat', 'bath', 'c0', 40, 'H', load)
    .with((house) => (house.circuits['H']!.breaker = 'plain'));

testRule(gfciProtection, {
  passes: [
    [
      'the breaker follows the outlets',
      garage().receptacle('garage', 'c0', 30, { circuit: 'G' }),
      'receptacle R1-1 in garage has GFCI protection. A receptacle in a garage.',
    ],
    [
      'floor heat whose thermostat has it built in',
      heatedFloor('bathroom', { builtInGfci: true }),
      'Floor heat (R1-1) has GFCI protection. Floor heat under a bathroom or kitchen floor.',
    ],
    [
      'a GFCI receptacle first in line protects the rest',
      garage()
        .receptacle('garage', 'c0', 30, { circuit: 'G', gfci: true })
        .receptacle('garage', 'c0', 90, { circuit: 'G' })
        .with(
          (house) =>
            (house.circuits['G']!.gfciFirst = Object.values(house.boxes)[0]!.devices[
              Object.keys(Object.values(house.boxes)[0]!.devices)[0]!
            ]!.id),
        )
        .with((house) => (house.circuits['G']!.breaker = 'plain')),
    ],
  ],
  fails: [
    [
      'floor heat in a bath on a plain breaker',
      heatedFloor('bathroom'),
      'Floor heat (R1-1) on H has no GFCI protection. Floor heat under a bathroom or kitchen floor.',
    ],
    [
      'a plain breaker chosen by hand',
      garage()
        .receptacle('garage', 'c0', 30, { circuit: 'G' })
        .with((house) => (house.circuits['G']!.breaker = 'plain')),
      'receptacle R1-1 in garage on G has no GFCI protection. A receptacle in a garage.',
    ],
    [
      'a GFCI receptacle in the ceiling is not readily accessible',
      garage()
        .ceiling('garage', 'receptacle', 'G', { gfci: true })
        .with((house) => (house.circuits['G']!.gfciFirst = Object.keys(Object.values(house.boxes)[0]!.devices)[0]!))
        .with((house) => (house.circuits['G']!.breaker = 'plain')),
      'receptacle R1-1 in garage is a GFCI that others hang on and not readily accessible: it is in the ceiling.',
    ],
  ],
  cannotTell: [
    [
      'an exhaust fan straight over the tub, by its instructions',
      aHouse()
        .room('bath', 'bathroom', [0, 0, 120, 96])
        .feature('bath', 'tub', ['c3', 36, 60, 30])
        .circuit('G', 20)
        .over('bath', 'fan', 15, 60, { circuit: 'G' })
        .over('bath', 'fan', 80, 60, { circuit: 'G' }),
    ],
    ['floor heat of a kind that nobody has said in a hall', heatedFloor('hallway')],
    [
      'a kitchen refrigerator whose sink is not drawn, 2020',
      aHouse('2020')
        .room('kit', 'kitchen', [0, 0, 100, 100])
        .circuit('F', 20)
        .load('refrigerator', 'kit', 'c0', 50, 'F'),
      'Refrigerator (R1-1): The sink is not drawn, so its distance is not known.',
    ],
    [
      'a room without a use',
      aHouse().room('x', 'other', [0, 0, 100, 100]).circuit('A', 15).receptacle('x', 'c0', 50, { circuit: 'A' }),
    ],
  ],
});
