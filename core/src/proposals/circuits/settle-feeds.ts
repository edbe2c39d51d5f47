import type { House } from '../../house/schema';
import { existingCircuits } from '../../circuits/standing';
import type { OnProgress } from '../../units/result';
import { fillOfMakeUp } from '../../makeup/box-fill';
import { keepFeeds, leastFeet } from '../../feed-search/least-feet';
import { wireHouse, type UnitWiring } from '../../makeup/make-up';

interface SettledFeeds {
  readonly house: House;
  /** Names of the circuits whose feed order was settled. */
  readonly circuits: readonly string[];
}

const isTooFull = (house: House, box: string): boolean => {
  const makeUp = wireHouse(house).boxes.get(box);
  return makeUp !== undefined && fillOfMakeUp(house, makeUp).fits === false;
};
const fullBoxes = (house: House): number =>
  [...wireHouse(house).boxes.keys()].filter((box) => isTooFull(house, box)).length;
const fillsABox = (house: House, { tree }: UnitWiring): boolean =>
  tree.nodes.some((node) => isTooFull(house, node.box.id));

/**
 * Seeks another feed order for each circuit that fills a box beyond what any of the catalogue holds (314.16), where the tool feeds
 * it: what somebody drew stays. Kept only where fewer boxes are too full by it.
 */
export function settleFeeds(house: House, onProgress: OnProgress = () => undefined): SettledFeeds {
  // Existing wiring lies as it lies.
  const existing = existingCircuits(house);
  const units = wireHouse(house).units.filter(
    (one) => !one.tree.stored && !one.unit.circuits.some(({ id }) => existing.has(id)) && fillsABox(house, one),
  );
  let settled: SettledFeeds = { house, circuits: [] };
  units.forEach(({ unit }, i) => {
    const progress: OnProgress = (share, note) => onProgress((i + share) / units.length, note);
    const plan = leastFeet(settled.house, unit, progress, 'as it stands');
    const kept = keepFeeds(settled.house, [plan]);
    if (kept.ok && fullBoxes(kept.value.house) < fullBoxes(settled.house))
      settled = { house: kept.value.house, circuits: [...settled.circuits, plan.name] };
  });
  return settled;
}
