import { applianceOvercurrent } from './appliance-overcurrent';
import { testRule } from '../../test/rule-tester';
import { den } from '../../test/circuits-cases';

const heater = (ratingA: number, extra = {}) =>
  den().circuit('A', ratingA, { poles: 2 }).load('water-heater', 'den', 'c0', 30, 'A', extra);

testRule(applianceOvercurrent, {
  passes: [
    ['4.5 kW on 30 A, the next size over 28.1 A', heater(30), 'Water heater is on 30 A, of 30 A at most.'],
    ['1.5 kW at 120 V on 20 A', den().circuit('A', 20).load('hot-water-tap', 'den', 'c0', 30, 'A', { va: 1500 })],
    ['40 A marked on it', heater(40, { mocpA: 40 })],
  ],
  fails: [
    ['4.5 kW on 40 A', heater(40), 'Water heater is on 40 A; 30 A is the largest breaker it may have.'],
    ['1.5 kW at 240 V, 6.3 A, on 25 A', heater(25, { va: 1500 })],
  ],
  notApplicable: [['a motor', den().circuit('A', 40, { poles: 2 }).load('well-pump', 'den', 'c0', 30, 'A')]],
});
