import { formatLength } from '../units/length';
import type { Problem } from '../units/result';
import { areaFt2, crossesItself, distance, isClockwise, polygonsOverlap } from './geometry';
import type { Box, House, Opening, Room } from './schema';

const COLLECTIONS = [
  'levels',
  'rooms',
  'openings',
  'features',
  'boxes',
  'loads',
  'circuits',
  'switchGroups',
  'cables',
  'panels',
  'amendments',
  'log',
] as const;
export type Collection = (typeof COLLECTIONS)[number];
export const collections: readonly Collection[] = COLLECTIONS;

/** Length of the wall that starts at a corner, inches; undefined when the room has no such corner. */
export function wallLengthIn(room: Room, wall: string): number | undefined {
  const index = room.corners.findIndex((corner) => corner.id === wall);
  if (index < 0) return undefined;
  return distance(room.corners[index]!, room.corners[(index + 1) % room.corners.length]!);
}

type Report = (code: string, path: string, message: string) => void;

function checkRoom(room: Room, report: Report): void {
  const at = `rooms.${room.id}.corners`;
  if (new Set(room.corners.map((corner) => corner.id)).size < room.corners.length)
    report('corner-twice', at, `${room.name} has two corners with one id.`);
  if (room.corners.some((corner, i) => distance(corner, room.corners[(i + 1) % room.corners.length]!) < 1))
    report('wall-short', at, `${room.name} has a wall shorter than 1". Move its corners apart.`);
  else if (crossesItself(room.corners))
    report('room-crossed', at, `The walls of ${room.name} cross each other. Move the corner back.`);
  else if (areaFt2(room.corners) < 1) report('room-small', at, `${room.name} is smaller than 1 ft². Make it larger.`);
  else if (!isClockwise(room.corners))
    report('room-turned', at, `The corners of ${room.name} run counter-clockwise; list them clockwise.`);
}

interface OnWall {
  readonly room: string;
  readonly wall: string;
  readonly fromIn: number;
  readonly toIn: number;
}

function checkOnWall(house: House, spot: OnWall, path: string, what: string, report: Report): void {
  const room = house.rooms[spot.room];
  if (!room) return;
  const lengthIn = wallLengthIn(room, spot.wall);
  if (lengthIn === undefined)
    report('dangling', `${path}.wall`, `${what} names wall "${spot.wall}", which ${room.name} does not have.`);
  else if (spot.toIn - spot.fromIn > lengthIn + 0.01)
    report(
      'too-wide',
      `${path}.widthIn`,
      `${what} is ${formatLength(spot.toIn - spot.fromIn)} wide and its wall in ${room.name} only ${formatLength(lengthIn)}. Make it narrower or choose a longer wall.`,
    );
  else if (spot.toIn > lengthIn + 0.01 || spot.fromIn < -0.01)
    report(
      'off-wall',
      `${path}.alongIn`,
      `${what} reaches past the end of its wall in ${room.name} (${formatLength(lengthIn)} long). Slide it back.`,
    );
}

const describeOpening = (opening: Opening): string =>
  `The ${{ door: 'door', cased: 'cased opening', slider: 'sliding door', window: 'window', 'fixed-glass': 'fixed glass', vehicle: 'vehicle door', pocket: 'pocket door', barn: 'barn door' }[opening.kind]}`;
const describeBox = (box: Box): string => `Box ${box.tag}`;

function checkOpeningsApart(house: House, report: Report): void {
  const byWall = new Map<string, Opening[]>();
  for (const opening of Object.values(house.openings)) {
    const key = `${opening.room}/${opening.wall}`;
    byWall.set(key, [...(byWall.get(key) ?? []), opening]);
  }
  for (const openings of byWall.values()) {
    openings.sort((a, b) => a.alongIn - b.alongIn);
    openings.slice(1).forEach((opening, i) => {
      const before = openings[i]!;
      if (before.alongIn + before.widthIn > opening.alongIn + 0.01)
        report(
          'openings-overlap',
          `openings.${opening.id}.alongIn`,
          `${describeOpening(opening)} overlaps another opening of the same wall. Slide it along.`,
        );
    });
  }
}

