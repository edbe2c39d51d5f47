import type { Draft } from 'immer';
import { edit, joinEdits, type Edited } from '../house/edit';
import { itemAt, mustGet, type Result, succeed } from '../units/result';
import { onStud, ownConnection } from '../loads/hookups';
import type { Box, Feature, House } from '../house/schema';
import { featureOutline } from '../plan/points';

const frameOf = (house: House, feature: Feature) => {
  const corners = featureOutline(mustGet(house.rooms, feature.room), feature);
  const origin = itemAt(corners, 0);
  const axis = (to: { x: number; y: number }) => {
    const [x, y] = [to.x - origin.x, to.y - origin.y];
    return { x, y, square: x * x + y * y };
  };
  return { origin, right: axis(itemAt(corners, 1)), down: axis(itemAt(corners, 3)) };
};

/**
 * Boxes on an island or a cabinet go where it goes, and stay on the side that they are on when it is made larger: their place
 * on the plan is kept as a share of its width and depth. Call it in a recipe after the features of `ids` have been changed or their walls moved.
 */
export function carryBoxes(draft: Draft<House>, before: House, ids: ReadonlySet<string>): void {
  for (const { id, at } of Object.values(before.boxes)) {
    if (at.kind !== 'feature' || !ids.has(at.feature)) continue;
    const [was, is, box] = [before.features[at.feature], draft.features[at.feature], draft.boxes[id]];
    if (!was || !is || box?.at.kind !== 'feature') continue;
    const [old, now] = [frameOf(before, was), frameOf(draft as House, is as Feature)];
    const [x, y] = [at.x - old.origin.x, at.y - old.origin.y];
    const across = (x * old.right.x + y * old.right.y) / old.right.square;
    const along = (x * old.down.x + y * old.down.y) / old.down.square;
    const put = (axis: 'x' | 'y') =>
      Math.round((now.origin[axis] + across * now.right[axis] + along * now.down[axis]) * 16) / 16;
    Object.assign(box.at, { x: put('x'), y: put('y') });
  }
}

/**
 * The box that an appliance connects to goes with it: as far along the wall, onto another wall, over or under it where it stands
 * free, and onto a stud again.
 */
export function carryConnection(before: House, moved: Edited, id: string): Result<Edited> {
  const { house } = moved;
  const [was, is] = [before.features[id], house.features[id]];
  const had = was && ownConnection(before, was);
  if (!had || !is || was.room !== is.room) return succeed(moved);
  const at = movedWith(had.box, was, is);
  if (!at) return succeed(moved);
  const { bracket: _bracket, ...bare } = { ...had.box, at };
  // Thought of without itself, so that its old place is free.
  const { [bare.id]: _itself, ...boxes } = house.boxes;
  const box = at.kind === 'wall' ? onStud({ ...house, boxes }, is, bare) : bare;
  const carried = edit(house, moved.edit.label, (draft) => void (draft.boxes[box.id] = box));
  if (!carried.ok) return succeed(moved);
  return succeed({ house: carried.value.house, edit: joinEdits(moved.edit.label, [moved.edit, carried.value.edit]) });
}

function movedWith({ at }: Box, was: Feature, is: Feature): Box['at'] | undefined {
  const [from, to] = [was.at, is.at];
  if (from.kind === 'wall' && to.kind === 'wall' && at.kind === 'wall') {
    if (at.wall !== from.wall || from.acrossCorner || to.acrossCorner) return undefined;
    const alongIn = Math.max(0, at.alongIn + to.alongIn + to.widthIn / 2 - from.alongIn - from.widthIn / 2);
    return from.wall === to.wall && alongIn === at.alongIn ? undefined : { ...at, wall: to.wall, alongIn };
  }
  if (from.kind !== 'free' || to.kind !== 'free' || (at.kind !== 'ceiling' && at.kind !== 'floor')) return undefined;
  const [dx, dy] = [
    to.x + to.widthIn / 2 - from.x - from.widthIn / 2,
    to.y + to.depthIn / 2 - from.y - from.depthIn / 2,
  ];
  return dx === 0 && dy === 0 ? undefined : { ...at, x: at.x + dx, y: at.y + dy };
}
