import type { Point } from '../geometry/geometry';
import type { House } from '../house/schema';
import type { NewId } from '../house/new-box';
import { featureOutline } from '../plan/points';
import { findWall, pointOnWall, wallLoop } from '../plan/wall-loop';
import { addTypedRoom, roomsMeant as roomsBeside, sizesMeant } from './typed-room';
import { addTypedThing, readThing, roomsMeant, namesIn } from './typed-thing';
import { given, mustGet } from '../units/result';

/** One of several things that a line may mean. */
interface Meaning {
  /** The line that says it so that nothing else can be meant. */
  readonly line: string;
  /** What tells it from the others. */
  readonly words: string;
  /** Where it would stand, a closed outline on the plan. */
  readonly outline: readonly Point[];
}

/** Half the depth of the outline of a door or window, inches: seen on both sides of its wall. */
const SEEN_IN = 8;

interface Meant {
  readonly line: string;
  readonly words: readonly string[];
}

/** With every ambiguous name told apart by the rooms that have it in theirs. */
const apart = (meant: readonly Meant[], name: string | undefined, rooms: readonly string[]): readonly Meant[] => {
  if (name === undefined || rooms.length < 2) return meant;
  return meant.flatMap(({ line, words }) => {
    const at = line.toLowerCase().lastIndexOf(name.toLowerCase());
    return rooms.map((room) => ({
      line: `${line.slice(0, at)}${room}${line.slice(at + name.length)}`,
      words: [...words, room],
    }));
  });
};

/** Where what a line makes would stand; undefined where it makes nothing. */
function outlineOf(house: House, level: string, line: string, selected: string | null, newId: NewId) {
  if (!readThing(line)) {
    const made = addTypedRoom(house, level, line, selected, newId);
    return made.ok && made.value.edited.ok
      ? mustGet(made.value.edited.value.house.rooms, made.value.roomId).corners
      : undefined;
  }
  const made = addTypedThing(house, level, line, selected, newId);
  if (!made.ok || !made.value.edited.ok) return undefined;
  const { house: then } = made.value.edited.value;
  const { id } = made.value;
  const feature = then.features[id];
  if (feature) return featureOutline(mustGet(then.rooms, feature.room), feature);
  const opening = mustGet(then.openings, id);
  const wall = given(findWall(wallLoop(mustGet(then.rooms, opening.room)), opening.wall));
  const [from, to] = [opening.alongIn, opening.alongIn + opening.widthIn];
  return [
    pointOnWall(wall, from, -SEEN_IN),
    pointOnWall(wall, to, -SEEN_IN),
    pointOnWall(wall, to, SEEN_IN),
    pointOnWall(wall, from, SEEN_IN),
  ];
}

/**
 * What a typed line may mean where it may mean several things: a name that more than one room has in its own, bare sizes that make
 * sense in feet and in inches. Empty where it is clear, or where nothing of it can be made.
 */
export function meaningsOf(
  house: House,
  level: string,
  text: string,
  selected: string | null,
  newId: NewId,
): readonly Meaning[] {
  let meant: readonly Meant[] = [{ line: text.trim(), words: [] }];
  if (readThing(text)) for (const name of namesIn(text)) meant = apart(meant, name, roomsMeant(house, level, name));
  else {
    const { name, rooms } = roomsBeside(house, level, text);
    meant = apart(meant, name, rooms);
    meant = meant.flatMap(({ line, words }) => {
      const sizes = sizesMeant(line);
      return sizes.length < 2
        ? [{ line, words }]
        : sizes.map((one) => ({ line: one.line, words: [...words, one.words] }));
    });
  }
  if (meant.length < 2) return [];
  return meant.flatMap(({ line, words }) => {
    const outline = outlineOf(house, level, line, selected, newId);
    return outline ? [{ line, words: words.join(', '), outline }] : [];
  });
}
