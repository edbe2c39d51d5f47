import { aHouse } from '../../test/house-builder';
import { testRule } from '../../test/rule-tester';
import type { LoadKind } from '../../house/schema-equipment';
import { applianceDisconnect } from './appliance-disconnect';

const withLoad = (kind: LoadKind, extra: Readonly<Record<string, unknown>> = {}) =>
  aHouse().room('r', 'utility', [0, 0, 144, 96]).load(kind, 'r', 'c0', 40, null, extra);

/** A tub of 7 ft in the middle of a patio, with its disconnect on the wall so far along. */
const patio = (alongIn: number, extra: Readonly<Record<string, unknown>> = {}) =>
  aHouse()
    .room('r', 'outdoors', [0, 0, 480, 240], { side: 'back' })
    .standing('tub', 'r', 'hot-tub', [100, 60, 84, 84])
    .load('hot-tub', 'r', 'c0', 140, null, extra)
    .feature('r', 'disconnect', ['c0', alongIn, 9, 5], { heightIn: 60 });

/** A heater that a thermostat at line voltage governs and cuts off. */
const governedBy = (style: string, volts: 120 | 240 = 240) =>
  withLoad('baseboard-heat', { disconnect: 'thermostat-off', volts })
    .wallBox('r', 'c1', 40, { kind: 'switch', style })
    .with((house) => {
      const [load] = Object.values(house.loads);
      const control = Object.values(house.boxes)
        .flatMap((box) => Object.values(box.devices))
        .find((one) => one.kind === 'switch')!;
      house.switchGroups['g'] = { id: 'g', name: 'Heat', switches: [control.id], controls: [load!.device] };
    });

testRule(applianceDisconnect, {
  passes: [
    [
      'a disconnect drawn beside the water heater, with nothing said',
      withLoad('water-heater').feature('r', 'disconnect', ['c0', 60, 9, 5]),
      `A disconnect is drawn in sight of Water heater, 1'-8" from it.`,
    ],
    // Corners of the two: 40 in along the wall and 55 in out from it make 68 in.
    ['a tub whose disconnect is 5 ft 8 in from the water', patio(224)],
    ['the same where somebody has said that it is in sight', patio(224, { disconnect: 'in-sight' })],
    [
      'a water heater whose breaker can be locked open',
      withLoad('water-heater', { disconnect: 'lockable-breaker' }),
      'Water heater is cut off by a breaker that can be locked open.',
    ],
    ['a condensing unit with a disconnect beside it', withLoad('air-conditioner', { disconnect: 'in-sight' })],
    ['a pool pump with its disconnect in sight', withLoad('pool-pump', { disconnect: 'in-sight', cord: false })],
    [
      'a cooktop by its own switches: 422.34',
      withLoad('cooktop', { disconnect: 'unit-switch', cord: false }),
      'Radiant cooktop is cut off by switches of its own with a marked off.',
    ],
    ['a hot tub with its disconnect in sight', withLoad('hot-tub', { disconnect: 'in-sight' })],
    ['a heater by its thermostat of two poles', governedBy('line-thermostat-2')],
    ['a heater at 120 V by a thermostat of one pole', governedBy('line-thermostat', 120)],
    ['a heater by its thermostat with a marked off', withLoad('baseboard-heat', { disconnect: 'thermostat-off' })],
  ],
  fails: [
    [
      'a condensing unit by a lockable breaker out of sight: not in a dwelling',
      withLoad('air-conditioner', { disconnect: 'lockable-breaker' }),
      'Air conditioner has a breaker that can be locked open. It needs a disconnect in sight from it and readily accessible.',
    ],
    [
      'a heater at 240 V by a thermostat of one pole',
      governedBy('line-thermostat'),
      'Baseboard heater has a thermostat that opens one of its two hots. It needs a disconnect in sight, a breaker that can be locked open, or a thermostat whose marked "off" opens all ungrounded conductors.',
    ],
    ['a water heater by its thermostat', withLoad('water-heater', { disconnect: 'thermostat-off' })],
    [
      'a hot tub by a breaker in the panel',
      withLoad('hot-tub', { disconnect: 'lockable-breaker' }),
      'Hot tub has a breaker that can be locked open. It needs a readily accessible disconnect in sight, 5 ft or more from the inside wall of the tub.',
    ],
    ['a pool pump by a breaker in the panel', withLoad('pool-pump', { disconnect: 'lockable-breaker', cord: false })],
    ['a condensing unit by a switch of its own', withLoad('air-conditioner', { disconnect: 'unit-switch' })],
    [
      'a water heater by a switch of its own, of which it has none',
      withLoad('water-heater', { disconnect: 'unit-switch' }),
    ],
    ['a well pump by nothing', withLoad('well-pump', { disconnect: 'none' })],
    // 10 in along the wall and 55 in out from it make 55 7/8 in.
    [
      'a tub whose disconnect is within reach of the water',
      patio(194),
      `The disconnect of Hot tub is 4'-7 7/8" from the inside wall of the tub: 5'-0" at least, unless a barrier that nobody reaches around stands between. Move it.`,
    ],
    ['the same though somebody has said that it is in sight', patio(194, { disconnect: 'in-sight' })],
  ],
  cannotTell: [
    [
      'one disconnect for two water heaters: the nearer has it',
      withLoad('water-heater')
        .load('oven', 'r', 'c0', 90, null, { cord: false })
        .feature('r', 'disconnect', ['c0', 45, 9, 5]),
      'By what is this cut off: Wall oven? It needs a disconnect in sight, a breaker that can be locked open, or switches of its own whose marked "off" opens all ungrounded conductors.',
    ],
    [
      'a disconnect in the next room is not in sight',
      withLoad('air-conditioner').room('n', 'utility', [150, 0, 144, 96]).feature('n', 'disconnect', ['c3', 5, 9, 5]),
    ],
    [
      'a disconnect 52 ft away on the patio is not in sight',
      aHouse()
        .room('r', 'outdoors', [0, 0, 900, 240], { side: 'back' })
        .load('air-conditioner', 'r', 'c0', 40, null, { cord: false })
        .feature('r', 'disconnect', ['c0', 670, 9, 5]),
    ],
    [
      'two appliances of which nothing is said: one question',
      withLoad('water-heater').load('furnace', 'r', 'c0', 90, null, { cord: false }),
      'By what is this cut off: Water heater, Furnace? It needs a disconnect in sight, or a breaker that can be locked open.',
    ],
  ],
  notApplicable: [['a range with its cord', withLoad('range')]],
});
