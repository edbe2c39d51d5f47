import { isLonger, isShorter } from '../../geometry/intervals';
import { defineRule, everyEdition, fromMemory } from '../rule';
import { distanceToFeature, placeOf } from '../../plan/points';
import { whyNotCounted } from '../../place/receptacles';
import { stretchBefore, wallLoop } from '../../plan/wall-loop';

export const bathroomBasinReceptacle = defineRule({
  id: 'bathroom-basin-receptacle',
  meta: {
    summary: 'A receptacle within 3 ft of the outside edge of each basin',
    stage: 'boxes',
    severity: 'violation',
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
      const distances = view.boxes.flatMap((box) =>
        whyNotCounted(box, view.level.ceilingIn) === undefined &&
        (box.at.kind === 'wall' || box.at.kind === 'feature') &&
        !isShorter(box.at.heightIn, basin.heightIn - limits.belowTopIn)
          ? [distanceToFeature(view.room, basin, placeOf(view, box))]
          : [],
      );
      const nearest = Math.min(Infinity, ...distances);
      const where = { room: view.room.id, feature: basin.id };
      const detail = {
        measured: (show: (lengthIn: number) => string) => (nearest === Infinity ? 'none' : show(nearest)),
        required: (show: (lengthIn: number) => string) =>
          `${show(limits.reachIn)} at most, not more than ${show(limits.belowTopIn)} below the basin's top`,
      };
      if (!isLonger(nearest, limits.reachIn)) return report.pass('near', { room, nearest }, where, detail);
      const stretch = basin.at.kind === 'wall' ? stretchBefore(wallLoop(view.room), basin.at) : undefined;
      return report.fail('far', { room, nearest }, { ...where, stretch }, detail);
    });
  },
});
