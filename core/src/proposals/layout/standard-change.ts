import { yokesIn } from '../../house/yokes';
import type { Draft } from 'immer';
import { indexOutlets, type Outlet } from '../../circuits/outlets';
import { edit, type Edited } from '../../house/edit';
import type { Box, BoxPlace, House, SwitchGroup, Switching } from '../../house/schema';
import type { Device } from '../../house/schema-equipment';
import type { NewId } from '../../house/new-box';
import { nearestOnStud } from '../../place/nearest-on-stud';
import { inTheWayOf } from '../../plan/blocked-by-framing';
import { viewRoom } from '../../plan/room-view';
import { isFramedAt, studFaces, type StudFace } from '../../plan/studs';
import { fromLoop, toLoop, wallLoop } from '../../plan/wall-loop';
import type { Result } from '../../units/result';

/** One thing that is drawn otherwise than the shop standards would have it. */
export interface StandardChange {
  readonly id: string;
  readonly standard: keyof Switching;
  readonly room: string;
  readonly box: string;
  /** What would be done, in one sentence. */
  readonly words: string;
  readonly apply: (house: House, newId: NewId) => Result<Edited>;
}

/** A switch group with its outlets, as it is drawn. */
export interface Drawn {
  readonly group: SwitchGroup;
  readonly switches: readonly Outlet[];
  readonly controls: readonly Outlet[];
}

/** Every group that has both a switch and something to switch. */
export function drawnGroups(house: House): Drawn[] {
  const { byDevice } = indexOutlets(house);
  const find = (ids: readonly string[]) => ids.flatMap((id) => byDevice.get(id) ?? []);
  return Object.values(house.switchGroups).flatMap((group) => {
    const [switches, controls] = [find(group.switches), find(group.controls)];
    return switches.length > 0 && controls.length > 0 ? [{ group, switches, controls }] : [];
  });
}

/** The style of a switch; undefined for what is none. */
export const styleOf = ({ device }: Outlet) => (device.kind === 'switch' ? device.style : undefined);
/** Whether it is a luminaire. */
export const isLight = ({ device }: Outlet) => device.kind === 'luminaire';
/** A ceiling fan, or an exhaust fan that is wired in. */
export const isFan = ({ device, load }: Outlet): boolean => device.kind === 'fan' || load?.kind === 'exhaust-fan';

/** Gives a switch another style. */
export const restyle = (one: Outlet, style: string) => (house: House) =>
  edit(house, 'Apply a standard', (draft) => {
    const device = draft.boxes[one.box.id]?.devices[one.device.id];
    if (device) Object.assign(device, { style });
  });

/** How far the middle of a box moves when it grows or shrinks by a gang and its stud stays, inches, with room for a sixteenth. */
const MOVES_IN = 1.9;

/** A device more in a box, beside another: the box grows by a gang, away from the stud that it is nailed to. */
export function addGang(house: House, draft: Draft<House>, boxId: string, device: Device): void {
  const box = draft.boxes[boxId]!;
  box.devices[device.id] = device;
  resize(house, box, Math.max(box.gangs, Math.min(6, yokesIn(box))));
}

/** A switch out of its box, which shrinks towards its stud; the box with it when nothing else is in it. */
export function dropDevice(house: House, draft: Draft<House>, boxId: string, device: string): void {
  const box = draft.boxes[boxId]!;
  delete box.devices[device];
  const left = yokesIn(box);
  if (left > 0) return resize(house, box, Math.min(box.gangs, left));
  delete draft.boxes[boxId];
  for (const cable of Object.values(draft.cables))
    if (cable.from === boxId || cable.to === boxId) delete draft.cables[cable.id];
}

function resize(house: House, box: Draft<Box>, gangs: number): void {
  if (box.at.kind === 'wall' && gangs !== box.gangs && isFramedAt(viewRoom(house, box.room), box.at.wall)) {
    const place = placeOfResized(house, { ...box, at: { ...box.at }, gangs } as Box);
    if (place) box.at = { ...place };
    else box.bracket = true;
  }
  box.gangs = gangs;
}

/** Where a box of another width goes; undefined where it stays, on a bracket. */
function placeOfResized(house: House, resized: Box): BoxPlace | undefined {
  if (resized.at.kind !== 'wall') return undefined;
  const view = viewRoom(house, resized.room);
  const loop = wallLoop(view.room);
  const atIn = toLoop(loop, resized.at.wall, resized.at.alongIn);
  const awayIn = (face: StudFace) => Math.abs(face.atIn - atIn);
  const near = resized.bracket
    ? []
    : studFaces(view, resized.at.heightIn, resized.gangs).filter((one) => awayIn(one) <= MOVES_IN);
  if (near.length > 0) {
    const face = near.reduce((best, one) => (awayIn(one) < awayIn(best) ? one : best));
    const { wall, alongIn } = fromLoop(loop, face.atIn);
    return wall.id === resized.at.wall ? { ...resized.at, alongIn } : undefined;
  }
  // Grown on the spot it may reach into the casing of a door.
  return inTheWayOf(view, resized) && nearestOnStud(house, resized)?.at;
}
