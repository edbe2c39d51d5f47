import { PHASES, type House, type Photo, type Room } from '../house/schema';
import { inRoom } from '../plan/room-view';
import { wallLoop } from '../plan/wall-loop';
import { walkingOrder } from '../walk/walk-sheets';

/** What is shown of the walls of a room before they are closed. */
export interface RoomEvidence {
  readonly room: Room;
  readonly walls: readonly {
    readonly wall: string;
    readonly name: string;
    readonly boxes: number;
    readonly photos: readonly Photo[];
  }[];
  /** Photos of a point in the room, ceiling and floor. */
  readonly points: readonly Photo[];
  /** Walls with boxes that nobody has photographed open. */
  readonly missing: readonly string[];
}

/** A photo shows what is behind the drywall when it was taken before the wall was closed, with cables in it. */
const isOpenWall = ({ phase }: Photo): boolean =>
  PHASES.indexOf(phase) >= PHASES.indexOf('bored') && PHASES.indexOf(phase) <= PHASES.indexOf('insulation');

function nameAmong(name: string, at: number, all: readonly string[]): string {
  const alike = all.flatMap((other, i) => (other === name ? [i] : []));
  return alike.length > 1 ? `${name} ${alike.indexOf(at) + 1}` : name;
}

/** The photos of a room by wall, and the walls that none shows open. */
export function evidenceOf(house: House, room: Room): RoomEvidence {
  const photos = Object.values(house.photos).filter(({ at }) => at.kind !== 'house' && at.room === room.id);
  const boxes = inRoom(house.boxes, room.id).filter((box) => box.state !== 'existing');
  const walls = wallLoop(room)
    .walls.filter((one) => one.boundary === 'solid')
    .map(({ id, name }, i, all) => ({
      wall: id,
      // Of two that face the same way, the first and the second as one walks.
      name: nameAmong(
        name,
        i,
        all.map((one) => one.name),
      ),
      boxes: boxes.filter((box) => box.at.kind === 'wall' && box.at.wall === id).length,
      photos: photos.filter(({ at }) => at.kind === 'wall' && at.wall === id),
    }));
  return {
    room,
    walls,
    points: photos.filter(({ at }) => at.kind === 'point'),
    missing: walls.filter((one) => one.boxes > 0 && !one.photos.some(isOpenWall)).map((one) => one.wall),
  };
}

/** Every room with walls that carry boxes, in walking order. */
export const evidenceOfHouse = (house: House): readonly RoomEvidence[] =>
  walkingOrder(house)
    .map((room) => evidenceOf(house, room))
    .filter((one) => one.walls.some((wall) => wall.boxes + wall.photos.length > 0) || one.points.length > 0);
