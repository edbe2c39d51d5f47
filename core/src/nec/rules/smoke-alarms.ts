import type { RoomKind } from '../../house/schema';
import { OUTDOOR_KINDS } from '../../place/outdoors';
import { hasAlarm, outsideBedrooms } from '../requirements/alarm-places';
import { defineRule, everyEdition, fromMemory } from '../rule';
import { given, itemAt } from '../../units/result';

const NOT_A_STOREY: ReadonlySet<RoomKind> = new Set<RoomKind>([
  ...OUTDOOR_KINDS,
  'crawl-space',
  'attic',
  'accessory-building',
  'garage',
]);

export const smokeAlarms = defineRule({
  id: 'smoke-alarms',
  meta: {
    summary: 'Smoke alarms in each bedroom, outside each sleeping area and on each story',
    stage: 'boxes',
    severity: 'violation',
    why: 'People asleep do not smell smoke. The alarms are interconnected by a third conductor, so that the one in the basement wakes the one in the bed.',
    editions: everyEdition({ section: 'IRC R314.3, NFPA 72', limits: {}, basis: fromMemory('high') }),
    messages: {
      bedroom: ({ room }: { room: string }) => `${room} has no smoke alarm.`,
      outside: ({ room, places }: { room: string; places: string }) => `No smoke alarm outside ${room}, in ${places}.`,
      story: ({ level }: { level: string }) => `No smoke alarm on the story ${level}.`,
      there: ({ where }: { where: string }) => `A smoke alarm stands ${where}.`,
      noDoor: ({ room }: { room: string }) =>
        `No door of ${room} is drawn to a hall or another room, so the place outside it is not known. Draw its door.`,
    },
  },
  scope: 'house',
  reads: 'alarms',
  appliesTo: (facts) => facts.views.some((view) => !NOT_A_STOREY.has(view.room.kind)),
  check: (facts, _limits, report) => {
    const beyond = outsideBedrooms(facts);
    const bedrooms = facts.views
      .filter((view) => view.room.kind === 'bedroom')
      .flatMap((view) => {
        const room = view.room.name;
        const where = { room: view.room.id };
        const inside = hasAlarm(view, 'smoke')
          ? report.pass('there', { where: `in ${room}` }, where)
          : report.fail('bedroom', { room }, where);
        const places = given(beyond.get(view.room.id));
        if (places.length === 0) return [inside, report.cannotTell('noDoor', { room }, where)];
        const names = places.map((one) => one.room.name).join(' or ');
        const outside = places.some((one) => hasAlarm(one, 'smoke'))
          ? report.pass('there', { where: `outside ${room}` }, { room: itemAt(places, 0).room.id })
          : report.fail('outside', { room, places: names }, { room: itemAt(places, 0).room.id });
        return [inside, outside];
      });
    const levels = [...new Set(facts.views.filter((one) => !NOT_A_STOREY.has(one.room.kind)).map((one) => one.level))];
    const storys = levels.map((level) => {
      const views = facts.views.filter((one) => one.level === level && !NOT_A_STOREY.has(one.room.kind));
      const where = { room: itemAt(views, 0).room.id };
      return views.some((one) => hasAlarm(one, 'smoke'))
        ? report.pass('there', { where: `on the story ${level.name}` }, where)
        : report.fail('story', { level: level.name }, where);
    });
    return [...bedrooms, ...storys];
  },
});
