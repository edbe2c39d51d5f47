import { testRule } from '../../test/rule-tester';
import { boxOnStud } from './box-on-stud';
import { room } from '../../test/boxes-in-place-cases';

// Studs at 16 in from the left corner: a box center at 16 + 3/4 + 1 1/8 in stands on a stud's right side.
testRule(boxOnStud, {
  passes: [
    [
      'on the right side of the first stud',
      room('den').receptacle('r', 'c0', 17.875),
      'The boxes of r stand on studs, or on brackets on purpose.',
    ],
    ['between studs on a bracket', room('den').wallBox('r', 'c0', 24, {}, { bracket: true })],
    [
      'the layout pulled from the other corner',
      room('den')
        .with(
          (house) =>
            void Object.assign(house.rooms['r']!.corners[0]!, {
              framing: { depth: '2x4', layoutFrom: 'end', plumbing: false, spacingIn: 24 },
            }),
        )
        .receptacle('r', 'c0', 121.875),
    ],
  ],
  fails: [
    [
      'between studs',
      room('den').receptacle('r', 'c0', 24),
      'In r these stand on no stud\u2019s side: R1-1. Shift them, or mark them for a bracket.',
    ],
  ],
  notApplicable: [
    [
      'a block wall has no studs',
      room('garage')
        .with((house) => {
          for (const corner of house.rooms['r']!.corners)
            Object.assign(corner, { covering: { kind: 'masonry', thicknessIn: 0 } });
        })
        .receptacle('r', 'c0', 24),
    ],
  ],
});
