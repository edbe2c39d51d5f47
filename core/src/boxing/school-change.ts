import type { Draft } from 'immer';
import { indexOutlets, type Outlet } from '../circuits/outlets';
import { edit, type Edited } from '../house/edit';
import type { House, SwitchGroup, Switching } from '../house/schema';
import type { Device } from '../house/schema-equipment';
import type { NewId } from '../house/verbs';
import { viewRoom } from '../plan/room-view';
import { studFaces } from '../plan/studs';
import { fromLoop, toLoop, wallLoop } from '../plan/wall-loop';
import type { Result } from '../units/result';

/** One thing that is drawn otherwise than the schools would have it. */
export interface SchoolChange {
  readonly id: string;
  readonly school: keyof Switching;
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

export const styleOf = ({ device }: Outlet) => (device.kind === 'switch' ? device.style : undefined);
export const isLight = ({ device }: Outlet) => device.kind === 'luminaire';
/** A ceiling fan, or an exhaust fan that is wired in. */
export const isFan = ({ device, load }: Outlet): boolean => device.kind === 'fan' || load?.kind === 'exhaust-fan';

/** Gives a switch another style. */
export const restyle = (one: Outlet, style: string) => (house: House) =>
  edit(house, 'Apply a school', (draft) => {
    const device = draft.boxes[one.box.id]?.devices[one.device.id];
    if (device) Object.assign(device, { style });
  });

/** How far the middle of a box moves when it grows by a gang and its stud stays, inches, with room for a sixteenth. */
const GROWS_IN = 1.9;

/** A device more in a box, beside another: the box grows by a gang, away from the stud that it is nailed to. */
export function addGang(house: House, draft: Draft<House>, boxId: string, device: Device): void {
  const box = draft.boxes[boxId]!;
  box.devices[device.id] = device;
  const gangs = Math.max(box.gangs, Math.min(6, Object.keys(box.devices).length));
  if (box.at.kind === 'wall' && gangs > box.gangs && !box.bracket) {
    const view = viewRoom(house, box.room);
    const loop = wallLoop(view.room);
    const atIn = toLoop(loop, box.at.wall, box.at.alongIn);
    const faces = studFaces(view, box.at.heightIn, gangs).filter((face) => Math.abs(face.atIn - atIn) <= GROWS_IN);
    const [face] = [...faces].sort((a, b) => Math.abs(a.atIn - atIn) - Math.abs(b.atIn - atIn));
    const place = face && fromLoop(loop, face.atIn);
    if (place?.wall.id === box.at.wall) box.at.alongIn = place.alongIn;
    else if (!face) box.bracket = true;
  }
  box.gangs = gangs;
}
