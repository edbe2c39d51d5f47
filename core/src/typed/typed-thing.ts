import type { Edited } from '../house/edit';
import { featureSchema, openingSchema, type FeatureKind, type OpeningKind } from '../house/schema-fixed';
import type { Feature, House, Opening, Room } from '../house/schema';
import { addFeature } from '../edits/place-feature';
import { addEntity } from '../edits/verbs';
import type { NewId } from '../house/new-box';
import { BEHIND_IN, FEATURE_BOTTOM_IN, FEATURE_SIZE_IN, OPENING_WIDTH_IN, STANDS_FREE } from '../edits/usual-sizes';
import { innerPoint } from '../geometry/geometry';
import { facingOf } from '../plan/facing';
import { wallLoop, type LoopWall } from '../plan/wall-loop';
import { formatLength, parseLength } from '../units/length';
import { given, itemAt, refuse, type Result, succeed } from '../units/result';

/** What a word of the trade puts in: an opening in a wall, or a feature against one. */
type Thing =
  | { readonly opening: OpeningKind; readonly leaves?: 2 }
  | {
      readonly feature: FeatureKind;
      readonly functions?: Feature['functions'];
    };

/** Longer words come first: "sliding door" is no door. */
const WORDS: readonly (readonly [words: string, thing: Thing])[] = [
  ['sliding glass door', { opening: 'slider' }],
  ['sliding door', { opening: 'slider' }],
  ['slider', { opening: 'slider' }],
  ['pocket door', { opening: 'pocket' }],
  ['barn door', { opening: 'barn' }],
  ['double door', { opening: 'door', leaves: 2 }],
  ['french door', { opening: 'door', leaves: 2 }],
  ['overhead door', { opening: 'vehicle' }],
  ['vehicle door', { opening: 'vehicle' }],
  ['cased opening', { opening: 'cased' }],
  ['opening', { opening: 'cased' }],
  ['fixed glass', { opening: 'fixed-glass' }],
  ['window', { opening: 'window' }],
  ['door', { opening: 'door' }],
  ['water heater', { feature: 'water-heater' }],
  ['water service', { feature: 'water-service' }],
  ['garbage disposer', { feature: 'disposer' }],
  ['garage door opener', { feature: 'garage-opener' }],
  ['garage opener', { feature: 'garage-opener' }],
  ['garage door', { opening: 'vehicle' }],
  ['range hood', { feature: 'range-hood' }],
  ['vent hood', { feature: 'range-hood' }],
  ['fan light heater', { feature: 'bath-fan', functions: ['light', 'heat'] }],
  ['heat fan light', { feature: 'bath-fan', functions: ['light', 'heat'] }],
  ['bath fan with light and heat', { feature: 'bath-fan', functions: ['light', 'heat'] }],
  ['bath fan with heat', { feature: 'bath-fan', functions: ['heat'] }],
  ['bath fan with light', { feature: 'bath-fan', functions: ['light'] }],
  ['exhaust fan', { feature: 'bath-fan' }],
  ['low voltage enclosure', { feature: 'low-voltage-enclosure' }],
  ['low voltage panel', { feature: 'low-voltage-enclosure' }],
  ['network rack', { feature: 'low-voltage-enclosure' }],
  ['attic access', { feature: 'attic-access' }],
  ['attic hatch', { feature: 'attic-access' }],
  ['scuttle', { feature: 'attic-access' }],
  ['bidet seat', { feature: 'bidet-seat' }],
  ['bath fan', { feature: 'bath-fan' }],
  ['gas meter', { feature: 'gas-meter' }],
  ['disconnect', { feature: 'disconnect' }],
  ['ev charger', { feature: 'ev-charger' }],
  ['car charger', { feature: 'ev-charger' }],
  ['sump pump', { feature: 'sump' }],
  ['medicine cabinet', { feature: 'mirror' }],
  ['microwave', { feature: 'microwave' }],
  ['workbench', { feature: 'workbench' }],
  ['disposer', { feature: 'disposer' }],
  ['disposal', { feature: 'disposer' }],
  ['freezer', { feature: 'freezer' }],
  ['mirror', { feature: 'mirror' }],
  ['opener', { feature: 'garage-opener' }],
  ['bidet', { feature: 'bidet-seat' }],
  ['sump', { feature: 'sump' }],
  ['hood', { feature: 'range-hood' }],
  ['baseboard heater', { feature: 'baseboard-heater' }],
  ['air handler', { feature: 'air-handler' }],
  ['tall cabinet', { feature: 'tall-cabinet' }],
  ['hot tub', { feature: 'hot-tub' }],
  ['bathtub', { feature: 'tub' }],
  ['lavatory', { feature: 'basin' }],
  ['vanity', { feature: 'basin' }],
  ['basin', { feature: 'basin' }],
  ['refrigerator', { feature: 'refrigerator' }],
  ['fridge', { feature: 'refrigerator' }],
  ['dishwasher', { feature: 'dishwasher' }],
  ['condenser', { feature: 'condenser' }],
  ['fireplace', { feature: 'fireplace' }],
  ['television', { feature: 'tv' }],
  ['cooktop', { feature: 'cooktop' }],
  ['counter', { feature: 'counter' }],
  ['cabinet', { feature: 'cabinet' }],
  ['furnace', { feature: 'furnace' }],
  ['shower', { feature: 'shower' }],
  ['toilet', { feature: 'toilet' }],
  ['washer', { feature: 'washer' }],
  ['dryer', { feature: 'dryer' }],
  ['stove', { feature: 'range' }],
  ['range', { feature: 'range' }],
  ['panel', { feature: 'panel' }],
  ['stair', { feature: 'stair' }],
  ['sink', { feature: 'sink' }],
  ['desk', { feature: 'desk' }],
  ['sofa', { feature: 'sofa' }],
  ['kiln', { feature: 'kiln' }],
  ['bed', { feature: 'bed' }],
  ['tub', { feature: 'tub' }],
  ['tv', { feature: 'tv' }],
];

