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
    [
      'one in the wall of the house that a yard borders, beside one at its end',
      aHouse()
        .room('liv', 'living', [0, 0, 200, 200])
        .room('front', 'porch', [0, 210, 100, 60], { side: 'front' })
        .room('back', 'outdoors', [0, -404.5, 200, 400], { side: 'back' })
        .receptacle('front', 'c0', 50)
        .receptacle('back', 'c0', 50)
        .receptacle('back', 'c2', 50),
      'The back has its receptacle: back.',
    ],
    [
      'exactly 6 1/2 ft above grade: a floor of 18 in and 60 in',
      outside().receptacle('front', 'c0', 50, { heightIn: 60 }).receptacle('back', 'c2', 50),
    ],
    [
      'a tub\u2019s receptacle and a free one beside it',
      outside().receptacle('front', 'c0', 50).load('plug-in-tub', 'back', 'c2', 50, null).receptacle('back', 'c2', 70),
    ],
    [
      'a 240 V one beside one of 120 V',
      outside().receptacle('front', 'c0', 50).receptacle('back', 'c2', 20, { volts: 240 }).receptacle('back', 'c2', 50),
    ],
  ],
  fails: [
    [
      'none at the back',
      outside().receptacle('front', 'c0', 50),
      'No outdoor receptacle at the back of the house, readily accessible from grade.',
    ],
    [
      'only one of 240 V at the back',
      outside().receptacle('front', 'c0', 50).receptacle('back', 'c2', 50, { volts: 240 }),
    ],
    [
      'only one on a balcony at the back, out of reach from grade',
      outside()
        .room('up', 'balcony', [0, -140, 100, 40], { side: 'back' })
        .receptacle('front', 'c0', 50)
        .receptacle('up', 'c2', 50),
    ],
    [
      'more than 6 1/2 ft above grade',
      outside().receptacle('front', 'c0', 50, { heightIn: 61 }).receptacle('back', 'c2', 50),
    ],
  ],
  cannotTell: [
    [
      'the only one at the back stands at the far end of the yard',
      aHouse()
        .room('liv', 'living', [0, 0, 200, 200])
        .room('front', 'porch', [0, 210, 100, 60], { side: 'front' })
        .room('back', 'outdoors', [0, -404.5, 200, 400], { side: 'back' })
        .receptacle('front', 'c0', 50)
        .receptacle('back', 'c0', 50),
      'The only receptacle at the back, R3-1, stands where the yard ends, not at the house. Whether it serves the back of the dwelling is for the authority to say: ask, or set one in the wall of the house.',
    ],
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
