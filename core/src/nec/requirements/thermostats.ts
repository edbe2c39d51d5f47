import { indexOutlets, type Outlet } from '../../circuits/outlets';
import type { Box, House, RoomKind } from '../../house/schema';
import type { Load, LoadKind } from '../../house/schema-equipment';
import { OUTDOOR_KINDS } from '../../place/outdoors';
import { shadowsOver } from '../../place/obstructions';
import { facingOf } from '../../plan/facing';
import { viewRoom } from '../../plan/room-view';
import { mustGet } from '../../units/result';

/** A control at line voltage: what feeds the heater runs through it. */
const isLineThermostat = ({ device }: Pick<Outlet, 'device'>): boolean =>
  device.kind === 'switch' && /^line-thermostat/.test(device.style);

/** Whether a box holds a thermostat, of low or of line voltage. */
export const hasThermostat = (box: Box): boolean =>
  Object.values(box.devices).some(
    (device) => (device.kind === 'low-voltage' && device.system === 'thermostat') || isLineThermostat({ device }),
  );
const hasLineThermostat = (box: Box): boolean =>
  Object.values(box.devices).some((device) => isLineThermostat({ device }));

/** Rooms whose own heat or steam a thermostat would follow. One at line voltage governs its own room, whatever that is. */
const MISLEADING: ReadonlySet<RoomKind> = new Set<RoomKind>(['kitchen', 'bathroom', 'half-bath', 'laundry', 'garage']);

/** Whether a box on a wall has a heated room behind it. */
function isInsideWall(house: House, { room, at }: Box): boolean {
  if (at.kind !== 'wall') return true;
  return facingOf(house, mustGet(house.rooms, room)).some(
    ({ other, wall, fromIn, toIn }) =>
      wall.id === at.wall &&
      at.alongIn >= fromIn &&
      at.alongIn <= toIn &&
      !OUTDOOR_KINDS.has(other.kind) &&
      other.kind !== 'garage',
  );
}

type Why = 'outside' | 'heater' | 'room' | 'door' | 'low' | 'high';

/** Why a thermostat in a box would not feel the room; undefined where it does. Heights in inches above the floor. */
export function whyMisled(house: House, box: Box, lowIn: number, highIn: number): Why | undefined {
  if (box.at.kind !== 'wall') return undefined;
  const { wall, alongIn, heightIn } = box.at;
  if (!hasLineThermostat(box) && MISLEADING.has(mustGet(house.rooms, box.room).kind)) return 'room';
  const isOverHeater = Object.values(house.features).some(
    ({ kind, room, at }) =>
      kind === 'baseboard-heater' &&
      room === box.room &&
      at.kind === 'wall' &&
      at.wall === wall &&
      alongIn >= at.alongIn &&
      alongIn <= at.alongIn + at.widthIn,
  );
  if (isOverHeater) return 'heater';
  if (shadowsOver(viewRoom(house, box.room), box).some((one) => /^the open/.test(one.cause))) return 'door';
  if (!isInsideWall(house, box)) return 'outside';
  if (heightIn < lowIn) return 'low';
  return heightIn > highIn ? 'high' : undefined;
}

/** What governs a kind of electric heat: the air of its room, a sensor in the floor, or, in a bath for a while, a switch or timer. */
type HeatKind = 'air' | 'floor' | 'bath';
const ROOM_HEAT: ReadonlyMap<LoadKind, HeatKind> = new Map<LoadKind, HeatKind>([
  ['baseboard-heat', 'air'],
  ['cove-heat', 'air'],
  ['floor-heat', 'floor'],
  ['bath-heater', 'bath'],
]);

/** Whether a kind of equipment heats a room and wants something that governs it. */
export const isRoomHeat = (kind: LoadKind): boolean => ROOM_HEAT.has(kind);

/** An electric heater of a room, with the line-voltage control that feeds it; undefined where none is drawn. */
interface HeatedBy {
  readonly load: Load;
  readonly kind: HeatKind;
  readonly box: Box;
  readonly thermostat: Outlet | undefined;
  /** Some control switches it, whether a thermostat or not. */
  readonly isSwitched: boolean;
}

/** Whether nobody has said what governs a heater: no thermostat feeds it, nor, in a bath, any switch, and none is built in. */
export const isUngoverned = ({ load, kind, thermostat, isSwitched }: HeatedBy): boolean =>
  !thermostat && !load.builtInControl && !(kind === 'bath' && isSwitched);

/** The electric heaters that stand in rooms, each with its control at line voltage. */
export function roomHeaters(house: House): readonly HeatedBy[] {
  const { byDevice } = indexOutlets(house);
  const groups = Object.values(house.switchGroups);
  return Object.values(house.loads).flatMap((load) => {
    const box = house.boxes[load.box];
    const kind = ROOM_HEAT.get(load.kind);
    if (!box || !kind) return [];
    const group = groups.find((one) => one.controls.includes(load.device));
    const thermostat = group?.switches.flatMap((id) => byDevice.get(id) ?? []).find(isLineThermostat);
    return [{ load, kind, box, thermostat, isSwitched: group !== undefined }];
  });
}
