import type { Circuit } from '../house/schema';
import type { Outlet } from '../circuits/outlets';

const listed = (words: readonly string[]): string =>
  words.length <= 1 ? (words[0] ?? '') : `${words.slice(0, -1).join(', ')} and ${words.at(-1)}`;

/** "door opener" for a garage door opener in the garage: the room is named already. */
function nameLoad(load: string, room: string): string {
  const [name, prefix] = [load.toLowerCase(), `${room.toLowerCase()} `];
  return name.startsWith(prefix) ? name.slice(prefix.length) : name;
}

function usesIn(outlets: readonly Outlet[]): string[] {
  const loads = [...new Set(outlets.flatMap(({ load, room }) => (load ? [nameLoad(load.name, room.name)] : [])))];
  const has = (kind: string) => outlets.some((outlet) => outlet.device.kind === kind && !outlet.load);
  return [
    ...loads,
    ...(has('receptacle') ? ['receptacles'] : []),
    ...(has('luminaire') ? ['lights'] : []),
    ...(has('fan') ? ['fan'] : []),
    ...(has('alarm') ? ['alarms'] : []),
  ];
}

/**
 * A directory entry that a stranger understands, from rooms and uses: NEC 408.4(A) asks for a clear, evident and specific
 * purpose. Rooms with the same uses are named together.
 *
 * @example "Bedroom 1 and Bedroom 2 receptacles, lights; Hall lights"
 */
export function writeDirectoryEntry(circuit: Circuit, outlets: readonly Outlet[]): string {
  const byUses = new Map<string, string[]>();
  const rooms = [...new Set(outlets.map((outlet) => outlet.room))];
  for (const room of rooms) {
    const uses = usesIn(outlets.filter((outlet) => outlet.room === room)).join(', ');
    if (uses) byUses.set(uses, [...(byUses.get(uses) ?? []), room.name]);
  }
  const text = [...byUses].map(([uses, names]) => `${listed(names)} ${uses}`).join('; ');
  return text || `${circuit.name} (nothing on it yet)`;
}
