import { boundsOf } from '../geometry/geometry';
import type { Box, House, Room, Standards } from '../house/schema';
import { SWITCH_WORDS, type Device } from '../house/schema-equipment';
import { backingFor, coveringAt, settingOf } from '../place/box-catalogue';
import { boxToBuy } from '../makeup/box-fill';
import { receptaclesOf } from '../place/receptacles';
import { openingBreak } from '../plan/opening-break';
import { placeOf } from '../plan/points';
import { viewRoom, wallOf, type RoomView } from '../plan/room-view';
import { faceUnder, takesBracket } from '../plan/studs';
import { toLoop, wallLoop, type LoopWall } from '../plan/wall-loop';
import { given } from '../units/result';

/** Where the tape of a wall starts: a named jamb if the wall has a door, else its left corner. */
export interface TapeStart {
  readonly alongIn: number;
  readonly name: string;
}

/** One box as the helper reads it, standing before the wall. */
export interface SheetLine {
  readonly box: Box;
  readonly tag: string;
  /** From the tape's start to the box center, inches; negative to the left of it. */
  readonly runIn: number | undefined;
  /** Height as the firm marks it: to the bottom, center or top of the box. */
  readonly heightIn: number | undefined;
  readonly what: string;
  readonly gangs: number;
  readonly type: string;
  readonly side: 'left' | 'right' | 'bracket' | undefined;
  /** How far the box stands out of the stud, inches. */
  readonly standsOutIn: number | undefined;
  readonly notes: readonly string[];
  /** Height differs from the firm's standard for such a place. */
  readonly isException: boolean;
}

/** A wall with what is on it, from its start. */
export interface WallSheet {
  readonly wall: string;
  readonly name: string;
  readonly lengthIn: number;
  readonly start: TapeStart;
  readonly lines: readonly SheetLine[];
}

/** A mark on the floor for what hangs over it, or stands on it away from a wall: from two named walls to the middle of the box. */
export interface FloorMark extends Omit<SheetLine, 'runIn' | 'side' | 'standsOutIn'> {
  /** The cabinet or island that carries the box. */
  readonly on: string | undefined;
  readonly fromFirst: { readonly wall: string; readonly inches: number };
  readonly fromSecond: { readonly wall: string; readonly inches: number };
}

/** A room as it is walked, wall by wall. */
export interface RoomSheet {
  readonly room: Room;
  readonly walls: readonly WallSheet[];
  readonly ceiling: readonly FloorMark[];
  /** Boxes in floors, islands, cabinets. */
  readonly elsewhere: readonly FloorMark[];
  readonly open: readonly string[];
}

interface WalkSheets {
  readonly rooms: readonly RoomSheet[];
  readonly tally: readonly { readonly type: string; readonly n: number }[];
  readonly devices: readonly { readonly what: string; readonly n: number }[];
  /** "to the center of the box, from the finished floor". */
  readonly heightsTo: string;
}

/** Half the height of a single-gang box, inches: 3 3/4 in boxes, *common practice*. */
const HALF_HEIGHT_IN = 1.875;

/** A height to a box's center as the firm marks it. */
export function markedHeight(heightIn: number, standards: Pick<Standards, 'heightsTo'>): number {
  if (standards.heightsTo === 'bottom') return heightIn - HALF_HEIGHT_IN;
  return standards.heightsTo === 'top' ? heightIn + HALF_HEIGHT_IN : heightIn;
}

const STATE_WORDS = {
  undecided: 'UNDECIDED',
  'not-delivered': 'fixture not delivered',
  future: 'FUTURE: box only, cable capped',
  held: 'HOLD until tile',
  existing: 'existing',
  moved: 'moved',
} as const;

/** A device in the words of the trade. */
function describeDevice(device: Device): string {
  switch (device.kind) {
    case 'receptacle': {
      const kind =
        device.volts === 240
          ? `240 V ${device.ratingA} A receptacle`
          : `${{ single: 'single ', half: 'half of a split ', duplex: '' }[device.style]}receptacle`;
      return [kind, device.gfci && 'GFCI', device.wr && 'WR', device.switched !== 'no' && `${device.switched} switched`]
        .filter(Boolean)
        .join(', ');
    }
    case 'luminaire':
      return device.style === 'surface' ? 'luminaire' : `${device.style} luminaire`;
    case 'switch':
      return device.style === 'toggle' ? 'switch' : SWITCH_WORDS[device.style];
    case 'alarm':
      return `${{ smoke: 'smoke alarm', co: 'CO alarm', 'smoke-co': 'smoke and CO alarm' }[device.senses]}${device.battery ? ', on its battery' : ''}`;
    case 'connection':
      return `${device.volts} V connection`;
    case 'low-voltage':
      return device.system;
    default:
      return device.kind;
  }
}

