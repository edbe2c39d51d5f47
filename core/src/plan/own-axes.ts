import { memo } from '../cache/memo';
import type { Point } from '../geometry/geometry';
import type { House, Room } from '../house/schema';

/** The direction of most walls of a house, as the turn of its axes against those of the sheet: no more than an eighth of a full one. */
export interface Axes {
  readonly cos: number;
  readonly sin: number;
}
const STRAIGHT: Axes = { cos: 1, sin: 0 };
/** The axes that most feet of wall follow, to half a degree; those of the sheet where nothing outweighs them. */
export const axesOf = memo((rooms: House['rooms']): Axes => findAxes(Object.values(rooms)));

function findAxes(rooms: readonly Room[]): Axes {
  const feet = new Map<number, { sum: number; lengthIn: number }>();
  for (const { corners } of rooms)
    for (let i = 0; i < corners.length; i++) {
      const [a, b] = [corners[i]!, corners[(i + 1) % corners.length]!];
      const lengthIn = Math.hypot(b.x - a.x, b.y - a.y);
      const degrees = ((((Math.atan2(b.y - a.y, b.x - a.x) * 180) / Math.PI) % 90) + 90) % 90;
      const half = Math.round(degrees * 2) % 180;
      // Just short of a quarter turn is just short of none.
      const turn = degrees > 89.75 ? degrees - 90 : degrees;
      const known = feet.get(half);
      if (known) {
        known.sum += turn * lengthIn;
        known.lengthIn += lengthIn;
      } else feet.set(half, { sum: turn * lengthIn, lengthIn });
    }
  let [best, most] = [feet.get(0), feet.get(0)?.lengthIn ?? 0];
  for (const one of feet.values()) if (one.lengthIn > most * 1.001) [best, most] = [one, one.lengthIn];
  if (!best || best === feet.get(0)) return STRAIGHT;
  const degrees = best.sum / best.lengthIn;
  const turn = ((degrees > 45 ? degrees - 90 : degrees) * Math.PI) / 180;
  return { cos: Math.cos(turn), sin: Math.sin(turn) };
}

/** Lengths that are equal on paper stay equal whichever way the house is drawn: ties are then settled alike. */
const onGrid = (inches: number): number => Math.round(inches * 1024) / 1024;

/** A point of the sheet in the axes of the house, and one of these on the sheet. */
export const toOwn = ({ cos, sin }: Axes, { x, y }: Point): Point => ({
  x: onGrid(x * cos + y * sin),
  y: onGrid(y * cos - x * sin),
});
/** A point of a room’s own axes in those of the plan. */
export const fromOwn = ({ cos, sin }: Axes, { x, y }: Point): Point => ({
  x: x * cos - y * sin,
  y: x * sin + y * cos,
});

const mapValues = <T>(all: Readonly<Record<string, T>>, change: (one: T) => T): Record<string, T> =>
  Object.fromEntries(Object.entries(all).map(([id, one]) => [id, change(one)]));

const turnRooms = memo((rooms: House['rooms']): House['rooms'] => {
  const axes = axesOf(rooms);
  return mapValues(rooms, (room) => ({
    ...room,
    corners: room.corners.map((corner) => ({ ...corner, ...toOwn(axes, corner) })),
  }));
});
/** What stands free keeps its size and comes along by its middle. */
const turnFeatures = memo((features: House['features'], rooms: House['rooms']): House['features'] => {
  const axes = axesOf(rooms);
  return mapValues(features, (feature) => {
    const { at } = feature;
    if (at.kind !== 'free') return feature;
    const [halfX, halfY] = [at.widthIn / 2, at.depthIn / 2];
    const middle = toOwn(axes, { x: at.x + halfX, y: at.y + halfY });
    return { ...feature, at: { ...at, x: middle.x - halfX, y: middle.y - halfY } };
  });
});
const turnBoxes = memo((boxes: House['boxes'], rooms: House['rooms']): House['boxes'] => {
  const axes = axesOf(rooms);
  return mapValues(boxes, (box) => {
    const { at } = box;
    return at.kind === 'wall' ? box : { ...box, at: { ...at, ...toOwn(axes, at) } };
  });
});

/**
 * The house as if it had been drawn square to the sheet: framing runs along its own walls, however it lies on the lot. The house itself where it
 * is drawn so. Places on walls are the same in both.
 */
export function squared(house: House): House {
  if (axesOf(house.rooms) === STRAIGHT) return house;
  const { rooms, features, boxes } = house;
  return {
    ...house,
    rooms: turnRooms(rooms),
    features: turnFeatures(features, rooms),
    boxes: turnBoxes(boxes, rooms),
  };
}
