import type { Edited } from '../house/edit';
import { ROOM_KINDS, type House, type RoomKind } from '../house/schema';
import { boundsOf } from '../geometry/geometry';
import { addRoom, setAgainst, type Side } from '../edits/place-room';
import { rectangleCorners } from '../edits/verbs';
import type { NewId } from '../house/new-box';
import { parseLength } from '../units/length';
import { given, itemAt, mustGet, refuse, type Result, succeed } from '../units/result';
import { findRoomByName, roomsMeant as namesLike } from './typed-thing';

const FORM =
  /^(?<before>.+?)(?:\s*[x×]\s*|\s+by\s+)(?<depth>[\d.].*?)(?:\s+(?<side>north|south|east|west)\s+of\s+(?<neighbor>.+?)(?:\s+at\s+(?<offset>.+))?)?$/i;
/** Words of the trade for kinds that the code names otherwise. */
const ALIASES: Readonly<Record<string, RoomKind>> = {
  'half bath': 'half-bath',
  bath: 'bathroom',
  powder: 'half-bath',
  hall: 'hallway',
  entry: 'foyer',
  yard: 'outdoors',
  closet: 'closet',
  'great room': 'living',
  'mud room': 'foyer',
  mudroom: 'foyer',
  'powder room': 'half-bath',
  'rec room': 'recreation',
  'bonus room': 'recreation',
  nursery: 'bedroom',
  patio: 'outdoors',
  workshop: 'studio',
  shop: 'studio',
};
/** Sizes of rooms are said in feet, unless they are too many for that. */
const FEET_UP_TO = 40;
const BARE = /^\d+(?:\.\d+)?$/;

type Units = 'feet' | 'inches' | 'both';
/** Least size in inches and most in feet that a room of a kind is given: *common practice*, wide. */
const SMALL = { kinds: /closet|linen|half-bath/, leastIn: 18, mostFt: 14 };
const SERVING = { kinds: /bath|hall|foyer|laundry|utility|pantry|stair/, leastIn: 30, mostFt: 40 };
const OUTDOORS = { kinds: /porch|deck|balcony|outdoors/, leastIn: 36, mostFt: 200 };
const LIVED_IN = { kinds: /./, leastIn: 60, mostFt: 60 };

/** What bare sizes are in: a living room of 18 x 14 is in feet, a closet of 60 x 48 in inches, a deck of 48 x 60 may be either. */
function unitsOf(kind: RoomKind, texts: readonly [string, string]): Units {
  const bare = texts
    .map((text) => text.trim())
    .filter((text) => BARE.test(text))
    .map(Number);
  const { leastIn, mostFt } = given([SMALL, SERVING, OUTDOORS, LIVED_IN].find((one) => one.kinds.test(kind)));
  const [asFeet, asInches] = [bare.every((one) => one <= mostFt), bare.every((one) => one >= leastIn)];
  if (asFeet && asInches && bare.length > 0) return 'both';
  if (asFeet !== asInches) return asFeet ? 'feet' : 'inches';
  return bare.every((one) => one <= FEET_UP_TO) ? 'feet' : 'inches';
}

/** Both sizes, a bare one with a mark of its unit. */
const marked = (mark: string, texts: readonly string[]): string =>
  texts.map((text) => `${text.trim()}${BARE.test(text.trim()) ? mark : ''}`).join(' x ');

/** Width and depth as they are meant. */
function readSizes(kind: RoomKind, texts: readonly [string, string]): readonly [Result<number>, Result<number>] {
  const units = unitsOf(kind, texts);
  const read = (text: string, field: string): Result<number> => {
    const said = text.trim();
    if (!BARE.test(said)) return parseLength(text, field);
    if (units !== 'both') return parseLength(units === 'feet' ? `${said}'` : said, field);
    const bare = texts.map((one) => one.trim()).join(' x ');
    return refuse(
      'units',
      'tape',
      `${bare} may be feet or inches. Say ${marked("'", texts)} or ${marked('"', texts)}.`,
    );
  };
  return [read(texts[0], 'Width'), read(texts[1], 'Depth')];
}

/** The lines that say the sizes of a typed room with their unit, where bare numbers may be feet or inches; else none. */
export function sizesMeant(text: string): readonly { readonly line: string; readonly words: string }[] {
  const read = FORM.exec(text.trim())?.groups;
  const split = read && splitWidth(mustGet(read, 'before'));
  const kind = split && readKind(split.what)?.kind;
  if (!read || !split || !kind) return [];
  const [width, depth] = [split.width.trim(), mustGet(read, 'depth').trim()];
  if (unitsOf(kind, [width, depth]) !== 'both') return [];
  const tail = read['side'] ? ` ${text.trim().slice(text.trim().search(/(?:north|south|east|west)\s+of\s/i))}` : '';
  return ["'", '"'].map((mark) => {
    const words = marked(mark, [width, depth]);
    return { line: `${split.what} ${words}${tail}`, words };
  });
}

