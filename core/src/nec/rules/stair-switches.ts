import type { Feature, Room } from '../../house/schema';
import type { Outlet } from '../../circuits/outlets';
import { lightOf, switchesFor } from '../../control/room-light';
import { featureOutline } from '../../plan/points';
import { mustGet } from '../../units/result';
import { interiorStairs, isOfStair, otherEndOf } from '../requirements/interior-stairs';
import { viewRoom, type RoomView } from '../../plan/room-view';
import { defineRule, everyEdition, fromMemory, type Facts } from '../rule';

/** The lights of a stair: those of its room, and of the rooms on other floors that the same stair is drawn in or above. */
function lightsOfStair(facts: Facts, view: RoomView, stair: Feature): readonly Outlet[] {
  const flight = featureOutline(view.room, stair);
  const others = facts.views.filter((one) => one.level !== view.level && isOfStair(one, flight));
  return [view, ...others].flatMap(({ room }) => lightOf(facts.house, facts.outlets, room).luminaires);
}

export const stairSwitches = defineRule({
  id: 'stair-switches',
  meta: {
    summary: 'A stair of six risers and more can be lit from every floor it joins',
    stage: 'boxes',
    severity: 'violation',
    ofItsDay: true,
    why: 'A person who starts down a dark stair to reach the switch at its foot may arrive sooner than planned.',
    editions: everyEdition({ section: '210.70(A)(2)', limits: { minRisers: 6 }, basis: fromMemory('high') }),
    messages: {
      dark: ({ room }: { room: string }) => `No wall switch at the stair in ${room} governs its light.`,
      lit: ({ room }: { room: string }) => `The stair can be lit in ${room}.`,
      darkBeyond: ({ room, level }: { room: string; level: string }) =>
        `No wall switch on ${level} governs the light of the stair in ${room}, which leads there.`,
      beyond: ({ room, level }: { room: string; level: string }) => `The stair in ${room} can be lit on ${level}.`,
      nowhere: ({ room }: { room: string }) =>
        `Where the stair in ${room} leads is not drawn, so its switch at the other end cannot be checked. Draw the stair on the floor that it joins.`,
      few: ({ room, risers }: { room: string; risers: number }) =>
        `The stair in ${room} has ${risers} risers: no switch is required at each end.`,
      unknown: ({ room }: { room: string }) =>
        `How many risers the stair in ${room} has is not said. Enter its risers between floors.`,
    },
  },
  scope: 'house',
  reads: 'lights',
  appliesTo: (facts) => facts.views.some((view) => interiorStairs(view).length > 0),
  check: (facts, limits, report) =>
    facts.views.flatMap((view) =>
      interiorStairs(view).flatMap((stair) => {
        const room = view.room.name;
        const where = { room: view.room.id, feature: stair.id };
        if (stair.risers === undefined) return [report.cannotTell('unknown', { room }, where)];
        if (stair.risers < limits.minRisers) return [report.pass('few', { room, risers: stair.risers }, where)];
        // The light of this stair, on whichever floor it hangs: not a fan's switch nor the porch light's, nor an idle one.
        const controls = lightsOfStair(facts, view, stair).flatMap((one) =>
          switchesFor(facts.house, facts.outlets, one),
        );
        const isLitFrom = (rooms: readonly Room[]) =>
          controls.some((control) => rooms.some((one) => one.id === control.room.id));
        const here = isLitFrom([view.room])
          ? report.pass('lit', { room }, where)
          : report.fail('dark', { room }, where);
        const end = otherEndOf(facts.house, view.room, featureOutline(view.room, stair));
        if (!end) return [here, report.cannotTell('nowhere', { room }, where)];
        // A stairwell may go on over several floors; where the stair is drawn on one of them too, it is looked at there.
        const levels = [...new Set(end.rooms.map((one) => one.level))];
        const beyond = levels.flatMap((level) => {
          const rooms = end.rooms.filter((one) => one.level === level);
          if (rooms.some((one) => interiorStairs(viewRoom(facts.house, one.id)).length > 0)) return [];
          const data = { room, level: mustGet(facts.house.levels, level).name };
          return [isLitFrom(rooms) ? report.pass('beyond', data, where) : report.fail('darkBeyond', data, where)];
        });
        return [here, ...beyond];
      }),
    ),
});
