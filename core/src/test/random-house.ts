import type { Edition, FeatureKind, House, RoomKind } from '../house/schema';
import { aHouse, type HouseBuilder } from './house-builder';

/** A source of numbers in 0 … 1 from a seed: the same house for the same seed, everywhere (mulberry32). */
export function randomFrom(seed: number): () => number {
  let state = seed >>> 0;
  return () => {
    state = (state + 0x6d2b79f5) >>> 0;
    let t = Math.imul(state ^ (state >>> 15), 1 | state);
    t = (t + Math.imul(t ^ (t >>> 7), 61 | t)) ^ t;
    return ((t ^ (t >>> 14)) >>> 0) / 4_294_967_296;
  };
}

interface Rect {
  readonly x: number;
  readonly y: number;
  readonly w: number;
  readonly d: number;
}
type Side = 'north' | 'east' | 'south' | 'west';
const SIDES: readonly Side[] = ['north', 'east', 'south', 'west'];
const WALL = 4.5;

interface Drawn {
  readonly id: string;
  readonly kind: RoomKind;
  readonly rect: Rect;
  /** Corners clockwise from the top left; the wall `c0` starts at the first. */
  readonly points: readonly (readonly [number, number])[];
  /** What openings and features take of each wall, inches from its start. */
  readonly taken: Map<string, [number, number][]>;
}

export interface RandomSpec {
  readonly rooms: number;
  readonly upper: boolean;
  readonly basement: boolean;
  readonly garage: boolean;
  /** Two outer corners are cut off by angled walls. */
  readonly clipped: boolean;
  /** A second kitchen, in the basement where there is one. */
  readonly secondKitchen: boolean;
  /** Bedrooms half a story up beside the main level, where there is no other level. */
  readonly splitLevel: boolean;
}

/** What a seed stands for: one to three levels, with and without a garage, 4 to 14 rooms a level, some with what few houses have. */
export function specOf(seed: number): RandomSpec {
  const random = randomFrom(seed * 7919 + 1);
  return {
    rooms: 5 + Math.floor(random() * 9),
    upper: random() < 0.35,
    basement: random() < 0.35,
    garage: random() < 0.6,
    clipped: random() < 0.4,
    secondKitchen: random() < 0.3,
    splitLevel: random() < 0.35,
  };
}

const BIG: readonly RoomKind[] = ['living', 'kitchen', 'family', 'dining'];
const UPPER: readonly RoomKind[] = ['bedroom', 'bedroom', 'bathroom', 'bedroom', 'hallway', 'office'];
const BELOW: readonly RoomKind[] = ['recreation', 'utility', 'storage', 'bedroom', 'bathroom', 'other'];
const REST: readonly RoomKind[] = [
  'bedroom',
  'bathroom',
  'bedroom',
  'laundry',
  'half-bath',
  'office',
  'bedroom',
  'pantry',
  'den',
  'studio',
];

class Builder {
  readonly random: () => number;
  readonly house: HouseBuilder;
  readonly drawn: Drawn[] = [];
  /** The rectangle that the rooms being drawn divide. */
  outline: Rect | undefined;
  #n = 0;

  constructor(
    seed: number,
    edition: Edition,
    readonly spec: RandomSpec,
  ) {
    this.random = randomFrom(seed);
    this.house = aHouse(edition);
  }

  between(least: number, most: number): number {
    return Math.round(least + this.random() * (most - least));
  }
  chance(share: number): boolean {
    return this.random() < share;
  }

  /** Splits a rectangle until there are so many, walls between them. */
  split(rect: Rect, rooms: number): Rect[] {
    if (rooms <= 1) return [rect];
    const along = rect.w >= rect.d ? 'w' : 'd';
    const size = rect[along];
    const least = 88;
    if (size < 2 * least + WALL) return [rect];
    const half = Math.max(1, Math.round(rooms / 2 + (this.random() - 0.5)));
    const share = Math.min(0.75, Math.max(0.25, half / rooms + (this.random() - 0.5) * 0.2));
    const at = Math.round(Math.min(size - least - WALL, Math.max(least, size * share)));
    const [a, b] =
      along === 'w'
        ? [
            { ...rect, w: at },
            { ...rect, x: rect.x + at + WALL, w: rect.w - at - WALL },
          ]
        : [
            { ...rect, d: at },
            { ...rect, y: rect.y + at + WALL, d: rect.d - at - WALL },
          ];
    return [...this.split(a, half), ...this.split(b, Math.max(1, rooms - half))];
  }

