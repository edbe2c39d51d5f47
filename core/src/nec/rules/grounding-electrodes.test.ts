import { testRule } from '../../test/rule-tester';
import { served } from '../../test/supply-cases';
import { groundingElectrodes } from './grounding-electrodes';

const copper = (size: '8' | '6' | '4') => ({ electrodeConductor: { size, metal: 'copper' as const } });

testRule(groundingElectrodes, {
  passes: [
    [
      'two rods on No. 6',
      served({ electrodes: ['two-rods'], ...copper('6') }),
      'P has grounding electrodes that are enough.',
    ],
    ['steel in the footing on No. 4', served({ electrodes: ['concrete-encased', 'two-rods'], ...copper('4') })],
  ],
  fails: [
    ['none', served({ electrodes: [] }), 'P has no grounding electrode.'],
    [
      'one rod',
      served({ electrodes: ['one-rod'] }),
      'One rod or plate is not enough for P: a second one at least 6 ft away, for which no water pipe stands in, unless it is shown to have 25 ohms or less.',
    ],
    ['one plate', served({ electrodes: ['plate'] })],
    [
      'water pipe alone',
      served({ electrodes: ['water-pipe'] }),
      'The water pipe alone grounds P: it needs another electrode beside it.',
    ],
    [
      'a pipe on No. 6 for 200 A',
      served({ electrodes: ['water-pipe', 'two-rods'], ...copper('6') }),
      'The grounding electrode conductor is No. 6; No. 4 is the least.',
    ],
    [
      'steel in the footing on No. 4 aluminum: 250.66(B) names No. 4 copper alone',
      served({ electrodes: ['concrete-encased'], electrodeConductor: { size: '4', metal: 'aluminum' } }),
      'The grounding electrode conductor is No. 4; No. 2 is the least.',
    ],
    [
      'rods on No. 8',
      served({ electrodes: ['two-rods'], ...copper('8') }),
      'The grounding electrode conductor is No. 8; No. 6 is the least.',
    ],
  ],
  cannotTell: [
    [
      'nothing is said',
      served(),
      'Which grounding electrodes there are is not said: steel in the footing, metal water pipe in the ground, rods. All that are there are bonded together.',
    ],
  ],
  notApplicable: [['a house on wheels, which its pedestal grounds', served({ kind: 'cord' })]],
});
