import { testRule } from '../../test/rule-tester';
import { boxCovering } from './box-covering';
import { room } from '../../test/boxes-in-place-cases';

const covered = (kind: string, thicknessIn: number, type?: string) =>
  room('bathroom')
    .with((house) => void Object.assign(house.rooms['r']!.corners[0]!, { covering: { kind, thicknessIn } }))
    .wallBox('r', 'c0', 60, {}, type ? { type } : {});

testRule(boxCovering, {
  passes: [
    ['nobody chose a box', covered('tile', 1.25), 'The boxes of r can come flush with their walls.'],
    ['tile on an adjustable box', covered('tile', 1.25, 'gang-1-adjustable')],
  ],
  fails: [
    [
      'tile of 1 1/4 in on a fixed box',
      covered('tile', 1.25, 'gang-1'),
      '1 1/4" of covering behind R1-1: the chosen box cannot be adjusted to it.',
    ],
    [
      'covering undecided',
      covered('undecided', 0, 'gang-1'),
      'The covering behind R1-1 is undecided, and its box cannot be adjusted in depth.',
    ],
  ],
});