const apart = new WeakMap<House['rooms'], readonly Problem[]>();

/** Overlaps of rooms, remembered by the identity of the rooms: most edits do not touch them. */
function findOverlaps(records: House['rooms']): readonly Problem[] {
  const known = apart.get(records);
  if (known) return known;
  const problems: Problem[] = [];
  const rooms = Object.values(records);
  for (let i = 0; i < rooms.length; i++)
    for (let j = i + 1; j < rooms.length; j++) {
      const [a, b] = [rooms[i]!, rooms[j]!];
      if (a.level === b.level && polygonsOverlap(a.corners, b.corners))
        problems.push({
          code: 'rooms-overlap',
          path: `rooms.${b.id}.corners`,
          message: `${b.name} overlaps ${a.name}. Move it, or make it smaller.`,
        });
    }
  apart.set(records, problems);
  return problems;
}

function checkBoxes(house: House, report: Report): void {
  const tags = new Map<string, string>();
  const deviceOwners = new Map<string, string>();
  for (const box of Object.values(house.boxes)) {
    const path = `boxes.${box.id}`;
    const sameTag = tags.get(box.tag);
    if (sameTag) report('tag-twice', `${path}.tag`, `The tag ${box.tag} is on two boxes. Give one another number.`);
    tags.set(box.tag, box.id);
    const at = box.at;
    if (at.kind === 'wall')
      checkOnWall(
        house,
        { room: box.room, wall: at.wall, fromIn: at.alongIn, toIn: at.alongIn },
        `${path}.at`,
        describeBox(box),
        report,
      );
    const level = house.levels[house.rooms[box.room]?.level ?? ''];
    if (at.kind === 'wall' && level && at.heightIn > level.ceilingIn)
      report(
        'above-ceiling',
        `${path}.at.heightIn`,
        `${describeBox(box)} at ${formatLength(at.heightIn)} is above the ceiling (${formatLength(level.ceilingIn)}).`,
      );
    for (const [key, device] of Object.entries(box.devices)) {
      if (key !== device.id)
        report('key-differs', `${path}.devices.${key}.id`, `The key "${key}" and the id "${device.id}" differ.`);
      if (deviceOwners.has(device.id))
        report('id-twice', `${path}.devices.${key}.id`, `The device id "${device.id}" is in two boxes.`);
      deviceOwners.set(device.id, box.id);
    }
  }
}

/** Every id that points elsewhere must point at something. Paths are written only for those that do not. */
function checkReferences(house: House, report: Report): void {
  const need = (to: string | null, records: object, path: () => string) => {
    if (to !== null && !Object.hasOwn(records, to))
      report('dangling', path(), `Nothing has the id "${to}". Mend the id or remove the entry.`);
  };
  const devices: Record<string, true> = {};
  for (const room of Object.values(house.rooms)) need(room.level, house.levels, () => `rooms.${room.id}.level`);
  for (const opening of Object.values(house.openings))
    need(opening.room, house.rooms, () => `openings.${opening.id}.room`);
  for (const feature of Object.values(house.features))
    need(feature.room, house.rooms, () => `features.${feature.id}.room`);
  for (const box of Object.values(house.boxes)) {
    need(box.room, house.rooms, () => `boxes.${box.id}.room`);
    if (box.at.kind === 'feature') need(box.at.feature, house.features, () => `boxes.${box.id}.at.feature`);
    for (const device of Object.values(box.devices)) {
      devices[device.id] = true;
      need(device.circuit, house.circuits, () => `boxes.${box.id}.devices.${device.id}.circuit`);
    }
  }
  for (const load of Object.values(house.loads)) {
    need(load.box, house.boxes, () => `loads.${load.id}.box`);
    need(load.device, house.boxes[load.box]?.devices ?? {}, () => `loads.${load.id}.device`);
  }
  for (const circuit of Object.values(house.circuits)) {
    need(circuit.panel, house.panels, () => `circuits.${circuit.id}.panel`);
    need(circuit.sharesNeutralWith ?? null, house.circuits, () => `circuits.${circuit.id}.sharesNeutralWith`);
    need(circuit.gfciFirst, devices, () => `circuits.${circuit.id}.gfciFirst`);
  }
  for (const panel of Object.values(house.panels)) {
    need(panel.room, house.rooms, () => `panels.${panel.id}.room`);
    need(panel.feature, house.features, () => `panels.${panel.id}.feature`);
  }
  for (const cable of Object.values(house.cables)) {
    need(cable.circuit, house.circuits, () => `cables.${cable.id}.circuit`);
    need(cable.from, house.boxes, () => `cables.${cable.id}.from`);
    need(cable.to, house.boxes, () => `cables.${cable.id}.to`);
  }
  for (const group of Object.values(house.switchGroups)) {
    for (const id of group.switches) need(id, devices, () => `switchGroups.${group.id}.switches`);
    for (const id of group.controls) need(id, devices, () => `switchGroups.${group.id}.controls`);
  }
}

