import { describe, expect, it } from 'vitest';
import { createHouse } from './create-house';
import type { House, RoomKind } from '../house/schema';
import { must } from '../test/must';
import { addRoom } from './place-room';
import { changeEntity } from './verbs';

let n = 0;
const newId = (prefix: string) => `${prefix}-${++n}`;
type Rect = readonly [x: number, y: number, w: number, d: number];
const LIVING: Rect = [0, 0, 192, 168];
const PORCH: Rect = [30, -76.5, 120, 72];
function draw(...rooms: readonly (readonly [RoomKind, Rect])[]): House {
  let house = createHouse('A house');
  for (const [kind, [x, y, w, d]] of rooms) {
    const outline = [
      { x, y },
      { x: x + w, y },
      { x: x + w, y: y + d },
      { x, y: y + d },
    ];
    house = must(addRoom(house, Object.keys(house.levels)[0]!, kind, outline, newId)).house;
  }
  return house;
}
const sidesOf = (house: House, kind: RoomKind) =>
  Object.values(house.rooms)
    .find((one) => one.kind === kind)!
    .corners.map((one) => one.wall);

describe('the free sides of what is outdoors', () => {
  it('are open; the side at the house is its wall', () => {
    const house = draw(['living', LIVING], ['porch', PORCH]);
    expect(sidesOf(house, 'porch')).toEqual(['open', 'open', 'solid', 'open']);
    expect(sidesOf(house, 'living')).toEqual(['solid', 'solid', 'solid', 'solid']);
  });

  it('become a wall where the house comes later', () => {
    expect(sidesOf(draw(['deck', PORCH]), 'deck')).toEqual(['open', 'open', 'open', 'open']);
    expect(sidesOf(draw(['deck', PORCH], ['living', LIVING]), 'deck')).toEqual(['open', 'open', 'solid', 'open']);
  });

  it('stay as a person has set them when another room is drawn', () => {
    const drawn = draw(['living', LIVING], ['porch', PORCH]);
    const porch = Object.values(drawn.rooms).find((one) => one.kind === 'porch')!;
    const corners = porch.corners.map((one, i) => ({
      ...one,
      wall: i === 0 ? ('railing' as const) : ('open' as const),
    }));
    const open = must(changeEntity(drawn, 'rooms', porch.id, { corners })).house;
    const outline = [
      { x: 200, y: 0 },
      { x: 300, y: 0 },
      { x: 300, y: 100 },
      { x: 200, y: 100 },
    ];
    const more = must(addRoom(open, porch.level, 'den', outline, newId)).house;
    expect(sidesOf(more, 'porch')).toEqual(['railing', 'open', 'open', 'open']);
  });

  it('do not open between two that are outdoors and the house', () => {
    const both = draw(['living', LIVING], ['porch', PORCH], ['deck', [154.5, -76.5, 100, 72]]);
    expect(sidesOf(both, 'deck')).toEqual(['open', 'open', 'solid', 'open']);
  });
});
