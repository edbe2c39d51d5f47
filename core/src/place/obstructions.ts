import type { Box, Feature } from '../house/schema';
import { perShell, type RoomView } from '../plan/room-view';
import { nearestWall, stretchBefore, toLoop, wallLoop, type WallLoop } from '../plan/wall-loop';
import { featureOutline } from '../plan/points';
import { receptaclesOf } from './receptacles';

/** A stretch of wall, inches along the loop and above the floor, where a box would be hard to use, and why. */
interface Shadow {
  readonly fromIn: number;
  readonly toIn: number;
  readonly bottomIn: number;
  readonly topIn: number;
  readonly cause: string;
  /** Whether the place is barred outright, or merely awkward. */
  readonly barred: boolean;
}

/** How close furniture must stand to a wall to cover it, inches: *common practice*. */
const AGAINST_WALL_IN = 8;
const COVERS: Readonly<Record<string, string>> = {
  bed: 'the headboard of a bed',
  sofa: 'a sofa',
  'tall-cabinet': 'a tall cabinet',
  mirror: 'a mirror',
};

type SeenOpening = RoomView['openings'][number];

/** Where the leaves of a door that opens into the room stand before the wall. */
function shadowsOfDoor(loop: WallLoop, { opening, wall, alongIn, widthIn, own }: SeenOpening): Shadow[] {
  if (opening.kind !== 'door' || own !== (opening.swing === 'in')) return [];
  const fromIn = toLoop(loop, wall, alongIn);
  const hingeAtStart = (opening.hinge === 'left') === own;
  const reach = opening.leaves === 2 ? widthIn / 2 : widthIn;
  const sides = opening.leaves === 2 ? [true, false] : [hingeAtStart];
  return sides.map((atStart) => ({
    fromIn: atStart ? fromIn - reach : fromIn + widthIn,
    toIn: atStart ? fromIn : fromIn + widthIn + reach,
    bottomIn: 0,
    topIn: opening.headIn,
    cause: 'the open door',
    barred: false,
  }));
}

/** Where the panel of a barn door hangs before the wall while it is open. */
function shadowsOfBarnDoor(loop: WallLoop, { opening, wall, alongIn, widthIn, own }: SeenOpening): Shadow[] {
  if (opening.kind !== 'barn' || !own) return [];
  const start = toLoop(loop, wall, alongIn) + (opening.opens === 'left' ? -widthIn : widthIn);
  const cause = 'the open barn door';
  return [{ fromIn: start, toIn: start + widthIn, bottomIn: 0, topIn: opening.headIn, cause, barred: true }];
}

/** What a feature against a wall covers of it. */
function shadowsOnWall(loop: WallLoop, feature: Feature): Shadow[] {
  const { at, kind, heightIn, bottomIn = 0 } = feature;
  if (at.kind !== 'wall') return [];
  const name = feature.name || kind.replaceAll('-', ' ');
  const stretch = { ...stretchBefore(loop, at), bottomIn, topIn: heightIn };
  if (kind === 'no-device') return [{ ...stretch, cause: `${name}: no device here`, barred: true }];
  if (kind === 'tile') return [{ ...stretch, cause: `${name}: settle with the tile setter`, barred: false }];
  if (kind === 'tub' || kind === 'shower')
    return [{ ...stretch, topIn: Math.max(heightIn, 80), cause: `the ${name}`, barred: true }];
  const cause = COVERS[kind];
  return cause && at.behindIn <= AGAINST_WALL_IN ? [{ ...stretch, cause, barred: false }] : [];
}

/** What furniture that stands free covers of the walls that it is pushed against. */
function shadowsOfFurniture(view: RoomView, loop: WallLoop, feature: Feature): Shadow[] {
  const cause = COVERS[feature.kind];
  if (!cause || feature.at.kind === 'wall') return [];
  const near = featureOutline(view.room, feature)
    .map((corner) => nearestWall(loop, corner))
    .filter((one) => one.distanceIn <= AGAINST_WALL_IN);
  return [...new Set(near.map((one) => one.wall))].flatMap((wall) => {
    const along = near.filter((one) => one.wall === wall).map((one) => wall.startIn + one.alongIn);
    if (along.length < 2) return [];
    const [fromIn, toIn] = [Math.min(...along), Math.max(...along)];
    return [{ fromIn, toIn, bottomIn: feature.bottomIn ?? 0, topIn: feature.heightIn, cause, barred: false }];
  });
}

/** What covers, shades or blocks stretches of a room's walls: open doors, barn panels, furniture, tile, zones. */
export const shadowsOf = perShell((view: RoomView): readonly Shadow[] => {
  const loop = wallLoop(view.room);
  return [
    ...view.openings.flatMap((seen) => [...shadowsOfDoor(loop, seen), ...shadowsOfBarnDoor(loop, seen)]),
    ...view.features.flatMap((one) => [...shadowsOnWall(loop, one), ...shadowsOfFurniture(view, loop, one)]),
  ];
});

const isWithin = ({ fromIn, toIn }: Shadow, atIn: number): boolean => atIn > fromIn && atIn < toIn;

/** What stands in the way of using a box on a wall. */
export function shadowsOver(view: RoomView, box: Box): readonly Shadow[] {
  if (box.at.kind !== 'wall') return [];
  const shadows = shadowsOf(view);
  if (shadows.length === 0) return shadows;
  const { heightIn } = box.at;
  const loop = wallLoop(view.room);
  const atIn = toLoop(loop, box.at.wall, box.at.alongIn);
  const receptacle = receptaclesOf(box).length > 0;
  const inJamb = Object.values(box.devices).some((one) => one.kind === 'switch' && one.style === 'door-jamb');
  return shadows.filter((one) => {
    const inside = isWithin(one, atIn) || isWithin(one, atIn + loop.lengthIn) || isWithin(one, atIn - loop.lengthIn);
    // An open door hides a switch from whoever comes in, but for the one in its jamb, which feels it; a receptacle behind it is
    // still wall space and can be used.
    if (!one.barred && one.cause === 'the open door' && (receptacle || inJamb)) return false;
    return inside && heightIn > one.bottomIn - 1 && heightIn < one.topIn;
  });
}
