import { formatLength } from '../units/length';
import type { Box, House, Room } from '../house/schema';
import { inRoom } from '../plan/room-view';
import { describeBox, walkingOrder } from '../walk/walk-sheets';

/** One box at trim: what goes in, and what it is to stand in line with. */
interface TrimLine {
  readonly box: Box;
  readonly what: string;
  readonly aligned: string;
}
interface TrimSheet {
  readonly room: Room;
  readonly boxes: readonly TrimLine[];
  /** Lights whose lamps have a color: those of this room, and in all. */
  readonly lamps: number;
}

/** Luminaires of a room that get lamps or are set to a color. */
const lampsOf = (house: House, room: Room): number =>
  inRoom(house.boxes, room.id).reduce(
    (sum, { state, devices }) =>
      state === 'existing' || state === 'future'
        ? sum
        : sum + Object.values(devices).filter((one) => one.kind === 'luminaire').length,
    0,
  );

/** How many lights of each color are to be set or lamped, kelvin by kelvin; those of which nobody has said it last. */
export function lampColors(house: House): readonly { readonly kelvin: number | undefined; readonly count: number }[] {
  const counts = new Map<number | undefined, number>();
  for (const room of Object.values(house.rooms)) {
    const n = lampsOf(house, room);
    if (n > 0) counts.set(room.lampK, (counts.get(room.lampK) ?? 0) + n);
  }
  return [...counts]
    .map(([kelvin, count]) => ({ kelvin, count }))
    .sort((a, b) => (a.kelvin ?? Infinity) - (b.kelvin ?? Infinity));
}

/** Boxes this near to each other's height on one wall are seen as one line, inches: *common practice*. */
const ONE_LINE_IN = 0.75;

/** Boxes on the same wall at nearly the same height: their plates are seen side by side. */
function alignedWith(house: House, box: Box): string {
  const { at } = box;
  if (at.kind !== 'wall') return '';
  const near = inRoom(house.boxes, box.room).filter(
    (other) =>
      other !== box &&
      other.at.kind === 'wall' &&
      other.at.wall === at.wall &&
      Math.abs(other.at.heightIn - at.heightIn) <= ONE_LINE_IN &&
      at.heightIn > 30,
  );
  if (near.length === 0) return '';
  const high = formatLength(at.heightIn, house.standards.lengths);
  return `in line with ${near.map((one) => one.tag).join(', ')} at ${high}`;
}

/** The plate that covers a box: by its gangs, outdoors its cover. */
export function plateOf({ at, gangs, devices }: Pick<Box, 'at' | 'gangs' | 'devices'>): string {
  if (at.kind === 'ceiling') return 'canopy';
  const covers = Object.values(devices).flatMap((one) => (one.kind === 'receptacle' ? (one.cover ?? []) : []));
  if (covers.includes('in-use')) return 'in-use cover';
  if (covers.includes('flap')) return 'weatherproof cover';
  return at.kind === 'floor' ? 'floor cover' : `${gangs}-gang plate`;
}

/** What is trimmed out, room by room in walking order; existing boxes and those for later are left alone. */
export function trimSheets(house: House): readonly TrimSheet[] {
  return walkingOrder(house)
    .map((room) => ({
      room,
      boxes: inRoom(house.boxes, room.id)
        .filter((box) => box.state !== 'existing' && box.state !== 'future')
        .toSorted((a, b) => a.tag.localeCompare(b.tag, 'en', { numeric: true }))
        .map((box) => ({ box, what: describeBox(box), aligned: alignedWith(house, box) })),
      lamps: lampsOf(house, room),
    }))
    .filter((one) => one.boxes.length > 0);
}
