import { expect, test } from 'vitest';
import { den } from '../../test/circuits-cases';
import { must } from '../../test/must';
import { testRule } from '../../test/rule-tester';
import { addDirectory } from '../../typed/typed-directory';
import { applyRemedy } from '../apply-remedy';
import { checkHouse } from '../check-house';
import { conductorSize } from './conductor-size';
import { conductorsRead } from './conductors-read';

const old = (n: number) => {
  const builder = den();
  for (let i = 1; i <= n; i++) builder.circuit(`old-${i}`, 20, { unread: true });
  return builder;
};

testRule(conductorsRead, {
  passes: [],
  fails: [],
  cannotTell: [
    [
      'two old ones',
      old(2).circuit('New', 15),
      'Nobody has read the conductors of old-1, old-2: a breaker does not say them. Look at them in the panel, dead front off and by a qualified person: size and metal, before anything is added.',
    ],
    ['many, in one line', old(9)],
  ],
  notApplicable: [
    ['no circuit', den()],
    ['a new circuit', den().circuit('A', 15)],
  ],
});

test('what a panel door says is no word on the wire: nothing passes until somebody has looked', () => {
  let n = 0;
  const newId = (prefix: string) => `${prefix}${++n}`;
  const drawn = den().panel('P', 'den', 20).build();
  const typed = must(addDirectory(drawn, 'P', '1 20 Kitchen\n3 15 Lights', newId)).house;
  const sizes = (house: typeof typed) => {
    const { findings, passes } = checkHouse(house, { rules: [conductorSize] });
    return [...findings, ...passes].map((one) => one.kind);
  };
  expect(sizes(typed)).toEqual([]);
  const [finding, ...others] = checkHouse(typed, { rules: [conductorsRead] }).findings;
  expect(others).toEqual([]);
  const read = must(applyRemedy(typed, finding!.remedies[0]!, newId)).house;
  expect(checkHouse(read, { rules: [conductorsRead] }).findings).toEqual([]);
  expect(sizes(read)).toEqual(['pass', 'pass']);
});