/** The room that a typed one is to stand beside, as it was said, and the rooms of the level that may be meant. */
export function roomsMeant(house: House, level: string, text: string) {
  const name = FORM.exec(text.trim())?.groups?.['neighbor'];
  return { name, rooms: name === undefined ? [] : namesLike(house, level, name) };
}

const SIDES: readonly Side[] = ['east', 'south', 'north', 'west'];

/** The kind of room in what was typed, and the name if there is more: "bedroom 2", "ceramics studio". */
function readKind(text: string): { kind: RoomKind; name: string | undefined } | undefined {
  const clean = text.trim().toLowerCase().replaceAll('-', ' ');
  const kind = [...ROOM_KINDS]
    .sort((a, b) => b.length - a.length)
    .find((one) => clean.includes(one.replaceAll('-', ' ')));
  const alias = Object.entries(ALIASES).find(([word]) => clean.includes(word))?.[1];
  const found = kind ?? alias;
  if (!found) return undefined;
  const isBare = clean === found.replaceAll('-', ' ');
  return { kind: found, name: isBare ? undefined : itemAt(text.trim(), 0).toUpperCase() + text.trim().slice(1) };
}

/** Splits "bedroom 2 12' 6" into what and width: the longest ending that is a length is the width. */
function splitWidth(before: string): { what: string; width: string } | undefined {
  const words = before.trim().split(/\s+/);
  for (let n = 1; n < words.length; n++) {
    const width = words.slice(n).join(' ');
    const what = words.slice(0, n).join(' ');
    if (!/['"]/.test(what) && parseLength(width).ok) return { what, width };
  }
  const digit = before.search(/\s[\d.]/);
  return digit < 0 ? undefined : { what: before.slice(0, digit), width: before.slice(digit) };
}

/** Builds a room from a typed line: `bedroom 12' x 11'6 east of Hall at 2'`. Without a side it goes wherever it fits beside the last room. */
export function addTypedRoom(
  house: House,
  level: string,
  text: string,
  selectedRoom: string | null,
  newId: NewId,
): Result<{ edited: Result<Edited>; roomId: string }> {
  const read = FORM.exec(text.trim())?.groups;
  const split = read && splitWidth(mustGet(read, 'before'));
  if (!read || !split)
    return refuse('form', 'tape', `Type a kind and a size: bedroom 12' x 11'6, then where: east of Hall.`);
  const what = readKind(split.what);
  if (!what)
    return refuse(
      'kind',
      'tape',
      `"${split.what}" names no kind of room. Known: ${ROOM_KINDS.slice(0, 12)
        .map((kind) => kind.replaceAll('-', ' '))
        .join(', ')} …`,
    );
  const [width, depth] = readSizes(what.kind, [split.width, mustGet(read, 'depth')]);
  if (!width.ok) return width;
  if (!depth.ok) return depth;
  const offset = read['offset'] ? parseLength(read['offset'], 'Offset') : succeed(0);
  if (!offset.ok) return offset;
  const rooms = Object.values(house.rooms).filter((room) => room.level === level);
  const neighbor = read['neighbor'] ? findRoomByName(house, level, read['neighbor']) : undefined;
  if (neighbor && !neighbor.ok) return neighbor;
  const named = neighbor?.value;

  const id = newId('room');
  let first = true;
  const idOnce = (prefix: string) => (first ? ((first = false), id) : newId(prefix));
  const build = (corners: ReturnType<typeof rectangleCorners>) => (
    (first = true),
    addRoom(house, level, what.kind, corners, idOnce, what.name)
  );
  const size = { widthIn: width.value, depthIn: depth.value };
  const thickness = mustGet(house.levels, level).wallThicknessIn;
  if (rooms.length === 0)
    return succeed({ roomId: id, edited: build(rectangleCorners(0, 0, size.widthIn, size.depthIn)) });
  if (named)
    return succeed({
      roomId: id,
      edited: build(setAgainst(named, mustGet(read, 'side').toLowerCase() as Side, size, thickness, offset.value)),
    });
  const beside = house.rooms[selectedRoom ?? ''] ?? itemAt(rooms, -1);
  for (const side of SIDES) {
    const edited = build(setAgainst(beside, side, size, thickness));
    if (edited.ok) return succeed({ roomId: id, edited });
  }
  const all = boundsOf(rooms.flatMap((room) => room.corners));
  return succeed({
    roomId: id,
    edited: build(rectangleCorners(all.maxX + thickness, all.minY, size.widthIn, size.depthIn)),
  });
}
