import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { shadowsOf } from '../place/obstructions';
import { barredByFraming } from './blocked-by-framing';
import { viewRoom } from './room-view';
import { roomsOver } from './stacked';
import { faceUnder, layStuds, narrowBays, studFaces } from './studs';
import { aHouse } from '../test/house-builder';

const room = () => aHouse().room('r', 'den', [0, 0, 144, 120]);
const studsOn = (house: ReturnType<ReturnType<typeof room>['build']>) =>
  layStuds(viewRoom(house, 'r')).filter((stud) => stud.atIn < 144);

describe('framing of a wall of 12 ft', () => {
  it('stands at 16 in from its left corner, doubled at the ends', () =>
    expect(studsOn(room().build()).map((stud) => stud.atIn)).toEqual([0.75, 16, 32, 48, 64, 80, 96, 112, 128, 143.25]));

  it('stands where somebody has measured it, with jacks and kings where openings are', () => {
    const measured = room()
      .with((house) => {
        house.rooms['r']!.corners[0]!.framing = {
          depth: '2x4',
          layoutFrom: 'start',
          plumbing: false,
          studsAtIn: [15, 30.5, 47.5],
        };
      })
      .opening('r', 'c0', 'door', 100, 32);
    expect(studsOn(measured.build()).map((stud) => stud.atIn)).toEqual([
      0.75, 15, 30.5, 47.5, 97.75, 99.25, 132.75, 134.25, 143.25,
    ]);
  });

  it('has jack and king at both sides of a door and nothing in it', () => {
    const studs = studsOn(room().opening('r', 'c0', 'door', 50, 32).build());
    const near = studs.filter((stud) => stud.atIn > 45 && stud.atIn < 90).map(({ atIn, kind }) => [atIn, kind]);
    expect(near).toEqual([
      [47.75, 'king'],
      [49.25, 'jack'],
      [82.75, 'jack'],
      [84.25, 'king'],
    ]);
  });

  it('has cripples below a window on the layout, which carry a low box and no high one', () => {
    const house = room().opening('r', 'c0', 'window', 40, 60, { sillIn: 36 }).build();
    const cripples = studsOn(house).filter((stud) => stud.kind === 'cripple');
    expect(cripples.map((stud) => [stud.atIn, stud.topIn])).toEqual([
      [48, 36],
      [64, 36],
      [80, 36],
      [96, 36],
    ]);
    const under = (heightIn: number) =>
      studFaces(viewRoom(house, 'r'), heightIn).filter((face) => face.atIn > 45 && face.atIn < 98).length;
    expect([under(16), under(48)]).toEqual([8, 0]);
  });

  it('has a post at each side of a partition that meets it from behind', () => {
    const house = room().room('a', 'den', [0, -100, 60, 95.5]).room('b', 'den', [64.5, -100, 79.5, 95.5]).build();
    const posts = studsOn(house).filter((stud) => stud.kind === 'partition');
    expect(posts.map((stud) => stud.atIn)).toEqual([60, 64.5]);
  });

  it('is barred where a pocket door slides in, and over openings by their headers', () => {
    const house = room().opening('r', 'c0', 'pocket', 60, 32, { opens: 'right' }).build();
    const barred = barredByFraming(viewRoom(house, 'r'));
    expect(barred.map(({ cause, fromIn, toIn, bottomIn }) => [cause, fromIn, toIn, bottomIn])).toEqual([
      ['pocket door', 92, 124, 0],
      // It carries the track, so it spans the pocket too.
      ['header', 58.5, 125.5, 80],
    ]);
    expect(studFaces(viewRoom(house, 'r'), 16).filter((face) => face.atIn > 92 && face.atIn < 124)).toEqual([]);
  });

  it('names bays that an ordinary drill does not get into', () => {
    const house = room().opening('r', 'c0', 'door', 40, 32).build();
    const bays = narrowBays(viewRoom(house, 'r')).filter((bay) => bay.fromIn < 144);
    expect(bays.map((bay) => Math.round((bay.toIn - bay.fromIn) * 100) / 100)).toEqual([4.25, 4.25]);
  });

  it('carries a box of two gangs farther out, and says on which side of which stud it stands', () => {
    const view = viewRoom(room().build(), 'r');
    expect(faceUnder(view, 17.875, 16, 1)).toEqual({ atIn: 17.875, studIn: 16, side: 'right' });
    expect(faceUnder(view, 17.875, 16, 2)).toBeUndefined();
    expect(faceUnder(view, 18.78125, 16, 2)).toMatchObject({ studIn: 16, side: 'right' });
  });
});

