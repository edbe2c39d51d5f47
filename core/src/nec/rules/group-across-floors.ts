import type { Outlet } from '../../circuits/outlets';
import { isOverHatch, stairsBeyond } from '../../control/passages';
import type { Room } from '../../house/schema';
import { roomsBeyond } from '../requirements/alarm-places';
import { commonPractice, defineRule, everyEdition, type Facts } from '../rule';
import { given, itemAt } from '../../units/result';

export const groupAcrossFloors = defineRule({
  id: 'group-across-floors',
  meta: {
    summary: 'Switches of one group on different floors are joined by a stair',
    stage: 'switching',
    severity: 'caution',
    why: 'Three-ways on two floors serve a stair. Without one on the plan either the group is a slip of the hand, or the plan lacks the stair and with it the way that the travelers take.',
    editions: everyEdition({ section: 'common practice', limits: {}, basis: commonPractice }),
    messages: {
      apart: ({ name, a, b }: Data) =>
        `The switches of ${name} stand in ${a} and in ${b}, on different floors, and no way on the plan leads from one to the other: nobody goes from switch to switch, and how far the travelers run is a guess. Draw the stair on both floors, or take one of the switches out of the group.`,
      joined: ({ name }: { name: string }) => `One gets from switch to switch of ${name} over the stair.`,
    },
  },
  scope: 'house',
  reads: 'lights',
  appliesTo: (facts) => acrossFloors(facts).length > 0,
  check: (facts, _limits, report) => {
    return acrossFloors(facts).map(({ name, switches }) => {
      const first = itemAt(switches, 0);
      const reached = roomsReached(facts, first.room);
      const lost = switches.find((one) => !reached.has(one.room));
      if (!lost) return report.pass('joined', { name }, { room: first.room.id, box: first.box.id });
      const data = { name, a: first.room.name, b: lost.room.name };
      return report.fail('apart', data, { room: lost.room.id, box: lost.box.id });
    });
  },
});

/** The rooms that one gets to from a room over doors and stairs. */
function roomsReached(facts: Facts, from: Room): ReadonlySet<Room> {
  const reached = new Set([from]);
  const views = new Map(facts.views.map((view) => [view.room, view]));
  // A set that grows while it is walked gives what is added as well.
  for (const room of reached) {
    for (const next of roomsBeyond(facts, given(views.get(room)))) if (!isOverHatch(next)) reached.add(next);
    for (const stair of stairsBeyond(facts.house).get(room) ?? []) reached.add(stair);
  }
  return reached;
}

/** Groups whose switches stand on more than one floor. */
function acrossFloors({ house, outlets }: Facts): { readonly name: string; readonly switches: readonly Outlet[] }[] {
  return Object.values(house.switchGroups).flatMap(({ name, switches: ids }) => {
    const all = ids.flatMap((id) => outlets.byDevice.get(id) ?? []);
    const switches = all.filter((one) => !isOverHatch(one.room));
    return switches.some((one) => one.room.level !== itemAt(switches, 0).room.level) ? [{ name, switches }] : [];
  });
}

interface Data {
  readonly name: string;
  readonly a: string;
  readonly b: string;
}
