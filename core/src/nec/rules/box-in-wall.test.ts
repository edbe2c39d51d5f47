import { testRule } from '../../test/rule-tester';
import { boxInWall } from './box-in-wall';
import { room, den } from '../../test/boxes-in-place-cases';

testRule(boxInWall, {
  passes: [
    ['a foot beside a door', den().receptacle('r', 'c0', 48), 'Behind the boxes of r there is wall.'],
    ['below a window with its sill at 36 in', den('window').receptacle('r', 'c0', 76)],
    ['a light over a door, above its header', den().receptacle('r', 'c0', 76, { heightIn: 92 })],
    ['a door switch in the jamb', den().wallBox('r', 'c0', 60, { kind: 'switch', style: 'door-jamb' })],
    ['1 1/8 in from the corner, with half a box of as much', room('den').receptacle('r', 'c0', 1.125)],
    ['on a porch\u2019s railing', room('porch').boundary('r', 'c0', 'railing').receptacle('r', 'c0', 60)],
    ['over the panel of an open pocket door', den('pocket').receptacle('r', 'c0', 44, { heightIn: 84 })],
  ],
  fails: [
    ['in a doorway', den().receptacle('r', 'c0', 76), 'R1-1 stands in the doorway: there is no wall to set it in.'],
    ['with one edge in a doorway', den().receptacle('r', 'c0', 59.5)],
    ['in a cased opening', den('cased').receptacle('r', 'c0', 70)],
    [
      'in fixed glass to the floor, which is wall space but no wall for a box',
      den('fixed-glass').receptacle('r', 'c0', 76),
    ],
    ['before the fixed panel of a sliding door', den('slider').receptacle('r', 'c0', 86)],
    [
      'a switch at 48 in, where a window has its sill at 36',
      den('window').wallBox(
        'r',
        'c0',
        76,
        { kind: 'switch' },
        { at: { kind: 'wall', wall: 'c0', alongIn: 76, heightIn: 48 } },
      ),
    ],
    [
      'where the pocket door slides',
      den('pocket').receptacle('r', 'c0', 44),
      'R1-1 stands where the pocket door slides into the wall.',
    ],
    [
      'where the room is open to the next',
      room('den').boundary('r', 'c1', 'open').receptacle('r', 'c1', 60),
      'R1-1 stands where r is open to the next area: there is no wall.',
    ],
    [
      'half an inch from a corner',
      room('den').receptacle('r', 'c0', 0.5),
      'The middle of R1-1 is 1/2" from the corner, and half of its box is 1 1/8" wide.',
    ],
  ],
  notApplicable: [['boxes in the ceiling only', room('den').over('r', 'luminaire', 60, 60)]],
});
