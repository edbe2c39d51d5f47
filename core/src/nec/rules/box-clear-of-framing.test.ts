import { describe, expect, it } from 'vitest';
import { testRule } from '../../test/rule-tester';
import type { House } from '../../house/schema';
import { applyRemedy } from '../apply-remedy';
import { checkHouse } from '../check-house';
import { boxClearOfFraming } from './box-clear-of-framing';
import { boxInWall } from './box-in-wall';
import { boxOnStud } from './box-on-stud';
import { room, den } from '../../test/boxes-in-place-cases';

/** A receptacle at 16 in, and a row of blocking in its wall. */
const blocked = (atIn: number) =>
  room('den')
    .receptacle('r', 'c0', 52)
    .with((house) => {
      const framing = { depth: '2x4', layoutFrom: 'start', plumbing: false, blockingAtIn: [atIn] } as const;
      house.rooms['r']!.corners[0]!.framing = { ...framing, blockingAtIn: [atIn] };
    });

testRule(boxClearOfFraming, {
  passes: [
    [
      '5 in beside a door',
      den().receptacle('r', 'c0', 55),
      'The boxes of r are clear of casings, headers, braces and blocking.',
    ],
    [
      '2 in above the head of an opening that was built without a header',
      den('cased')
        .with((house) => Object.values(house.openings).forEach((one) => (one.headerIn = 0)))
        .receptacle('r', 'c0', 76, { heightIn: 83 }),
    ],
    ['an inch beside a cased opening, which has no casing', den('cased').receptacle('r', 'c0', 58.5)],
    ['below a row of blocking', blocked(24)],
    [
      'beside a brace',
      room('den').feature('r', 'brace', ['c0', 30, 20, 1], { heightIn: 96 }).receptacle('r', 'c0', 52),
    ],
  ],
  fails: [
    // The usual header, 7 1/4 in, ends at 7'-3 1/4": as built it is 11 1/4 in.
    [
      '9 in above the head, where the header is as deep as it was built',
      den('cased')
        .with((house) => Object.values(house.openings).forEach((one) => (one.headerIn = 11.25)))
        .receptacle('r', 'c0', 76, { heightIn: 90 }),
      'R1-1 stands in the header over the cased opening.',
    ],
    ['2 in beside a door', den().receptacle('r', 'c0', 58), 'R1-1 stands where the casing of the door goes.'],
    [
      'over a cased opening, 2 in above its head',
      den('cased').receptacle('r', 'c0', 76, { heightIn: 83 }),
      'R1-1 stands in the header over the cased opening.',
    ],
    [
      'in a row of blocking',
      blocked(16),
      'R1-1 stands in a row of blocking. Move it, or have the framer move that block.',
    ],
    [
      'on a brace',
      room('den')
        .feature('r', 'brace', ['c0', 30, 20, 1], { heightIn: 96, name: 'steel strap' })
        .receptacle('r', 'c0', 40),
      'R1-1 stands where the steel strap runs.',
    ],
  ],
});

describe('a box that stands where none can', () => {
  const remedyOf = (house: House) => checkHouse(house, { rules: [boxInWall] }).findings[0]!.remedies;
  it('is moved to the nearest stud\u2019s side that is free, and the finding is gone', () => {
    const house = den().receptacle('r', 'c0', 62).receptacle('r', 'c0', 55.875).build();
    const [remedy] = remedyOf(house);
    const moved = applyRemedy(house, remedy!, () => 'x');
    if (!moved.ok || remedy?.kind !== 'move-box') throw new Error('moved');
    expect(checkHouse(moved.value.house, { rules: [boxInWall, boxOnStud, boxClearOfFraming] }).findings).toEqual([]);
    // The one beside the door is taken; the next face is beside the stud at 48 in.
    const [first] = Object.values(moved.value.house.boxes);
    expect(first!.at).toMatchObject({ wall: 'c0', alongIn: 49.875, heightIn: 16 });
  });
  it('is offered no place where no wall has studs', () => {
    const masonry = den().with((house) => {
      for (const corner of house.rooms['r']!.corners) corner.covering = { kind: 'masonry', thicknessIn: 0.5 };
    });
    expect(remedyOf(masonry.receptacle('r', 'c0', 76).build())).toEqual([]);
  });
});
