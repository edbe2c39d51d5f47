import { count } from '../../units/count';
import { keptHoles } from '../../route/kept-laid';
import { groupBy } from '../../units/group-by';
import { defineRule, everyEdition, fromMemory } from '../rule';
import { mustGet } from '../../units/result';

export const steelStuds = defineRule({
  id: 'steel-studs',
  meta: {
    summary: 'Cables through steel studs lie in bushings, and boxes on them are screwed on',
    stage: 'routes',
    severity: 'reminder',
    why: 'The edge of a punched opening cuts through the jacket of a cable as it is pulled, and the stud is live from then on.',
    editions: everyEdition({ section: '300.4(B)', limits: {}, basis: fromMemory('high') }),
    messages: {
      bushings: ({ room, members }: { room: string; members: number }) =>
        `${count(members, 'opening')} in steel studs of ${room}: a listed bushing that covers the metal edges in each, fastened before the cable is pulled. Where screws may reach the cable, a plate or sleeve of 1/16 in steel.`,
      boxes: ({ room, boxes }: { room: string; boxes: string }) =>
        `Boxes on steel studs of ${room} are screwed on or clipped, not nailed: ${boxes}.`,
    },
  },
  scope: 'house',
  appliesTo: ({ house }) =>
    Object.values(house.rooms).some((room) => room.corners.some((corner) => corner.framing?.steel)),
  check: ({ house }, _limits, report) => {
    const openings = groupBy(
      keptHoles(house).filter((one) => one.isSteel),
      (one) => one.room,
    );
    const onSteel = Object.values(house.boxes).filter(({ room, at, state }) => {
      if (at.kind !== 'wall' || state === 'existing') return false;
      return mustGet(house.rooms, room).corners.some((corner) => corner.id === at.wall && corner.framing?.steel);
    });
    return [
      ...[...openings].map(([room, holes]) => {
        const members = holes.reduce((sum, one) => sum + one.members, 0);
        return report.fail('bushings', { room: mustGet(house.rooms, room).name, members }, { room });
      }),
      ...[...groupBy(onSteel, (one) => one.room)].map(([room, boxes]) =>
        report.fail(
          'boxes',
          { room: mustGet(house.rooms, room).name, boxes: boxes.map((one) => one.tag).join(', ') },
          { room },
          {
            section: '314.23(B)(1)',
          },
        ),
      ),
    ];
  },
});
