import { isShorter } from '../../geometry/intervals';
import { distanceToFeature, placeOf } from '../../plan/points';
import { boxHeightIn } from '../../place/receptacles';
import { defineRule, everyEdition, fromMemory } from '../rule';

export const closetLuminaire = defineRule({
  id: 'closet-luminaire',
  meta: {
    summary: 'Luminaires of clothes closets enclosed and clear of the shelves',
    stage: 'boxes',
    severity: 'violation',
    why: 'Clothes pushed against a hot lamp catch fire. Pendants and bare lamps are never allowed; the others keep a distance from the storage space, measured from the nearest point of the luminaire.',
    editions: everyEdition({
      section: '410.16',
      limits: { surfaceIn: 12, recessedIn: 6, shelfIn: 12, hangingIn: 24, rodIn: 72 },
      basis: fromMemory('high'),
    }),
    messages: {
      open: ({ tag, room }: { tag: string; room: string }) =>
        `Luminaire ${tag} in ${room} hangs or has open lamps: never in a clothes closet.`,
      near: ({ tag, gap }: { tag: string; gap: number }, show) =>
        `Luminaire ${tag} is ${show(gap)} from the storage space over the shelf.`,
      clear: ({ tag }: { tag: string }) => `Luminaire ${tag} is clear of the storage space.`,
      unknown: ({ room }: { room: string }) =>
        `No shelf is drawn in ${room}, so the distance of its luminaire to the storage space is not known. Draw the shelf.`,
    },
  },
  scope: 'room',
  appliesTo: (view) =>
    (view.room.kind === 'closet' || view.room.kind === 'walk-in-closet') &&
    view.boxes.some((box) => Object.values(box.devices).some((one) => one.kind === 'luminaire')),
  check: (view, limits, report) => {
    const shelves = view.features.filter((feature) => feature.kind === 'closet-shelf');
    return view.boxes.flatMap((box) =>
      Object.values(box.devices).flatMap((device) => {
        if (device.kind !== 'luminaire') return [];
        const where = { room: view.room.id, box: box.id };
        if (device.style === 'pendant' || !device.enclosed)
          return [report.fail('open', { tag: box.tag, room: view.room.name }, where)];
        if (shelves.length === 0) return [report.cannotTell('unknown', { room: view.room.name }, where)];
        const needed = device.style === 'recessed' ? limits.recessedIn : limits.surfaceIn;
        // Half the usual width of a small luminaire, about 4 in, is taken off: common practice.
        const edge = device.style === 'recessed' ? 3 : 4;
        const gap = Math.min(
          ...shelves.map((shelf) => {
            // Up to the rod or 6 ft the storage space is 24 in deep, above that as deep as the shelf, 12 in at least.
            const low = boxHeightIn(box, view.level.ceilingIn) <= limits.rodIn;
            const deep = low ? limits.hangingIn : limits.shelfIn;
            const beyondShelf = Math.max(0, deep - shelf.at.depthIn);
            return Math.max(0, distanceToFeature(view.room, shelf, placeOf(view, box)) - beyondShelf - edge);
          }),
        );
        const detail = {
          measured: (show: (lengthIn: number) => string) => show(gap),
          required: (show: (lengthIn: number) => string) => `${show(needed)} at least`,
        };
        return [
          isShorter(gap, needed)
            ? report.fail('near', { tag: box.tag, gap }, where, detail)
            : report.pass('clear', { tag: box.tag }, where, detail),
        ];
      }),
    );
  },
});
