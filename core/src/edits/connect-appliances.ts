import { count } from '../units/count';
import { edit, joinEdits, type Edited } from '../house/edit';
import type { Box, Feature, House } from '../house/schema';
import { newDevice, type Device, type Load } from '../house/schema-equipment';
import { removeEntities } from './remove';
import { changeEntity, nextTag } from './verbs';
import type { NewId } from '../house/new-box';
import { alike, burnsFuel, loadOf, onStud, ownConnection, placeBeside, placeFor } from '../loads/hookups';
import { LOAD_LIBRARY } from '../loads/library';
import { given, mustGet, refuse, type Result, succeed } from '../units/result';

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
    // A fan that heats as well has two loads in its box, and is one thing.
    const have = new Set(
      Object.values(house.loads)
        .filter((one) => kinds.includes(one.kind) && house.boxes[one.box]?.room === feature.room)
        .map((one) => (feature.kind === 'bath-fan' ? one.box : one.id)),
    ).size;
    return n > have + (feature.kind === 'bath-fan' ? bareFans(house, feature.room) : 0);
  });
}

/** What an appliance connects to: its box with a receptacle or a connection, and its typical load. */
function connect(house: House, feature: Feature, newId: NewId): { readonly box: Box; readonly loads: readonly Load[] } {
  const { kind, hookup } = given(loadOf(feature));
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
    tag: nextTag(house, mustGet(house.rooms, feature.room)),
    at: (hookup.beside ? placeBeside : placeFor)(house, feature, hookup),
    ...(hookup.beside || hookup.inCabinet ? { inCabinet: true } : {}),
    gangs: device.kind === 'receptacle' && device.volts === 240 ? 2 : 1,
    // In a room that stays as it is, it was there with its appliance.
    ...(mustGet(house.rooms, feature.room).closed ? { state: 'existing' as const } : {}),
    origin: 'request',
    devices: { [ids.device]: device },
  };
  const load: Load = {
    ...typical,
    id: ids.load,
    kind,
    name: feature.name || typical.name,
    source: 'typical',
    box: ids.box,
    device: ids.device,
  };
  const also = functionsOf(feature, ids.box, newId);
  const devices = { ...box.devices, ...Object.fromEntries(also.devices.map((one) => [one.id, one])) };
  return { box: onStud(house, feature, { ...box, devices }), loads: [load, ...also.loads] };
}

/** What a fan's lamp and heater add to its box: each is switched apart, and the heater is a load of its own. */
function functionsOf({ kind, functions }: Feature, box: string, newId: NewId): { devices: Device[]; loads: Load[] } {
  const does = (one: 'light' | 'heat') => kind === 'bath-fan' && functions?.includes(one) === true;
  const devices: Device[] = does('light') ? [newDevice('luminaire', newId('device'), { marked: 'damp' })] : [];
  if (!does('heat')) return { devices, loads: [] };
  const heater = newDevice('connection', newId('device'));
  const typical = LOAD_LIBRARY['bath-heater'];
  const load: Load = {
    ...typical,
    id: newId('load'),
    kind: 'bath-heater',
    source: 'typical',
    box,
    device: heater.id,
  };
  return { devices: [...devices, heater], loads: [load] };
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
    for (const { box, loads } of made) {
      draft.boxes[box.id] = box;
      for (const load of loads) draft.loads[load.id] = load;
    }
  });
}

/**
 * Says whether an appliance burns fuel. What it is connected to changes with it, as long as nobody has read its plate and nothing is done at its box: a gas range
 * takes a receptacle for its igniter, a gas water heater nothing.
 */
export function setFuel(house: House, featureId: string, fuel: boolean, newId: NewId): Result<Edited> {
  const feature = house.features[featureId];
  const had = feature && ownConnection(house, feature);
  const changed = changeEntity(house, 'features', featureId, {
    // What is usual for its kind is not written down.
    fuel: feature && burnsFuel({ kind: feature.kind }) === fuel ? undefined : fuel,
  });
  if (!changed.ok || !feature || !had || had.load.source !== 'typical') return changed;
  const now = mustGet(changed.value.house.features, featureId);
  const before = loadOf(feature)?.kind;
  const after = loadOf(now)?.kind;
  if (before === after) return changed;
  return connectAgain(
    'Change fuel',
    changed.value,
    had.box,
    { id: featureId, isConnected: after !== undefined },
    newId,
  );
}

/** Takes the box of an appliance away and makes what it connects to now. */
function connectAgain(
  label: string,
  changed: Edited,
  box: Box,
  { id, isConnected }: { readonly id: string; readonly isConnected: boolean },
  newId: NewId,
): Result<Edited> {
  const gone = removeEntities(changed.house, [{ collection: 'boxes', id: box.id }]);
  if (!gone.ok) return gone;
  const edits = [changed.edit, gone.value.edit];
  if (!isConnected) return succeed({ house: gone.value.house, edit: joinEdits(label, edits) });
  const made = connectAppliances(gone.value.house, newId, new Set([id]));
  if (!made.ok) return made;
  return succeed({ house: made.value.house, edit: joinEdits(label, [...edits, made.value.edit]) });
}

/**
 * Says what an exhaust fan does besides: light, heat. What it is connected to changes with it, as long as nobody has read its plate, nothing is
 * done at its box and no circuit feeds it.
 */
export function setFunctions(
  house: House,
  featureId: string,
  functions: readonly ('light' | 'heat')[],
  newId: NewId,
): Result<Edited> {
  const feature = house.features[featureId];
  const had = feature && ownConnection(house, feature);
  const changed = changeEntity(house, 'features', featureId, {
    functions: functions.length > 0 ? [...functions] : undefined,
  });
  if (!changed.ok || !had || had.load.source !== 'typical') return changed;
  if (Object.values(had.box.devices).some((one) => one.circuit !== null)) return changed;
  return connectAgain('Change what the fan does', changed.value, had.box, { id: featureId, isConnected: true }, newId);
}
