import { isInTheWalls } from './cables';
import type { BoxMakeUp, UnitWiring } from './make-up';

/**
 * Whether all wiring of a unit was there before, and nobody has said how it runs: its feed order is supposed, and nothing of it is
 * proved, labeled or filled in.
 */
export const isUnseenUnit = ({ runs, tree }: UnitWiring): boolean =>
  !tree.stored && runs.length > 0 && runs.every(isInTheWalls);

/** How much of what is in a box nobody has seen: it was there before, and its old cables are supposed; some, where a new one comes in. */
export function unseenIn({ box, cables, units }: BoxMakeUp): 'all' | 'some' | 'none' {
  if (box.state !== 'existing' || units.every((one) => one.tree.stored)) return 'none';
  return cables.every(({ run }) => isInTheWalls(run)) ? 'all' : 'some';
}
