import { memo } from '../cache/memo';
import type { House } from '../house/schema';

/** Circuits that feed something in an existing box. */
export const existingCircuits = memo(
  ({ boxes }: House): ReadonlySet<string> =>
    new Set(
      Object.values(boxes).flatMap((box) =>
        box.state === 'existing' ? Object.values(box.devices).flatMap((one) => one.circuit ?? []) : [],
      ),
    ),
  ({ boxes }) => [boxes],
);

/**
 * Circuits that a plan leaves as they are: those that a person has locked, and those whose wiring is in the walls already, since
 * something on them is existing. What is new is planned beside them.
 */
export const standingCircuits = memo(
  (house: House): ReadonlySet<string> =>
    new Set([
      ...Object.values(house.circuits).flatMap((one) => (one.locked ? [one.id] : [])),
      ...existingCircuits(house),
    ]),
  ({ circuits, boxes }) => [circuits, boxes],
);
