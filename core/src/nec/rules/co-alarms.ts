import type { RoomKind } from '../../house/schema';
import { OUTDOOR_KINDS } from '../../place/outdoors';
import type { RoomView } from '../../plan/room-view';
import { BATHROOMS } from '../requirements/circuit-facts';
import { burnsFuel } from '../../loads/hookups';
import { hasAlarm, outsideBedrooms, roomsBeyond } from '../requirements/alarm-places';
import { defineRule, everyEdition, fromMemory, type Facts } from '../rule';
import { given, itemAt, mustGet } from '../../units/result';

/** Rooms that a garage's door opens to without opening into the dwelling. */
const APART: ReadonlySet<RoomKind> = new Set<RoomKind>(['garage', 'accessory-building']);

/** What burns fuel in a room, by its name. */
function burnerOf({ features }: RoomView): string | undefined {
  const burner = features.find(burnsFuel);
  return burner && (burner.name || burner.kind.replaceAll('-', ' '));
}

/** Bathrooms that a bedroom's own doors open to. */
const attachedBaths = (facts: Facts, view: RoomView): readonly RoomView[] =>
  roomsBeyond(facts, view).flatMap((room) =>
    BATHROOMS.has(room.kind) ? facts.views.filter((one) => one.room === room) : [],
  );

/** What makes carbon monoxide alarms due: something that burns fuel, or a garage with a door into the house. */
function cause(facts: Facts): string | undefined {
  const burner = facts.views.map(burnerOf).find(Boolean);
  if (burner) return `the ${burner}`;
  const garage = facts.views.find(
    (view) =>
      view.room.kind === 'garage' &&
      roomsBeyond(facts, view).some(({ kind }) => !OUTDOOR_KINDS.has(kind) && !APART.has(kind)),
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
        `No carbon monoxide alarm outside ${room}; it is required because of ${why}.`,
      bedroom: ({ room, what }: { room: string; what: string }) =>
        `No carbon monoxide alarm in ${room}; it is required there because of the ${what} in it or in its bathroom.`,
      inside: ({ room }: { room: string }) => `A carbon monoxide alarm stands in ${room}.`,
      there: ({ room }: { room: string }) => `A carbon monoxide alarm stands outside ${room}.`,
      noDoor: ({ room }: { room: string }) =>
        `No door of ${room} is drawn to a hall or another room, so the place outside it is not known. Draw its door.`,
    },
  },
  scope: 'house',
  reads: 'alarms',
  appliesTo: (facts) => facts.views.some((view) => view.room.kind === 'bedroom') && cause(facts) !== undefined,
  check: (facts, _limits, report) => {
    const why = given(cause(facts));
    const inside = facts.views
      .filter((view) => view.room.kind === 'bedroom')
      .flatMap((view) => {
        const burner = burnerOf(view) ?? attachedBaths(facts, view).map(burnerOf).find(Boolean);
        if (!burner) return [];
        const room = view.room.name;
        const where = { room: view.room.id };
        return hasAlarm(view, 'co')
          ? [report.pass('inside', { room }, where)]
          : [report.fail('bedroom', { room, what: burner }, where)];
      });
    const outside = [...outsideBedrooms(facts)].map(([id, places]) => {
      const room = mustGet(facts.house.rooms, id).name;
      if (places.length === 0) return report.cannotTell('noDoor', { room }, { room: id });
      const where = { room: itemAt(places, 0).room.id };
      return places.some((one) => hasAlarm(one, 'co'))
        ? report.pass('there', { room }, where)
        : report.fail('none', { room, cause: why }, where);
    });
    return [...inside, ...outside];
  },
});