  room(kind: RoomKind, rect: Rect, level: string, extra: Record<string, unknown> = {}): Drawn {
    const id = `${kind}-${++this.#n}`;
    const { x, y, w, d } = rect;
    let points: (readonly [number, number])[] = [
      [x, y],
      [x + w, y],
      [x + w, y + d],
      [x, y + d],
    ];
    // Some walls are drawn in two collinear pieces, as people draw them.
    if (this.chance(0.15) && w > 100) points = [points[0]!, [x + Math.round(w / 2), y], ...points.slice(1)];
    points = this.clip(points, rect);
    this.house.room(id, kind, points, { level, ...extra });
    const one = { id, kind, rect, points, taken: new Map<string, [number, number][]>() };
    this.drawn.push(one);
    return one;
  }

  /** The outline without its south corners where they are corners of the house and the house has angled walls. */
  clip(points: (readonly [number, number])[], { x, y, w, d }: Rect): (readonly [number, number])[] {
    const { outline } = this;
    if (!this.spec.clipped || !outline || y + d !== outline.y + outline.d) return points;
    const cut = Math.min(40, Math.round(w / 4), Math.round(d / 4));
    return points.flatMap((point): (readonly [number, number])[] => {
      if (point[1] !== y + d) return [point];
      if (point[0] === outline.x + outline.w)
        return [
          [point[0], point[1] - cut],
          [point[0] - cut, point[1]],
        ];
      return point[0] === outline.x && x === outline.x
        ? [
            [point[0] + cut, point[1]],
            [point[0], point[1] - cut],
          ]
        : [point];
    });
  }

  /** The walls of a room on one side of its rectangle, with their stretch along x or y. */
  walls(room: Drawn, side: Side): { id: string; from: number; to: number; reversed: boolean }[] {
    const { x, y, w, d } = room.rect;
    const line = { north: y, south: y + d, west: x, east: x + w }[side];
    const flat = side === 'north' || side === 'south';
    return room.points.flatMap((point, i) => {
      const next = room.points[(i + 1) % room.points.length]!;
      const [a, b] = flat ? [point[1], next[1]] : [point[0], next[0]];
      if (a !== line || b !== line) return [];
      const [from, to] = flat ? [point[0], next[0]] : [point[1], next[1]];
      return [{ id: `c${i}`, from: Math.min(from, to), to: Math.max(from, to), reversed: from > to }];
    });
  }

  /** Inches along a wall for a stretch given along x or y. */
  along(wall: { from: number; to: number; reversed: boolean }, from: number, to: number): number {
    return wall.reversed ? wall.to - to : from - wall.from;
  }

  isFree(room: Drawn, wall: string, from: number, to: number): boolean {
    return (room.taken.get(wall) ?? []).every(([a, b]) => to <= a || from >= b);
  }
  take(room: Drawn, wall: string, from: number, to: number): void {
    room.taken.set(wall, [...(room.taken.get(wall) ?? []), [from, to]]);
  }

  /** Where a feature of a width finds room along some wall, the longest stretches of the room first. */
  stand(room: Drawn, kind: FeatureKind, width: number, depth: number, extra: Record<string, unknown> = {}): boolean {
    const walls = SIDES.flatMap((side) => this.walls(room, side)).sort((a, b) => b.to - b.from - (a.to - a.from));
    for (const wall of walls)
      for (let at = 4; at + width + 4 <= wall.to - wall.from; at += 6)
        if (this.isFree(room, wall.id, at, at + width)) {
          this.house.feature(room.id, kind, [wall.id, at, width, depth], extra);
          this.take(room, wall.id, at, at + width);
          return true;
        }
    return false;
  }

