import { hasThermostat, whyMisled } from '../requirements/thermostats';
import { commonPractice, defineRule, everyEdition } from '../rule';
import { mustGet } from '../../units/result';

export const thermostatPlace = defineRule({
  id: 'thermostat-place',
  meta: {
    summary: 'A thermostat hangs where it feels the room',
    stage: 'boxes',
    severity: 'caution',
    why: 'On an outside wall it heats for the street, over a heater it lets the room freeze. The maker says where it may hang; an inside wall of a room people live in, 52 to 60 in up, out of sun and drafts, is the usual answer.',
    editions: everyEdition({ section: 'common practice', limits: { lowIn: 44, highIn: 66 }, basis: commonPractice }),
    messages: {
      outside: ({ tag }: Tag) =>
        `${tag}: the thermostat hangs on an outside wall, or one to the garage. Take an inside wall.`,
      heater: ({ tag }: Tag) => `${tag}: the thermostat hangs over a heater. Move it out of its rising air.`,
      room: ({ tag, room }: Tag & { room: string }) =>
        `${tag}: the thermostat hangs in ${room}, whose own heat and steam it would follow. Take a hall or a living room.`,
      door: ({ tag }: Tag) =>
        `${tag}: the thermostat hangs behind an open door, where the air of the room does not come.`,
      low: ({ tag, height, low }: Tag & { height: number; low: number }, show) =>
        `${tag}: the thermostat hangs ${show(height)} up, lower than ${show(low)}.`,
      high: ({ tag, height, high }: Tag & { height: number; high: number }, show) =>
        `${tag}: the thermostat hangs ${show(height)} up, higher than ${show(high)}.`,
      well: ({ tag }: Tag) => `${tag}: the thermostat hangs on an inside wall at a usual height.`,
    },
  },
  scope: 'house',
  appliesTo: ({ house }) => Object.values(house.boxes).some((box) => box.at.kind === 'wall' && hasThermostat(box)),
  check: ({ house }, { lowIn, highIn }, report) =>
    Object.values(house.boxes).flatMap((box) => {
      if (box.at.kind !== 'wall' || !hasThermostat(box)) return [];
      const where = { room: box.room, box: box.id };
      const { tag } = box;
      switch (whyMisled(house, box, lowIn, highIn)) {
        case 'outside':
          return [report.fail('outside', { tag }, where)];
        case 'heater':
          return [report.fail('heater', { tag }, where)];
        case 'door':
          return [report.fail('door', { tag }, where)];
        case 'room':
          return [report.fail('room', { tag, room: mustGet(house.rooms, box.room).name }, where)];
        case 'low':
          return [report.fail('low', { tag, height: box.at.heightIn, low: lowIn }, where)];
        case 'high':
          return [report.fail('high', { tag, height: box.at.heightIn, high: highIn }, where)];
        case undefined:
          return [report.pass('well', { tag }, where)];
      }
    }),
});

interface Tag {
  readonly tag: string;
}
