import { testRule } from '../../test/rule-tester';
import { basementReceptacle } from './basement-receptacle';
import { room } from '../../test/boxes-in-place-cases';
import type { Grade, RoomKind } from '../../house/schema';

const part = (kind: RoomKind, grade: Grade = 'below') =>
  room(kind).with((house) => (house.levels['L1']!.grade = grade));

testRule(basementReceptacle, {
  passes: [['an ordinary one', part('basement-unfinished').receptacle('r', 'c0', 20), 'r has its receptacle.']],
  fails: [
    ['none', part('basement-unfinished'), 'r has no receptacle of its own.'],
    ['only the sump pump\u2019s', part('basement-unfinished').load('sump-pump', 'r', 'c0', 20, null)],
    ['none in a storage room below grade', part('storage')],
    [
      'none in a utility room at the back of a walk-out',
      part('utility', 'above').with((house) => (house.rooms['r']!.grade = 'below')),
    ],
  ],
  cannotTell: [
    [
      'none in a room that is called a basement on a level at grade, which contradict each other',
      part('basement-unfinished', 'above'),
    ],
    [
      'none, on a level of which nobody has said that it lies below grade',
      part('basement-unfinished', 'not-known'),
      'r has no receptacle of its own. If its level lies below grade it needs one: mark the level.',
    ],
  ],
  notApplicable: [['a storage room upstairs', part('storage', 'above')]],
});
