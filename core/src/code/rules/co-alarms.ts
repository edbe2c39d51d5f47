import { openingBreak } from '../../plan/wall-spaces';
import { roomBehind } from '../../plan/room-view';
import { hasAlarm, outsideBedrooms } from '../alarm-places';
import { defineRule, everyEdition, fromMemory, type Facts } from '../rule';

/** What makes carbon monoxide alarms due: something that burns fuel, or a garage with a door into the house. */
function cause(facts: Facts): string | undefined {
  const burner = facts.views
    .flatMap((view) => view.features)
    .find((feature) => feature.fuel || feature.kind === 'fireplace');
  if (burner) return `the ${burner.name || burner.kind.replaceAll('-', ' ')}`;
  const garage = facts.views.find(
    (view) =>
      view.room.kind === 'garage' &&
      view.openings.some((seen) => {
        const behind = openingBreak(seen) && roomBehind(facts.house, view.room.id, seen);
        return behind && behind.kind !== 'outdoors' && behind.kind !== 'porch' && behind.kind !== 'garage';
      }),
  );
  return garage && `the door from ${garage.room.name}`;
}

export const coAlarms = defineRule({
  id: 'co-alarms',
  meta: {
    summary: 'Carbon monoxide alarms outside each sleeping area where fuel burns or a garage opens into the house',
    stage: 'boxes',
    severity: 'violation',
    why: 'Carbon monoxide has no smell. A flue that fails or a car left running reaches the bedrooms first in sleep.',
    editions: everyEdition({ section: 'IRC R315', limits: {}, basis: fromMemory('high') }),
    messages: {
      none: ({ room, cause: why }: { room: string; cause: string }) =>
        `No carbon monoxide alarm outside ${room}; it is due because of ${why}.`,
      there: ({ room }: { room: string }) => `A carbon monoxide alarm stands outside ${room}.`,
      noDoor: ({ room }: { room: string }) =>
        `${room} has no door drawn, so the place outside it is not known. Draw its door.`,
    },
  },
  scope: 'house',
  appliesTo: (facts) => facts.views.some((view) => view.room.kind === 'bedroom') && cause(facts) !== undefined,
  check: (facts, _limits, report) => {
    const why = cause(facts)!;
    return [...outsideBedrooms(facts)].map(([id, places]) => {
      const room = facts.house.rooms[id]!.name;
      if (places.length === 0) return report.cannotTell('noDoor', { room }, { room: id });
      const where = { room: places[0]!.room.id };
      return places.some((one) => hasAlarm(one, 'co'))
        ? report.pass('there', { room }, where)
        : report.fail('none', { room, cause: why }, where);
    });
  },
});
