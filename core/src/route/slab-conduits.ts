import { MAKE_UP_IN } from '../circuits/cable-run';
import type { Box, House, Route, RouteLeg, Sleeve } from '../house/schema';
import { groupBy } from '../units/group-by';
import { keptCables } from './kept-laid';
import type { LaidCable } from './laid';
import { lengthOfLegs } from './legs';

type EndLeg = Extract<RouteLeg, { kind: 'end' }>;

/** A stretch of a cable's way under a floor on the ground, where no nonmetallic cable lies (334.12(B)(4)): conductors in conduit. */
export interface SlabStretch {
  readonly cable: LaidCable;
  /** The box in or over the floor that it ends in. */
  readonly box: Box;
  readonly lengthIn: number;
  readonly bendsDeg: number;
  /** Its conductors by color, the ground among them. */
  readonly wires: readonly string[];
}

/** A conduit that routes need in a slab: what comes up in one box lies in one. */
export interface SlabConduit {
  readonly box: Box;
  readonly stretches: readonly SlabStretch[];
  readonly lengthIn: number;
  readonly bendsDeg: number;
  /** The sleeve of the house that is this conduit; undefined where none ends in the box. */
  readonly sleeve: Sleeve | undefined;
}

const GREEN = 'green';

/** Down at one end and up at the other, and what turns between. */
const bendsOf = ({ points }: EndLeg): number => 180 + 90 * Math.max(0, points.length - 2);

/** Where a cable lies in a slab: at its start, at its end, or nowhere. */
export function slabStretches(cable: LaidCable): readonly SlabStretch[] {
  const { legs } = cable.route;
  return legs.flatMap((leg, i): SlabStretch[] => {
    const box = i === 0 ? cable.run.from : cable.run.to;
    if (leg.kind !== 'end' || leg.note !== 'slab' || !box) return [];
    const wires = cable.run.cables.flatMap(({ conductors }) =>
      conductors.map(({ color }) => (color === 'bare' ? GREEN : color)),
    );
    return [{ cable, box, lengthIn: lengthOfLegs([leg]), bendsDeg: bendsOf(leg), wires }];
  });
}

/** What of a route is cable, inches: all of it but what lies in a slab. */
export const cableIn = (route: Route): number =>
  route.lengthIn - lengthOfLegs(route.legs.filter((leg) => leg.kind === 'end' && leg.note === 'slab'));

/** Of each conductor in a stretch, feet: its way, and what is left in the boxes at both ends. */
export const wireFeet = ({ lengthIn }: SlabStretch): number => Math.ceil((lengthIn + 2 * MAKE_UP_IN) / 12 - 1e-6);

/** The conduits that the kept routes of a house need in slabs, with the sleeves that stand for them. */
export function slabConduits(house: House): readonly SlabConduit[] {
  const byBox = groupBy(keptCables(house).flatMap(slabStretches), (one) => one.box.id);
  return [...byBox.values()].map((stretches) => {
    const { box } = stretches[0]!;
    return {
      box,
      stretches,
      lengthIn: Math.max(...stretches.map((one) => one.lengthIn)),
      bendsDeg: Math.max(...stretches.map((one) => one.bendsDeg)),
      sleeve: Object.values(house.sleeves).find(
        (one) => one.place === 'slab' && (one.from.box === box.id || one.to.box === box.id),
      ),
    };
  });
}