/** What a box holds: "2 switches", "receptacle, GFCI". */
export function describeBox(box: Box): string {
  const counts = new Map<string, number>();
  for (const device of Object.values(box.devices))
    counts.set(describeDevice(device), (counts.get(describeDevice(device)) ?? 0) + 1);
  return (
    [...counts]
      .map(([what, n]) => (n === 1 ? what : `${n} ${what}${what.endsWith('s') ? '' : /ch$/.test(what) ? 'es' : 's'}`))
      .join(', ') || 'blank'
  );
}

function tapeStart(view: RoomView, wall: LoopWall): TapeStart {
  const door = view.openings.find((seen) => seen.wall === wall.id && openingBreak(seen) !== undefined);
  if (door)
    return {
      alongIn: door.alongIn + door.widthIn,
      name: `right jamb of the ${door.opening.kind === 'cased' ? 'opening' : 'door'}`,
    };
  return { alongIn: 0, name: 'left corner' };
}

/** Heights that the firm's standards give to such a box; a box at none of them is an exception to be looked at. */
function isStandardHeight(house: House, box: Box, heightIn: number): boolean {
  const s = house.standards;
  const known = Object.values(box.devices).some((device) => device.kind === 'switch')
    ? [s.switchHeightIn]
    : receptaclesOf(box).length > 0
      ? [
          s.receptacleHeightIn,
          s.counterHeightIn,
          s.bathHeightIn,
          s.garageHeightIn,
          s.laundryHeightIn,
          s.outdoorHeightIn,
          s.televisionHeightIn,
          s.deskHeightIn,
        ]
      : undefined;
  return known === undefined || known.some((one) => Math.abs(one - heightIn) < 1 / 32);
}

function toLine(house: House, view: RoomView, box: Box, start: TapeStart | undefined): SheetLine {
  const { at } = box;
  const heightIn = at.kind === 'wall' || at.kind === 'feature' ? at.heightIn : undefined;
  const setting = settingOf(house, box);
  const backing = backingFor(box);
  const face =
    at.kind === 'wall'
      ? faceUnder(view, toLoop(wallLoop(view.room), at.wall, at.alongIn), at.heightIn, box.gangs)
      : undefined;
  const isException = heightIn !== undefined && !isStandardHeight(house, box, heightIn);
  const covering = coveringAt(house, box);
  const notes = [
    box.state && STATE_WORDS[box.state],
    box.note,
    box.inCabinet && 'inside the cabinet',
    box.setting?.replaceAll('-', ' '),
    covering && covering.kind !== 'gypsum' && covering.kind !== 'undecided' && covering.kind,
    setting.advice,
    backing,
    isException && 'not the standard height',
  ].filter((one): one is string => Boolean(one));
  return {
    box,
    tag: box.tag,
    runIn: at.kind === 'wall' && start ? at.alongIn - start.alongIn : undefined,
    heightIn: heightIn === undefined ? undefined : markedHeight(heightIn, house.standards),
    what: describeBox(box),
    gangs: box.gangs,
    type: boxToBuy(house, box).name,
    side: at.kind === 'wall' && takesBracket(view, at.wall) ? (face?.side ?? 'bracket') : undefined,
    standsOutIn: setting.standsOutIn,
    notes,
    isException,
  };
}

function toMark(house: House, view: RoomView, box: Box): FloorMark {
  const { runIn: _run, side: _side, standsOutIn: _out, ...line } = toLine(house, view, box, undefined);
  const { minX, minY, maxX, maxY } = boundsOf(view.room.corners);
  const { x, y } = placeOf(view, box);
  const carrier = box.at.kind === 'feature' ? box.at.feature : undefined;
  const feature = view.features.find((one) => one.id === carrier);
  return {
    ...line,
    on: feature && (feature.name || feature.kind.replaceAll('-', ' ')),
    fromFirst: x - minX <= maxX - x ? { wall: 'west', inches: x - minX } : { wall: 'east', inches: maxX - x },
    fromSecond: y - minY <= maxY - y ? { wall: 'north', inches: y - minY } : { wall: 'south', inches: maxY - y },
  };
}

