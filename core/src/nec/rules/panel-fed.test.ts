import { testRule } from '../../test/rule-tester';
import { served, twoMains, withShop } from '../../test/supply-cases';
import { panelFed } from './panel-fed';

testRule(panelFed, {
  passes: [
    ['a panel in the shop behind a feeder', withShop(), 'Q is fed and protected.'],
    ['a second main on the service', twoMains(), 'Q is fed and protected.'],
    ['lugs behind no more than their busbars', withShop({}, { panel: { main: 'lugs', mainA: 100, busA: 100 } })],
  ],
  fails: [
    [
      'busbars of 100 A behind a main of 200 A',
      served().with((house) => void (house.panels['P']!.busA = 100)),
      'The busbars of P are made for 100 A and stand behind 200 A.',
    ],
    [
      'a second one on the service with lugs only',
      twoMains().with((house) => void (house.panels['Q']!.main = 'lugs')),
      'Q has lugs only and the service comes into it: nothing in it disconnects the service. It needs a main, or a service disconnect ahead of it.',
    ],
    ['lugs of 50 A behind a feeder of 60 A', withShop({}, { panel: { main: 'lugs', mainA: 50 } })],
    [
      'the first panel with lugs only',
      served().with((house) => void (house.panels['P']!.main = 'lugs')),
      'P has lugs only and the service comes into it: nothing in it disconnects the service. It needs a main, or a service disconnect ahead of it.',
    ],
  ],
  cannotTell: [
    [
      'a second panel without a feeder',
      withShop().with((house) => void delete house.feeders['F']),
      'Nothing says how Q is fed. Draw its feeder under Service, or remove it.',
    ],
  ],
  notApplicable: [['one panel with its main', served()]],
});
