import { led } from '../../test/routed';
import { testRule } from '../../test/rule-tester';
import { walled } from '../../test/route-cases';
import { exposedCable } from './exposed-cable';

const over = (level: Parameters<typeof walled>[1]) => led(walled([['c1', 60]], level), 'fewest-holes');

testRule(exposedCable, {
  passes: [],
  fails: [
    [
      'in the attic',
      over({ below: 'slab', above: 'attic' }),
      '12 ft of cable lie in the attic. Across joists within 6 ft of its access they need guard strips as high as the cable, over the whole floor where a stair or ladder is built in; along the sides of joists they need none. Keep them apart there: of two No. 12 against each other for more than 24 in each carries 18 A at 130 °F (310.15).',
    ],
    [
      'in the crawl space',
      over({ below: 'crawl', above: 'roof' }),
      '12 ft of cable lie in the crawl space. Across joists cables smaller than two No. 6 or three No. 8 go through bored holes or on running boards, and off the ground.',
    ],
    [
      'under the joists of a basement',
      led(
        walled([['c1', 60]], { below: 'floor', above: 'roof' }).with((house) => {
          house.levels['L0'] = {
            ...house.levels['L1']!,
            id: 'L0',
            name: 'Basement',
            elevationIn: -80,
            ceilingIn: 88,
            below: 'slab',
            above: 'floor',
          };
          house.rooms['low'] = {
            ...house.rooms['bed']!,
            id: 'low',
            name: 'low',
            prefix: 'B',
            level: 'L0',
            kind: 'basement-unfinished',
            corners: house.rooms['bed']!.corners.map((one) => ({ ...one })),
          };
        }),
        'fewest-holes',
      ),
      '12 ft of cable lie under the open joists of a basement. Across them cables smaller than two No. 6 or three No. 8 go through bored holes or on running boards.',
    ],
  ],
  notApplicable: [['nothing is laid out', walled([['c1', 60]])]],
});
