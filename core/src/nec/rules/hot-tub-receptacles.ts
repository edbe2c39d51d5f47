import { isLonger, isShorter } from '../../geometry/intervals';
import type { Box, Feature, House } from '../../house/schema';
import { isOpenToSky, OUTDOOR_KINDS } from '../../place/outdoors';
import { boxHeightIn, receptaclesOf } from '../../place/receptacles';
import { isWithinCord } from '../protection/cord-path';
import { boxPoint, distanceToFeature } from '../../plan/points';
import { defineRule, everyEdition, fromMemory, type Facts } from '../rule';
import { mustGet } from '../../units/result';

/** The one for general use is not higher above the floor or ground than 6 1/2 ft: 680.22(A). *From memory*, high. */
const READY_IN = 78;
const levelOf = (house: House, room: string) => mustGet(house.levels, mustGet(house.rooms, room).level);
const TUB: ReadonlySet<string> = new Set(['hot-tub']);

/**
 * Receptacles for anything that is plugged in, and how far each is from the inside walls of a tub: those of its room, and those of
 * others from which a cord gets to it past no wall, door or window.
 */
function receptaclesNear(
  { house, outlets }: Facts,
  tub: Feature,
  mostIn: number,
): { box: Box; isGeneral: boolean; away: number }[] {
  const room = mustGet(house.rooms, tub.room);
  return Object.values(house.boxes)
    .filter((box) => receptaclesOf(box).length > 0)
    .filter((box) => box.room === room.id || isWithinCord(house, box, TUB, mostIn, 'no-door'))
    .map((box) => ({
      box,
      isGeneral:
        !isLonger(boxHeightIn(box, levelOf(house, box.room).ceilingIn), READY_IN) &&
        receptaclesOf(box).some((one) => one.volts === 120 && one.ratingA <= 20 && !outlets.byDevice.get(one.id)?.load),
      away: distanceToFeature(room, tub, boxPoint(house, box)),
    }));
}

export const hotTubReceptacles = defineRule({
  id: 'hot-tub-receptacles',
  meta: {
    summary: 'Receptacles at a spa or hot tub: none within 6 ft, one for general use from 6 to 20 ft',
    stage: 'boxes',
    severity: 'violation',
    why: 'A radio on the rim kills. A receptacle out of reach, yet near enough that no extension cord is strung over the water, is the remedy.',
    editions: everyEdition({
      section: '680.22(A)',
      limits: { nearIn: 72, indoorFarIn: 120, outdoorFarIn: 240 },
      basis: fromMemory('medium'),
    }),
    messages: {
      near: ({ tag, away, least }: { tag: string; away: number; least: number }, show) =>
        `Receptacle ${tag} is ${show(away)} from the inside wall of the hot tub: ${show(least)} at least.`,
      none: ({ room, least, most }: { room: string; least: number; most: number }, show) =>
        `The hot tub in ${room} needs a receptacle for general use between ${show(least)} and ${show(most)} from it.`,
      right: ({ tag, away }: { tag: string; away: number }, show) =>
        `Receptacle ${tag} is ${show(away)} from the hot tub.`,
    },
  },
  scope: 'house',
  appliesTo: (facts) => Object.values(facts.house.features).some((feature) => feature.kind === 'hot-tub'),
  check: (facts, limits, report) =>
    Object.values(facts.house.features)
      .filter((feature) => feature.kind === 'hot-tub')
      .flatMap((tub) => {
        const room = mustGet(facts.house.rooms, tub.room);
        const isOut = OUTDOOR_KINDS.has(room.kind) || isOpenToSky(room);
        const section = isOut ? '680.22(A)' : '680.43(A)';
        const most = isOut ? limits.outdoorFarIn : limits.indoorFarIn;
        const all = receptaclesNear(facts, tub, most);
        const near = all
          .filter(({ away }) => isShorter(away, limits.nearIn))
          .map(({ box, away }) =>
            report.fail(
              'near',
              { tag: box.tag, away, least: limits.nearIn },
              { room: box.room, box: box.id },
              { section },
            ),
          );
        const serving = all.find(
          ({ isGeneral, away }) => isGeneral && !isShorter(away, limits.nearIn) && !isLonger(away, most),
        );
        const where = { room: room.id, feature: tub.id };
        if (!serving)
          return [...near, report.fail('none', { room: room.name, least: limits.nearIn, most }, where, { section })];
        return near.length > 0
          ? near
          : [report.pass('right', { tag: serving.box.tag, away: serving.away }, where, { section })];
      }),
});
