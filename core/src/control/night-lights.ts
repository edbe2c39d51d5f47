import { indexOutlets, type Outlet } from '../circuits/outlets';
import { distance, distanceToSegment, type Point } from '../geometry/geometry';
import type { House, SwitchGroup } from '../house/schema';
import { boxPoint } from '../plan/points';
import type { Passage } from './passages';

/** How far from a doorway a hand still finds a switch, inches: *common practice*. */
const REACH_IN = 48;
/** What is lit by which groups, and where they are switched. */
export interface Lit {
  /** Groups that light a room. */
  readonly byRoom: ReadonlyMap<string, readonly SwitchGroup[]>;
  readonly points: ReadonlyMap<string, readonly { readonly outlet: Outlet; readonly at: Point }[]>;
  readonly roomsOf: ReadonlyMap<string, readonly string[]>;
}

/** The switched lights of a house. */
export function lightsOf(house: House): Lit {
  const { byDevice } = indexOutlets(house);
  const byRoom = new Map<string, SwitchGroup[]>();
  const points = new Map<string, { outlet: Outlet; at: Point }[]>();
  const roomsOf = new Map<string, string[]>();
  for (const group of Object.values(house.switchGroups)) {
    const lights = group.controls
      .flatMap((id) => byDevice.get(id) ?? [])
      .filter(
        (one) => one.device.kind === 'luminaire' || (one.device.kind === 'receptacle' && one.device.switched !== 'no'),
      );
    if (lights.length === 0) continue;
    const rooms = [...new Set(lights.map((one) => one.room.id))];
    roomsOf.set(group.id, rooms);
    for (const room of rooms) byRoom.set(room, [...(byRoom.get(room) ?? []), group]);
    points.set(
      group.id,
      group.switches
        .flatMap((id) => byDevice.get(id) ?? [])
        .map((outlet) => ({ outlet, at: boxPoint(house, outlet.box) })),
    );
  }
  return { byRoom, points, roomsOf };
}

/** Distance from a switch to a passage, on whichever side of the wall it stands. */
const farFrom = (passage: Passage, at: Point): number =>
  passage.edges ? distanceToSegment(at, passage.edges[0], passage.edges[1]) : distance(at, passage.at);

/** A switch that a hand finds when one stands in a passage; a stair's are in the rooms at its two ends. */
export function within(passage: Passage, lit: Lit, group: SwitchGroup): Outlet | undefined {
  return lit.points.get(group.id)?.find(({ outlet, at }) => {
    if (outlet.room.id !== passage.from && outlet.room.id !== passage.to) return false;
    return passage.edges === undefined || farFrom(passage, at) <= REACH_IN;
  })?.outlet;
}
