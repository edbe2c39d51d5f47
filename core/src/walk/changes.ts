import { boundsOf } from '../geometry/geometry';
import type { Box, House } from '../house/schema';
import { describeBox } from './walk-sheets';
import { formatLength } from '../units/length';
import { given, mustGet } from '../units/result';

/** What became of one box since a signed revision. */
interface BoxChange {
  readonly tag: string;
  readonly room: string;
  readonly kind: 'added' | 'removed' | 'moved' | 'changed';
  readonly what: string;
}

const place = (house: House, box: Box): string => {
  const show = (inches: number) => formatLength(inches, house.standards.lengths);
  const { at } = box;
  if (at.kind === 'wall') return `${show(at.alongIn)} along, ${show(at.heightIn)} high`;
  const { minX, minY } = boundsOf(mustGet(house.rooms, box.room).corners);
  const where = `${show(at.x - minX)} from the west, ${show(at.y - minY)} from the north`;
  return at.kind === 'feature'
    ? `on the ${house.features[at.feature]?.name || 'feature'}, ${where}, ${show(at.heightIn)} high`
    : `in the ${at.kind}, ${where}`;
};

/** The boxes of a switch group by their tags: its switches, and what they govern. */
function switchingOf(house: House, id: string): { readonly words: string; readonly first: Box | undefined } {
  const group = house.switchGroups[id];
  if (!group) return { words: '', first: undefined };
  const boxOf = (device: string) => Object.values(house.boxes).find((box) => Object.hasOwn(box.devices, device));
  const tags = (devices: readonly string[]) =>
    devices.flatMap((device) => boxOf(device)?.tag ?? []).join(', ') || 'nothing';
  const first = [...group.switches, ...group.controls].map(boxOf).find((box) => box !== undefined);
  return { words: `${tags(group.switches)} governs ${tags(group.controls)}`, first };
}

/** What is switched by what otherwise than it was signed, group by group. */
function switchingChanges(before: House, now: House): BoxChange[] {
  const ids = new Set([...Object.keys(before.switchGroups), ...Object.keys(now.switchGroups)]);
  return [...ids].flatMap((id): BoxChange[] => {
    const [was, is] = [switchingOf(before, id), switchingOf(now, id)];
    const box = is.first ?? was.first;
    if (was.words === is.words || !box) return [];
    const name = given(now.switchGroups[id] ?? before.switchGroups[id]).name;
    return [
      {
        tag: box.tag,
        room: given(now.rooms[box.room] ?? before.rooms[box.room]).name,
        kind: 'changed',
        what: `switching of ${name}: ${was.words || 'none'} → ${is.words || 'none'}`,
      },
    ];
  });
}

/** What is drawn of a box, without its circuit, its progress on site and its number of volume: what a signature covers. */
const contents = (box: Box): string =>
  JSON.stringify([
    describeBox(box),
    box.gangs,
    box.state ?? '',
    box.type ?? '',
    box.note ?? '',
    box.bracket ?? false,
    box.inCabinet ?? false,
  ]);

/** The changes of boxes from one house to a later one, by room and tag. */
export function changesSince(before: House, now: House): BoxChange[] {
  const ids = new Set([...Object.keys(before.boxes), ...Object.keys(now.boxes)]);
  const changes: BoxChange[] = [];
  for (const id of ids) {
    const [was, is] = [before.boxes[id], now.boxes[id]];
    if (!was && is)
      changes.push({
        tag: is.tag,
        room: mustGet(now.rooms, is.room).name,
        kind: 'added',
        what: `${describeBox(is)}, ${place(now, is)}`,
      });
    else if (was && !is)
      changes.push({
        tag: was.tag,
        room: mustGet(before.rooms, was.room).name,
        kind: 'removed',
        what: describeBox(was),
      });
    else if (was && is) {
      const room = mustGet(now.rooms, is.room).name;
      if (JSON.stringify(was.at) !== JSON.stringify(is.at) || was.room !== is.room)
        changes.push({ tag: is.tag, room, kind: 'moved', what: `${place(before, was)} → ${place(now, is)}` });
      if (contents(was) !== contents(is))
        changes.push({
          tag: is.tag,
          room,
          kind: 'changed',
          what:
            describeBox(was) === describeBox(is)
              ? [is.state ?? 'settled', is.note].filter(Boolean).join(', ')
              : `${describeBox(was)} → ${describeBox(is)}`,
        });
    }
  }
  changes.push(...switchingChanges(before, now));
  return changes.sort(
    (a, b) => a.room.localeCompare(b.room) || a.tag.localeCompare(b.tag, undefined, { numeric: true }),
  );
}
