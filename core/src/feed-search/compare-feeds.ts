import type { Box, House } from '../house/schema';
import { edit, type Edited } from '../house/edit';
import type { Result } from '../units/result';
import { boxFill } from '../makeup/box-fill';
import { conductorFeet, doubledRuns } from '../makeup/cables';
import { schemeTree, storedTree, SCHEMES, type FeedTree, type Scheme } from '../feed/feed-tree';
import { gfciSides } from '../feed/gfci-sides';
import { makeUpBox, wireUnit, wiringOf, type UnitWiring } from '../makeup/make-up';
import type { WiringUnit } from '../feed/unit';

/** A way to feed the boxes of a circuit, in numbers. */
export interface FeedOption {
  readonly name: Scheme | 'as drawn';
  readonly wiring: UnitWiring;
  readonly cableFt: number;
  /** Cable by kind, feet. */
  readonly byKind: Readonly<Record<string, number>>;
  readonly conductorFt: number;
  /** Runs that take more than one cable, and boxes that no box of the catalogue holds. */
  readonly doubled: number;
  readonly overfull: readonly string[];
  /** Tags of boxes that hang on a GFCI receptacle as the feed stands and would not so. */
  readonly bared: readonly string[];
  /** Cables from the panel: a breaker takes one conductor, NEC 110.14(A). */
  readonly homeRuns: number;
}

/** Boxes that hang on one of several GFCI receptacles as the feed stands. Where one alone is first in line, any order begins with it. */
export function guardedBoxes(house: House, unit: WiringUnit): readonly Box[] {
  if (unit.gfcis.length === 0 || (unit.gfcis.length === 1 && unit.gfci)) return [];
  return boxesOnGfci(unit, wiringOf(house, unit).tree);
}

function boxesOnGfci(unit: WiringUnit, tree: FeedTree): readonly Box[] {
  const sides = gfciSides(unit, tree);
  return [...new Set(unit.outlets.filter((one) => sides.of([one])).map((one) => one.box))];
}

function measure(house: House, name: FeedOption['name'], unit: WiringUnit, tree: FeedTree): FeedOption {
  const wiring = wireUnit(house, unit, tree);
  const byKind: Record<string, number> = {};
  for (const run of wiring.runs)
    for (const cable of run.cables) byKind[cable.kind] = (byKind[cable.kind] ?? 0) + run.lengthIn / 12;
  const overfull = tree.nodes
    .filter((node) => boxFill(house, makeUpBox(house, node.box, [wiring])).fits === false)
    .map((node) => node.box.tag);
  const guarded = guardedBoxes(house, unit);
  const still = guarded.length > 0 ? boxesOnGfci(unit, tree) : [];
  return {
    name,
    wiring,
    cableFt: Object.values(byKind).reduce((sum, one) => sum + one, 0),
    byKind,
    conductorFt: conductorFeet(wiring.runs),
    doubled: doubledRuns(wiring.runs),
    overfull,
    bared: guarded.filter((box) => !still.includes(box)).map((box) => box.tag),
    homeRuns: wiring.runs.filter((run) => run.from === undefined).length,
  };
}

/** The feed order as it stands beside the three schemes: wire, double runs, full boxes, several home runs. The fewest conductor-feet first. */
export function compareFeeds(house: House, unit: WiringUnit): readonly FeedOption[] {
  const options = SCHEMES.map((scheme) => measure(house, scheme, unit, schemeTree(house, unit, scheme)));
  const drawn = storedTree(house, unit);
  if (drawn) options.push(measure(house, 'as drawn', unit, drawn));
  const trouble = (one: FeedOption) =>
    one.doubled + one.overfull.length + one.bared.length + Math.max(0, one.homeRuns - 1);
  return [...options].sort((a, b) => Math.sign(trouble(a)) - Math.sign(trouble(b)) || a.conductorFt - b.conductorFt);
}

/** Puts cables in place of those of a unit: which box each box takes its power from. */
export function writeFeed(
  draft: Pick<House, 'cables' | 'circuits'>,
  unit: string,
  parents: Iterable<readonly [box: string, from: string | null]>,
): void {
  clearFeed(draft, unit);
  for (const [to, from] of parents) {
    const id = `${unit}-${to}`;
    draft.cables[id] = { id, circuit: unit, from, to };
  }
}

/** Takes away the cables of a unit: of a circuit and of the one that shares its neutral. */
function clearFeed(draft: Pick<House, 'cables' | 'circuits'>, unit: string): void {
  const twin = draft.circuits[unit]?.sharesNeutralWith;
  for (const cable of Object.values(draft.cables))
    if (cable.circuit === unit || cable.circuit === twin) delete draft.cables[cable.id];
}

/** Writes a feed order into the house, so that it stays as it is whatever is moved. */
export const keepFeed = (house: House, { wiring: { unit, tree } }: FeedOption): Result<Edited> =>
  edit(house, `Feed order of ${unit.circuits[0]!.name}`, (draft) =>
    writeFeed(
      draft,
      unit.id,
      tree.nodes.map((node) => [node.box.id, node.parent?.box.id ?? null]),
    ),
  );

/** Forgets the feed order of a circuit: the tool finds it again. */
export const freeFeed = (house: House, unit: WiringUnit): Result<Edited> =>
  edit(house, `Feed order of ${unit.circuits[0]!.name} to the tool`, (draft) => clearFeed(draft, unit.id));

/** Has a box take its power from another; the order of the whole circuit is kept from then on. Loops are refused. */
export function feedFrom(house: House, wiring: UnitWiring, box: string, from: string | null): Result<Edited> {
  const { unit, tree } = wiring;
  const parents = new Map(tree.nodes.map((node) => [node.box.id, node.parent?.box.id ?? null]));
  return edit(house, 'Change the feed', (draft) => {
    const tag = house.boxes[box]?.tag ?? box;
    for (let at = from; at !== null; at = parents.get(at) ?? null)
      if (at === box)
        return {
          code: 'loop',
          path: `boxes.${box}`,
          message: `${tag} feeds ${house.boxes[from!]?.tag ?? from}: power cannot come back from there. Choose a box before it.`,
        };
    parents.set(box, from);
    writeFeed(draft, unit.id, parents);
    return undefined;
  });
}
