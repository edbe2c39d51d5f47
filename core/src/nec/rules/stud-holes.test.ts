import type { HouseBuilder } from '../../test/house-builder';
import { led } from '../../test/routed';
import { testRule } from '../../test/rule-tester';
import { walled } from '../../test/route-cases';
import { studHoles } from './stud-holes';

const SHUT = { below: 'slab', above: 'roof' } as const;
const wired = (awg: string, change: (one: HouseBuilder) => HouseBuilder = (one) => one) =>
  led(change(walled([['c0', 126]], SHUT, { awg, ratingA: 15 })));
/** The same wall between two rooms. */
const within = (builder: HouseBuilder) =>
  builder
    .room('north', 'bedroom', [0, -124.5, 144, 120])
    .room('west', 'bedroom', [-148.5, 0, 144, 120])
    .room('corner', 'storage', [-148.5, -124.5, 144, 120]);

testRule(studHoles, {
  passes: [
    [
      'No. 14 through 2x4',
      wired('14'),
      // Three studs of the west wall, the corner, seven of the north wall; 3/4 in leaves 1 3/8 in on both sides of 3 1/2.
      '11 holes leave enough of their studs; 0 need a nail plate, since their edge is nearer than 1 1/4 in to the face (300.4(A)(1)).',
    ],
    [
      'No. 6 needs 1 1/4 in: within 40 % of 3 1/2 in, 1 1/8 in from the face',
      wired('6'),
      '11 holes leave enough of their studs; 11 need a nail plate, since their edge is nearer than 1 1/4 in to the face (300.4(A)(1)).',
    ],
    [
      'No. 2 through 2x6 in an outside wall: 40 % of 5 1/2 in is 2.2 in',
      wired('2', (one) =>
        one.with((house) => {
          for (const corner of house.rooms['bed']!.corners)
            corner.framing = { depth: '2x6', layoutFrom: 'start', plumbing: false };
        }),
      ),
    ],
  ],
  fails: [
    [
      'No. 2 through 2x4 outside walls: 1 1/2 in is more than 1.4',
      wired('2'),
      `A 1 1/2" hole at 1'-4" in bed takes too much of a 2x4: 1 3/8" is the most. Lead the cable another way, or double the stud.`,
    ],
  ],
  cannotTell: [
    [
      'the same between rooms: 60 % where the wall carries nothing',
      wired('2', within),
      `A 1 1/2" hole at 1'-4" in bed is more than 1 3/8", the most of a 2x4 that carries. Whether that wall carries is not known: ask the framer.`,
    ],
  ],
  notApplicable: [['nothing is laid out', walled([['c0', 126]])]],
});
