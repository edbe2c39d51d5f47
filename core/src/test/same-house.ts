import { viewRoom } from '../plan/room-view';
import type { Corner, House } from '../house/schema';
import { checkHouse } from '../nec/check-house';

/** What is said of a house, without the stretches' distances and without order. */
export const verdictsOf = (house: House): string[] =>
  checkHouse(house)
    .findings.map((one) =>
      [one.ruleId, one.kind, one.where.room, one.where.box, one.where.circuit, one.where.feature].join(' '),
    )
    .sort();

type Point = { x: number; y: number };

/** Applies a motion of the plan to every point that a house holds. */
function moved(house: House, move: (at: Point) => Point): House {
  const copy = structuredClone(house);
  for (const room of Object.values(copy.rooms))
    room.corners = room.corners.map((corner) => ({ ...corner, ...move(corner) }));
  for (const { at } of Object.values(copy.features))
    if (at.kind === 'free') {
      const [a, b] = [move(at), move({ x: at.x + at.widthIn, y: at.y + at.depthIn })];
      Object.assign(at, {
        x: Math.min(a.x, b.x),
        y: Math.min(a.y, b.y),
        widthIn: Math.abs(a.x - b.x),
        depthIn: Math.abs(a.y - b.y),
      });
    }
  for (const { at } of Object.values(copy.boxes)) if (at.kind !== 'wall') Object.assign(at, move(at));
  return copy;
}

export const shifted = (house: House): House => moved(house, ({ x, y }) => ({ x: x + 311, y: y - 97 }));

/** A quarter turn clockwise. */
export const turned = (house: House): House => moved(house, ({ x, y }) => ({ x: -y, y: x }));

/** Seventeen degrees askew, as a house stands on a lot that is not square; islands would not come along, so there must be none. */
export function askew(house: House): House {
  const [cos, sin] = [Math.cos((17 * Math.PI) / 180), Math.sin((17 * Math.PI) / 180)];
  return moved(house, ({ x, y }) => ({ x: x * cos - y * sin + 500, y: x * sin + y * cos }));
}

const FLIP = { left: 'right', right: 'left', start: 'end', end: 'start' } as const;

/** The house in a mirror: what was hinged left is hinged right, and every wall runs the other way. */
export function mirrored(house: House): House {
  const copy = moved(house, ({ x, y }) => ({ x: -x, y }));
  const wallOf = new Map<string, { wall: string; lengthIn: number }>();
  for (const room of Object.values(copy.rooms)) {
    const { corners } = room;
    // The wall from one corner to the next starts at the next now.
    corners.forEach((corner, i) => {
      const next = corners[(i + 1) % corners.length]!;
      wallOf.set(`${room.id}/${corner.id}`, {
        wall: next.id,
        lengthIn: Math.hypot(next.x - corner.x, next.y - corner.y),
      });
    });
    const walls = new Map(corners.map((corner, i) => [corners[(i + 1) % corners.length]!.id, corner] as const));
    room.corners = [...corners].reverse().map((corner): Corner => {
      const before = walls.get(corner.id)!;
      const { wall, covering, framing } = before;
      const lengthIn = Math.hypot(before.x - corner.x, before.y - corner.y);
      return {
        id: corner.id,
        x: corner.x,
        y: corner.y,
        wall,
        ...(covering ? { covering } : {}),
        framing: framing
          ? {
              ...framing,
              layoutFrom: FLIP[framing.layoutFrom],
              ...(framing.studsAtIn ? { studsAtIn: framing.studsAtIn.map((at) => lengthIn - at).reverse() } : {}),
            }
          : { depth: '2x4', plumbing: false, layoutFrom: 'end' },
      };
    });
  }
  const flip = (room: string, at: { wall: string; alongIn: number; widthIn?: number }) => {
    const { wall, lengthIn } = wallOf.get(`${room}/${at.wall}`)!;
    at.wall = wall;
    at.alongIn = Math.max(0, lengthIn - at.alongIn - (at.widthIn ?? 0));
  };
  for (const opening of Object.values(copy.openings)) {
    flip(opening.room, opening);
    if (opening.kind === 'door') opening.hinge = FLIP[opening.hinge];
    if (opening.kind === 'pocket' || opening.kind === 'barn') opening.opens = FLIP[opening.opens];
    if (opening.kind === 'slider') opening.moving = FLIP[opening.moving];
  }
  for (const feature of Object.values(copy.features)) if (feature.at.kind === 'wall') flip(feature.room, feature.at);
  for (const box of Object.values(copy.boxes)) {
    if (box.at.kind === 'wall') flip(box.room, box.at);
  }
  return copy;
}

/** Every wall that is long enough and where nothing stands at its middle, as two pieces in one line. */
export function split(house: House): House {
  const copy = structuredClone(house);
  for (const room of Object.values(copy.rooms)) {
    const { corners } = room;
    room.corners = corners.flatMap((corner, i) => {
      const next = corners[(i + 1) % corners.length]!;
      const lengthIn = Math.hypot(next.x - corner.x, next.y - corner.y);
      const middle = lengthIn / 2;
      const on = <T extends { room: string }>(list: Readonly<Record<string, T>>, at: (one: T) => unknown) =>
        Object.values(list).flatMap((one) => {
          const place = at(one) as { kind?: string; wall?: string; alongIn: number; widthIn?: number };
          return one.room === room.id && place.wall === corner.id ? [place] : [];
        });
      const things = [
        ...on(copy.openings, (one) => one),
        ...on(copy.features, (one) => one.at),
        ...on(copy.boxes, (one) => one.at),
      ];
      // A door that the next room has in this wall is no less in the way.
      const seen = viewRoom(house, room.id).openings.filter((one) => one.wall === corner.id);
      const isClear = [...things, ...seen].every(
        ({ alongIn, widthIn = 0 }) => alongIn + widthIn < middle - 6 || alongIn > middle + 6,
      );
      if (!isClear || lengthIn < 60 || room.corners.length > 50) return [corner];
      const second = { ...corner, id: `${corner.id}b`, x: (corner.x + next.x) / 2, y: (corner.y + next.y) / 2 };
      for (const place of things)
        if (place.alongIn > middle) {
          place.wall = second.id;
          place.alongIn -= middle;
        }
      return [corner, second];
    });
  }
  return copy;
}

export function renamed(house: House): House {
  const copy = structuredClone(house);
  Object.values(copy.rooms).forEach((room, i) => (room.name = `Room number ${i + 1}`));
  return copy;
}

/** The same records in the opposite order. */
export function reordered(house: House): House {
  const copy = structuredClone(house) as unknown as Record<string, unknown>;
  for (const [key, value] of Object.entries(copy))
    if (typeof value === 'object' && value !== null && key !== 'job' && key !== 'standards')
      copy[key] = Object.fromEntries(Object.entries(value).reverse());
  return copy as unknown as House;
}

export function inMeters(house: House): House {
  const copy = structuredClone(house);
  copy.standards.lengths = 'metric';
  return copy;
}
