import { isShorter } from '../../geometry/intervals';
import { fitsInWall } from '../../plan/blocked-by-framing';
import { distanceToFeature, placeOf } from '../../plan/points';
import { pointOnWall, wallLoop } from '../../plan/wall-loop';
import type { LoadKind } from '../../house/schema-equipment';
import type { Box } from '../../house/schema';
import type { RoomView } from '../../plan/room-view';
import { boxHeightIn, receptaclesOf } from '../../place/receptacles';
import { rimIn } from '../requirements/tub-rim';
import { defineRule, fromMemory } from '../rule';

/** A receptacle at a basin, inches above the floor: where its place on a wall is looked for. *Common practice*. */
const AT_BASIN_IN = 43;

/** Every 2 in of the room's walls, with how far it is from tub and shower. */
function placesOn(view: RoomView): { wall: string; atBasin: boolean; gapIn: number; fits: boolean }[] {
  const wet = view.features.filter((one) => one.kind === 'tub' || one.kind === 'shower');
  const basins = view.features.filter((one) => one.kind === 'basin' || one.kind === 'sink');
  return wallLoop(view.room).walls.flatMap((wall) =>
    Array.from({ length: Math.floor(wall.lengthIn / 2) }, (_, i) => {
      const alongIn = 2 * i + 1;
      const at = pointOnWall(wall, alongIn);
      return {
        wall: wall.id,
        atBasin: basins.some((basin) => distanceToFeature(view.room, basin, at) <= 36),
        gapIn: Math.min(...wet.map((one) => distanceToFeature(view.room, one, at))),
        fits: fitsInWall(view, wall.startIn + alongIn, AT_BASIN_IN, 1),
      };
    }),
  );
}

/**
 * The exception for a bathroom that has no wall outside the zone: its receptacles may stand on the farthest wall. `no` where the basin
 * could be served from outside the zone; `maybe` where only openings keep a box from standing there, or the wall is not the farthest.
 */
function bySmallBath(view: RoomView, box: Box, sideIn: number): 'yes' | 'maybe' | 'no' {
  const places = placesOn(view);
  const outside = places.filter((one) => one.atBasin && !isShorter(one.gapIn, sideIn));
  if (outside.some((one) => one.fits)) return 'no';
  if (outside.length > 0 || box.at.kind !== 'wall') return 'maybe';
  const { wall } = box.at;
  // How far a wall is, is how far its nearest place is.
  const awayOf = (id: string) => Math.min(...places.filter((one) => one.wall === id).map((one) => one.gapIn));
  const farthest = Math.max(...places.map((one) => awayOf(one.wall)));
  return awayOf(wall) >= farthest - 1 ? 'yes' : 'maybe';
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
    ofItsDay: 'ask',
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
        `Receptacle ${tag} is in the zone of the tub or shower, on the farthest wall, by the exception for a small bathroom: no place near the basin lies outside it.`,
      smallMaybe: ({ tag }: { tag: string }) =>
        `Receptacle ${tag} is in the zone of the tub or shower, and no wall near the basin outside it holds a box. The exception speaks of the farthest wall of a small bathroom: ask the authority, or move the basin.`,
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
        if (gap > 0 && !isShorter(gap, limits.sideIn)) return [];
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
        const small = limits.sideIn > 0 && gap > 0 && byBasin ? bySmallBath(view, box, limits.sideIn) : 'no';
        const exception = { ...detail, section: '406.9(C) Exception' };
        if (small === 'yes') return [report.pass('small', { tag: box.tag }, where, exception)];
        if (small === 'maybe') return [report.cannotTell('smallMaybe', { tag: box.tag }, where, exception)];
        return [report.fail('inside', { tag: box.tag, gap }, where, detail)];
      });
      return found.length > 0 ? found : [report.pass('clear', { room: view.room.name }, { room: view.room.id })];
    }),
});
