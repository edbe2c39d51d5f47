import type { House, Route } from '../house/schema';
import { joistsBetween, spaceOf, spacesOf } from './spaces';
import { axesOf, squared } from '../plan/own-axes';
import { holesOf } from './holes';
import { inOwnAxes } from './legs';
import { laidCables, type LaidCable } from './laid';
import { plateHolesOf, platesOf, spaceInches } from './plates';
import { framingSlowness, MINUTES, PLATE_SHARE } from './ways';
import { cutFeet } from './pull-sheet';

/** What a set of routes takes. */
export interface RouteTotals {
  readonly cables: number;
  /** Feet to cut, with slack and what is left in boxes. */
  readonly feet: number;
  /** Holes through studs and posts, each member by itself, and through plates. */
  readonly studHoles: number;
  readonly plateHoles: number;
  /** Joists to be bored or crossed; undefined where a cable lies across joists whose run is not known. */
  readonly joistHoles: number | undefined;
  readonly nailPlates: number;
  /** A guess of the crew's time, minutes. */
  readonly minutes: number;
}

/** Joists that cables are led across; undefined where how they run is not known. */
function joistsCrossed(house: House, laid: readonly LaidCable[]): number | undefined {
  let sum = 0;
  const spaces = spacesOf(squared(house));
  for (const { route } of laid)
    for (const leg of inOwnAxes(axesOf(house.rooms), route.legs)) {
      if (leg.kind !== 'space') continue;
      const joists = spaceOf(spaces, leg)?.joists;
      for (let i = 1; i < leg.points.length; i++) {
        const crossed = joistsBetween(joists, leg.points[i - 1]!, leg.points[i]!);
        if (crossed === undefined) return undefined;
        sum += crossed;
      }
    }
  return sum;
}

/** What routes take in cable, holes, nail plates and time: for comparing ways, and for the van. */
export function totalsOfRoutes(house: House, routes: Iterable<Route>): RouteTotals {
  const laid = laidCables(house, routes);
  const holes = holesOf(house, laid);
  const plates = platesOf(house, laid);
  const holesIn = (isBlock: boolean) =>
    plates.filter((one) => (one.end === 'block') === isBlock).reduce((sum, one) => sum + plateHolesOf(one), 0);
  // A block is bored as a stud is, from the bay below it.
  const studHoles = holes.reduce((sum, one) => sum + one.members, 0) + holesIn(true);
  const plateHoles = holesIn(false);
  const feet = laid.reduce((sum, one) => sum + cutFeet(house, one) * Math.max(1, one.kinds.length), 0);
  let slow = 0;
  for (const [kind, inches] of spaceInches(house, laid)) slow += inches * (framingSlowness(kind) - 1);
  return {
    cables: laid.reduce((sum, one) => sum + Math.max(1, one.kinds.length), 0),
    feet,
    studHoles,
    plateHoles,
    joistHoles: joistsCrossed(house, laid),
    nailPlates: holes.filter((one) => one.needsPlate).reduce((sum, one) => sum + one.members, 0),
    minutes: (feet * 12 + slow) * MINUTES.inch + (studHoles + plateHoles * PLATE_SHARE) * MINUTES.hole,
  };
}
