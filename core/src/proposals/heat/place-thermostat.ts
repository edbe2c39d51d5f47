import { distance } from '../../geometry/geometry';
import { edit, joinEdits, type Edited } from '../../house/edit';
import type { Box, House } from '../../house/schema';
import { newDevice } from '../../house/schema-equipment';
import type { NewId } from '../../house/new-box';
import { placeBoxes } from '../../edits/verbs';
import { effectiveLimits } from '../../nec/check-house';
import { isUngoverned, roomHeaters, whyMisled } from '../../nec/requirements/thermostats';
import { latchAlongIn } from '../../plan/latch';
import { viewRoom, wallOf, type RoomView } from '../../plan/room-view';
import { pointOnWall } from '../../plan/wall-loop';
import { refuse, succeed, type Result } from '../../units/result';
import { bestSpot, LAST_RESORT } from '../layout/spots';
import { SIDE_ROOMS } from '../layout/switches';

/** Height of a thermostat above the floor, inches: 52 to 60, *common practice*. */
const HEIGHT_IN = 60;

/** The height wanted, and between which the rule on its place lets it be; a rule that the house has switched off asks for none. */
function heightsOf(house: House) {
  const any = { lowIn: 0, highIn: Infinity };
  const { lowIn, highIn } = effectiveLimits<typeof any>(house, 'thermostat-place') ?? any;
  return { heightIn: Math.min(Math.max(HEIGHT_IN, lowIn), highIn), lowIn, highIn };
}

/** Where one comes in: at the latch of each door, in the middle of each open side. Ways to a room's own closet or bath are none. */
function waysIn(house: House, view: RoomView) {
  const all = view.ways.filter((way) => way.kind !== 'vehicle');
  const main = all.filter(({ behind }) => behind === undefined || !SIDE_ROOMS.test(house.rooms[behind]!.kind));
  return (main.length > 0 ? main : all).map((way) => {
    const wall = wallOf(view, way.wall);
    const latch = way.seen ? latchAlongIn(way.seen, wall.lengthIn).alongIn : way.alongIn + way.widthIn / 2;
    return pointOnWall(wall, latch);
  });
}

/**
 * Heaters of a room that a thermostat is still to be placed for: by the air first, then those in the floor, which want their own. What
 * another control switches stays in its group, since no device is in two; a bath's heater wants a switch or timer instead.
 */
export function heatersToGovern(house: House, roomId: string) {
  const open = roomHeaters(house).filter((one) => one.box.room === roomId && isUngoverned(one) && !one.isSwitched);
  const byAir = open.filter((one) => one.kind === 'air');
  return byAir.length > 0 ? byAir : open.filter((one) => one.kind === 'floor');
}

/**
 * One thermostat at line voltage for the electric heaters of a room that have none, as one edit: two-pole at 240 V, so that its *off*
 * opens both hots (NEC 424.20(A)), near the way in on an inside wall where there is one, never over a heater or behind a door. It goes
 * on the circuit of the heaters, in a group with them.
 * @returns a refusal where there is nothing to govern, or heaters of both voltages or of several circuits
 */
export function placeThermostat(house: House, roomId: string, newId: NewId): Result<Edited> {
  const heaters = heatersToGovern(house, roomId);
  const [first] = heaters;
  if (!first)
    return refuse(
      'no-heater',
      `rooms.${roomId}`,
      'No electric heater of this room is without one. Put in heaters first.',
    );
  const circuitOf = ({ box, load }: (typeof heaters)[number]) => {
    const device = box.devices[load.device];
    return device && 'circuit' in device ? device.circuit : null;
  };
  if (heaters.some((one) => one.load.volts !== first.load.volts || circuitOf(one) !== circuitOf(first)))
    return refuse(
      'apart',
      `rooms.${roomId}`,
      'The heaters of this room are of two voltages or on two circuits: one thermostat breaks one circuit. Put them on one.',
    );
  const device = newDevice('switch', newId('device'), {
    style: first.load.volts === 240 ? 'line-thermostat-2' : 'line-thermostat',
    circuit: circuitOf(first),
  });
  const view = viewRoom(house, roomId);
  const ways = waysIn(house, view);
  const box = newId('box');
  const asBox = (at: Box['at']): Box => ({ ...first.box, id: box, at, gangs: 1, devices: { [device.id]: device } });
  const { heightIn, lowIn, highIn } = heightsOf(house);
  const spot = bestSpot(house, roomId, {
    heightIn,
    cost: ({ at, point }) => {
      const why = whyMisled(house, asBox(at), lowIn, highIn);
      if (why === 'heater' || why === 'door') return undefined;
      const near = ways.length > 0 ? Math.min(...ways.map((way) => distance(way, point))) : 0;
      return near + (why === 'outside' ? LAST_RESORT : 0);
    },
  });
  if (!spot)
    return refuse(
      'nowhere',
      `rooms.${roomId}`,
      'No wall of this room is free for a thermostat, clear of heaters and doors.',
    );
  const placed = placeBoxes(house, [
    { id: box, room: roomId, at: spot.at, origin: first.box.origin, devices: [device], bracket: spot.bracket },
  ]);
  if (!placed.ok) return placed;
  const group = newId('group');
  const joined = edit(placed.value.house, 'Join the heaters', (draft) => {
    const controls = heaters.map((one) => one.load.device);
    const name = `${house.rooms[roomId]!.name} heat`.slice(0, 80);
    draft.switchGroups[group] = { id: group, name, switches: [device.id], controls };
  });
  if (!joined.ok) return joined;
  const steps = [placed.value.edit, joined.value.edit];
  return succeed({ house: joined.value.house, edit: joinEdits('Place thermostat', steps) });
}
