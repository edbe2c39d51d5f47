import { CABLES_PER_HOLE } from './ways';
import { crossingsAlong } from '../circuits/kept-routes';
import type { House } from '../house/schema';
import { viewRoom } from '../plan/room-view';
import { fromLoop, pointOnWall, wallLoop, wrapIn } from '../plan/wall-loop';
import type { Point } from '../geometry/geometry';
import type { Crossing } from '../plan/bays';
import { facingOf } from '../plan/facing';
import { OUTDOOR_KINDS } from '../place/outdoors';
import type { LaidCable } from './laid';

/** Actual depth of framing, inches: dressed lumber. */
const DEPTH_IN = { '2x4': 3.5, '2x6': 5.5, '2x8': 7.25 } as const;
type FramingDepth = keyof typeof DEPTH_IN;

/**
 * Bit for the cables of one hole, inches: *common practice*, from memory, medium. The widest of a flat cable goes through with room to slide.
 */
const BIT_FOR: Readonly<Record<string, number>> = {
  '14-2': 0.75,
  '12-2': 0.75,
  '14-3': 0.75,
  '12-3': 0.75,
  '14-4': 0.875,
  '12-4': 0.875,
  '10-2': 0.875,
  '10-3': 0.875,
  '8-2': 1,
  '8-3': 1.125,
  '6-2': 1.125,
  '6-3': 1.25,
  '4-3': 1.375,
};
const LARGEST_BIT_IN = 1.5;
/** Cables so large go through a hole of their own. */
const isLarge = (kind: string): boolean => !/^1[0-4]-/.test(kind);

/** One hole through members that stand together, with the cables in it. */
export interface Hole {
  readonly key: string;
  readonly room: string;
  readonly wall: string;
  readonly level: string;
  /** Middle of its first member, inches along the loop, and from the wall's start. */
  readonly atIn: number;
  readonly alongIn: number;
  readonly heightIn: number;
  readonly point: Point;
  readonly crossing: Crossing;
  /** Members to go through, one after the other. */
  readonly members: number;
  readonly bitIn: number;
  readonly cables: readonly LaidCable[];
  readonly depth: FramingDepth;
  readonly depthIn: number;
  /** Its edge is nearer than 1 1/4 in to the face of the stud: a nail plate, NEC 300.4(A)(1). */
  readonly needsPlate: boolean;
  /** Through studs of steel: an opening that is punched or sawn, with a bushing in it, NEC 300.4(B)(1). */
  readonly isSteel: boolean;
  /** Outside walls carry; of walls within the house it is not known. */
  readonly isOutside: boolean;
}

/** NEC 300.4(A)(1), all editions, from memory, high. */
const LEAST_EDGE_IN = 1.25;
/** Middle of one hole to that of the next in a member, inches: twice the bit and a little, *common practice*. */
const APART_IN = 3;

interface Bored {
  readonly room: string;
  readonly crossing: Crossing;
  readonly heightIn: number;
  readonly cables: LaidCable[];
}

/** Cables by the members that they go through at one height. */
function crossed(house: House, laid: readonly LaidCable[]): Map<string, Bored> {
  const found = new Map<string, Bored>();
  for (const cable of laid)
    for (const leg of cable.route.legs) {
      if (leg.kind !== 'studs') continue;
      for (const crossing of crossingsAlong(house, leg) ?? []) {
        const key = `${leg.room} ${crossing.members[0]!.atIn.toFixed(2)} ${leg.heightIn}`;
        const known = found.get(key);
        if (known) known.cables.push(cable);
        else found.set(key, { room: leg.room, crossing, heightIn: leg.heightIn, cables: [cable] });
      }
    }
  return found;
}

/** Cables shared out among holes: the large ones alone, the others two by two. */
function shareOut(cables: readonly LaidCable[]): LaidCable[][] {
  const single = cables.flatMap((one) => one.kinds.map((kind) => ({ one, kind })));
  const holes: LaidCable[][] = single.filter(({ kind }) => isLarge(kind)).map(({ one }) => [one]);
  const small = single.filter(({ kind }) => !isLarge(kind)).map(({ one }) => one);
  for (let i = 0; i < small.length; i += CABLES_PER_HOLE) holes.push(small.slice(i, i + CABLES_PER_HOLE));
  return holes;
}

/** The bit that some cables of one hole take, inches. */
export const bitFor = (cables: readonly LaidCable[]): number => {
  const each = cables.map((one) => Math.max(...one.kinds.map((kind) => BIT_FOR[kind] ?? LARGEST_BIT_IN)));
  return Math.max(...each) + (cables.length > 2 ? 0.125 : 0);
};

/** Whether a wall has the open air, or nothing that is drawn, behind it at a place. */
function isOutsideAt(house: House, room: string, wall: string, alongIn: number): boolean {
  const behind = facingOf(house, house.rooms[room]!).find(
    (one) => one.wall.id === wall && one.fromIn <= alongIn && alongIn <= one.toIn,
  );
  return !behind || OUTDOOR_KINDS.has(behind.other.kind);
}

/** Every hole through studs that the cables need, room by room in walking order. */
export function holesOf(house: House, laid: readonly LaidCable[]): readonly Hole[] {
  const holes: Hole[] = [];
  for (const [key, { room, crossing, heightIn, cables }] of crossed(house, laid)) {
    const view = viewRoom(house, room);
    const loop = wallLoop(view.room);
    const atIn = wrapIn(loop, crossing.members[0]!.atIn);
    const { wall, alongIn } = fromLoop(loop, atIn);
    const framing = view.room.corners.find((one) => one.id === wall.id)?.framing;
    const depth = framing?.depth ?? '2x4';
    const isSteel = framing?.steel === true;
    const depthIn = DEPTH_IN[depth];
    shareOut(cables).forEach((inHole, n) => {
      const bitIn = bitFor(inHole);
      // The first at the line, the next above and below it by turns, as far as a sill allows.
      const aside = (n % 2 === 0 ? -1 : 1) * Math.ceil(n / 2) * APART_IN;
      holes.push({
        key: `${key} ${n}`,
        room,
        wall: wall.id,
        level: view.level.id,
        atIn,
        alongIn,
        heightIn: heightIn + (heightIn + aside > crossing.mostIn ? -Math.abs(aside) : aside),
        point: pointOnWall(wall, alongIn, -view.level.wallThicknessIn / 2),
        crossing,
        members: crossing.holes,
        bitIn,
        cables: inHole,
        depth,
        depthIn,
        needsPlate: !isSteel && (depthIn - bitIn) / 2 < LEAST_EDGE_IN - 1e-9,
        isSteel,
        isOutside: isOutsideAt(house, room, wall.id, alongIn),
      });
    });
  }
  const order = new Map(Object.keys(house.rooms).map((id, i) => [id, i]));
  return holes.sort((a, b) => order.get(a.room)! - order.get(b.room)! || a.atIn - b.atIn || a.heightIn - b.heightIn);
}
