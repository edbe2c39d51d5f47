import { latchAlongIn } from '../plan/latch';
import { viewRoom, wallOf } from '../plan/room-view';
import { fromLoop, toLoop, wallLoop, wrapIn } from '../plan/wall-loop';
import type { House, Room } from '../house/schema';
import { usualHeightIn } from '../place/receptacles';
import { formatLength, parseLength } from '../units/length';
import { given, mustGet, refuse, type Result, succeed } from '../units/result';

type TypedKind = 'receptacle' | 'switch' | 'luminaire' | 'alarm';

/** A box as it is called out: what is in it, how far along the walls of the room, and how high. */
export interface TypedBox {
  /** What to set down; undefined where the line only walks on. */
  readonly kind: TypedKind | undefined;
  /** Devices in it, each a gang. */
  readonly count: number;
  readonly gfci: boolean;
  readonly atLoopIn: number;
  /** To its middle, inches over the floor; the usual one of its kind where nothing is said. */
  readonly heightIn: number | undefined;
  /** What will happen, as one would say it back. */
  readonly sentence: string;
}

const KINDS: Readonly<Record<string, readonly [kind: TypedKind, count: number, gfci: boolean]>> = {
  r: ['receptacle', 1, false],
  receptacle: ['receptacle', 1, false],
  duplex: ['receptacle', 1, false],
  quad: ['receptacle', 2, false],
  gfci: ['receptacle', 1, true],
  g: ['receptacle', 1, true],
  s: ['switch', 1, false],
  switch: ['switch', 1, false],
  l: ['luminaire', 1, false],
  light: ['luminaire', 1, false],
  a: ['alarm', 1, false],
  alarm: ['alarm', 1, false],
};
const WORDS = Object.keys(KINDS).toSorted((a, b) => b.length - a.length);
const FORM = new RegExp(
  `^(?:(?<count>\\d)?\\s*(?<word>${WORDS.join('|')})(?![a-z]))?\\s*(?<back>-)?\\s*(?<rest>.*)$`,
  'i',
);
const MOST_GANGS = 6;
const HELP = 'Type R, GFCI, S, L or A and a distance: R 7\'-8, R 4\' 44", 2S 6" latch.';
/** Two boxes in one place: nearer than a box is wide, and about as high. Inches. */
const SAME_ALONG_IN = 2;
const SAME_HEIGHT_IN = 4;

/**
 * A distance, and a height where a second length follows it: `4' 44"`, `48 44`, `4'-6 at 44`. Inches that belong to the feet before them
 * are no height.
 */
function readLengths(text: string): Result<{ along: number | undefined; height: number | undefined }> {
  const apart = /^(?<along>.*?)\s*(?:@|\bat\b|\bhigh\b)\s*(?<height>.+)$/i.exec(text)?.groups;
  const both = (along: string, height: string): Result<{ along: number | undefined; height: number | undefined }> => {
    const first = along.trim() === '' ? succeed(undefined) : parseLength(along, 'Distance');
    if (!first.ok) return first;
    const second = parseLength(height, 'Height');
    return second.ok ? succeed({ along: first.value, height: second.value }) : second;
  };
  if (apart) return both(mustGet(apart, 'along'), mustGet(apart, 'height'));
  if (text === '') return succeed({ along: undefined, height: undefined });
  const whole = parseLength(text, 'Distance');
  if (whole.ok) return succeed({ along: whole.value, height: undefined });
  const cut = text.lastIndexOf(' ');
  const split = cut < 0 ? whole : both(text.slice(0, cut), text.slice(cut + 1));
  return split.ok ? split : whole;
}

/** The place of the latch jamb of the door that is nearest along the walls, and the way along them that leads away from the door. */
function nearestLatch(house: House, room: Room, cursorIn: number) {
  const view = viewRoom(house, room.id);
  const loop = wallLoop(room);
  const latches = view.ways.flatMap((way) => {
    if (!way.seen) return [];
    const { alongIn, outward } = latchAlongIn(way.seen, wallOf(view, way.wall).lengthIn);
    const atIn = toLoop(loop, way.wall, alongIn);
    const gap = wrapIn(loop, atIn - cursorIn);
    const to = way.behind === undefined ? 'outside' : mustGet(house.rooms, way.behind).name;
    return [{ atIn, outward, to, gap: Math.min(gap, loop.lengthIn - gap) }];
  });
  return latches.toSorted((a, b) => a.gap - b.gap)[0];
}

