import { distanceToFeature, placeOf } from '../../plan/points';
import { pointOnWall, wallLoop } from '../../plan/wall-loop';
import type { LoadKind } from '../../house/schema-equipment';
import type { RoomView } from '../../plan/room-view';
import { boxHeightIn, receptaclesOf } from '../../place/receptacles';
import { rimIn } from '../requirements/tub-rim';
import { defineRule, fromMemory } from '../rule';

/** Whether some wall of the room within 3 ft of a basin lies outside the zone: then a small bathroom is no excuse. */
function basinReachableOutside(view: RoomView, sideIn: number): boolean {
  const wet = view.features.filter((one) => one.kind === 'tub' || one.kind === 'shower');
  const basins = view.features.filter((one) => one.kind === 'basin' || one.kind === 'sink');
  return wallLoop(view.room).walls.some((wall) => {
    for (let alongIn = 2; alongIn < wall.lengthIn; alongIn += 2) {
      const at = pointOnWall(wall, alongIn);
      const near = basins.some((basin) => distanceToFeature(view.room, basin, at) <= 36);
      if (near && wet.every((one) => distanceToFeature(view.room, one, at) >= sideIn)) return true;
    }
    return false;
  });
}

/** A room with a tub or shower and receptacles. */
const isWet = (view: RoomView): boolean =>
  view.features.some((feature) => feature.kind === 'tub' || feature.kind === 'shower') &&
  view.boxes.some((box) => receptaclesOf(box).length > 0);
const isBidet = (kind: LoadKind | undefined): boolean => kind === 'bidet-seat';

export const tubZoneReceptacles = defineRule({
  id: 'tub-zone-receptacles',
  meta: {
    summary: 'No receptacle in or near a tub or shower',
    stage: 'boxes',
    severity: 'violation',
    why: 'An appliance that falls into a tub from a receptacle beside it kills. Until 2017 the zone was the tub or stall itself and all that is directly over it; since 2020 it reaches 3 ft to the side and 8 ft up.',
    editions: {
      '2014': { section: '406.9(C)', limits: { sideIn: 0, upIn: 480, bidet: 0 }, basis: fromMemory('high') },
      '2017': { section: '406.9(C)', limits: { sideIn: 0, upIn: 480, bidet: 0 }, basis: fromMemory('high') },
      '2020': { section: '406.9(C)', limits: { sideIn: 36, upIn: 96, bidet: 0 }, basis: fromMemory('high') },
      '2023': { section: '406.9(C)', limits: { sideIn: 36, upIn: 96, bidet: 1 }, basis: fromMemory('high') },
    },
    messages: {
      inside: ({ tag, gap }: { tag: string; gap: number }, show) =>
        `Receptacle ${tag} is ${show(gap)} from a tub or shower, inside its zone.`,
      small: ({ tag }: { tag: string }) =>
        `Receptacle ${tag} is in the zone of the tub or shower, by the exception for a small bathroom: no place near the basin lies outside it.`,
      pump: ({ tag }: { tag: string }) =>
        `Receptacle ${tag} is that of a tub\u2019s pump, under its rim: see that it is in sight, within 12 in of the access opening.`,
      bidet: ({ tag }: { tag: string }) =>
        `Receptacle ${tag} is the single one of a bidet seat, by exception: see that it is readily accessible, and not between toilet and tub.`,
      clear: ({ room }: { room: string }) => `The receptacles of ${room} are clear of its tub or shower.`,
    },
  },
  scope: 'house',
  appliesTo: (facts) => facts.views.some(isWet),
  check: (facts, limits, report) =>
    facts.views.filter(isWet).flatMap((view) => {
      const wet = view.features.filter((feature) => feature.kind === 'tub' || feature.kind === 'shower');
      const found = view.boxes.flatMap((box) => {
        const own = receptaclesOf(box);
        if (own.length === 0) return [];
        const height = boxHeightIn(box, view.level.ceilingIn);
        const gap = Math.min(
          ...wet
            .filter((one) => height <= rimIn(one) + limits.upIn)
            .map((one) => distanceToFeature(view.room, one, placeOf(view, box))),
        );
        if (gap > 0 && gap >= limits.sideIn - 1 / 64) return [];
        const where = { room: view.room.id, box: box.id };
        const detail = {
          measured: (show: (lengthIn: number) => string) => show(gap),
          required: (show: (lengthIn: number) => string) =>
            limits.sideIn === 0 ? 'outside the tub or stall' : `${show(limits.sideIn)} to the side`,
        };
        const loads = own.map((one) => facts.outlets.byDevice.get(one.id)?.load?.kind);
        const tub = wet.find((one) => one.kind === 'tub' && rimIn(one) > height);
        if (tub && loads.every((kind) => kind === 'tub-pump'))
          return [report.pass('pump', { tag: box.tag }, where, { ...detail, section: '680.73' })];
        if (limits.bidet === 1 && gap > 0 && own.every((one) => one.style === 'single') && loads.every(isBidet))
          return [report.pass('bidet', { tag: box.tag }, where, { ...detail, section: '406.9(C) Exception' })];
        const byBasin = view.features.some(
          (one) =>
            (one.kind === 'basin' || one.kind === 'sink') &&
            distanceToFeature(view.room, one, placeOf(view, box)) <= 36,
        );
        if (limits.sideIn > 0 && gap > 0 && byBasin && !basinReachableOutside(view, limits.sideIn))
          return [report.pass('small', { tag: box.tag }, where, { ...detail, section: '406.9(C) Exception' })];
        return [report.fail('inside', { tag: box.tag, gap }, where, detail)];
      });
      return found.length > 0 ? found : [report.pass('clear', { room: view.room.name }, { room: view.room.id })];
    }),
});
