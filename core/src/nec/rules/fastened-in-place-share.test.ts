import { aHouse } from '../../test/house-builder';
import { testRule } from '../../test/rule-tester';
import { fastenedInPlaceShare } from './fastened-in-place-share';
import { den } from '../../test/circuits-cases';

const shared = (edition: '2017' | '2023' = '2023') =>
  aHouse(edition).room('den', 'den', [0, 0, 200, 200]).circuit('A', 20).ceiling('den', 'luminaire', 'A');

testRule(fastenedInPlaceShare, {
  passes: [
    [
      '10 A in all beside lights on 20 A',
      shared().load('disposer', 'den', 'c0', 30, 'A', { va: 1200 }),
      'A: 10.0 A fastened in place of 10 A allowed.',
    ],
    [
      'dishwasher and disposer alone: both fixed, nothing else',
      den()
        .circuit('A', 20)
        .circuit('L', 15)
        .ceiling('den', 'luminaire', 'L')
        .ceiling('den', 'fan', 'L')
        .load('dishwasher', 'den', 'c0', 30, 'A')
        .load('disposer', 'den', 'c1', 30, 'A'),
    ],
    [
      'luminaires are not counted as fastened equipment',
      shared('2017').ceiling('den', 'luminaire', 'A', { va: 1500 }).load('disposer', 'den', 'c0', 30, 'A', { va: 600 }),
    ],
  ],
  fails: [
    [
      'two of 10 A each share with lights: the sum counts',
      shared()
        .load('disposer', 'den', 'c0', 30, 'A', { va: 600, name: 'Disposer' })
        .load('dishwasher', 'den', 'c1', 30, 'A', { va: 660, name: 'Dishwasher' }),
      'A feeds lights or plugs as well as Disposer (R1-2), Dishwasher (R1-3): 10.5 A fastened in place, 10 A allowed.',
    ],
    [
      'a paddle fan is fastened in place as well',
      shared().ceiling('den', 'fan', 'A', { va: 60 }).load('disposer', 'den', 'c0', 30, 'A', { va: 1200 }),
    ],
    [
      'a 1,500 W bath heater beside its receptacle',
      shared('2017').receptacle('den', 'c0', 20, { circuit: 'A' }).load('bath-heater', 'den', 'c1', 30, 'A'),
    ],
  ],
});