function boxInTheWay(house: House, room: Room, kind: TypedKind, atLoopIn: number, heightIn: number | undefined) {
  if (kind !== 'receptacle' && kind !== 'switch') return undefined;
  const { wall, alongIn } = fromLoop(wallLoop(room), atLoopIn);
  const usual = kind === 'switch' ? house.standards.switchHeightIn : usualHeightIn(room, house.standards);
  return Object.values(house.boxes).find(
    ({ room: id, at }) =>
      id === room.id &&
      at.kind === 'wall' &&
      at.wall === wall.id &&
      Math.abs(at.alongIn - alongIn) < SAME_ALONG_IN &&
      Math.abs(at.heightIn - (heightIn ?? usual)) < SAME_HEIGHT_IN,
  );
}

/**
 * Reads what is called out at the wall strip: what to set down and how far along the wall from the last place, around corners too
 * (`R 7'-8`), how high (`R 4' 44"`), how many gangs (`2S`), or from the latch jamb of the nearest door (`2S 6" latch`).
 *
 * @param cursorIn The last place, inches along the room's loop.
 */
export function readTypedBox(house: House, room: Room, cursorIn: number, text: string): Result<TypedBox> {
  const read = given(given(FORM.exec(text.trim())).groups);
  const [kind, each, gfci] = KINDS[read['word']?.toLowerCase() ?? ''] ?? [undefined, 1, false];
  const count = each * Number(read['count'] ?? 1);
  const isLatch = /\blatch\b/i.test(mustGet(read, 'rest'));
  const rest = mustGet(read, 'rest')
    .replace(/\blatch\b/i, '')
    .trim();
  if (!kind && rest === '') return refuse('form', 'tape', HELP);
  if (kind && (count < 1 || count > MOST_GANGS))
    return refuse('gangs', 'tape', `${count} in one box is not made: one to ${MOST_GANGS} gangs are.`);
  const lengths = readLengths(rest);
  if (!lengths.ok) return lengths;
  const { along, height } = lengths.value;
  const { level } = viewRoom(house, room.id);
  const show = (lengthIn: number) => formatLength(lengthIn, house.standards.lengths);
  if (height !== undefined && height > level.ceilingIn)
    return refuse(
      'too-high',
      'tape',
      `${show(height)} is over the ceiling of ${room.name} (${show(level.ceilingIn)}).`,
    );
  if (height !== undefined && kind !== 'receptacle' && kind !== 'switch')
    return refuse('height', 'tape', 'Only receptacles and switches are called out with a height.');
  const loop = wallLoop(room);
  if ((along ?? 0) > loop.lengthIn)
    return refuse(
      'too-far',
      'tape',
      `${show(given(along))} is more than once around ${room.name} (${show(loop.lengthIn)}).`,
    );
  const latch = isLatch ? nearestLatch(house, room, cursorIn) : undefined;
  if (isLatch && !latch) return refuse('latch', 'tape', `${room.name} has no door whose latch one could measure from.`);
  const atLoopIn = latch
    ? wrapIn(loop, latch.atIn + latch.outward * (along ?? house.standards.switchFromJambIn))
    : wrapIn(loop, cursorIn + (read['back'] ? -(along ?? 0) : (along ?? 0)));
  const { wall, alongIn } = fromLoop(loop, atLoopIn);
  const inTheWay = kind && boxInTheWay(house, room, kind, atLoopIn, height);
  if (inTheWay)
    return refuse(
      'taken',
      'tape',
      `${inTheWay.tag} stands there already. Type a distance to go on by, or - to go back.`,
    );
  const what = gfci ? 'GFCI receptacle' : kind === 'luminaire' ? 'light' : kind;
  const gangs = count > 1 ? `${count} ${kind === 'switch' ? 'switches' : `${what}s`} in one box` : what;
  return succeed({
    kind,
    count,
    gfci,
    atLoopIn,
    heightIn: height,
    sentence: `${kind ? `${gangs} at ` : 'walk to '}${show(alongIn)} along the ${wall.name} wall of ${room.name}${
      height === undefined ? '' : `, ${show(height)} high`
    }${latch ? `, from the latch of the door to ${latch.to}` : ''}`,
  });
}
