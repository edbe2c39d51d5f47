import type { Draft } from 'immer';
import type { Collection } from '../house/collections';
import { edit, type Edited } from '../house/edit';
import type { House, Route } from '../house/schema';
import { ownConnection } from '../loads/hookups';
import { itemAt, mustGet, type Result } from '../units/result';
import { ENTITY_WORDS } from './verbs';

interface EntityRef {
  readonly collection: Collection;
  readonly id: string;
}

/** Takes devices out of everything that names them: groups, loads, circuits, results. */
export function removeDeviceTraces(draft: Draft<House>, deviceIds: ReadonlySet<string>): void {
  for (const [id, load] of Object.entries(draft.loads)) if (deviceIds.has(load.device)) delete draft.loads[id];
  for (const circuit of Object.values(draft.circuits))
    if (circuit.gfciFirst && deviceIds.has(circuit.gfciFirst)) circuit.gfciFirst = null;
  for (const group of Object.values(draft.switchGroups)) {
    if (group.switches.some((id) => deviceIds.has(id)))
      group.switches = group.switches.filter((id) => !deviceIds.has(id));
    if (group.controls.some((id) => deviceIds.has(id)))
      group.controls = group.controls.filter((id) => !deviceIds.has(id));
    if (group.switches.length === 0 && group.controls.length === 0) delete draft.switchGroups[group.id];
  }
}

const passesRoom = ({ legs }: Route, room: string): boolean => legs.some((leg) => 'room' in leg && leg.room === room);
const passesLevel = ({ legs }: Route, level: string): boolean =>
  legs.some((leg) => leg.kind === 'space' && (leg.over === level || leg.under === level));

/** What was asked, noted and photographed of a room or box: evidence and work stay, without the place that is gone. */
function removeTracesInJob(draft: Draft<House>, collection: 'rooms' | 'boxes', id: string): void {
  const field = collection === 'rooms' ? 'room' : 'box';
  for (const task of Object.values(draft.tasks)) if (task[field] === id) delete task[field];
  for (const comment of Object.values(draft.comments)) if (comment[field] === id) delete comment[field];
  for (const sleeve of Object.values(draft.sleeves))
    for (const end of [sleeve.from, sleeve.to]) {
      if (end.box === id) delete end.box;
      if (end.room === id) end.room = null;
    }
  if (collection === 'boxes') return;
  for (const use of Object.values(draft.uses)) if (use.room === id) delete draft.uses[use.id];
  for (const photo of Object.values(draft.photos))
    if (photo.at.kind !== 'house' && photo.at.room === id) photo.at = { kind: 'house' };
  for (const one of Object.values(draft.inspections))
    if (one.rooms?.includes(id)) {
      const left = one.rooms.filter((room) => room !== id);
      if (left.length > 0) one.rooms = left;
      else delete draft.inspections[one.id];
    }
  for (const { id: decision, change } of Object.values(draft.decisions))
    if (change.kind === 'answer' && change.room === id) delete draft.decisions[decision];
}

function removeOne(draft: Draft<House>, { collection, id }: EntityRef): void {
  if (!Object.hasOwn(draft[collection], id)) return;
  const remove = (other: Collection, otherId: string) => removeOne(draft, { collection: other, id: otherId });
  if (collection === 'levels')
    for (const room of Object.values(draft.rooms)) if (room.level === id) remove('rooms', room.id);
  if (collection === 'rooms')
    for (const part of ['openings', 'features', 'boxes', 'panels'] as const)
      for (const entity of Object.values(draft[part])) if (entity.room === id) remove(part, entity.id);
  const isGone = (one: Route): boolean =>
    (collection === 'levels' && passesLevel(one, id)) ||
    (collection === 'rooms' && passesRoom(one, id)) ||
    (collection === 'boxes' && (one.from === id || one.to === id)) ||
    (collection === 'circuits' && one.circuit === id);
  for (const one of Object.values(draft.routes)) if (isGone(one)) delete draft.routes[one.id];
  if (collection === 'features') {
    for (const panel of Object.values(draft.panels)) if (panel.feature === id) panel.feature = null;
    for (const box of Object.values(draft.boxes))
      if (box.at.kind === 'feature' && box.at.feature === id) remove('boxes', box.id);
  }
  if (collection === 'boxes') {
    for (const cable of Object.values(draft.cables))
      if (cable.from === id || cable.to === id) delete draft.cables[cable.id];
    removeDeviceTraces(draft, new Set(Object.keys(mustGet(draft.boxes, id).devices)));
  }
  if (collection === 'circuits') {
    for (const box of Object.values(draft.boxes))
      for (const device of Object.values(box.devices)) if (device.circuit === id) device.circuit = null;
    for (const cable of Object.values(draft.cables)) if (cable.circuit === id) delete draft.cables[cable.id];
    for (const other of Object.values(draft.circuits))
      if (other.sharesNeutralWith === id) delete other.sharesNeutralWith;
    for (const source of Object.values(draft.sources))
      if (source.circuits?.includes(id)) source.circuits = source.circuits.filter((one) => one !== id);
  }
  if (collection === 'circuits' || collection === 'comments') {
    const field = collection === 'circuits' ? 'circuit' : 'answers';
    for (const comment of Object.values(draft.comments)) {
      if (comment[field] !== id) continue;
      // Answers go with what they answer; what was said of a circuit stays, without it.
      if (field === 'answers') delete draft.comments[comment.id];
      else delete comment[field];
    }
  }
  if (collection === 'panels') {
    for (const circuit of Object.values(draft.circuits))
      if (circuit.panel === id) [circuit.panel, circuit.space] = [null, null];
    for (const feeder of Object.values(draft.feeders))
      if (feeder.from === id || feeder.to === id) remove('feeders', feeder.id);
    for (const source of Object.values(draft.sources)) if (source.panel === id) remove('sources', source.id);
  }
  if (collection === 'rooms' || collection === 'boxes') removeTracesInJob(draft, collection, id);
  if (collection === 'inspections')
    for (const task of Object.values(draft.tasks)) if (task.inspection === id) delete task.inspection;
  if (collection === 'buildings' || collection === 'units') {
    const field = collection === 'buildings' ? 'building' : 'unit';
    for (const room of Object.values(draft.rooms)) if (room[field] === id) delete room[field];
  }
  delete (draft[collection] as Record<string, unknown>)[id];
}

/** Removes entities with everything that cannot stand without them. */
export function removeEntities(house: House, refs: readonly EntityRef[]): Result<Edited> {
  const label =
    refs.length === 1 ? `Delete ${ENTITY_WORDS[itemAt(refs, 0).collection]}` : `Delete ${refs.length} things`;
  const connections = refs.flatMap(({ collection, id }): EntityRef[] => {
    const feature = collection === 'features' ? house.features[id] : undefined;
    const its = feature && ownConnection(house, feature);
    return its ? [{ collection: 'boxes', id: its.box.id }] : [];
  });
  return edit(house, label, (draft) => {
    for (const ref of [...refs, ...connections]) removeOne(draft, ref);
  });
}
