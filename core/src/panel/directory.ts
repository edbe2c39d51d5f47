import type { Circuit } from '../house/schema';
import type { Outlet } from '../circuits/outlets';
import { wallLoop } from '../plan/wall-loop';
import { groupBy } from '../units/group-by';
import { itemAt } from '../units/result';

const listed = (words: readonly string[]): string =>
  words.length <= 1 ? (words[0] ?? '') : `${words.slice(0, -1).join(', ')} and ${words.at(-1)}`;

/** "door opener" for a garage door opener in the garage: the room is named already. */
function nameLoad(load: string, room: string): string {
  const [name, prefix] = [load.toLowerCase(), `${room.toLowerCase()} `];
  return name.startsWith(prefix) ? name.slice(prefix.length) : name;
}

const isPlainReceptacle = ({ device, load }: Outlet): boolean => device.kind === 'receptacle' && !load;
const nth = (n: number): string => `${n}${n === 1 ? 'st' : n === 2 ? 'nd' : n === 3 ? 'rd' : 'th'}`;

/**
 * Which of a room's receptacles are meant where two circuits share them, by wall and, where they share a wall, by their order on it
 * from the left as one faces it: "north wall, east wall 1st and 3rd". Empty where the room has them on one circuit alone.
 */
function partOf(mine: readonly Outlet[], all: readonly Outlet[]): string {
  // One that is on no circuit yet is nobody else's.
  const plain = all.filter((one) => isPlainReceptacle(one) && one.device.circuit !== null);
  const own = new Set(mine.filter(isPlainReceptacle).map((one) => one.box));
  if (plain.every((one) => own.has(one.box))) return '';
  const loop = wallLoop(itemAt(mine, 0).room);
  const boxes = [...new Set(plain.map((one) => one.box))];
  // A room may have two south walls: a stranger counts along both, in the order in which they come.
  const parts = [...groupBy(loop.walls, (wall) => wall.name)].flatMap(([name, walls]) => {
    const here = walls.flatMap((wall) =>
      boxes
        .flatMap((box) => (box.at.kind === 'wall' && box.at.wall === wall.id ? [{ box, at: box.at.alongIn }] : []))
        .sort((one, other) => one.at - other.at),
    );
    const places = here.flatMap(({ box }, i) => (own.has(box) ? [nth(i + 1)] : []));
    if (places.length === 0) return [];
    return [`${name} wall${places.length === here.length ? '' : ` ${listed(places)}`}`];
  });
  const elsewhere = [...own].some((box) => box.at.kind !== 'wall') ? ['away from the walls'] : [];
  return listed([...parts, ...elsewhere]);
}

function usesIn(outlets: readonly Outlet[], all: readonly Outlet[]): string[] {
  const loads = [...new Set(outlets.flatMap(({ load, room }) => (load ? [nameLoad(load.name, room.name)] : [])))];
  const has = (kind: string) => outlets.some((outlet) => outlet.device.kind === kind && !outlet.load);
  return [
    ...loads,
    ...(has('receptacle') ? [`${partOf(outlets, all)} receptacles`.trim()] : []),
    ...(has('luminaire') ? ['lights'] : []),
    ...(has('fan') ? ['fan'] : []),
    ...(has('alarm') ? ['alarms'] : []),
  ];
}

/**
 * A directory entry that a stranger understands, from rooms and uses: NEC 408.4(A) asks for a clear, evident and specific
 * purpose, and no two entries that a stranger cannot tell apart. Rooms with the same uses are named together; where a room has receptacles
 * on two circuits, each entry says which.
 *
 * @param inRoom All outlets of a room, whichever circuit they are on.
 * @example "Bedroom 1 and Bedroom 2 receptacles, lights; Hall lights"
 */
export function writeDirectoryEntry(
  circuit: Circuit,
  outlets: readonly Outlet[],
  inRoom: (room: string) => readonly Outlet[],
): string {
  const byUses = new Map<string, string[]>();
  const rooms = [...new Set(outlets.map((outlet) => outlet.room))];
  for (const room of rooms) {
    const uses = usesIn(
      outlets.filter((outlet) => outlet.room === room),
      inRoom(room.id),
    ).join(', ');
    if (uses) byUses.set(uses, [...(byUses.get(uses) ?? []), room.name]);
  }
  const text = [...byUses].map(([uses, names]) => `${listed(names)} ${uses}`).join('; ');
  return text || `${circuit.name} (nothing on it yet)`;
}
