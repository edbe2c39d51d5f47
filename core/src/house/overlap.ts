import type { Patch } from 'immer';
import { inPresentWords } from './version-1';

/** Where a patch acts, for finding clashes. Arrays shift under their indices, so a path ends where one begins. */
function reachOf(patch: Patch): (string | number)[] {
  const index = patch.path.findIndex((part) => typeof part === 'number');
  return index < 0 ? patch.path : patch.path.slice(0, index);
}

/** The places that patches touch, as a tree by the parts of their paths. */
interface Place {
  readonly below: Map<string, Place>;
  /** A patch acts on all of it. */
  isTouched: boolean;
}

const newPlace = (): Place => ({ below: new Map(), isTouched: false });

function placesOf(patches: readonly Patch[]): Place {
  const root = newPlace();
  for (const patch of patches) {
    let place = root;
    for (const part of reachOf(patch)) {
      let next = place.below.get(String(part));
      if (!next) place.below.set(String(part), (next = newPlace()));
      place = next;
    }
    place.isTouched = true;
  }
  return root;
}

/** Whether a patch acts on a place of the tree, on something above one, or on something below a place that is touched. */
function meets(root: Place, patch: Patch): boolean {
  let place = root;
  if (place.isTouched) return true;
  for (const part of reachOf(patch)) {
    const next = place.below.get(String(part));
    if (!next) return false;
    if (next.isTouched) return true;
    place = next;
  }
  return place !== root || root.below.size > 0;
}

/** Whether two sets of patches touch the same place: one path the same as, or above, the other. In time linear in both. */
export function editsOverlap(a: readonly Patch[], b: readonly Patch[]): boolean {
  if (a.length === 0 || b.length === 0) return false;
  const places = placesOf(inPresentWords(b));
  return inPresentWords(a).some((patch) => meets(places, patch));
}
