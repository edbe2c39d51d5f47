import { distanceToFeature, placeOf } from '../../plan/points';
import { pointOnWall, wallLoop } from '../../plan/wall-loop';
import type { RoomView } from '../../plan/room-view';
import { boxHeightIn, receptaclesOf } from '../../place/receptacles';
import { rimIn } from '../tub-rim';
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

export const tubZoneReceptacles = defineRule({
  id: 'tub-zone-receptacles',
  meta: {
    summary: 'No receptacle in or near a tub or shower',
    stage: 'boxes',
    severity: 'violation',
    why: 'An appliance that falls into a tub from a receptacle beside it kills. Until 2017 the zone was the tub or stall itself; since 2020 it reaches 3 ft to the side and 8 ft up.',
    editions: {
      '2014': { section: '406.9(C)', limits: { sideIn: 0, upIn: 96 }, basis: fromMemory('high') },
      '2017': { section: '406.9(C)', limits: { sideIn: 0, upIn: 96 }, basis: fromMemory('high') },
      '2020': { section: '406.9(C)', limits: { sideIn: 36, upIn: 96 }, basis: fromMemory('high') },
      '2023': { section: '406.9(C)', limits: { sideIn: 36, upIn: 96 }, basis: fromMemory('high') },
    },
    messages: {
      inside: ({ tag, gap }: { tag: string; gap: number }, show) =>
        `Receptacle ${tag} is ${show(gap)} from a tub or shower, inside its zone.`,
      small: ({ tag }: { tag: string }) =>
        `Receptacle ${tag} is in the zone of the tub or shower, by the exception for a small bathroom: no place near the basin lies outside it.`,
      clear: ({ room }: { room: string }) => `The receptacles of ${room} are clear of its tub or shower.`,
    },
  },
  scope: 'room',
  appliesTo: (view) =>
    view.features.some((feature) => feature.kind === 'tub' || feature.kind === 'shower') &&
    view.boxes.some((box) => receptaclesOf(box).length > 0),
  check: (view, limits, report) => {
    const wet = view.features.filter((feature) => feature.kind === 'tub' || feature.kind === 'shower');
    const found = view.boxes.flatMap((box) => {
      if (receptaclesOf(box).length === 0) return [];
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
      const byBasin = view.features.some(
        (one) =>
          (one.kind === 'basin' || one.kind === 'sink') && distanceToFeature(view.room, one, placeOf(view, box)) <= 36,
      );
      if (limits.sideIn > 0 && gap > 0 && byBasin && !basinReachableOutside(view, limits.sideIn))
        return [report.pass('small', { tag: box.tag }, where, { ...detail, section: '406.9(C) Exception' })];
      return [report.fail('inside', { tag: box.tag, gap }, where, detail)];
    });
    return found.length > 0 ? found : [report.pass('clear', { room: view.room.name }, { room: view.room.id })];
  },
});
