import { describe, expect, it } from 'vitest';
import { viewRoom } from '../../plan/room-view';
import { coveAlong, doorsOf, sconcesAt, underCabinets } from './wall-lights';
import { aHouse } from '../../test/house-builder';

const hall = (alongIn: number) =>
  viewRoom(aHouse().room('h', 'hallway', [0, 0, 120, 48]).opening('h', 'c0', 'door', alongIn, 32).build(), 'h');

describe('sconces at a door: 66 in up, 12 in past each side, common practice', () => {
  it.each([
    ['in the middle of a wall: one on each side', 44, [32, 88]],
    ['with a corner 10 in beside it: on the far side only', 10, [54]],
    ['at the other end', 80, [68]],
  ])('%s', (_, alongIn, expected) => {
    const view = hall(alongIn);
    const lights = sconcesAt(view, doorsOf(view)[0]!);
    expect(lights.map((one) => one.at.alongIn)).toEqual(expected);
    expect(lights.every((one) => one.at.heightIn === 66)).toBe(true);
    expect(lights[0]!.device('d')).toMatchObject({ kind: 'luminaire', style: 'wall' });
  });
  it('none over a window beside the door, and none beside a door for vehicles', () => {
    const house = aHouse()
      .room('h', 'foyer', [0, 0, 120, 96])
      .opening('h', 'c0', 'door', 40, 32)
      .opening('h', 'c0', 'window', 76, 30, { sillIn: 30 })
      .opening('h', 'c1', 'vehicle', 5, 90)
      .build();
    const view = viewRoom(house, 'h');
    expect(doorsOf(view)).toHaveLength(1);
    expect(sconcesAt(view, doorsOf(view)[0]!).map((one) => one.at.alongIn)).toEqual([28]);
  });
});

it('a strip under each hanging cabinet, as long as it, 4 W a foot, its driver in the cabinet; none under a base cabinet', () => {
  const house = aHouse()
    .room('k', 'kitchen', [0, 0, 144, 120])
    .feature('k', 'cabinet', ['c0', 20, 60, 12], { bottomIn: 54, heightIn: 84 })
    .feature('k', 'cabinet', ['c1', 20, 60, 24], { heightIn: 34 })
    .build();
  const lights = underCabinets(viewRoom(house, 'k'));
  expect(lights.map((one) => one.at)).toEqual([{ kind: 'wall', wall: 'c0', alongIn: 50, heightIn: 53 }]);
  expect(lights[0]!.device('d')).toMatchObject({ style: 'strip', lengthIn: 60, va: 20, driver: 'cabinet' });
});

it('a cove along a wall is fed at its middle, or beside a tall opening there', () => {
  const plain = aHouse().room('l', 'living', [0, 0, 200, 144]);
  expect(coveAlong(viewRoom(plain.build(), 'l'), 'c0')).toMatchObject({ at: { alongIn: 100, heightIn: 89 } });
  const tall = plain.opening('l', 'c0', 'fixed-glass', 90, 30, { headIn: 94 }).build();
  const cove = coveAlong(viewRoom(tall, 'l'), 'c0')!;
  expect(cove.at.alongIn).toBeLessThan(90);
  expect(cove.device('d')).toMatchObject({ style: 'strip', lengthIn: 200, va: 66.7 });
});
