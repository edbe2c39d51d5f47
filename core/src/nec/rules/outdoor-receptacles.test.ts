import { aHouse } from '../../test/house-builder';
import { testRule } from '../../test/rule-tester';
import { outdoorReceptacles } from './outdoor-receptacles';

const outside = () =>
  aHouse()
    .room('liv', 'living', [0, 0, 200, 200])
    .room('front', 'porch', [0, 210, 100, 60], { side: 'front' })
    .room('back', 'deck', [0, -70, 100, 60], { side: 'back' });

testRule(outdoorReceptacles, {
  passes: [
    [
      'front and back',
      outside().receptacle('front', 'c0', 50).receptacle('back', 'c2', 50),
      'The front has its receptacle: front.',
    ],
  ],
  fails: [
    [
      'none at the back',
      outside().receptacle('front', 'c0', 50),
      'No outdoor receptacle at the back of the house, readily accessible from grade.',
    ],
    [
      'more than 6 1/2 ft above grade',
      outside().receptacle('front', 'c0', 50, { heightIn: 61 }).receptacle('back', 'c2', 50),
    ],
  ],
  cannotTell: [
    [
      'the only one at the back is that of a plug-in tub',
      outside().receptacle('front', 'c0', 50).load('plug-in-tub', 'back', 'c2', 50, null),
      'The only receptacle at the back of the house, R3-1, is that of an appliance. Ask whether it stays free to use, or add one.',
    ],
    [
      'the back is not drawn',
      aHouse()
        .room('liv', 'living', [0, 0, 200, 200])
        .room('front', 'porch', [0, 210, 100, 60], { side: 'front' })
        .receptacle('front', 'c0', 9),
      'No porch, deck or yard is drawn at the back of the house, so its outdoor receptacle cannot be checked. Draw one and say which side it is on.',
    ],
  ],
});
