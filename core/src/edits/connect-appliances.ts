import { count } from '../units/count';
import { edit, joinEdits, type Edited } from '../house/edit';
import type { Box, Feature, House } from '../house/schema';
import { newDevice, type Load } from '../house/schema-equipment';
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
    const have = Object.values(house.loads).filter(
      (one) => kinds.includes(one.kind) && house.boxes[one.box]?.room === feature.room,
    ).length;
    return n > have + (feature.kind === 'bath-fan' ? bareFans(house, feature.room) : 0);
  });
}

/** What an appliance connects to: its box with a receptacle or a connection, and its typical load. */
function connect(house: House, feature: Feature, newId: NewId): { readonly box: Box; readonly load: Load } {
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
  const gone = removeEntities(changed.value.house, [{ collection: 'boxes', id: had.box.id }]);
  if (!gone.ok) return gone;
  const edits = [changed.value.edit, gone.value.edit];
  if (after === undefined) return succeed({ house: gone.value.house, edit: joinEdits('Change fuel', edits) });
  const made = connectAppliances(gone.value.house, newId, new Set([featureId]));
  if (!made.ok) return made;
  return succeed({ house: made.value.house, edit: joinEdits('Change fuel', [...edits, made.value.edit]) });
}
