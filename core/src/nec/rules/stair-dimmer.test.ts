import { expect, it } from 'vitest';
import type { Edition } from '../../house/schema';
import { checkHouse } from '../check-house';
import { testRule } from '../../test/rule-tester';
import { stairDimmer } from './stair-dimmer';
import { dimmed } from '../../test/wiring-cases';

const stairLit = (edition: Edition, first: string, second: string) =>
  dimmed(edition, [first, second]).with((house) => {
    house.features['st'] = {
      id: 'st',
      room: 'room',
      kind: 'stair',
      name: '',
      at: { kind: 'free', x: 10, y: 10, widthIn: 40, depthIn: 100 },
      heightIn: 36,
      risers: 14,
    };
  });

testRule(stairDimmer, {
  passes: [
    [
      '2017: dimmed from both ends',
      stairLit('2017', 'dimmer', 'add-on'),
      'Group a is dimmed over its full range from every place.',
    ],
  ],
  fails: [
    [
      '2023: a dimmer above and a plain switch below',
      stairLit('2023', 'dimmer', 'toggle'),
      'Group a lights a stair and is dimmed from 1 of its 2 places: every place needs the full range. Take add-on switches, or plain switches.',
    ],
  ],
  notApplicable: [
    ['2014 did not ask', stairLit('2014', 'dimmer', 'toggle')],
    ['plain switches', stairLit('2023', 'toggle', 'toggle')],
  ],
});

it('says nothing of the steps of a deck', () => {
  const house = stairLit('2023', 'dimmer', 'toggle')
    .with(({ rooms }) => (rooms['room']!.kind = 'deck'))
    .build();
  const { findings, passes } = checkHouse(house, { rules: [stairDimmer] });
  expect([...findings, ...passes]).toEqual([]);
});
