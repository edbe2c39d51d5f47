import type { Outlet } from '../circuits/outlets';
import type { Box } from '../house/schema';
import type { FeedTree } from './feed-tree';
import type { WiringUnit } from './unit';

/** Which GFCI receptacle each part of a circuit hangs on: on the LOAD terminals of the nearest one before it, or on none. */
export interface GfciSides {
  /** The GFCI receptacle whose LOAD terminals feed all of these; undefined on the LINE side of all of them. */
  of(outlets: readonly Outlet[]): Outlet | undefined;
  /** The one that feeds the LINE terminals of a feed-through GFCI. */
  before(gfci: Outlet): Outlet | undefined;
}

const NO_SIDES: GfciSides = { of: () => undefined, before: () => undefined };

/**
 * The sides of a circuit along its feed order. Devices in the box of a feed-through GFCI hang on its LOAD terminals too. What is wired
 * together, a group of switches and lamps, shares one hot and one neutral, so that it hangs on the last GFCI that stands before all of it.
 */
export function gfciSides({ gfcis }: WiringUnit, { nodes }: Pick<FeedTree, 'nodes'>): GfciSides {
  if (gfcis.length === 0) return NO_SIDES;
  const inBox = new Map<Box, Outlet>();
  for (const one of gfcis) if (!inBox.has(one.box)) inBox.set(one.box, one);
  const nearest = new Map<Box, Outlet>();
  const outer = new Map<Outlet, Outlet | undefined>();
  for (const { box, parent } of nodes) {
    const above = parent && nearest.get(parent.box);
    const here = inBox.get(box);
    if (here) outer.set(here, above);
    const side = here ?? above;
    if (side) nearest.set(box, side);
  }
  const holds = (gfci: Outlet, outlet: Outlet): boolean => {
    for (let at = nearest.get(outlet.box); at; at = outer.get(at)) if (at === gfci) return true;
    return false;
  };
  return {
    of: ([one, ...others]) => {
      let side = one && nearest.get(one.box);
      while (side && !others.every((other) => holds(side!, other))) side = outer.get(side);
      return side;
    },
    // A second one in a box stands behind the first.
    before: (gfci) => (outer.has(gfci) ? outer.get(gfci) : nearest.get(gfci.box)),
  };
}
