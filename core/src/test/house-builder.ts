import { createHouse } from '../edits/create-house';
import { rectangleCorners } from '../edits/verbs';
import { boxSchema } from '../house/schema-boxes';
import { loadSchema, type Device, type LoadKind } from '../house/schema-equipment';
import { featureSchema, openingSchema, type FeatureKind, type OpeningKind } from '../house/schema-fixed';
import { circuitSchema, roomSchema, type Corner, type Edition, type House, type RoomKind } from '../house/schema';
import { validateHouse } from '../house/validate';
import { LOAD_LIBRARY } from '../loads/library';

const deepFreeze = <T>(value: T): T => {
  if (typeof value === 'object' && value !== null && !Object.isFrozen(value))
    Object.values(Object.freeze(value)).forEach(deepFreeze);
  return value;
};

type Extra = Readonly<Record<string, unknown>>;
type Points = readonly (readonly [number, number])[];

/** Builds small houses for tests in the words of the trade. Lengths in inches; walls c0 … clockwise from the top left. */
export class HouseBuilder {
  readonly #house: House;
  #n = 0;

  constructor(edition: Edition = '2023') {
    this.#house = createHouse('Test house', edition);
  }

  #id(prefix: string): string {
    return `${prefix}${++this.#n}`;
  }

  /** A rectangular room [x, y, width, depth], or a polygon of points, clockwise. */
  room(
    id: string,
    kind: RoomKind,
    outline: readonly [number, number, number, number] | Points,
    extra: Extra = {},
  ): this {
    const isBox = typeof outline[0] === 'number';
    const corners = isBox
      ? rectangleCorners(...(outline as [number, number, number, number]))
      : (outline as Points).map(([x, y], i) => ({ id: `c${i}`, x, y, wall: 'solid' }));
    const prefix = `R${Object.keys(this.#house.rooms).length + 1}`;
    this.#house.rooms[id] = roomSchema.parse({ id, level: 'L1', name: id, prefix, kind, corners, ...extra });
    return this;
  }

  /** What a wall of a room is, when it is not a wall: a railing, or open to the next area. */
  boundary(room: string, wall: string, is: Corner['wall']): this {
    this.#house.rooms[room]!.corners.find((corner) => corner.id === wall)!.wall = is;
    return this;
  }

  opening(room: string, wall: string, kind: OpeningKind, alongIn: number, widthIn: number, extra: Extra = {}): this {
    const id = this.#id('o');
    this.#house.openings[id] = openingSchema.parse({ id, room, wall, kind, alongIn, widthIn, ...extra });
    return this;
  }

  /** A feature against a wall: [wall, along, width, depth, gap behind]. */
  feature(
    room: string,
    kind: FeatureKind,
    at: readonly [string, number, number, number, number?],
    { acrossCorner, ...extra }: Extra = {},
  ): this {
    const id = String(extra['id'] ?? this.#id('f'));
    const [wall, alongIn, widthIn, depthIn, behindIn = 0] = at;
    this.#house.features[id] = featureSchema.parse({
      id,
      room,
      kind,
      at: { kind: 'wall', wall, alongIn, widthIn, depthIn, behindIn, acrossCorner },
      ...extra,
    });
    return this;
  }

  /** A feature standing free: [x, y, width, depth]. */
  standing(
    id: string,
    room: string,
    kind: FeatureKind,
    at: readonly [number, number, number, number],
    extra: Extra = {},
  ): this {
    const [x, y, widthIn, depthIn] = at;
    this.#house.features[id] = featureSchema.parse({
      id,
      room,
      kind,
      at: { kind: 'free', x, y, widthIn, depthIn },
      ...extra,
    });
    return this;
  }

  #box(room: string, at: Extra, device: Extra, extra: Extra = {}): { box: string; device: string } {
    const [box, deviceId] = [this.#id('b'), this.#id('d')];
    const { prefix } = this.#house.rooms[room]!;
    const number = Object.values(this.#house.boxes).filter((one) => one.room === room).length + 1;
    this.#house.boxes[box] = boxSchema.parse({
      id: box,
      room,
      tag: `${prefix}-${number}`,
      at,
      devices: { [deviceId]: { id: deviceId, ...device } },
      ...extra,
    });
    return { box, device: deviceId };
  }

  /** A duplex receptacle on a wall at a distance, 16 in high unless said otherwise. */
  receptacle(
    room: string,
    wall: string,
    alongIn: number,
    extra: Extra & { heightIn?: number; inCabinet?: boolean } = {},
  ): this {
    const { heightIn = 16, inCabinet, ...device } = extra;
    this.#box(room, { kind: 'wall', wall, alongIn, heightIn }, { kind: 'receptacle', ...device }, { inCabinet });
    return this;
  }

  floorReceptacle(room: string, x: number, y: number): this {
    this.#box(room, { kind: 'floor', x, y }, { kind: 'receptacle' });
    return this;
  }

  /** A receptacle on the side of a feature. */
  onFeature(
    room: string,
    feature: string,
    circuit: string | null = null,
    heightIn = 30,
    [x, y]: readonly [number, number] = [50, 50],
  ): this {
    this.#box(room, { kind: 'feature', feature, x, y, heightIn }, { kind: 'receptacle', circuit });
    return this;
  }

  /** Something in the ceiling at a place, on a circuit. */
  ceiling(room: string, kind: Device['kind'], circuit: string | null, extra: Extra = {}): this {
    const [corner] = this.#house.rooms[room]!.corners;
    this.#box(room, { kind: 'ceiling', x: corner!.x + 20, y: corner!.y + 20 }, { kind, circuit, ...extra });
    return this;
  }

  switchAt(room: string, wall: string, alongIn: number, circuit: string | null, heightIn = 48): this {
    this.#box(room, { kind: 'wall', wall, alongIn, heightIn }, { kind: 'switch', circuit });
    return this;
  }

  /** Something in the ceiling at a point of the plan, and what is said of its box. */
  over(room: string, kind: Device['kind'], x: number, y: number, device: Extra = {}, box: Extra = {}): this {
    this.#box(room, { kind: 'ceiling', x, y }, { kind, ...device }, box);
    return this;
  }

  /** A box on a wall with what is said of it. */
  wallBox(room: string, wall: string, alongIn: number, device: Extra, box: Extra = {}): this {
    this.#box(room, { kind: 'wall', wall, alongIn, heightIn: 16 }, { kind: 'receptacle', ...device }, box);
    return this;
  }

  /** A light in the ceiling and a switch for it beside the start of a wall. */
  lit(room: string): this {
    return this.ceiling(room, 'luminaire', null).switchAt(room, 'c0', 8, null).governed(room);
  }

  /** Groups the switches of some rooms with their lights and switched receptacles, as somebody would at Switching. */
  governed(...rooms: readonly string[]): this {
    const devices = Object.values(this.#house.boxes)
      .filter((box) => rooms.includes(box.room))
      .flatMap((box) => Object.values(box.devices));
    const idsOf = (isMeant: (one: Device) => boolean) => devices.filter(isMeant).map((one) => one.id);
    const id = `light-${rooms.join('-')}`;
    this.#house.switchGroups[id] = {
      id,
      name: `${rooms[0]} light`,
      switches: idsOf((one) => one.kind === 'switch'),
      controls: idsOf((one) => one.kind === 'luminaire' || (one.kind === 'receptacle' && one.switched !== 'no')),
    };
    return this;
  }

  /** A load of the library at a receptacle of its own, or hard-wired when it has no cord. */
  load(kind: LoadKind, room: string, wall: string, alongIn: number, circuit: string | null, extra: Extra = {}): this {
    const { ratingA, style, heightIn = 16, inCabinet, ...own } = extra;
    const load = { ...LOAD_LIBRARY[kind], ...own };
    const device = load.cord
      ? {
          kind: 'receptacle',
          circuit,
          volts: load.volts,
          ratingA: ratingA ?? (load.volts === 240 ? 50 : 15),
          style: style ?? (load.volts === 240 ? 'single' : 'duplex'),
        }
      : { kind: 'connection', circuit, volts: load.volts };
    const { box, device: deviceId } = this.#box(room, { kind: 'wall', wall, alongIn, heightIn }, device, { inCabinet });
    const id = this.#id('l');
    this.#house.loads[id] = loadSchema.parse({ ...load, id, kind, box, device: deviceId });
    return this;
  }

  circuit(id: string, ratingA: number, extra: Extra = {}): this {
    const awg = ratingA <= 15 ? '14' : ratingA <= 20 ? '12' : ratingA <= 30 ? '10' : ratingA <= 40 ? '8' : '6';
    this.#house.circuits[id] = circuitSchema.parse({
      id,
      name: id,
      poles: 1,
      ratingA,
      awg,
      panel: null,
      space: null,
      ...extra,
    });
    return this;
  }

  panel(id: string, room: string, spaces: number, feature: string | null = null): this {
    this.#house.panels[id] = { id, name: id, room, feature, spaces, mainA: 200 };
    return this;
  }

  levelOf(room: string): string {
    return this.#house.rooms[room]!.level;
  }

  /** Anything else, on the house as it stands so far. */
  with(change: (house: House) => void): this {
    change(this.#house);
    return this;
  }

  /** The house, validated and frozen. @throws when a test has built an invalid one. */
  build(): House {
    const read = validateHouse(structuredClone(this.#house));
    if (!read.ok)
      throw new Error(
        `The test's house is invalid: ${read.problems.map((one) => `${one.path} ${one.message}`).join('; ')}`,
      );
    return deepFreeze(read.value);
  }
}

export const aHouse = (edition: Edition = '2023'): HouseBuilder => new HouseBuilder(edition);

/** A bedroom of 12 ft by 10 ft with a 32 in door in the south wall, 12 in from its left end as seen from inside. */
export const bedroom = (edition: Edition = '2023'): HouseBuilder =>
  aHouse(edition).room('bed', 'bedroom', [0, 0, 144, 120]).opening('bed', 'c2', 'door', 12, 32);
