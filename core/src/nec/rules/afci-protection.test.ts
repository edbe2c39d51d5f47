import { expect, test } from 'vitest';
import { aHouse } from '../../test/house-builder';
import { testRule } from '../../test/rule-tester';
import { checkHouse } from '../check-house';
import { afciProtection } from './afci-protection';

const bed = () =>
  aHouse().room('bed', 'bedroom', [0, 0, 120, 120]).room('bath', 'bathroom', [130, 0, 96, 60]).circuit('A', 15);

testRule(afciProtection, {
  passes: [
    [
      'the breaker follows the outlets',
      bed().receptacle('bed', 'c0', 30, { circuit: 'A' }),
      'A has AFCI protection for bed.',
    ],
    [
      'one room is named once, a bath beside it not at all',
      bed()
        .receptacle('bed', 'c0', 30, { circuit: 'A' })
        .receptacle('bed', 'c0', 60, { circuit: 'A' })
        .receptacle('bath', 'c0', 30, { circuit: 'A' }),
      'A has AFCI protection for bed.',
    ],
  ],
  fails: [
    [
      'a plain breaker chosen by hand',
      bed()
        .receptacle('bed', 'c0', 30, { circuit: 'A' })
        .with((house) => (house.circuits['A']!.breaker = 'plain')),
      'A feeds bed and has no AFCI protection.',
    ],
    [
      'a switch in the bedroom makes an outdoor light\u2019s circuit an arc-fault circuit',
      bed()
        .room('porch', 'porch', [0, 130, 100, 50])
        .ceiling('porch', 'luminaire', 'A')
        .switchAt('bed', 'c2', 20, 'A')
        .with((house) => (house.circuits['A']!.breaker = 'plain')),
    ],
  ],
  cannotTell: [
    [
      'a room without a use',
      aHouse()
        .room('x', 'other', [0, 0, 100, 100])
        .circuit('A', 15, { breaker: 'plain' })
        .receptacle('x', 'c0', 50, { circuit: 'A' }),
      'A: Nobody has said what x is used for. Name its kind.',
    ],
  ],
  notApplicable: [
    ['a bath alone', bed().receptacle('bath', 'c0', 30, { circuit: 'A' })],
    [
      'a room without a use, behind an AFCI breaker already',
      aHouse()
        .room('x', 'other', [0, 0, 100, 100])
        .circuit('A', 15, { breaker: 'afci' })
        .receptacle('x', 'c0', 50, { circuit: 'A' }),
    ],
  ],
});

test.each([
  ['a bedroom', ['bed'], 'high'],
  ['an office, which is like one', ['office'], 'medium'],
  ['both', ['office', 'bed'], 'high'],
] as const)('how sure the demand is: %s', (_, rooms, confidence) => {
  const house = bed().room('office', 'office', [300, 0, 100, 100]);
  for (const room of rooms) house.receptacle(room, 'c0', 30, { circuit: 'A' });
  const built = house.with((one) => (one.circuits['A']!.breaker = 'plain')).build();
  const [found] = checkHouse(built, { rules: [afciProtection] }).findings;
  expect(found).toMatchObject({ basis: { confidence }, measured: 'plain breaker', required: 'combination-type AFCI' });
});
