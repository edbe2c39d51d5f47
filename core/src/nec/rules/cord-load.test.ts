import { aHouse } from '../../test/house-builder';
import { testRule } from '../../test/rule-tester';
import { cordLoad } from './cord-load';
import { over, kitchen, den } from '../../test/circuits-cases';

const cord = (edition: '2017' | '2023' = '2023') =>
  aHouse(edition).room('den', 'den', [0, 0, 200, 200]).circuit('A', 15).receptacle('den', 'c1', 40, { circuit: 'A' });

testRule(cordLoad, {
  passes: [
    [
      'exactly 12 A on 15 A',
      cord('2017').load('portable-heater', 'den', 'c0', 30, 'A', { va: 1440 }),
      'Portable heater draws 12.0 A of 12 A allowed.',
    ],
    [
      '16 A of one plug on 20 A, by a 20 A receptacle',
      den()
        .circuit('A', 20)
        .receptacle('den', 'c1', 40, { circuit: 'A' })
        .load('portable-heater', 'den', 'c0', 30, 'A', { va: 1920, ratingA: 20 }),
    ],
    [
      'by itself at a single receptacle it may have the whole circuit',
      cord()
        .circuit('B', 15)
        .load('portable-heater', 'den', 'c0', 30, 'B', { style: 'single' })
        .load('kettle', 'den', 'c2', 30, 'A', { va: 900 }),
    ],
  ],
  fails: [
    [
      'a 1,500 W heater on 15 A',
      cord().load('portable-heater', 'den', 'c0', 30, 'A'),
      'Portable heater draws 12.5 A on A; 12 A is the most for one plug-in load there.',
    ],
    [
      'by itself at a duplex, which is two receptacles',
      den().circuit('B', 15).load('portable-heater', 'den', 'c0', 30, 'B'),
      'Portable heater draws 12.5 A on B; 12 A is the most for one plug-in load there.',
    ],
    [
      'a window unit over half of a circuit that feeds other things: 440.62(C)',
      cord().load('window-ac', 'den', 'c0', 30, 'A', { va: 1200 }),
      'Window air conditioner draws 10.0 A on A; 7.5 A is the most for one plug-in load there.',
    ],
    [
      'a window unit over four fifths of a circuit of its own: 440.62(B)',
      cord().circuit('B', 15).load('window-ac', 'den', 'c0', 30, 'B', { va: 1560, style: 'single' }),
      'Window air conditioner draws 13.0 A on B; 12 A is the most for one plug-in load there.',
    ],
    [
      'a 1,500 W heater on 20 A by a 15 A receptacle: Table 210.21(B)(2)',
      den()
        .circuit('A', 20)
        .receptacle('den', 'c1', 40, { circuit: 'A' })
        .load('portable-heater', 'den', 'c0', 30, 'A', { source: 'nameplate' }),
      'Portable heater draws 12.5 A at a 15 A receptacle; 12 A is the most for one plug there. On its 20 A circuit a 20 A receptacle may feed 16 A.',
    ],
    [
      '25 A of one plug on 30 A with another outlet',
      den()
        .circuit('A', 30, { poles: 2 })
        .load('other', 'den', 'c0', 30, 'A', { volts: 240, va: 6000, ratingA: 30 })
        .load('other', 'den', 'c1', 30, 'A', { volts: 240, va: 2400, ratingA: 30 }),
    ],
  ],
  cannotTell: [
    [
      'a kettle of typically 1,500 W on the counter, its plate not read',
      kitchen().receptacle('kit', 'c0', 20, over('SA1')).load('kettle', 'kit', 'c0', 70, 'SA1', { heightIn: 43 }),
      'Kettle typically draws 12.5 A; at its 15 A receptacle 12 A is the most for one plug. Read its plate, or set a larger receptacle.',
    ],
  ],
});
