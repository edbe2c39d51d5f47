import { count } from '../units/count';
import { featureMiddle } from '../plan/points';
import { inTheWayOf } from '../plan/blocked-by-framing';
import { viewRoom, wallOf } from '../plan/room-view';
import { isFramedAt, studFaces } from '../plan/studs';
import { findWall, nearestWall, wallLoop } from '../plan/wall-loop';
import { edit, type Edited } from '../house/edit';
import type { Box, BoxPlace, Feature, FeatureKind, House } from '../house/schema';
import { newDevice, type Load, type LoadKind } from '../house/schema-equipment';
import { nextTag, type NewId } from '../edits/verbs';
import { isTakenFromBehind } from '../place/back-to-back';
import { areApart, nearestOnStud } from '../place/nearest-on-stud';
import { LOAD_LIBRARY } from './library';
import { refuse, type Result } from '../units/result';

/** Where an appliance connects, inches above the floor: *common practice*; the instructions decide. */
interface Hookup {
  readonly kind: LoadKind;
  readonly heightIn: number;
  readonly ratingA?: 15 | 20 | 30 | 40 | 50;
  /** What it is called instead when it burns fuel. */
  readonly gas?: LoadKind | null;
  /** In the cabinet beside it, never behind it: a dishwasher's plug is its disconnect, NEC 422.16(B)(2). */
  readonly beside?: true;
  /** In the cabinet behind or over it. */
  readonly inCabinet?: true;
  /** Where the box of one that stands free is: over it, on the nearest wall; under it where nothing is said. */
  readonly free?: 'ceiling' | 'nearest-wall';
}
const HOOKUPS: Readonly<Partial<Record<FeatureKind, Hookup>>> = {
  range: { kind: 'range', heightIn: 6, ratingA: 50, gas: 'gas-range' },
  cooktop: { kind: 'cooktop', heightIn: 20, gas: 'gas-range' },
  refrigerator: { kind: 'refrigerator', heightIn: 48 },
  dishwasher: { kind: 'dishwasher', heightIn: 18, beside: true },
  washer: { kind: 'washer', heightIn: 44 },
  dryer: { kind: 'dryer', heightIn: 36, ratingA: 30, gas: 'gas-dryer' },
  kiln: { kind: 'kiln', heightIn: 24, ratingA: 50 },
  'water-heater': { kind: 'water-heater', heightIn: 60, gas: null },
  furnace: { kind: 'furnace', heightIn: 48 },
  'air-handler': { kind: 'furnace', heightIn: 48 },
  condenser: { kind: 'air-conditioner', heightIn: 36 },
  'baseboard-heater': { kind: 'baseboard-heat', heightIn: 4 },
  disposer: { kind: 'disposer', heightIn: 18, inCabinet: true },
  'range-hood': { kind: 'range-hood', heightIn: 80, inCabinet: true },
  microwave: { kind: 'microwave', heightIn: 80, inCabinet: true },
  'bath-fan': { kind: 'exhaust-fan', heightIn: 84, free: 'ceiling' },
  'bidet-seat': { kind: 'bidet-seat', heightIn: 14 },
  freezer: { kind: 'freezer', heightIn: 48 },
  'garage-opener': { kind: 'garage-door-opener', heightIn: 84, free: 'ceiling' },
  sump: { kind: 'sump-pump', heightIn: 48, free: 'nearest-wall' },
  'ev-charger': { kind: 'ev-charger', heightIn: 48 },
};

/** Loads that are one drawn thing: any of them connects it. The first stands for all. */
const ALIKE: readonly (readonly LoadKind[])[] = [
  ['range', 'cooktop', 'induction-cooktop', 'gas-range'],
  ['dryer', 'gas-dryer', 'heat-pump-dryer'],
  ['air-conditioner', 'heat-pump', 'mini-split'],
  ['water-heater', 'heat-pump-water-heater', 'tankless-water-heater'],
  ['furnace', 'electric-furnace', 'boiler', 'heat-pump'],
  ['microwave', 'counter-microwave'],
  ['exhaust-fan', 'bath-heater'],
  ['ev-charger', 'ev-charger-48', 'ev-cord'],
];
const alike = (kind: LoadKind): readonly LoadKind[] => ALIKE.find((some) => some.includes(kind)) ?? [kind];

