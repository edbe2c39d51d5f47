import { OUTDOOR_KINDS } from '../../place/outdoors';
import { defineRule, everyEdition, fromMemory } from '../rule';
import { mustGet } from '../../units/result';

export const panelEnclosure = defineRule({
  id: 'panel-enclosure',
  meta: {
    summary: 'A panel outdoors stands in an enclosure made for the weather',
    stage: 'service',
    severity: 'violation',
    why: 'Rain runs along the cables into an indoor enclosure, and the first thing it finds is the busbar.',
    editions: everyEdition({ section: '312.2, Table 110.28', limits: {}, basis: fromMemory('high') }),
    messages: {
      indoor: ({ panel, room }: Data) =>
        `${panel} hangs in ${room} in an enclosure for indoors. Outdoors it has to be weatherproof, as type 3R is.`,
      ask: ({ panel, room }: Data) =>
        `${panel} hangs in ${room}, outdoors. Whether its enclosure is made for the weather, type 3R or the like, is not said.`,
      weatherproof: ({ panel }: Pick<Data, 'panel'>) => `${panel} hangs outdoors in an enclosure made for the weather.`,
    },
  },
  scope: 'house',
  reads: 'none',
  appliesTo: ({ house }) =>
    Object.values(house.panels).some(({ room }) => OUTDOOR_KINDS.has(mustGet(house.rooms, room).kind)),
  check: ({ house }, _limits, report) =>
    Object.values(house.panels).flatMap(({ id, name, room: roomId, enclosure }) => {
      const room = mustGet(house.rooms, roomId);
      if (!OUTDOOR_KINDS.has(room.kind)) return [];
      const [data, where] = [{ panel: name, room: room.name }, { panel: id }];
      if (enclosure === undefined) return [report.cannotTell('ask', data, where)];
      return [enclosure === 'indoor' ? report.fail('indoor', data, where) : report.pass('weatherproof', data, where)];
    }),
});

interface Data {
  readonly panel: string;
  readonly room: string;
}
