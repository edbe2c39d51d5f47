import { expect, it } from 'vitest';
import { aHouse } from '../../test/house-builder';
import { testRule } from '../../test/rule-tester';
import { placeBoxes } from '../../edits/verbs';
import { placementLimits } from '../apply-remedy';
import { checkHouse } from '../check-house';
import { boxesOfProposal, proposeForRoom } from '../../place/propose';
import { fromLoop, wallLoop } from '../../plan/wall-loop';
import { boxesCollide } from './boxes-collide';
import { room } from '../../test/boxes-in-place-cases';

let n = 0;

const newId = (prefix: string) => `${prefix}-n${++n}`;

/** Two dens of 12 by 10 ft with a wall of 2x4 studs and 1/2 in boards between them: 4 1/2 in from face to face. */
const twoDens = (wallIn = 4.5) =>
  aHouse()
    .room('r', 'den', [0, 0, 144, 120])
    .room('s', 'den', [144 + wallIn, 0, 144, 120]);

// The east wall of the first runs down from its corner, the west wall of the second up: 60 in along is 60 in along both.
testRule(boxesCollide, {
  passes: [
    [
      'a box on each side of a stud',
      twoDens().receptacle('r', 'c1', 57).receptacle('s', 'c3', 60),
      'Each of 2 boxes in walls has a place of its own.',
    ],
    [
      'a switch behind a receptacle',
      twoDens()
        .receptacle('r', 'c1', 60)
        .wallBox('s', 'c3', 60, { kind: 'switch' }, { at: { kind: 'wall', wall: 'c3', alongIn: 60, heightIn: 48 } }),
    ],
    ['back to back in a wall of 6 1/2 in', twoDens(6.5).receptacle('r', 'c1', 60).receptacle('s', 'c3', 60)],
    [
      'a receptacle behind a bracket for data, which has no back',
      twoDens().receptacle('r', 'c1', 60).wallBox('s', 'c3', 60, { kind: 'low-voltage' }),
    ],
    ['beside each other on one wall', room('den').receptacle('r', 'c0', 60).receptacle('r', 'c0', 63)],
  ],
  fails: [
    [
      'back to back in a wall of 2x4 studs',
      twoDens().receptacle('r', 'c1', 60).receptacle('s', 'c3', 61),
      'R2-1 and R1-1 stand back to back: 5 1/2" of boxes in a wall of 4 1/2".',
    ],
    [
      'twice in one place',
      room('den').receptacle('r', 'c0', 60).receptacle('r', 'c0', 61),
      'R1-2 and R1-1 are drawn over each other.',
    ],
  ],
  notApplicable: [['no box on a wall', room('den').over('r', 'luminaire', 60, 60)]],
});

it('a room is filled around what its neighbor has in the wall between', () => {
  // In the first room the fewest stand where they stand; behind one of them the second is offered another stud.
  const alone = proposeForRoom(twoDens().build(), 's', placementLimits(twoDens().build()));
  const house = twoDens();
  for (const { atLoopIn } of alone.boxes) {
    const { wall, alongIn } = fromLoop(wallLoop(house.build().rooms['s']!), atLoopIn);
    if (wall.id === 'c3') house.receptacle('r', 'c1', 120 - alongIn);
  }
  const built = house.build();
  expect(Object.keys(built.boxes).length).toBeGreaterThan(0);
  const proposal = proposeForRoom(built, 's', placementLimits(built));
  expect(proposal.boxes.length).toBe(alone.boxes.length);
  const placed = placeBoxes(built, boxesOfProposal(built, proposal, newId), 'Fill');
  if (!placed.ok) throw new Error(placed.problems[0]!.message);
  expect(checkHouse(placed.value.house, { rules: [boxesCollide] }).findings).toEqual([]);
});