/** The load that a drawn appliance is; undefined for one that needs no electricity. */
function loadOf(feature: Feature): { kind: LoadKind; hookup: Hookup } | undefined {
  const hookup = HOOKUPS[feature.kind];
  if (!hookup) return undefined;
  const kind = feature.fuel && hookup.gas !== undefined ? hookup.gas : hookup.kind;
  return kind === null ? undefined : { kind, hookup };
}

/** Fans in a room's boxes that are nothing but fans: a bath fan is drawn as one, without a load of its own. */
const bareFans = (house: House, room: string): number =>
  Object.values(house.boxes)
    .filter((box) => box.room === room)
    .flatMap((box) => Object.values(box.devices))
    .filter(({ id, kind }) => kind === 'fan' && !Object.values(house.loads).some((load) => load.device === id)).length;

/** Appliances that are drawn and connect nowhere yet; of several alike in a room, as many as lack a load. */
export function unconnectedAppliances(house: House): Feature[] {
  const seen = new Map<string, number>();
  return Object.values(house.features).filter((feature) => {
    const load = loadOf(feature);
    if (!load) return false;
    const key = `${feature.room} ${alike(load.kind)[0]}`;
    const n = (seen.get(key) ?? 0) + 1;
    seen.set(key, n);
    const kinds = alike(load.kind);
    const have = Object.values(house.loads).filter(
      (one) => kinds.includes(one.kind) && house.boxes[one.box]?.room === feature.room,
    ).length;
    return n > have + (feature.kind === 'bath-fan' ? bareFans(house, feature.room) : 0);
  });
}

/** At the middle of the appliance: behind it on its wall, over or under it, or on the wall that is nearest. */
function placeFor(house: House, feature: Feature, { heightIn, free }: Hookup): BoxPlace {
  const room = house.rooms[feature.room]!;
  const { at } = feature;
  if (at.kind === 'wall') {
    const wall = findWall(wallLoop(room), at.wall)!;
    const alongIn = at.acrossCorner ? at.widthIn / 2 : at.alongIn + at.widthIn / 2;
    return { kind: 'wall', wall: at.wall, alongIn: Math.min(wall.lengthIn, alongIn), heightIn };
  }
  const middle = featureMiddle(room, feature);
  if (free === 'ceiling') return { kind: 'ceiling', ...middle };
  if (free !== 'nearest-wall') return { kind: 'floor', ...middle };
  const { wall, alongIn } = nearestWall(wallLoop(room), middle);
  return { kind: 'wall', wall: wall.id, alongIn, heightIn };
}

/** How far from the middle of its place a box may move for the sake of a stud, inches. */
const TO_STUD_IN = 8;

/**
 * Moves a box on a wall to the nearest stud's side: behind the appliance, or beside it where it belongs there. Where none is near,
 * a bracket carries the box; where a doorway or another box is in its place, it goes where there is room.
 */
function onStud(house: House, feature: Feature, box: Box): Box {
  const { at } = box;
  const view = viewRoom(house, feature.room);
  if (at.kind !== 'wall' || feature.at.kind !== 'wall' || !isFramedAt(view, at.wall)) return box;
  const { startIn, lengthIn } = wallOf(view, at.wall);
  const { alongIn: fromIn, widthIn } = feature.at;
  const isBehind = (alongIn: number) => alongIn > fromIn && alongIn < fromIn + widthIn;
  const isClear = (alongIn: number) =>
    view.boxes.every((other) => areApart({ ...box, at: { ...at, alongIn } }, other)) &&
    !isTakenFromBehind(house, feature.room, startIn + alongIn, at.heightIn, box.gangs);
  const near = studFaces(view, at.heightIn, box.gangs)
    .map((face) => face.atIn - startIn)
    .filter((alongIn) => alongIn > 0 && alongIn < lengthIn && Math.abs(alongIn - at.alongIn) <= TO_STUD_IN)
    .filter((alongIn) => isBehind(alongIn) === isBehind(at.alongIn))
    .filter(isClear)
    .sort((a, b) => Math.abs(a - at.alongIn) - Math.abs(b - at.alongIn));
  if (near[0] !== undefined) return { ...box, at: { ...at, alongIn: near[0] } };
  const clear = inTheWayOf(view, box) || !isClear(at.alongIn) ? nearestOnStud(house, box) : undefined;
  return clear ?? { ...box, bracket: true };
}