describe('what stands in the way of use', () => {
  const causes = (house: ReturnType<ReturnType<typeof room>['build']>) =>
    shadowsOf(viewRoom(house, 'r')).map(({ cause, fromIn, toIn }) => [cause, fromIn, toIn]);
  it('is the leaf of a door on its hinge side, and only in the room it swings into', () => {
    const house = room()
      .room('hall', 'hallway', [0, -46.5, 144, 42])
      .opening('r', 'c0', 'door', 60, 32, { hinge: 'left' })
      .build();
    expect(causes(house)).toEqual([['the open door', 28, 60]]);
    expect(shadowsOf(viewRoom(house, 'hall'))).toEqual([]);
  });
  it('is both leaves of a pair, each half as wide', () =>
    expect(causes(room().opening('r', 'c0', 'door', 60, 60, { leaves: 2 }).build())).toEqual([
      ['the open door', 30, 60],
      ['the open door', 120, 150],
    ]));
  it('is a barn panel on the side it opens to', () =>
    expect(causes(room().opening('r', 'c0', 'barn', 60, 36, { opens: 'right' }).build())).toEqual([
      ['the open barn door', 96, 132],
    ]));
  it('is a sofa that stands near the wall, not one in the middle of the room', () => {
    expect(causes(room().standing('s', 'r', 'sofa', [20, 4, 84, 36], { heightIn: 32 }).build())).toEqual([
      ['a sofa', 20, 104],
    ]);
    expect(causes(room().standing('s', 'r', 'sofa', [20, 40, 84, 36]).build())).toEqual([]);
  });
});

it('the rooms above and below are named', () => {
  const house = room()
    .with((draft) => void (draft.levels['L2'] = { ...draft.levels['L1']!, id: 'L2', name: 'Upper', elevationIn: 130 }))
    .room('bed', 'bedroom', [100, 0, 100, 100], { level: 'L2' })
    .build();
  expect(roomsOver(house, 'r')).toEqual({ above: ['bed'], below: [] });
  expect(roomsOver(house, 'bed')).toEqual({ above: [], below: ['r'] });
});

it('a box asks the studs beside it alone, and is told what the whole wall would say', () => {
  const place = fc.record({
    spacing: fc.constantFrom(16, 24),
    opening: fc.constantFrom('door', 'window', 'pocket', 'fixed-glass') as fc.Arbitrary<'door'>,
    from: fc.integer({ min: 0, max: 100 }),
    height: fc.integer({ min: 12, max: 80 }),
    gangs: fc.integer({ min: 1, max: 4 }),
    at: fc.integer({ min: 0, max: 528 * 8 }),
  });
  fc.assert(
    fc.property(place, ({ spacing, opening, from, height, gangs, at }) => {
      const house = room()
        .opening('r', 'c0', opening, from, 32)
        .with((one) => (one.levels['L1']!.studSpacingIn = spacing))
        .build();
      const view = viewRoom(house, 'r');
      const faces = studFaces(view, height, gangs);
      const near = (atIn: number) => faces.filter((face) => Math.abs(face.atIn - atIn) <= 0.13);
      // Anywhere, and on the faces themselves, where chance would hardly come.
      for (const atIn of [at / 8, ...faces.map((face) => face.atIn)])
        expect(faceUnder(view, atIn, height, gangs)).toEqual(near(atIn)[0]);
    }),
  );
});
