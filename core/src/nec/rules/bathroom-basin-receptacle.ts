import type { Box, Feature } from '../../house/schema';
import { wallOf, type RoomView } from '../../plan/room-view';
import { isLonger, isShorter } from '../../geometry/intervals';
import { defineRule, everyEdition, fromMemory } from '../rule';
import { distanceToFeature, placeOf } from '../../plan/points';
import { whyNotCounted } from '../../place/receptacles';
import { stretchBefore, wallLoop } from '../../plan/wall-loop';

/** Whether a box faces a basin from the other side of the room: the wall is to be adjacent to the basin. */
function isAcross(view: RoomView, { at }: Feature, box: Box): boolean {
  if (at.kind !== 'wall' || box.at.kind !== 'wall' || at.wall === box.at.wall) return false;
  const [a, b] = [wallOf(view, at.wall).unit, wallOf(view, box.at.wall).unit];
  return a.x * b.x + a.y * b.y < -0.9;
}

export const bathroomBasinReceptacle = defineRule({
  id: 'bathroom-basin-receptacle',
  meta: {
    summary: 'A receptacle within 3 ft of the outside edge of each basin',
    stage: 'boxes',
    severity: 'violation',
    ofItsDay: true,
    why: 'Dryers and shavers are used at the basin. A receptacle close by keeps a cord from crossing the tub or the door.',
    editions: everyEdition({
      section: '210.52(D)',
      limits: { reachIn: 36, belowTopIn: 12 },
      basis: fromMemory('high'),
    }),
    messages: {
      far: ({ room, nearest }: { room: string; nearest: number }, show) =>
        nearest === Infinity
          ? `${room} has no receptacle at its basin.`
          : `The nearest receptacle to the basin of ${room} is ${show(nearest)} away.`,
      near: ({ room, nearest }: { room: string; nearest: number }, show) =>
        `A receptacle stands ${show(nearest)} from the basin of ${room}.`,
      across: ({ tag, room, nearest }: { tag: string; room: string; nearest: number }, show) =>
        `${tag} is ${show(nearest)} from the basin of ${room}, on a wall across from it. The wall is to be one beside the basin: ask the authority, or move it.`,
      notDrawn: ({ room }: { room: string }) =>
        `No basin is drawn in ${room}, so the distance to its receptacle is not known. Draw the basin.`,
    },
  },
  scope: 'room',
  appliesTo: (view) => view.room.kind === 'bathroom' || view.room.kind === 'half-bath',
  check: (view, limits, report) => {
    const room = view.room.name;
    const basins = view.features.filter((feature) => feature.kind === 'basin' || feature.kind === 'sink');
    if (basins.length === 0) return [report.cannotTell('notDrawn', { room }, { room: view.room.id })];
    return basins.map((basin) => {
      // On a wall by the basin, on its counter, or in the side or face of its cabinet.
      const near = view.boxes
        .filter(
          (box) =>
            whyNotCounted(box, view.level.ceilingIn) === undefined &&
            (box.at.kind === 'wall' || box.at.kind === 'feature') &&
            !isShorter(box.at.heightIn, basin.heightIn - limits.belowTopIn),
        )
        .map((box) => ({
          tag: box.tag,
          box: box.id,
          nearest: distanceToFeature(view.room, basin, placeOf(view, box)),
          isAcross: isAcross(view, basin, box),
        }));
      const nearest = Math.min(Infinity, ...near.filter((one) => !one.isAcross).map((one) => one.nearest));
      const across = near.find((one) => one.isAcross && !isLonger(one.nearest, limits.reachIn));
      const where = { room: view.room.id, feature: basin.id };
      const detail = {
        measured: (show: (lengthIn: number) => string) => (nearest === Infinity ? 'none' : show(nearest)),
        required: (show: (lengthIn: number) => string) =>
          `${show(limits.reachIn)} at most, not more than ${show(limits.belowTopIn)} below the basin's top`,
      };
      if (!isLonger(nearest, limits.reachIn)) return report.pass('near', { room, nearest }, where, detail);
      if (across)
        return report.cannotTell(
          'across',
          { room, tag: across.tag, nearest: across.nearest },
          { ...where, box: across.box },
          { ...detail, measured: (show) => show(across.nearest), basis: fromMemory('medium') },
        );
      const stretch = basin.at.kind === 'wall' ? stretchBefore(wallLoop(view.room), basin.at) : undefined;
      return report.fail('far', { room, nearest }, { ...where, stretch }, detail);
    });
  },
});