/** From the side of the appliance into the cabinet beside it, inches: *common practice*. */
const ASIDE_IN = 6;

/** In the space beside the appliance: on the side of the sink where there is one, and where the wall goes on. */
function placeBeside(house: House, feature: Feature, hookup: Hookup): BoxPlace {
  const { at } = feature;
  if (at.kind !== 'wall') return placeFor(house, feature, hookup);
  const { lengthIn } = findWall(wallLoop(house.rooms[feature.room]!), at.wall)!;
  const sinks = Object.values(house.features).flatMap((one) =>
    one.room === feature.room && one.kind === 'sink' && one.at.kind === 'wall' && one.at.wall === at.wall
      ? [one.at.alongIn + one.at.widthIn / 2]
      : [],
  );
  const toSink = (alongIn: number) => Math.min(Infinity, ...sinks.map((sink) => Math.abs(sink - alongIn)));
  const [best] = [at.alongIn - ASIDE_IN, at.alongIn + at.widthIn + ASIDE_IN]
    .filter((alongIn) => alongIn >= ASIDE_IN / 2 && alongIn <= lengthIn - ASIDE_IN / 2)
    .sort((a, b) => toSink(a) - toSink(b));
  return best === undefined
    ? placeFor(house, feature, hookup)
    : { kind: 'wall', wall: at.wall, alongIn: best, heightIn: hookup.heightIn };
}

/** What an appliance connects to: its box with a receptacle or a connection, and its typical load. */
function connect(house: House, feature: Feature, newId: NewId): { readonly box: Box; readonly load: Load } {
  const { kind, hookup } = loadOf(feature)!;
  const typical = LOAD_LIBRARY[kind];
  const ids = { box: newId('box'), device: newId('device'), load: newId('load') };
  const device = typical.cord
    ? newDevice('receptacle', ids.device, {
        volts: typical.volts,
        ...(typical.volts === 240 ? { style: 'single', ratingA: hookup.ratingA ?? 30, tr: false } : {}),
      })
    : newDevice('connection', ids.device, { volts: typical.volts });
  const box: Box = {
    id: ids.box,
    room: feature.room,
    tag: nextTag(house, house.rooms[feature.room]!),
    at: (hookup.beside ? placeBeside : placeFor)(house, feature, hookup),
    ...(hookup.beside || hookup.inCabinet ? { inCabinet: true } : {}),
    gangs: device.kind === 'receptacle' && device.volts === 240 ? 2 : 1,
    origin: 'request',
    devices: { [ids.device]: device },
  };
  return {
    box: onStud(house, feature, box),
    load: {
      ...typical,
      id: ids.load,
      kind,
      name: feature.name || typical.name,
      source: 'typical',
      box: ids.box,
      device: ids.device,
    },
  };
}

/** A box, a receptacle or connection and the typical load for every appliance that is drawn and connects nowhere, or for some of them. */
export function connectAppliances(house: House, newId: NewId, only?: ReadonlySet<string>): Result<Edited> {
  const open = only ? [...only].flatMap((id) => house.features[id] ?? []) : unconnectedAppliances(house);
  if (open.length === 0) return refuse('nothing', 'features', 'Every appliance that is drawn is connected.');
  // One after the other, so that each keeps clear of the boxes of those before it.
  let now = house;
  const made = open.map((feature) => {
    const one = connect(now, feature, newId);
    now = { ...now, boxes: { ...now.boxes, [one.box.id]: one.box } };
    return one;
  });
  return edit(house, `Connect ${count(open.length, 'appliance')}`, (draft) => {
    for (const { box, load } of made) [draft.boxes[box.id], draft.loads[load.id]] = [box, load];
  });
}