interface Remembered {
  readonly parts: readonly unknown[];
  readonly problems: readonly Problem[];
}

/** Problems of some parts of the house, found again only when one of the parts is another object than last time. */
function rememberBy(
  find: (house: House, report: Report) => void,
  partsOf: (house: House) => readonly object[],
): (house: House) => readonly Problem[] {
  const memory = new WeakMap<object, Remembered>();
  return (house) => {
    const parts = partsOf(house);
    const known = memory.get(parts[0]!);
    if (known && known.parts.every((part, i) => part === parts[i])) return known.problems;
    const problems: Problem[] = [];
    find(house, (code, path, message) => problems.push({ code, path, message }));
    memory.set(parts[0]!, { parts, problems });
    return problems;
  };
}

const everything = (house: House) => [house.boxes, ...COLLECTIONS.map((collection) => house[collection])];

const findKeys = rememberBy((house, report) => {
  for (const collection of COLLECTIONS)
    for (const [key, entity] of Object.entries(house[collection]))
      if (key !== entity.id)
        report('key-differs', `${collection}.${key}.id`, `The key "${key}" and the id "${entity.id}" differ.`);
}, everything);
const findDangling = rememberBy(checkReferences, everything);
const findBadRooms = rememberBy(
  (house, report) => Object.values(house.rooms).forEach((room) => checkRoom(room, report)),
  (house) => [house.rooms],
);
const findBadOpenings = rememberBy(
  (house, report) => {
    for (const opening of Object.values(house.openings))
      checkOnWall(
        house,
        { ...opening, fromIn: opening.alongIn, toIn: opening.alongIn + opening.widthIn },
        `openings.${opening.id}`,
        describeOpening(opening),
        report,
      );
    checkOpeningsApart(house, report);
  },
  (house) => [house.openings, house.rooms],
);
const findBadFeatures = rememberBy(
  (house, report) => {
    for (const { id, room, at, ...feature } of Object.values(house.features))
      if (at.kind === 'wall')
        checkOnWall(
          house,
          {
            room,
            wall: at.wall,
            fromIn: at.acrossCorner ? 0 : at.alongIn,
            // Across a corner of 90 degrees it takes 0.71 of its width of either leg.
            toIn: at.acrossCorner ? at.widthIn * Math.SQRT1_2 : at.alongIn + at.widthIn,
          },
          `features.${id}.at`,
          `The ${feature.name || feature.kind}`,
          report,
        );
  },
  (house) => [house.features, house.rooms],
);
const findBadBoxes = rememberBy(checkBoxes, (house) => [house.boxes, house.rooms, house.levels]);

/** What no single field can show: dangling ids, things past the end of their wall, rooms that overlap. */
export function checkIntegrity(house: House): readonly Problem[] {
  for (const find of [findKeys, findDangling]) if (find(house).length > 0) return find(house);
  const problems = [findBadRooms, findBadOpenings, findBadFeatures, findBadBoxes].flatMap((find) => find(house));
  return problems.length > 0 ? problems : findOverlaps(house.rooms);
}
