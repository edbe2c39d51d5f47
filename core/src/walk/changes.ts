import type { Box, House } from '../house/schema';
import { describeBox } from './walk-sheets';
import { formatLength } from '../units/length';

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
  return at.kind === 'feature' ? `on the ${house.features[at.feature]?.name || 'feature'}` : `in the ${at.kind}`;
};

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
        room: now.rooms[is.room]!.name,
        kind: 'added',
        what: `${describeBox(is)}, ${place(now, is)}`,
      });
    else if (was && !is)
      changes.push({ tag: was.tag, room: before.rooms[was.room]!.name, kind: 'removed', what: describeBox(was) });
    else if (was && is) {
      const room = now.rooms[is.room]!.name;
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
  return changes.sort(
    (a, b) => a.room.localeCompare(b.room) || a.tag.localeCompare(b.tag, undefined, { numeric: true }),
  );
}
