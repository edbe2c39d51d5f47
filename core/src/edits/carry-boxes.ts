import type { Draft } from 'immer';
import type { Feature, House } from '../house/schema';
import { featureOutline } from '../plan/points';

const frameOf = (house: House, feature: Feature) => {
  const [origin, right, , down] = featureOutline(house.rooms[feature.room]!, feature);
  const axis = (to: { x: number; y: number }) => {
    const [x, y] = [to.x - origin!.x, to.y - origin!.y];
    return { x, y, square: x * x + y * y };
  };
  return { origin: origin!, right: axis(right!), down: axis(down!) };
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
