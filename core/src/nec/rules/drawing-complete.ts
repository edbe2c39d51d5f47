import { polygonsOverlap } from '../../geometry/geometry';
import type { Feature, House, Level, Panel } from '../../house/schema';
import { OUTDOOR_KINDS } from '../../place/outdoors';
import { featureOutline } from '../../plan/points';
import { count } from '../../units/count';
import type { RoomView } from '../../plan/room-view';
import { commonPractice, defineRule, everyEdition } from '../rule';
import { given, mustGet } from '../../units/result';

/** Panels that hang in one another's place, the first of each pair by id. */
function panelsInOnePlace(house: House): [Panel, Panel][] {
  const drawn = Object.values(house.panels).flatMap((panel): { panel: Panel; feature: Feature }[] => {
    const feature = panel.feature === null ? undefined : house.features[panel.feature];
    return feature ? [{ panel, feature }] : [];
  });
  return drawn.flatMap((one, i) =>
    drawn.slice(i + 1).flatMap((other): [Panel, Panel][] => {
      if (one.feature === other.feature) return [[one.panel, other.panel]];
      const [a, b] = [mustGet(house.rooms, one.feature.room), mustGet(house.rooms, other.feature.room)];
      const isThere =
        a.level === b.level && polygonsOverlap(featureOutline(a, one.feature), featureOutline(b, other.feature));
      return isThere ? [[one.panel, other.panel]] : [];
    }),
  );
}

/** Levels that nothing drawn leads to, stair or stair room, where the house has more than one. */
function levelsWithoutStair(views: readonly RoomView[]): Level[] {
  // One climbs into an attic or a crawl space through a hatch.
  const indoors = views.filter(
    ({ room }) => !OUTDOOR_KINDS.has(room.kind) && room.kind !== 'attic' && room.kind !== 'crawl-space',
  );
  const levels = [...new Set(indoors.map(({ level }) => level))].sort((a, b) => a.elevationIn - b.elevationIn);
  if (levels.length < 2) return [];
  const hasStair = (level: Level) =>
    indoors.some(
      (view) =>
        view.level === level && (view.room.kind === 'stair' || view.features.some(({ kind }) => kind === 'stair')),
    );
  // A stair is drawn on either of the two levels that it joins.
  return levels.filter(
    (_level, i) => ![levels[i - 1], levels[i], levels[i + 1]].some((one) => one !== undefined && hasStair(one)),
  );
}

export const drawingComplete = defineRule({
  id: 'drawing-complete',
  meta: {
    summary: 'What is drawn holds together: rooms have walls, levels have stairs, panels a place of their own',
    stage: 'house',
    severity: 'caution',
    why: 'Spacing goes along walls, switches and alarms go by stairs. Where these are not drawn, nothing is required there, and nothing is found missing.',
    editions: everyEdition({ section: 'the drawing', limits: {}, basis: commonPractice }),
    messages: {
      open: ({ room }: { room: string }) =>
        `Every side of ${room} is open, so no receptacle or switch is required in it. Under House, set the sides that are walls.`,
      stair: ({ level }: { level: string }) =>
        `No stair is drawn to ${level}, so its switches and its lights cannot be checked. Draw the stair under House.`,
      panels: ({ a, b }: { a: string; b: string }) =>
        `${a} and ${b} hang in one place. Move one of them under House, or remove it.`,
      whole: ({ rooms }: { rooms: number }) => `${count(rooms, 'room')} as drawn, nothing missing between them.`,
    },
  },
  scope: 'house',
  appliesTo: ({ views }) => views.length > 0,
  check: ({ house, views }, _limits, report) => {
    const found = [
      ...views
        .filter(({ room }) => !OUTDOOR_KINDS.has(room.kind) && room.corners.every(({ wall }) => wall === 'open'))
        .map(({ room }) => report.cannotTell('open', { room: room.name }, { room: room.id })),
      ...levelsWithoutStair(views).map((level) => {
        const first = given(views.find((one) => one.level === level));
        return report.cannotTell('stair', { level: level.name }, { room: first.room.id });
      }),
      ...panelsInOnePlace(house).map(([a, b]) =>
        report.fail('panels', { a: a.name, b: b.name }, { room: b.room, ...(b.feature ? { feature: b.feature } : {}) }),
      ),
    ];
    return found.length > 0 ? found : [report.pass('whole', { rooms: views.length }, {})];
  },
});
