import { aHouse } from '../../test/house-builder';
import type { Edition } from '../../house/schema';
import { testRule } from '../../test/rule-tester';
import { extendedCircuit } from './extended-circuit';
import { den } from '../../test/circuits-cases';

const old = (
  edition: Edition,
  kind: 'bedroom' | 'bathroom',
  added: Record<string, unknown> | null,
  circuit: Record<string, unknown> = {},
) => {
  const house = aHouse(edition)
    .room('r', kind, [0, 0, 144, 120])
    .circuit('A', 15, circuit)
    .wallBox('r', 'c0', 30, { circuit: 'A' }, { state: 'existing' });
  return added ? house.wallBox('r', 'c0', 90, { circuit: 'A' }, added) : house;
};

testRule(extendedCircuit, {
  passes: [
    ['nothing is added', old('2023', 'bedroom', null), 'A exists and nothing is added to it: it may stay as it is.'],
    ['2020: in a bathroom', old('2020', 'bathroom', {}), 'A is extended outside the rooms named by 210.12.'],
    [
      '2023: one that was moved, 6 ft on',
      old('2023', 'bedroom', { state: 'moved' }, { extendedFt: 6 }),
      'A is lengthened by 6 ft for what was moved, no more than 6 ft, and nothing is added to it.',
    ],
    [
      '2017: the breaker was changed for an AFCI',
      old('2017', 'bedroom', {}, { breaker: 'afci' }),
      'A is extended, and its breaker is an AFCI.',
    ],
  ],
  cannotTell: [
    [
      'one that was moved, nobody has said how far',
      old('2023', 'bedroom', { state: 'moved' }),
      'On A an outlet is moved and nothing is added. By how many feet are the conductors lengthened? More than 6 ft bring AFCI.',
    ],
  ],
  fails: [
    [
      '2014: one receptacle more in a bedroom',
      old('2014', 'bedroom', {}),
      'A has 1 outlets that exist and 1 that are new, moved or replaced in rooms named by 210.12: AFCI by its breaker, or by a receptacle of the outlet branch-circuit type at the first receptacle that exists.',
    ],
    ['2023: one that was moved, 7 ft on', old('2023', 'bedroom', { state: 'moved' }, { extendedFt: 7 })],
    [
      'one moved 2 ft, beside one that is new',
      old('2023', 'bedroom', { state: 'moved' }, { extendedFt: 2 }).receptacle('r', 'c1', 30, { circuit: 'A' }),
    ],
    [
      '2020: one that is replaced, beside one that stays',
      old('2020', 'bedroom', null).wallBox('r', 'c0', 90, { circuit: 'A', replaced: true }, { state: 'existing' }),
    ],
  ],
  notApplicable: [['a new house', den()]],
});
