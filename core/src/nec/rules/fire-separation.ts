import type { House, Room } from '../../house/schema';
import { facingOf } from '../../plan/facing';
import { OUTDOOR_KINDS } from '../../place/outdoors';
import { defineRule, everyEdition, fromMemory } from '../rule';
import { itemAt, mustGet } from '../../units/result';

const isGarage = ({ kind }: Room): boolean => kind === 'garage';

/** Garages that share a wall with the dwelling, or lie under it. */
function garagesAtDwelling(house: House): readonly Room[] {
  const rooms = Object.values(house.rooms);
  const isDwelling = (room: Room) =>
    !isGarage(room) && !OUTDOOR_KINDS.has(room.kind) && room.kind !== 'accessory-building';
  const elevation = (room: Room) => mustGet(house.levels, room.level).elevationIn;
  return rooms.filter(
    (room) =>
      isGarage(room) &&
      (facingOf(house, room).some(({ other }) => isDwelling(other)) ||
        rooms.some(
          (other) => isDwelling(other) && other.building === room.building && elevation(other) > elevation(room),
        )),
  );
}

export const fireSeparation = defineRule({
  id: 'fire-separation',
  meta: {
    summary: 'What is bored and cut into walls and ceilings that hold back a fire is closed again',
    stage: 'routes',
    severity: 'reminder',
    why: 'Garages burn first and neighbors sleep next door. A hole of a cable lets smoke through minutes before the wall gives way.',
    editions: everyEdition({ section: 'IRC R302.5.3', limits: {}, basis: fromMemory('medium') }),
    messages: {
      garage: ({ names }: { names: string }) =>
        `${names}: the gypsum board towards the dwelling stays whole around boxes, and holes of cables through that wall or ceiling are filled with material that resists the passage of flame (R302.11). Ask the authority what it takes.`,
      units: () =>
        'Between dwelling units: boxes that reach through the membrane are steel, 16 in² at most each and 100 in² in 100 ft² of wall together, with 1/8 in around them, or listed for the wall; holes of cables are firestopped.',
    },
  },
  scope: 'house',
  reads: 'none',
  // Said where holes are bored: before cables are led there are none to close.
  appliesTo: ({ house }) =>
    Object.keys(house.routes).length > 0 &&
    (Object.keys(house.units).length > 1 || garagesAtDwelling(house).length > 0),
  check: ({ house }, _limits, report) => {
    const garages = garagesAtDwelling(house);
    return [
      ...(garages.length > 0
        ? [report.fail('garage', { names: garages.map((one) => one.name).join(', ') }, { room: itemAt(garages, 0).id })]
        : []),
      ...(Object.keys(house.units).length > 1 ? [report.fail('units', undefined, {}, { section: 'IRC R302.4' })] : []),
    ];
  },
});