  /** Neighbors with the stretch they share, along x or y. */
  shared(a: Drawn, b: Drawn): { side: Side; from: number; to: number } | undefined {
    for (const side of SIDES) {
      const { x, y, w, d } = a.rect;
      const o = b.rect;
      const touches = {
        north: o.y + o.d + WALL === y,
        south: y + d + WALL === o.y,
        west: o.x + o.w + WALL === x,
        east: x + w + WALL === o.x,
      }[side];
      if (!touches) continue;
      const flat = side === 'north' || side === 'south';
      const from = flat ? Math.max(x, o.x) : Math.max(y, o.y);
      const to = flat ? Math.min(x + w, o.x + o.w) : Math.min(y + d, o.y + o.d);
      if (to - from >= 42) return { side, from, to };
    }
    return undefined;
  }

  /** A way between two rooms: a door, a cased opening, or one side left open. */
  join(a: Drawn, b: Drawn): boolean {
    const shared = this.shared(a, b);
    if (!shared) return false;
    const isOpen = BIG.includes(a.kind) && BIG.includes(b.kind);
    const wide = isOpen && shared.to - shared.from > 90 ? 60 : shared.to - shared.from > 60 ? 32 : 28;
    for (const wall of this.walls(a, shared.side)) {
      const [from, to] = [Math.max(wall.from, shared.from) + 4, Math.min(wall.to, shared.to) - 4];
      if (to - from < wide + 6) continue;
      if (isOpen && this.chance(0.4) && wall.from >= shared.from && wall.to <= shared.to && !room3(a)) {
        this.house.boundary(a.id, wall.id, 'open');
        this.take(a, wall.id, 0, wall.to - wall.from);
        this.block(b, shared.side, wall.from, wall.to);
        return true;
      }
      const start = from + 2 + Math.floor(this.random() * (to - from - wide - 4));
      const at = this.along(wall, start, start + wide);
      const kind = isOpen ? 'cased' : this.chance(0.12) ? 'pocket' : 'door';
      this.house.opening(a.id, wall.id, kind, at, wide);
      // Beside a pocket door its leaf is in the wall: nothing is hung there on either side.
      const beside = kind === 'pocket' ? wide + 6 : 6;
      this.take(a, wall.id, at - beside, at + wide + beside);
      this.block(b, shared.side, start - beside, start + wide + beside);
      return true;
    }
    return false;
  }

  /** What an opening takes of the wall on the other side. */
  block(room: Drawn, side: Side, from: number, to: number): void {
    const other = ({ north: 'south', south: 'north', east: 'west', west: 'east' } as const)[side];
    for (const wall of this.walls(room, other)) {
      const at = this.along(wall, Math.max(from, wall.from), Math.min(to, wall.to));
      if (to > wall.from && from < wall.to)
        this.take(room, wall.id, at, at + Math.min(to, wall.to) - Math.max(from, wall.from));
    }
  }

  /** An opening in an outer wall where it finds room. */
  pierce(room: Drawn, side: Side, kind: 'door' | 'window' | 'slider' | 'vehicle', width: number, extra = {}): boolean {
    for (const wall of this.walls(room, side))
      for (let at = 12; at + width + 12 <= wall.to - wall.from; at += 8)
        if (this.isFree(room, wall.id, at - 4, at + width + 4)) {
          this.house.opening(room.id, wall.id, kind, at, width, extra);
          this.take(room, wall.id, at - 4, at + width + 4);
          return true;
        }
    return false;
  }
}

/** An open side is taken only where the room keeps walls enough. */
const room3 = (room: Drawn): boolean => [...room.taken.values()].flat().length > 3;

