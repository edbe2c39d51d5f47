import { aHouse } from '../../test/house-builder';
import { testRule } from '../../test/rule-tester';
import { drawingComplete } from './drawing-complete';

const room = () => aHouse().room('r', 'living', [0, 0, 200, 150]);
const below = (kind: 'recreation' | 'crawl-space') =>
  room()
    .with((house) => {
      house.levels['L0'] = { ...house.levels['L1']!, id: 'L0', name: 'Basement', elevationIn: -100, grade: 'below' };
    })
    .room('b', kind, [0, 0, 200, 150], { level: 'L0' });
const garage = (secondAt: number) =>
  aHouse()
    .room('g', 'garage', [0, 0, 240, 240])
    .feature('g', 'panel', ['c0', 40, 16, 4], { id: 'p', heightIn: 72 })
    .feature('g', 'panel', ['c0', secondAt, 16, 4], { id: 'q', heightIn: 72 })
    .panel('P', 'g', 20, 'p')
    .panel('Q', 'g', 20, 'q');

testRule(drawingComplete, {
  passes: [
    ['a room with its walls', room(), '1 room as drawn, nothing missing between them.'],
    [
      'a stair that is drawn on the upper of two levels',
      below('recreation').feature('r', 'stair', ['c1', 10, 110, 36]),
    ],
    ['a crawl space, which has a hatch', below('crawl-space')],
    ['two panels beside each other', garage(60)],
    [
      'a side that is open to the next room',
      room().boundary('r', 'c0', 'open').boundary('r', 'c1', 'open').boundary('r', 'c2', 'open'),
    ],
  ],
  fails: [
    ['two panels that overlap', garage(50), 'P and Q hang in one place. Move one of them under House, or remove it.'],
    ['two panels in one cabinet', garage(100).with((house) => (house.panels['Q']!.feature = 'p'))],
  ],
  cannotTell: [
    [
      'a room without any wall',
      ['c0', 'c1', 'c2', 'c3'].reduce((house, wall) => house.boundary('r', wall, 'open'), room()),
      'Every side of r is open, so no receptacle or switch is required in it. Under House, set the sides that are walls.',
    ],
    [
      'a basement that no stair leads to',
      below('recreation'),
      'No stair is drawn to Basement, so its switches and its lights cannot be checked. Draw the stair under House.',
    ],
  ],
  notApplicable: [['nothing drawn', aHouse()]],
});
