import type { Box } from '../house/schema';
import { perShell, type RoomView } from '../plan/room-view';
import { stretchBefore, toLoop, wallLoop } from '../plan/wall-loop';
import { nearestWall } from '../plan/wall-loop';
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

/** What covers, shades or bars stretches of a room's walls: open doors, barn panels, heaters, furniture, tile, zones. */
export const shadowsOf = perShell((view: RoomView): readonly Shadow[] => {
  const loop = wallLoop(view.room);
  const shadows: Shadow[] = [];
  for (const { opening, wall, alongIn, widthIn, own } of view.openings) {
    const fromIn = toLoop(loop, wall, alongIn);
    if (opening.kind === 'door' && own === (opening.swing === 'in')) {
      const hingeAtStart = (opening.hinge === 'left') === own;
      const reach = opening.leaves === 2 ? widthIn / 2 : widthIn;
      const sides = opening.leaves === 2 ? [true, false] : [hingeAtStart];
      for (const atStart of sides)
        shadows.push({
          ...(atStart
            ? { fromIn: fromIn - reach, toIn: fromIn }
            : { fromIn: fromIn + widthIn, toIn: fromIn + widthIn + reach }),
          bottomIn: 0,
          topIn: opening.headIn,
          cause: 'the open door',
          barred: false,
        });
    }
    if (opening.kind === 'barn' && own) {
      const toStart = opening.opens === 'left';
      shadows.push({
        ...(toStart
          ? { fromIn: fromIn - widthIn, toIn: fromIn }
          : { fromIn: fromIn + widthIn, toIn: fromIn + 2 * widthIn }),
        bottomIn: 0,
        topIn: opening.headIn,
        cause: 'the open barn door',
        barred: true,
      });
    }
  }
  for (const feature of view.features) {
    const top = feature.heightIn;
    const name = feature.name || feature.kind.replaceAll('-', ' ');
    if (feature.at.kind === 'wall') {
      const stretch = { ...stretchBefore(loop, feature.at), bottomIn: feature.bottomIn ?? 0, topIn: top };
      if (feature.kind === 'no-device') shadows.push({ ...stretch, cause: `${name}: no device here`, barred: true });
      else if (feature.kind === 'tile')
        shadows.push({ ...stretch, cause: `${name}: settle with the tile setter`, barred: false });
      else if (feature.kind === 'tub' || feature.kind === 'shower')
        shadows.push({ ...stretch, topIn: Math.max(top, 80), cause: `the ${name}`, barred: true });
      else if (COVERS[feature.kind] && feature.at.behindIn <= AGAINST_WALL_IN)
        shadows.push({ ...stretch, cause: COVERS[feature.kind]!, barred: false });
    } else if (COVERS[feature.kind]) {
      const outline = featureOutline(view.room, feature);
      const near = outline
        .map((corner) => nearestWall(loop, corner))
        .filter((one) => one.distanceIn <= AGAINST_WALL_IN);
      for (const wall of new Set(near.map((one) => one.wall))) {
        const along = near.filter((one) => one.wall === wall).map((one) => wall.startIn + one.alongIn);
        if (along.length < 2) continue;
        shadows.push({
          fromIn: Math.min(...along),
          toIn: Math.max(...along),
          bottomIn: feature.bottomIn ?? 0,
          topIn: top,
          cause: COVERS[feature.kind]!,
          barred: false,
        });
      }
    }
  }
  return shadows;
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