function furnish(one: Builder, room: Drawn): void {
  const { kind } = room;
  if (kind === 'kitchen') {
    one.stand(room, 'refrigerator', 36, 30, { heightIn: 70 });
    one.stand(room, 'range', 30, 26, { heightIn: 36 });
    const walls = SIDES.flatMap((side) => one.walls(room, side)).sort((a, b) => b.to - b.from - (a.to - a.from));
    const wall = walls.find(
      (w) => w.to - w.from > 110 && one.isFree(room, w.id, 70, w.to - w.from - 4) && w.to - w.from - 74 > 60,
    );
    if (wall) {
      const width = wall.to - wall.from - 74;
      one.house.feature(room.id, 'counter', [wall.id, 70, width, 25], { heightIn: 36 });
      one.house.feature(room.id, 'sink', [wall.id, 70 + Math.min(12, width - 36), 33, 22]);
      one.take(room, wall.id, 70, 70 + width);
    } else one.stand(room, 'counter', 48, 25, { heightIn: 36 });
    const { x, y, w, d } = room.rect;
    if (w > 170 && d > 170 && one.chance(0.6))
      one.house.standing(`island-${room.id}`, room.id, 'island', [x + w / 2 - 30, y + d / 2 - 18, 60, 36]);
  }
  if (kind === 'bathroom') one.stand(room, 'tub', 60, 30);
  if (kind === 'bathroom' || kind === 'half-bath') {
    one.stand(room, 'basin', 24, 20, { heightIn: 34 });
    one.stand(room, 'toilet', 24, 28);
    const { x, y, w, d } = room.rect;
    // A fan that lights, heats, does both or neither, by the room's size, so that the other draws stay as they are.
    const functions = [[], ['light'], ['heat'], ['light', 'heat']][Math.floor(w + d) % 4];
    one.house.standing(`fan-${room.id}`, room.id, 'bath-fan', [x + w / 2 - 6, y + d / 2 - 6, 12, 12], { functions });
  }
  if (kind === 'laundry') {
    one.stand(room, 'washer', 27, 30);
    one.stand(room, 'dryer', 27, 30);
  }
  if (kind === 'utility' || kind === 'laundry') one.stand(room, 'water-heater', 22, 22, { heightIn: 60 });
  if (kind === 'utility') one.stand(room, 'furnace', 24, 30, { heightIn: 60, fuel: one.chance(0.5) });
  if (kind === 'bedroom') one.stand(room, 'bed', 60, 80);
}

/** Rooms of one level in a rectangle, joined so that each can be reached from the first. */
function level(one: Builder, rect: Rect, kinds: readonly RoomKind[], id: string): Drawn[] {
  one.outline = rect;
  const rects = one.split(rect, kinds.length).sort((a, b) => b.w * b.d - a.w * a.d);
  const rooms = rects.map((r, i) => {
    const long = Math.max(r.w, r.d) / Math.min(r.w, r.d);
    const kind = kinds[i] ?? 'other';
    return one.room(
      long > 2.6 && i > 1 ? 'hallway' : kind === 'bedroom' && r.w * r.d < 70 * 144 ? 'closet' : kind,
      r,
      id,
    );
  });
  one.outline = undefined;
  return rooms;
}

function joinAll(one: Builder, rooms: readonly Drawn[]): void {
  const reached = [rooms[0]!];
  const left = new Set(rooms.slice(1));
  for (let grew = true; grew && left.size > 0;) {
    grew = false;
    for (const room of [...left]) {
      const near = reached.filter((other) => one.shared(other, room));
      const through = near.filter((other) => !['bathroom', 'half-bath', 'closet', 'pantry'].includes(other.kind));
      const from = [...through, ...near].find((other) => one.join(other, room));
      if (from) {
        reached.push(room);
        left.delete(room);
        grew = true;
      }
    }
  }
}

/**
 * An ordinary house that nobody has tuned: rectangles split at random, joined by doors, cased openings and open sides, furnished as
 * such rooms are; one to three levels with a stair, a garage, a porch and a yard. Some walls are in collinear pieces.
 */
