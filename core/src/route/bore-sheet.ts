import { narrowBays } from '../plan/studs';
import { viewRoom } from '../plan/room-view';
import { groupBy } from '../units/group-by';
import type { House, Route } from '../house/schema';
import { fromLoop, wallLoop } from '../plan/wall-loop';
import { holesOf, type Hole } from './holes';
import { laidCables } from './laid';
import { platesOf, type BoredPlate } from './plates';

/** A wall with its holes in walking order, and the plates that are bored above and below it. */
interface BoreWall {
  readonly room: string;
  readonly roomName: string;
  readonly level: string;
  readonly wall: string;
  readonly wallName: string;
  readonly holes: readonly Hole[];
  readonly plates: readonly BoredPlate[];
  /** Bits to bring, inches, the smallest first. */
  readonly bits: readonly number[];
  /** Bays that an ordinary drill does not get into: a right-angle drill. */
  readonly narrow: number;
}

/** What is bored, wall by wall in the order in which the rooms are walked. */
export function boreSheet(house: House, routes: Iterable<Route>): readonly BoreWall[] {
  const laid = laidCables(house, routes);
  const holes = groupBy([...holesOf(house, laid)], (one) => `${one.room}/${one.wall}`);
  const plates = groupBy([...platesOf(house, laid)], (one) => `${one.room}/${one.wall}`);
  const walls: BoreWall[] = [];
  for (const room of Object.values(house.rooms)) {
    const loop = wallLoop(room);
    for (const wall of loop.walls) {
      const key = `${room.id}/${wall.id}`;
      const here = holes.get(key) ?? [];
      const through = [...(plates.get(key) ?? [])].sort((a, b) => a.atIn - b.atIn);
      if (here.length === 0 && through.length === 0) continue;
      walls.push({
        room: room.id,
        roomName: room.name,
        level: room.level,
        wall: wall.id,
        wallName: wall.name,
        holes: here,
        plates: through,
        bits: [...new Set(here.map((one) => one.bitIn))].sort((a, b) => a - b),
        narrow: narrowBays(viewRoom(house, room.id)).filter((one) => fromLoop(loop, one.fromIn).wall.id === wall.id)
          .length,
      });
    }
  }
  return walls;
}
