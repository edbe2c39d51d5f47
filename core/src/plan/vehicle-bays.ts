import type { Point } from '../geometry/geometry';
import type { RoomView } from './room-view';
import { pointOnWall, wallLoop } from './wall-loop';

/** The bays of a garage side by side, as its vehicle doors show them. */
interface VehicleBays {
  /** Which bay a place belongs to, from 0. */
  readonly bayOf: (point: Point) => number;
  /** What a bay is called on site: "the west bay". */
  readonly nameOf: (bay: number) => string;
}

/** A door that is narrower for each bay than this leads to cars one behind the other, inches: *common practice*. */
const LEAST_DOOR_A_BAY_IN = 84;

/**
 * Where the bays of a garage lie: between its vehicle doors where there is one for each, otherwise in equal parts along the wall with
 * the doors. Undefined where that cannot be told: no door is drawn, doors in several directions, or cars one behind the other.
 */
export function vehicleBays(view: RoomView, bays: number): VehicleBays | undefined {
  const loop = wallLoop(view.room);
  const doors = view.openings.filter(({ opening }) => opening.kind === 'vehicle');
  const wall = loop.walls.find((one) => one.id === doors[0]?.wall);
  if (!wall || doors.some((one) => one.wall !== wall.id)) return undefined;
  if (doors.reduce((sum, one) => sum + one.widthIn, 0) < bays * LEAST_DOOR_A_BAY_IN) return undefined;
  const isEastWest = Math.abs(wall.unit.x) >= Math.abs(wall.unit.y);
  const sense = Math.sign(isEastWest ? wall.unit.x : wall.unit.y);
  const along = ({ x, y }: Point) => sense * (x * wall.unit.x + y * wall.unit.y);
  const borders = doors.length === bays ? betweenDoors() : equalParts();
  const bayOf = (point: Point) => borders.filter((border) => along(point) > border).length;
  const [first, last] = isEastWest ? ['west', 'east'] : ['north', 'south'];
  const nameOf = (bay: number) =>
    bay === 0 ? `the ${first} bay` : bay === bays - 1 ? `the ${last} bay` : `bay ${bay + 1} from the ${first}`;
  return { bayOf, nameOf };

  function betweenDoors(): number[] {
    const edges = doors
      .map(({ alongIn, widthIn }) => [alongIn, alongIn + widthIn].map((at) => along(pointOnWall(wall!, at))))
      .map(([a, b]) => [Math.min(a!, b!), Math.max(a!, b!)] as const)
      .sort((a, b) => a[0] - b[0]);
    return edges.slice(1).map(([from], i) => (edges[i]![1] + from) / 2);
  }

  function equalParts(): number[] {
    const ends = view.room.corners.map(along);
    const [from, to] = [Math.min(...ends), Math.max(...ends)];
    return Array.from({ length: bays - 1 }, (_, i) => from + ((to - from) * (i + 1)) / bays);
  }
}