function sheetOf(house: House, room: Room): RoomSheet {
  const view = viewRoom(house, room.id);
  const byTag = (a: { tag: string }, b: { tag: string }) => a.tag.localeCompare(b.tag, undefined, { numeric: true });
  const walls = wallLoop(room).walls.flatMap((wall): WallSheet[] => {
    const boxes = view.boxes.filter((box) => box.at.kind === 'wall' && box.at.wall === wall.id);
    if (boxes.length === 0) return [];
    const start = tapeStart(view, wall);
    const lines = boxes
      .map((box) => toLine(house, view, box, start))
      .sort((a, b) => given(a.runIn) - given(b.runIn) || (a.heightIn ?? 0) - (b.heightIn ?? 0));
    return [{ wall: wall.id, name: `${wallOf(view, wall.id).name} wall`, lengthIn: wall.lengthIn, start, lines }];
  });
  const ceiling = view.boxes.filter((box) => box.at.kind === 'ceiling').map((box) => toMark(house, view, box));
  const elsewhere = view.boxes
    .filter((box) => box.at.kind === 'floor' || box.at.kind === 'feature')
    .map((box) => toMark(house, view, box));
  const open = view.boxes
    .filter((box) => box.state && box.state !== 'existing' && box.state !== 'moved')
    .map((box) => `${box.tag}: ${[STATE_WORDS[given(box.state)], box.note].filter(Boolean).join(', ')}`);
  return { room, walls, ceiling: ceiling.sort(byTag), elsewhere: elsewhere.sort(byTag), open };
}

/**
 * The rooms in the order in which a person walks them: from the ground upward, then what lies below; on each from the first room through its
 * doors, the nearest not yet visited next; rooms without doors at the end.
 */
export function walkingOrder(house: House): Room[] {
  const byHeight = Object.values(house.levels).sort((a, b) => a.elevationIn - b.elevationIn);
  const below = (level: (typeof byHeight)[number]) => level.elevationIn < 0;
  const levels = [...byHeight.filter((one) => !below(one)), ...byHeight.filter(below)];
  return levels.flatMap((level) => {
    const rooms = Object.values(house.rooms).filter((room) => room.level === level.id);
    const left = new Set(rooms);
    const order: Room[] = [];
    const middle = (room: Room) => {
      const { minX, minY, maxX, maxY } = boundsOf(room.corners);
      return { x: (minX + maxX) / 2, y: (minY + maxY) / 2 };
    };
    let at = rooms.find((room) => room.kind === 'foyer') ?? rooms.find((room) => room.kind === 'hallway') ?? rooms[0];
    while (at) {
      left.delete(at);
      order.push(at);
      const from = middle(at);
      at = [...left].sort((a, b) => {
        const far = (room: Room) => Math.hypot(middle(room).x - from.x, middle(room).y - from.y);
        return far(a) - far(b);
      })[0];
    }
    return order;
  });
}

const countBy = (words: readonly string[]): [string, number][] => {
  const counts = new Map<string, number>();
  for (const word of words) counts.set(word, (counts.get(word) ?? 0) + 1);
  return [...counts].sort((a, b) => b[1] - a[1] || a[0].localeCompare(b[0]));
};

/** Everything that the helper needs to mark and nail the boxes without the screen. Lengths in inches. */
export function walkSheets(house: House): WalkSheets {
  const boxes = Object.values(house.boxes).filter((box) => box.state !== 'existing');
  return {
    rooms: walkingOrder(house)
      .map((room) => sheetOf(house, room))
      .filter((one) => one.walls.length + one.ceiling.length + one.elsewhere.length > 0),
    tally: countBy(boxes.map((box) => boxToBuy(house, box).name)).map(([type, n]) => ({ type, n })),
    devices: countBy(boxes.flatMap((box) => Object.values(box.devices).map(describeDevice))).map(([what, n]) => ({
      what,
      n,
    })),
    heightsTo: `to the ${house.standards.heightsTo} of the box, from the finished floor`,
  };
}
