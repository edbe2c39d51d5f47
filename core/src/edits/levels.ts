import { edit, type Edited } from '../house/edit';
import type { House, Level, RoomKind } from '../house/schema';
import { given, itemAt, mustGet, refuse, type Result } from '../units/result';
import { inTurn } from './circuit-verbs';
import { putRoomCopy } from './copy-room';
import { removeEntities } from './remove';
import { missing } from './verbs';
import type { NewId } from '../house/new-box';

/** From floor to floor, inches: 9 ft of wall and a floor of 12 in; 8 ft and 12 in for a basement. *Common practice*. */
const STORY_IN = 120;
const BASEMENT_IN = 108;
const BASEMENT_CEILING_IN = 96;

const inOrder = (house: House): Level[] =>
  Object.values(house.levels).sort((a, b) => a.elevationIn - b.elevationIn || (a.id < b.id ? -1 : 1));

/** A name that no level has: the usual one first, then numbered. */
function freeName(house: House, usual: string, next: string): string {
  const taken = new Set(Object.values(house.levels).map((one) => one.name));
  if (!taken.has(usual)) return usual;
  for (let n = Object.keys(house.levels).length + 1; ; n++) if (!taken.has(`${next} ${n}`)) return `${next} ${n}`;
}

function levelAbove(house: House, like: Level, id: string): Level {
  const top = itemAt(inOrder(house), -1);
  const name = freeName(house, 'Upper level', 'Level');
  const elevationIn = top.elevationIn + STORY_IN;
  return { ...like, id, name, elevationIn, below: 'floor', above: 'attic', grade: 'above' };
}

function basement(house: House, like: Level, id: string): Level {
  const [bottom] = inOrder(house);
  return {
    ...like,
    id,
    name: freeName(house, 'Basement', 'Lower basement'),
    elevationIn: given(bottom).elevationIn - BASEMENT_IN,
    ceilingIn: Math.min(like.ceilingIn, BASEMENT_CEILING_IN),
    below: 'slab',
    above: 'floor',
    grade: 'below',
  };
}

/** Adds an empty level framed like another: above all others, or below them as a basement. */
export function addLevel(house: House, where: 'above' | 'basement', like: string, id: string): Result<Edited> {
  return edit(house, where === 'above' ? 'Add level' : 'Add basement', (draft) => {
    const model = house.levels[like];
    if (!model) return missing('levels', like);
    const levels = inOrder(house);
    if (where === 'above') mustGet(draft.levels, itemAt(levels, -1).id).above = 'floor';
    else mustGet(draft.levels, itemAt(levels, 0).id).below = 'basement';
    draft.levels[id] = where === 'above' ? levelAbove(house, model, id) : basement(house, model, id);
    return undefined;
  });
}

/** What stands on the ground is not built again a story higher. */
const ON_THE_GROUND: ReadonlySet<RoomKind> = new Set([
  'porch',
  'deck',
  'outdoors',
  'garage',
  'accessory-building',
  'crawl-space',
]);

/**
 * Copies a level as a new one above all others: the walls and openings of its rooms, or all that stands and hangs in them as well. What
 * stands on the ground, panels, circuits and loads stay behind.
 */
export function copyLevel(
  house: House,
  levelId: string,
  id: string,
  contents: 'walls' | 'all',
  newId: NewId,
): Result<Edited> {
  return edit(house, `Copy ${house.levels[levelId]?.name ?? 'level'}`, (draft) => {
    const level = house.levels[levelId];
    if (!level) return missing('levels', levelId);
    mustGet(draft.levels, itemAt(inOrder(house), -1).id).above = 'floor';
    draft.levels[id] = levelAbove(house, level, id);
    for (const room of Object.values(house.rooms))
      if (room.level === levelId && !ON_THE_GROUND.has(room.kind))
        putRoomCopy(
          draft,
          house,
          room,
          { mirror: 'none', dx: 0, dy: 0, level: id, contents: contents === 'all' },
          newId,
        );
    return undefined;
  });
}

/** How much a level takes along when it is deleted. */
export function heldByLevel(house: House, levelId: string): Readonly<Record<'rooms' | 'boxes' | 'panels', number>> {
  const isHere = (one: { readonly room: string }) => house.rooms[one.room]?.level === levelId;
  return {
    rooms: Object.values(house.rooms).filter((one) => one.level === levelId).length,
    boxes: Object.values(house.boxes).filter(isHere).length,
    panels: Object.values(house.panels).filter(isHere).length,
  };
}

/** Deletes a level with all in it; the last one stays. What lay over and under it from then on lies over and under its neighbors. */
export function removeLevel(house: House, levelId: string): Result<Edited> {
  const levels = inOrder(house);
  const at = levels.findIndex((one) => one.id === levelId);
  if (levels.length === 1 && at === 0)
    return refuse('last-level', `levels.${levelId}`, 'A house has a level at least. Delete its rooms instead.');
  const [gone, under, over] = [levels[at], levels[at - 1], levels[at + 1]];
  return inTurn(`Delete ${gone?.name ?? 'level'}`, house, [
    (now) => removeEntities(now, [{ collection: 'levels', id: levelId }]),
    (now) =>
      edit(now, 'Level', (draft) => {
        if (gone && under && !over) mustGet(draft.levels, under.id).above = gone.above;
        if (gone && over && !under) mustGet(draft.levels, over.id).below = gone.below;
      }),
  ]);
}
