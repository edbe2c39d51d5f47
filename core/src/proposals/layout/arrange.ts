import { edit, type Edited } from '../../house/edit';
import type { Box, BoxPlace, House } from '../../house/schema';
import { placeBoxes } from '../../edits/verbs';
import type { NewId } from '../../house/new-box';
import { viewRoom } from '../../plan/room-view';
import { halfBoxWidthIn } from '../../plan/framing-sizes';
import { studFaces } from '../../plan/studs';
import { findWall, fromLoop, toLoop, wallLoop, wrapIn } from '../../plan/wall-loop';
import { refuse, type Result } from '../../units/result';
import { roundToSixteenth } from '../../units/length';

const boxesOf = (house: House, ids: readonly string[]): Box[] => ids.flatMap((id) => house.boxes[id] ?? []);

function move(house: House, label: string, places: ReadonlyMap<string, BoxPlace>): Result<Edited> {
  if (places.size === 0) return refuse('nothing', 'boxes', 'Nothing here can be moved so. Select boxes first.');
  return edit(house, label, (draft) => {
    for (const [id, at] of places) draft.boxes[id]!.at = { ...at };
  });
}

/** Moves boxes by inches: along their wall, or on the plan for those in ceilings, floors and features; and in height. */
export function nudgeBoxes(
  house: House,
  ids: readonly string[],
  by: { alongIn?: number; upIn?: number },
): Result<Edited> {
  const { alongIn = 0, upIn = 0 } = by;
  const places = new Map<string, BoxPlace>();
  for (const box of boxesOf(house, ids)) {
    if (box.at.kind === 'wall') {
      const wall = findWall(wallLoop(house.rooms[box.room]!), box.at.wall)!;
      const half = halfBoxWidthIn(box.gangs);
      places.set(box.id, {
        ...box.at,
        alongIn: roundToSixteenth(Math.min(wall.lengthIn - half, Math.max(half, box.at.alongIn + alongIn))),
        heightIn: Math.max(0, box.at.heightIn + upIn),
      });
    } else places.set(box.id, { ...box.at, x: box.at.x + alongIn, y: box.at.y - upIn });
  }
  return move(house, 'Nudge', places);
}

/** Moves boxes on walls to the next stud side, to the right or to the left. */
export function nudgeToStud(house: House, ids: readonly string[], direction: 1 | -1): Result<Edited> {
  const places = new Map<string, BoxPlace>();
  for (const box of boxesOf(house, ids)) {
    if (box.at.kind !== 'wall') continue;
    const view = viewRoom(house, box.room);
    const loop = wallLoop(view.room);
    const atIn = toLoop(loop, box.at.wall, box.at.alongIn);
    const next = studFaces(view, box.at.heightIn, box.gangs)
      .map((face) => ({ at: face.atIn, gap: wrapIn(loop, (face.atIn - atIn) * direction) }))
      .filter(({ gap }) => gap > 0.1)
      .sort((a, b) => a.gap - b.gap)[0];
    if (!next) continue;
    const { wall, alongIn } = fromLoop(loop, next.at);
    places.set(box.id, { ...box.at, wall: wall.id, alongIn: roundToSixteenth(alongIn) });
  }
  return move(house, 'To the next stud', places);
}

/** Brings boxes into line with the first: the same height on walls, the same row or column in a ceiling. */
export function alignBoxes(house: House, ids: readonly string[], how: 'height' | 'row' | 'column'): Result<Edited> {
  const [first, ...others] = boxesOf(house, ids);
  const places = new Map<string, BoxPlace>();
  if (!first) return move(house, 'Align', places);
  for (const { id, at } of others) {
    if (how === 'height' && 'heightIn' in at && 'heightIn' in first.at)
      places.set(id, { ...at, heightIn: first.at.heightIn });
    else if (how === 'row' && 'y' in at && 'y' in first.at) places.set(id, { ...at, y: first.at.y });
    else if (how === 'column' && 'x' in at && 'x' in first.at) places.set(id, { ...at, x: first.at.x });
  }
  return move(house, 'Align', places);
}