/** Whether a line begins like a thing, not like a room: "bedroom" and "bath" are rooms. */
export const readThing = (
  line: string,
): { readonly thing: Thing; readonly rest: string; readonly word: string } | undefined => {
  const text = line.trim().toLowerCase();
  // Set against another room it is a room: "stair 4 x 10 east of hall". A stair without a wall is one too.
  if (/\b(?:north|south|east|west)\s+of\s/.test(text) || (/^stair/.test(text) && !/\b(?:on|in|to)\b/.test(text)))
    return undefined;
  for (const [word, thing] of WORDS)
    if (text === word || text.startsWith(`${word} `) || text.startsWith(`${word}s `))
      return { thing, word, rest: line.trim().slice(word.length).replace(/^s\b/i, '').trim() };
  return undefined;
};

const SIDES = '(?:north|south|east|west)(?:-?(?:east|west))?';
/** The pieces that may follow, in any order. What is left over is a size. */
const PIECES = {
  sill: /\bsill\s+(?:at\s+)?(?<value>[\d.'"\s/-]+?)(?=\s+(?:at|on|in|to|centered|center)\b|$)/i,
  room: new RegExp(`\\bin\\s+(?:the\\s+)?(?<value>.+?)(?=\\s+(?:at|on|to|centered|center|${SIDES})\\b|$)`, 'i'),
  to: /\bto\s+(?:the\s+)?(?<value>.+?)(?=\s+(?:at|on|in|centered|center)\b|$)/i,
  centered: /\bcenter(?:ed)?\b/i,
  side: new RegExp(`\\b(?:on\\s+(?:the\\s+)?)?(?<value>${SIDES})(?:\\s+wall)?\\b`, 'i'),
  at: /\bat\s+(?<value>[\d.'"\s/-]+?)(?=\s+(?:on|in|to|centered|center|sill)\b|$)/i,
} as const;

interface Read {
  readonly sill: string | undefined;
  readonly room: string | undefined;
  readonly to: string | undefined;
  readonly isCentered: boolean;
  readonly side: string | undefined;
  readonly at: string | undefined;
  /** Sizes said before anything else: 32, 48x36. */
  readonly size: string;
  /** What stands last without a word before it: how far along. */
  readonly trailing: string;
}

function readPieces(rest: string): Read {
  let left = rest;
  const take = (piece: keyof typeof PIECES): string | undefined => {
    const found = PIECES[piece].exec(left);
    if (!found) return undefined;
    left = `${left.slice(0, found.index)}\u0000${left.slice(found.index + found[0].length)}`;
    return found.groups?.['value']?.trim() ?? '';
  };
  const sill = take('sill');
  const to = take('to');
  const room = take('room');
  const isCentered = take('centered') !== undefined;
  const at = take('at');
  const side = take('side');
  const [size = '', ...others] = left.split('\u0000').map((one) => one.trim());
  return { sill, room, to, isCentered, side, at, size, trailing: others.filter(Boolean).join(' ') };
}

/** A room by its name, or by a part of it that no other room of the level has. */
export function findRoomByName(house: House, level: string, name: string): Result<Room> {
  const rooms = Object.values(house.rooms).filter((room) => room.level === level);
  const wanted = name.trim().toLowerCase();
  const whole = rooms.filter((room) => room.name.toLowerCase() === wanted);
  const found = whole.length > 0 ? whole : rooms.filter((room) => room.name.toLowerCase().includes(wanted));
  if (found.length === 1) return succeed(itemAt(found, 0));
  const listed = (some: readonly Room[]) => some.map((room) => room.name).join(', ') || 'none';
  return found.length === 0
    ? refuse('room', 'tape', `There is no room "${name.trim()}" on this level. Here are: ${listed(rooms)}.`)
    : refuse('room', 'tape', `"${name.trim()}" may be ${listed(found)}. Say which.`);
}

/** Names of the rooms of a level that a name may mean. */
export function roomsMeant(house: House, level: string, name: string): readonly string[] {
  const names = Object.values(house.rooms)
    .filter((room) => room.level === level)
    .map((room) => room.name);
  const wanted = name.trim().toLowerCase();
  const whole = names.filter((one) => one.toLowerCase() === wanted);
  return whole.length > 0 ? whole : names.filter((one) => one.toLowerCase().includes(wanted));
}

/** Names of rooms in a line that puts a thing in: the one that it stands in, the one behind the wall. */
export function namesIn(line: string): readonly string[] {
  const read = readThing(line);
  if (!read) return [];
  const { room, to } = readPieces(read.rest);
  return [room, to].filter((one) => one !== undefined);
}

/** The wall that is meant, and the stretch of it that may be used. */
interface Meant {
  readonly wall: LoopWall;
  readonly fromIn: number;
  readonly toIn: number;
}

function wallToRoom(house: House, room: Room, to: Room): Result<Meant> {
  const shared = facingOf(house, room)
    .filter((one) => one.other.id === to.id)
    .map((one) => ({
      wall: one.wall,
      fromIn: Math.max(0, one.fromIn),
      toIn: Math.min(one.wall.lengthIn, one.toIn),
    }))
    .sort((a, b) => b.toIn - b.fromIn - (a.toIn - a.fromIn))[0];
  return shared && shared.toIn > shared.fromIn
    ? succeed(shared)
    : refuse('wall', 'tape', `${room.name} and ${to.name} have no wall between them.`);
}

function wallOnSide(room: Room, side: string): Result<Meant> {
  const wanted = side.toLowerCase().replace('-', '');
  const { walls } = wallLoop(room);
  const wall = walls
    .filter((one) => one.name === wanted && one.boundary === 'solid')
    .sort((a, b) => b.lengthIn - a.lengthIn)[0];
  return wall
    ? succeed({ wall, fromIn: 0, toIn: wall.lengthIn })
    : refuse(
        'wall',
        'tape',
        `${room.name} has no ${side} wall. It has ${[...new Set(walls.map((one) => one.name))].join(', ')}.`,
      );
}

/** A bare number is inches, as sizes of doors, windows and fixtures are said. */
const readOptional = (text: string | undefined, field: string): Result<number | undefined> =>
  text === undefined || text === '' ? succeed(undefined) : parseLength(text, field);

/** Width, and height for a window: "32", "48x36", "2-8". */
function readSize(text: string): Result<{ widthIn: number | undefined; otherIn: number | undefined }> {
  const [width, other] = text.split(/\s*[x×]\s*|\s+by\s+/i);
  const [first, second] = [readOptional(width, 'Width'), readOptional(other, 'Height')];
  if (!first.ok) return first;
  return second.ok ? succeed({ widthIn: first.value, otherIn: second.value }) : second;
}

/** Where a typed thing goes, and its sizes as far as they were said, inches. */
interface Place extends Meant {
  readonly room: Room;
  readonly word: string;
  readonly size: { readonly widthIn: number | undefined; readonly otherIn: number | undefined };
  /** From the wall's left end; undefined in the middle of the stretch. */
  readonly atIn: number | undefined;
  readonly sillIn: number | undefined;
}

function findRoom(house: House, level: string, pieces: Read, selected: string | null, example: string): Result<Room> {
  if (pieces.room !== undefined) return findRoomByName(house, level, pieces.room);
  const room = house.rooms[selected ?? ''];
  return room?.level === level
    ? succeed(room)
    : refuse('room', 'tape', `In which room? Choose one, or say it: ${example}.`);
}

function findPlace(house: House, level: string, word: string, pieces: Read, selected: string | null): Result<Place> {
  const found = findRoom(house, level, pieces, selected, `${word} in kitchen on north`);
  if (!found.ok) return found;
  const room = found.value;
  const to = pieces.to === undefined ? undefined : findRoomByName(house, level, pieces.to);
  if (to && !to.ok) return to;
  if (!to && pieces.side === undefined)
    return refuse('wall', 'tape', `On which wall of ${room.name}? Say: ${word} on north, or ${word} to hall.`);
  const meant = to ? wallToRoom(house, room, to.value) : wallOnSide(room, given(pieces.side));
  if (!meant.ok) return meant;
  const size = readSize(pieces.size);
  if (!size.ok) return size;
  const at = readOptional(pieces.at ?? (pieces.trailing || undefined), 'Distance');
  if (!at.ok) return at;
  const sill = readOptional(pieces.sill, 'Sill');
  if (!sill.ok) return sill;
  const atIn = pieces.isCentered ? undefined : at.value;
  return succeed({ ...meant.value, room, word, size: size.value, atIn, sillIn: sill.value });
}

const inTheMiddle = ({ fromIn, toIn }: Meant, widthIn: number): number =>
  Math.max(fromIn, (fromIn + toIn - widthIn) / 2);

const toSixteenths = (lengthIn: number): number => Math.round(lengthIn * 16) / 16;

const tooWide = ({ word, wall, room }: Place, widthIn: number) =>
  refuse(
    'width',
    'tape',
    `${word} is ${formatLength(widthIn)} wide, and the ${wall.name} wall of ${room.name} ${formatLength(wall.lengthIn)}.`,
  );

function toOpening(place: Place, thing: Extract<Thing, { opening: OpeningKind }>, id: string): Result<Opening> {
  const { room, wall, size } = place;
  const kind = thing.opening;
  const widthIn = size.widthIn ?? OPENING_WIDTH_IN[kind] * (thing.leaves ?? 1);
  if (widthIn > wall.lengthIn) return tooWide(place, widthIn);
  const sillIn = place.sillIn ?? 36;
  const heightIn = size.otherIn;
  return succeed(
    openingSchema.parse({
      id,
      room: room.id,
      wall: wall.id,
      kind,
      widthIn,
      alongIn: toSixteenths(place.atIn ?? inTheMiddle(place, widthIn)),
      ...(kind === 'window' ? { sillIn } : {}),
      ...(heightIn === undefined ? {} : { headIn: kind === 'window' ? sillIn + heightIn : heightIn }),
      ...(thing.leaves ? { leaves: thing.leaves } : {}),
    }),
  );
}

function toFeature(place: Place, kind: FeatureKind, id: string): Result<Feature> {
  const { room, wall, size, atIn, word } = place;
  const [usualIn, depthIn, heightIn] = FEATURE_SIZE_IN[kind] ?? [36, 24, 36];
  // A counter is as long as its wall where nothing is said.
  const widthIn = size.widthIn ?? (kind === 'counter' && atIn === undefined ? place.toIn - place.fromIn : usualIn);
  if (widthIn > wall.lengthIn) return tooWide(place, widthIn);
  // A fixture's distance is said to its middle, as its center line is.
  const alongIn = atIn === undefined ? inTheMiddle(place, widthIn) : atIn - widthIn / 2;
  if (alongIn < -0.5 || alongIn + widthIn > wall.lengthIn + 0.5)
    return refuse(
      'place',
      'tape',
      `At ${formatLength(atIn ?? 0)} the ${word} of ${formatLength(widthIn)} runs past the end of the ${wall.name} wall, ${formatLength(wall.lengthIn)} long.`,
    );
  return succeed(
    featureSchema.parse({
      id,
      room: room.id,
      kind,
      heightIn,
      ...(FEATURE_BOTTOM_IN[kind] === undefined ? {} : { bottomIn: FEATURE_BOTTOM_IN[kind] }),
      at: {
        kind: 'wall',
        wall: wall.id,
        widthIn,
        depthIn: size.otherIn ?? depthIn,
        alongIn: toSixteenths(Math.max(0, Math.min(wall.lengthIn - widthIn, alongIn))),
        behindIn: BEHIND_IN[kind] ?? 0,
      },
    }),
  );
}

/** What stands free and for which no wall is said: in the middle of its room. */
function inTheRoom(room: Room, kind: FeatureKind, size: Place['size'], id: string): Feature {
  const [widthIn = 36, depthIn = 36, heightIn = 36] = FEATURE_SIZE_IN[kind] ?? [];
  const [w, d] = [size.widthIn ?? widthIn, size.otherIn ?? depthIn];
  const middle = innerPoint(room.corners);
  return featureSchema.parse({
    id,
    room: room.id,
    kind,
    heightIn,
    ...(FEATURE_BOTTOM_IN[kind] === undefined ? {} : { bottomIn: FEATURE_BOTTOM_IN[kind] }),
    at: {
      kind: 'free',
      x: toSixteenths(middle.x - w / 2),
      y: toSixteenths(middle.y - d / 2),
      widthIn: w,
      depthIn: d,
    },
  });
}

const withFunctions = (feature: Feature, thing: Thing): Feature =>
  'functions' in thing ? { ...feature, functions: thing.functions } : feature;

/**
 * Puts a door, window or fixture in by a typed line: `door 32 to hall at 4'`, `window 48x36 sill 40 centered on north`,
 * `sink at 5' on north`, `panel in garage east 12'`. Distances are from the wall's left end, seen from inside the room. Answers what was
 * made; what is not clear is asked back.
 */
export function addTypedThing(
  house: House,
  level: string,
  text: string,
  selectedRoom: string | null,
  newId: NewId,
): Result<{ readonly edited: Result<Edited>; readonly id: string; readonly kind: 'opening' | 'feature' }> {
  const read = readThing(text);
  if (!read) return refuse('thing', 'tape', `"${text.trim()}" names no door, window or fixture.`);
  const pieces = readPieces(read.rest);
  if ('feature' in read.thing && STANDS_FREE.has(read.thing.feature) && !pieces.side && !pieces.to) {
    const room = findRoom(house, level, pieces, selectedRoom, `${read.word} in bath`);
    const size = readSize(pieces.size);
    if (!room.ok) return room;
    if (!size.ok) return size;
    const id = newId('feature');
    const feature = inTheRoom(room.value, read.thing.feature, size.value, id);
    return succeed({ id, kind: 'feature', edited: addFeature(house, withFunctions(feature, read.thing), newId) });
  }
  const place = findPlace(house, level, read.word, pieces, selectedRoom);
  if (!place.ok) return place;
  if ('opening' in read.thing) {
    const id = newId('opening');
    const opening = toOpening(place.value, read.thing, id);
    return opening.ok ? succeed({ id, kind: 'opening', edited: addEntity(house, 'openings', opening.value) }) : opening;
  }
  const id = newId('feature');
  const feature = toFeature(place.value, read.thing.feature, id);
  if (!feature.ok) return feature;
  return succeed({ id, kind: 'feature', edited: addFeature(house, withFunctions(feature.value, read.thing), newId) });
}
