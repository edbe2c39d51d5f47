import { deviceSchema } from '../../house/schema-equipment';
import type { House } from '../../house/schema';
import { room } from '../../test/boxes-in-place-cases';
import { testRule } from '../../test/rule-tester';
import { lowVoltageApart } from './low-voltage-apart';

/** A receptacle with a data jack in the next gang. */
const mixed = (divider?: boolean) =>
  room('office')
    .receptacle('r', 'c0', 40)
    .with((house: House) => {
      const [box] = Object.values(house.boxes);
      box!.devices['jack'] = deviceSchema.parse({ kind: 'low-voltage', id: 'jack' });
      box!.gangs = 2;
      if (divider !== undefined) box!.divider = divider;
    });

testRule(lowVoltageApart, {
  passes: [['with a divider', mixed(true), 'R1-1 has a divider between power and low voltage.']],
  fails: [['without one', mixed(false), 'R1-1 holds power and low voltage with no divider between them.']],
  cannotTell: [
    [
      'nobody has said',
      mixed(),
      'R1-1 holds power and low voltage. Has it a divider between them? Without one they need boxes of their own.',
    ],
  ],
  notApplicable: [['power alone', room('office').receptacle('r', 'c0', 40)]],
});
