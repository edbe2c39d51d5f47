import { testRule } from '../../test/rule-tester';
import { panelPlace } from './panel-place';
import { panel } from '../../test/boxes-in-place-cases';

testRule(panelPlace, {
  passes: [
    ['in a hall', panel('hallway'), 'Main may stand in r.'],
    ['at the landing of a stair', panel('stair').feature('r', 'stair', ['c0', 0, 55, 36]), 'Main may stand in r.'],
  ],
  fails: [
    ['in a bathroom', panel('half-bath'), 'Main stands in r.'],
    ['in a clothes closet', panel('closet')],
    ['over steps', panel('stair').feature('r', 'stair', ['c0', 40, 60, 36]), 'Main stands over the steps in r.'],
    ['over steps that a hall holds', panel('hallway').feature('r', 'stair', ['c0', 40, 60, 36])],
    [
      'above a door',
      panel('hallway').with((house) => Object.assign(house.features['p']!, { bottomIn: 84, heightIn: 94 })),
      'Main begins 7\'-0" above the floor: its breakers are out of reach.',
    ],
  ],
  cannotTell: [
    [
      'in a stair, drawn away from its walls',
      panel('stair')
        .feature('r', 'stair', ['c0', 40, 60, 36])
        .with((house) => {
          const { widthIn, depthIn } = house.features['p']!.at;
          house.features['p']!.at = { kind: 'free', x: 50, y: 10, widthIn, depthIn };
        }),
    ],
    [
      'in a stair whose steps are not drawn',
      panel('stair'),
      'Main stands in r. Over its steps it may not, at a landing it may: draw the stair, and the panel at its wall.',
    ],
    [
      'a tall one whose highest handle is not known',
      panel('hallway').with((house) => Object.assign(house.features['p']!, { heightIn: 80 })),
      'The top of Main is 6\'-8" above the floor. See that its highest breaker handle is not above 6 ft 7 in.',
    ],
    [
      'in a linen closet',
      panel('linen'),
      'Main stands in r: not named by the code, but what is stored there may burn easily. Ask the authority.',
    ],
  ],
});
