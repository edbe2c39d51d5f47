import { isShorter } from '../../geometry/intervals';
import type { Box } from '../../house/schema';
import { isOpenToSky, OUTDOOR_KINDS } from '../../place/outdoors';
import { boxPoint, distanceToFeature } from '../../plan/points';
import { defineRule, everyEdition, fromMemory } from '../rule';
import { mustGet } from '../../units/result';

const hasSwitch = (box: Box): boolean => Object.values(box.devices).some((one) => one.kind === 'switch');

export const hotTubSwitches = defineRule({
  id: 'hot-tub-switches',
  meta: {
    summary: 'Switches stand 5 ft or more from a spa or hot tub',
    stage: 'boxes',
    severity: 'violation',
    why: 'Nobody in the water may be able to reach a switch.',
    editions: everyEdition({ section: '680.22(C)', limits: { nearIn: 60 }, basis: fromMemory('medium') }),
    messages: {
      near: ({ tag, away, least }: { tag: string; away: number; least: number }, show) =>
        `Switch ${tag} is ${show(away)} from the inside wall of the hot tub: ${show(least)} at least, unless a solid fence or wall stands between.`,
      clear: ({ room }: { room: string }) => `No switch is within reach of the hot tub in ${room}.`,
    },
  },
  scope: 'house',
  appliesTo: (facts) => Object.values(facts.house.features).some((feature) => feature.kind === 'hot-tub'),
  check: ({ house }, limits, report) =>
    Object.values(house.features)
      .filter((feature) => feature.kind === 'hot-tub')
      .flatMap((tub) => {
        const room = mustGet(house.rooms, tub.room);
        const section = OUTDOOR_KINDS.has(room.kind) || isOpenToSky(room) ? '680.22(C)' : '680.43(C)';
        // A switch of the next room has the wall between.
        const near = Object.values(house.boxes).flatMap((box) => {
          if (box.room !== room.id || !hasSwitch(box)) return [];
          const away = distanceToFeature(room, tub, boxPoint(house, box));
          if (!isShorter(away, limits.nearIn)) return [];
          const where = { room: room.id, box: box.id, feature: tub.id };
          return [report.fail('near', { tag: box.tag, away, least: limits.nearIn }, where, { section })];
        });
        return near.length > 0
          ? near
          : [report.pass('clear', { room: room.name }, { room: room.id, feature: tub.id }, { section })];
      }),
});