export function randomHouse(seed: number, edition: Edition, spec: RandomSpec = specOf(seed)): House {
  const one = new Builder(seed, edition, spec);
  const side = Math.round(Math.sqrt(spec.rooms * 150 * 150));
  const main: Rect = { x: 0, y: 0, w: Math.round(side * 1.2), d: Math.round(side / 1.2) };
  const isSplit = spec.splitLevel && !spec.upper && !spec.basement;
  const stairs = spec.upper || spec.basement || isSplit;
  const stair: Rect = { x: main.x - 44.5 - 4, y: main.y, w: 44, d: 150 };
  const list = [...BIG, ...Array.from({ length: spec.rooms }, (_, i) => REST[i % REST.length]!)];
  if (spec.secondKitchen && !spec.basement && spec.rooms > 7) list[6] = 'kitchen';
  const rooms = level(one, main, list.slice(0, spec.rooms), 'L1');
  const add = (id: string, name: string, elevationIn: number, extra = {}) =>
    one.house.with((house) => {
      house.levels[id] = { ...house.levels['L1']!, id, name, elevationIn, ...extra };
    });
  const floors: Drawn[][] = [rooms];
  if (spec.upper) {
    add('L2', 'Upper level', 108);
    floors.push(
      level(
        one,
        main,
        Array.from({ length: Math.max(4, spec.rooms - 2) }, (_, i) => UPPER[i % UPPER.length]!),
        'L2',
      ),
    );
  }
  if (spec.basement) {
    add('L0', 'Basement', -100, { grade: 'below', below: 'slab' });
    const below = BELOW.slice(0, Math.max(3, Math.min(BELOW.length, spec.rooms - 2)));
    floors.push(level(one, main, spec.secondKitchen ? ['kitchen', ...below.slice(1)] : below, 'L0'));
  }
  if (isSplit) {
    add('LS', 'Half level', 54);
    const w = Math.round(main.w * 0.7);
    const beside = { ...main, x: main.x - 2 * WALL - stair.w - w, w };
    floors.push(level(one, beside, UPPER.slice(0, 5), 'LS'));
  }
  for (const [i, floor] of floors.entries()) {
    const id = i === 0 ? 'L1' : one.house.levelOf(floor[0]!.id);
    if (stairs) {
      const well = one.room('stair', { ...stair, x: main.x - WALL - stair.w }, id);
      one.house.feature(well.id, 'stair', ['c1', 10, 110, 36], { risers: isSplit ? 7 : 14 });
      one.take(well, 'c1', 0, 0);
      floor.push(well);
    }
    joinAll(one, floor);
  }
  let panelIn = rooms.find((room) => room.kind === 'laundry' || room.kind === 'hallway') ?? rooms.at(-1)!;
  const cellar = floors.flat().find((room) => room.kind === 'utility');
  if (cellar) panelIn = cellar;
  if (spec.garage) {
    const bays = one.chance(0.5) ? 2 : 1;
    const garage = one.room('garage', { x: main.x + main.w + WALL, y: main.y, w: bays * 130, d: 260 }, 'L1', { bays });
    const beside = rooms.find((room) => one.shared(garage, room));
    if (beside) one.join(garage, beside);
    for (let bay = 0; bay < bays; bay++) one.pierce(garage, 'north', 'vehicle', 96);
    panelIn = cellar ?? garage;
  }
  const porch = rooms.find((room) => room.rect.y === main.y && room.rect.w > 70)!;
  one.pierce(porch, 'north', 'door', 36);
  one.room('porch', { x: porch.rect.x, y: main.y - 66, w: porch.rect.w, d: 60 }, 'L1', { side: 'front' });
  const back = rooms.find(
    (room) => room.rect.y + room.rect.d === main.y + main.d && room.rect.w > 90 && room !== porch,
  );
  if (back) {
    one.pierce(back, 'south', one.chance(0.5) ? 'slider' : 'door', one.chance(0.5) ? 60 : 36);
    one.room('outdoors', { x: back.rect.x, y: main.y + main.d + 6, w: back.rect.w, d: 120 }, 'L1', { side: 'back' });
  }
  const panel = one.stand(panelIn, 'panel', 16, 4, { id: 'panel', heightIn: 72 });
  for (const room of floors.flat()) furnish(one, room);
  for (const floor of floors)
    for (const room of floor) {
      if (floor !== rooms && isSplit && room.rect.y === main.y) one.pierce(room, 'north', 'window', 40);
      const level = one.house.levelOf(room.id);
      if (level === 'L0' || ['closet', 'pantry', 'stair'].includes(room.kind)) continue;
      const wide = one.between(28, 72);
      if (room.rect.y + room.rect.d === main.y + main.d)
        one.pierce(room, 'south', 'window', wide, { sillIn: one.chance(0.2) ? 8 : 36 });
      if (room.rect.y === main.y && one.chance(0.7)) one.pierce(room, 'north', 'window', wide);
    }
  one.house.panel('P', panelIn.id, 60, panel ? 'panel' : null);
  return one.house.build();
}