/** Spreads boxes evenly between the outermost two: along one wall, or along the longer way of a ceiling. */
export function distributeBoxes(house: House, ids: readonly string[]): Result<Edited> {
  const boxes = boxesOf(house, ids);
  if (boxes.length < 3) return refuse('few', 'boxes', 'Select three boxes or more to spread them evenly.');
  const onWall = boxes.every(
    (box) =>
      box.at.kind === 'wall' && box.at.wall === (boxes[0]!.at as { wall?: string }).wall && box.room === boxes[0]!.room,
  );
  const onPlan = boxes.every((box) => box.at.kind === 'ceiling' || box.at.kind === 'floor');
  if (!onWall && !onPlan)
    return refuse('mixed', 'boxes', 'Select boxes of one wall, or of one ceiling, to spread them evenly.');
  const x = (box: Box) => (box.at as { x: number }).x;
  const y = (box: Box) => (box.at as { y: number }).y;
  const spread = (of: (box: Box) => number) => Math.max(...boxes.map(of)) - Math.min(...boxes.map(of));
  const axis = onWall ? 'alongIn' : spread(x) >= spread(y) ? 'x' : 'y';
  const of = (box: Box) => (box.at as unknown as Record<string, number>)[axis]!;
  const sorted = [...boxes].sort((a, b) => of(a) - of(b));
  const step = (of(sorted.at(-1)!) - of(sorted[0]!)) / (sorted.length - 1);
  const places = new Map<string, BoxPlace>();
  sorted.forEach((box, i) =>
    places.set(box.id, { ...box.at, [axis]: roundToSixteenth(of(sorted[0]!) + i * step) } as BoxPlace),
  );
  return move(house, 'Distribute', places);
}

/** Copies a box along its wall, or across its ceiling, a number of times at a step in inches. */
export function duplicateAlong(house: House, id: string, count: number, stepIn: number, newId: NewId): Result<Edited> {
  const box = house.boxes[id];
  if (!box || count < 1) return refuse('nothing', 'boxes', 'Select one box to duplicate.');
  const loop = wallLoop(house.rooms[box.room]!);
  const boxes = Array.from({ length: Math.min(count, 40) }, (_, i) => {
    const far = stepIn * (i + 1);
    const at: BoxPlace =
      box.at.kind === 'wall'
        ? (() => {
            const place = fromLoop(loop, toLoop(loop, box.at.wall, box.at.alongIn) + far);
            return { ...box.at, wall: place.wall.id, alongIn: roundToSixteenth(place.alongIn) };
          })()
        : { ...box.at, x: box.at.x + far };
    return {
      id: newId('box'),
      room: box.room,
      at,
      origin: 'request' as const,
      devices: Object.values(box.devices).map((device) => ({ ...device, id: newId('device'), circuit: null })),
    };
  });
  return placeBoxes(house, boxes, `Duplicate ${box.tag}`);
}

/** Copies the boxes of a room onto another of the same walls, as they are or mirrored left to right. */
export function copyLayout(house: House, from: string, to: string, mirrored: boolean, newId: NewId): Result<Edited> {
  const [source, target] = [house.rooms[from], house.rooms[to]];
  if (!source || !target || from === to) return refuse('room', 'rooms', 'Choose another room to copy the layout to.');
  const [walls, others] = [wallLoop(source).walls, wallLoop(target).walls];
  if (walls.length !== others.length)
    return refuse(
      'shape',
      'rooms',
      `${target.name} has ${others.length} walls and ${source.name} ${walls.length}: the layout does not fit.`,
    );
  // Mirrored about the vertical: wall i of n (clockwise from the top) becomes wall n - i, walked the other way round.
  const n = walls.length;
  const twin = (i: number) => (mirrored ? others[(n - i) % n]! : others[i]!);
  const bounds = (room: typeof source) => ({
    minX: Math.min(...room.corners.map((one) => one.x)),
    minY: Math.min(...room.corners.map((one) => one.y)),
    maxX: Math.max(...room.corners.map((one) => one.x)),
    maxY: Math.max(...room.corners.map((one) => one.y)),
  });
  const [a, b] = [bounds(source), bounds(target)];
  const boxes = Object.values(house.boxes)
    .filter((box) => box.room === from && box.at.kind !== 'feature')
    .map((box) => {
      let at: BoxPlace = box.at;
      if (box.at.kind === 'wall') {
        const wallId = box.at.wall;
        const i = walls.findIndex((wall) => wall.id === wallId);
        const wall = twin(i);
        const share = box.at.alongIn / walls[i]!.lengthIn;
        at = { ...box.at, wall: wall.id, alongIn: roundToSixteenth((mirrored ? 1 - share : share) * wall.lengthIn) };
      } else if (box.at.kind !== 'feature') {
        const [u, v] = [(box.at.x - a.minX) / (a.maxX - a.minX), (box.at.y - a.minY) / (a.maxY - a.minY)];
        at = {
          ...box.at,
          x: roundToSixteenth(b.minX + (mirrored ? 1 - u : u) * (b.maxX - b.minX)),
          y: roundToSixteenth(b.minY + v * (b.maxY - b.minY)),
        };
      }
      return {
        id: newId('box'),
        room: to,
        at,
        origin: box.origin,
        devices: Object.values(box.devices).map((device) => ({ ...device, id: newId('device'), circuit: null })),
      };
    });
  if (boxes.length === 0) return refuse('empty', 'rooms', `${source.name} has no box to copy.`);
  return placeBoxes(house, boxes, `Copy layout to ${target.name}`);
}
