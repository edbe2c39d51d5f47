import { indexOutlets } from '../circuits/outlets';
import { suggestCircuit } from '../circuits/suggest';
import { edit, joinEdits, type Edited } from '../house/edit';
import { sleeveSchema, type House, type SleeveContent } from '../house/schema';
import {
  addEntity,
  assignToCircuit,
  changeBoxes,
  changeDevices,
  changeEntity,
  moveBox,
  placeBoxes,
} from '../edits/verbs';
import type { NewId } from '../house/new-box';
import { connectAppliances } from '../edits/connect-appliances';
import { nearestOnStud } from '../place/nearest-on-stud';
import { boxesOfProposal, proposeForRoom, type PlacementLimits } from '../place/propose';
import { slabConduits } from '../route/slab-conduits';
import { fits, leastSleeve, sleeveFill } from '../service/sleeve-fill';
import { assertNever, refuse, succeed, type Result } from '../units/result';
import { feedPanel } from './feed-panel';
import { effectiveLimits } from './check-house';
import type { Limits } from './rule';
import type { Remedy } from './remedies';

/** The numbers of the wall and counter rules in force, for placing receptacles. Where one is switched off no stretch is long enough for it. */
export function placementLimits(house: House): PlacementLimits {
  return {
    wall: effectiveLimits<PlacementLimits['wall'] & Limits>(house, 'wall-receptacle-spacing') ?? NOWHERE.wall,
    counter:
      effectiveLimits<PlacementLimits['counter'] & Limits>(house, 'counter-receptacle-spacing') ?? NOWHERE.counter,
  };
}
const NOWHERE: PlacementLimits = {
  wall: { reachIn: 0, minWallIn: Infinity },
  counter: { reachIn: 0, minWidthIn: Infinity, maxAboveIn: 0 },
};

function fillRoom(house: House, roomId: string, newId: NewId): Result<Edited> {
  const name = house.rooms[roomId]?.name ?? 'the room';
  const proposal = proposeForRoom(house, roomId, placementLimits(house));
  if (proposal.boxes.length > 0)
    return placeBoxes(house, boxesOfProposal(house, proposal, newId), `Space receptacles in ${name}`);
  return refuse(
    'nowhere',
    `rooms.${roomId}`,
    `No box on a wall of ${name} reaches it: glass to the floor needs a floor receptacle within 18" of it.`,
  );
}

/** A new circuit that fits the devices, with them on it, as one edit. */
export function circuitForDevices(house: House, devices: readonly string[], newId: NewId): Result<Edited> {
  const index = indexOutlets(house);
  const outlets = devices.flatMap((id) => index.byDevice.get(id) ?? []);
  const id = newId('circuit');
  const added = addEntity(house, 'circuits', { ...suggestCircuit(house, outlets), id, panel: null, space: null });
  if (!added.ok) return added;
  const assigned = assignToCircuit(added.value.house, devices, id);
  if (!assigned.ok) return assigned;
  return succeed({
    house: assigned.value.house,
    edit: joinEdits('New circuit', [added.value.edit, assigned.value.edit]),
  });
}

function moveToStud(house: House, boxId: string): Result<Edited> {
  const box = house.boxes[boxId];
  const moved = box && nearestOnStud(house, box);
  if (moved) return moveBox(house, boxId, moved.at);
  return refuse(
    'nowhere',
    `boxes.${boxId}`,
    'No stud\u2019s side of this room is free at that height: place it by hand.',
  );
}

/** Smaller conduit is crushed and clogged when concrete is poured: *common practice*. */
const LEAST_IN_SLAB = '3/4';

/** A sleeve for every conduit that kept routes need in a slab and that is not there yet. */
function setSlabConduits(house: House, newId: NewId): Result<Edited> {
  return edit(house, 'Set conduits in the slab', (draft) => {
    for (const { box, stretches, lengthIn, bendsDeg, sleeve } of slabConduits(house)) {
      if (sleeve) continue;
      const counts = new Map<SleeveContent, number>();
      for (const { cable, wires } of stretches) {
        const what: SleeveContent = `wire ${cable.run.awg}`;
        counts.set(what, (counts.get(what) ?? 0) + wires.length);
      }
      const id = newId('sleeve');
      const conduit = sleeveSchema.parse({
        id,
        name: `Conduit to ${box.tag}`,
        kind: 'pvc-40',
        trade: LEAST_IN_SLAB,
        place: 'slab',
        from: { room: box.room, note: 'box in the wall' },
        to: { room: box.room, box: box.id },
        lengthFt: Math.ceil(lengthIn / 12),
        bendsDeg,
        holds: [...counts].map(([what, count]) => ({ what, count })),
      });
      const fill = sleeveFill(conduit);
      draft.sleeves[id] = fill && fits(fill) ? conduit : { ...conduit, trade: leastSleeve(conduit) ?? conduit.trade };
    }
  });
}

/** Carries out the cure that a finding offers. */
export function applyRemedy(house: House, remedy: Remedy, newId: NewId): Result<Edited> {
  switch (remedy.kind) {
    case 'fill-room':
      return fillRoom(house, remedy.room, newId);
    case 'breaker-follows':
      return changeEntity(house, 'circuits', remedy.circuit, { breaker: 'auto' });
    case 'conductor':
      return changeEntity(house, 'circuits', remedy.circuit, { awg: remedy.awg });
    case 'take-off':
      return assignToCircuit(house, remedy.devices, null);
    case 'mark-continuous':
      return changeEntity(house, 'loads', remedy.load, { continuous: true });
    case 'new-circuit':
      return circuitForDevices(house, remedy.devices, newId);
    case 'set-devices':
      return changeDevices(house, remedy.devices, remedy.changes, remedy.label);
    case 'set-boxes':
      return changeBoxes(house, remedy.boxes, remedy.changes, remedy.label);
    case 'set-rooms':
      return edit(house, remedy.label, (draft) => {
        for (const id of remedy.rooms) if (draft.rooms[id]) Object.assign(draft.rooms[id], remedy.changes);
      });
    case 'set-loads':
      return edit(house, remedy.label, (draft) => {
        for (const id of remedy.loads) if (draft.loads[id]) Object.assign(draft.loads[id], remedy.changes);
      });
    case 'read-conductors':
      return edit(house, remedy.label, (draft) => {
        for (const id of remedy.circuits) delete draft.circuits[id]?.unread;
      });
    case 'common-trip':
      return edit(house, remedy.label, (draft) => {
        for (const id of remedy.circuits) if (draft.circuits[id]) draft.circuits[id].commonTrip = true;
      });
    case 'slab-conduits':
      return setSlabConduits(house, newId);
    case 'connect-appliances':
      return connectAppliances(house, newId);
    case 'feed-panel':
      return feedPanel(house, remedy.panel, newId);
    case 'set-supply':
      return edit(house, remedy.label, (draft) => void Object.assign(draft.supply, remedy.changes));
    case 'set-building':
      return changeEntity(house, 'buildings', remedy.building, remedy.changes);
    case 'set-sleeve':
      return changeEntity(house, 'sleeves', remedy.sleeve, remedy.changes);
    case 'set-feeder':
      return changeEntity(house, 'feeders', remedy.feeder, remedy.changes);
    case 'set-circuit':
      return changeEntity(house, 'circuits', remedy.circuit, remedy.changes);
    case 'move-box':
      return moveToStud(house, remedy.box);
    default:
      return assertNever(remedy);
  }
}
