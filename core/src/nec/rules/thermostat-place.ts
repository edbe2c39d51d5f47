import type { Box, House, RoomKind } from '../../house/schema';
import { OUTDOOR_KINDS } from '../../place/outdoors';
import { facingOf } from '../../plan/facing';
import { commonPractice, defineRule, everyEdition } from '../rule';

const isThermostat = (box: Box): boolean =>
  Object.values(box.devices).some((one) => one.kind === 'low-voltage' && one.system === 'thermostat');

/** Rooms whose own heat or steam a thermostat would follow. */
const MISLEADING: ReadonlySet<RoomKind> = new Set<RoomKind>(['kitchen', 'bathroom', 'half-bath', 'laundry', 'garage']);

/** Whether a box on a wall has a heated room behind it. */
function isInsideWall(house: House, { room, at }: Box): boolean {
  if (at.kind !== 'wall') return true;
  return facingOf(house, house.rooms[room]!).some(
    ({ other, wall, fromIn, toIn }) =>
      wall.id === at.wall &&
      at.alongIn >= fromIn &&
      at.alongIn <= toIn &&
      !OUTDOOR_KINDS.has(other.kind) &&
      other.kind !== 'garage',
  );
}

type Why = 'outside' | 'heater' | 'room' | 'low' | 'high';

function whyMisled(house: House, box: Box, lowIn: number, highIn: number): Why | undefined {
  if (box.at.kind !== 'wall') return undefined;
  const { wall, alongIn, heightIn } = box.at;
  if (MISLEADING.has(house.rooms[box.room]!.kind)) return 'room';
  const isOverHeater = Object.values(house.features).some(
    ({ kind, room, at }) =>
      kind === 'baseboard-heater' &&
      room === box.room &&
      at.kind === 'wall' &&
      at.wall === wall &&
      alongIn >= at.alongIn &&
      alongIn <= at.alongIn + at.widthIn,
  );
  if (isOverHeater) return 'heater';
  if (!isInsideWall(house, box)) return 'outside';
  if (heightIn < lowIn) return 'low';
  return heightIn > highIn ? 'high' : undefined;
}

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
      low: ({ tag, height, low }: Tag & { height: number; low: number }, show) =>
        `${tag}: the thermostat hangs ${show(height)} up, lower than ${show(low)}.`,
      high: ({ tag, height, high }: Tag & { height: number; high: number }, show) =>
        `${tag}: the thermostat hangs ${show(height)} up, higher than ${show(high)}.`,
      well: ({ tag }: Tag) => `${tag}: the thermostat hangs on an inside wall at a usual height.`,
    },
  },
  scope: 'house',
  appliesTo: ({ house }) => Object.values(house.boxes).some((box) => box.at.kind === 'wall' && isThermostat(box)),
  check: ({ house }, { lowIn, highIn }, report) =>
    Object.values(house.boxes).flatMap((box) => {
      if (box.at.kind !== 'wall' || !isThermostat(box)) return [];
      const where = { room: box.room, box: box.id };
      const { tag } = box;
      switch (whyMisled(house, box, lowIn, highIn)) {
        case 'outside':
          return [report.fail('outside', { tag }, where)];
        case 'heater':
          return [report.fail('heater', { tag }, where)];
        case 'room':
          return [report.fail('room', { tag, room: house.rooms[box.room]!.name }, where)];
        case 'low':
          return [report.fail('low', { tag, height: box.at.heightIn, low: lowIn }, where)];
        case 'high':
          return [report.fail('high', { tag, height: box.at.heightIn, high: highIn }, where)];
        default:
          return [report.pass('well', { tag }, where)];
      }
    }),
});

interface Tag {
  readonly tag: string;
}
