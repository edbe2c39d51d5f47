import { aHouse } from '../../test/house-builder';
import { testRule } from '../../test/rule-tester';
import type { LoadKind } from '../../house/schema-equipment';
import { applianceDisconnect } from './appliance-disconnect';

const withLoad = (kind: LoadKind, extra: Readonly<Record<string, unknown>> = {}) =>
  aHouse().room('r', 'utility', [0, 0, 144, 96]).load(kind, 'r', 'c0', 40, null, extra);

testRule(applianceDisconnect, {
  passes: [
    [
      'a water heater whose breaker can be locked open',
      withLoad('water-heater', { disconnect: 'lockable-breaker' }),
      'Water heater is cut off by a breaker that can be locked open.',
    ],
    ['a condensing unit with a disconnect beside it', withLoad('air-conditioner', { disconnect: 'in-sight' })],
    ['a hot tub with its disconnect in sight', withLoad('hot-tub', { disconnect: 'in-sight' })],
    ['a heater by its thermostat with a marked off', withLoad('baseboard-heat', { disconnect: 'thermostat-off' })],
  ],
  fails: [
    [
      'a condensing unit by a lockable breaker out of sight: not in a dwelling',
      withLoad('air-conditioner', { disconnect: 'lockable-breaker' }),
      'Air conditioner has a breaker that can be locked open. It needs a disconnect in sight from it and readily accessible.',
    ],
    ['a water heater by its thermostat', withLoad('water-heater', { disconnect: 'thermostat-off' })],
    [
      'a hot tub by a breaker in the panel',
      withLoad('hot-tub', { disconnect: 'lockable-breaker' }),
      'Hot tub has a breaker that can be locked open. It needs a readily accessible disconnect in sight, 5 ft or more from the inside wall of the tub.',
    ],
    ['a well pump by nothing', withLoad('well-pump', { disconnect: 'none' })],
  ],
  cannotTell: [
    [
      'two appliances of which nothing is said: one question',
      withLoad('water-heater').load('oven', 'r', 'c0', 90, null, { cord: false }),
      'By what is this cut off: Water heater, Wall oven? It needs a disconnect in sight, or a breaker that can be locked open.',
    ],
  ],
  notApplicable: [['a range with its cord', withLoad('range')]],
});
