import { backingFor, needsSidingBlock } from '../place/box-catalogue';
import type { Box, House, Route, RouteLeg } from '../house/schema';
import { isClosedAt } from '../place/closed-walls';
import { holesOf } from './holes';
import { laidCables } from './laid';
import { slabStretches } from './slab-conduits';
import { plateHolesOf, platesOf } from './plates';

/** What is counted beside cable, and by which rule or practice it is. */
interface SmallPart {
  readonly what: string;
  readonly count: number;
  readonly why: string;
}

/** Farthest between two supports of nonmetallic cable, inches: NEC 334.30, all editions, from memory, high. */
const SUPPORT_IN = 54;
/** Cables beside each other on one face beyond which they are stacked, not stapled over each other: *common practice*. */
const STAPLED_TOGETHER = 2;

/** A staple is due so near to each box, inches: NEC 334.30; 8 at a single-gang box without clamps, 314.17(C). */
const NEAR_BOX_IN = 12;

/** Staples for a stretch that nothing else holds, with one near each of its ends: NEC 334.30(A). Inches. */
const staplesFor = (lengthIn: number): number =>
  lengthIn <= 2 * NEAR_BOX_IN ? 1 : Math.ceil((lengthIn - 2 * NEAR_BOX_IN) / SUPPORT_IN) + 1;

/** Whether a leg is fished: up or down in a wall that stays closed. */
export const isFished = (house: House, leg: RouteLeg): boolean =>
  leg.kind === 'rise' && isClosedAt(house, leg.room, leg.atIn);

/**
 * Staples along one route. Holes hold a run that is not vertical; up and down in a bay and across a space nothing does. What is fished
 * in a finished wall needs none: 334.30(B)(1).
 */
export function staplesOf(house: House, { legs }: Pick<Route, 'legs'>): number {
  let count = 0;
  for (const leg of legs) {
    if (leg.kind === 'rise' && !isFished(house, leg)) count += staplesFor(Math.abs(leg.toIn - leg.fromIn));
    if (leg.kind === 'space')
      count += staplesFor(
        leg.points
          .slice(1)
          .reduce((sum, to, i) => sum + Math.abs(to.x - leg.points[i]!.x) + Math.abs(to.y - leg.points[i]!.y), 0),
      );
  }
  // One near each of its boxes in any case, a drilled run too; none where the wall is not opened.
  return legs.some((leg) => isFished(house, leg)) ? count : Math.max(2, count);
}

/** What routes take beside cable: to load in the van. */
export function smallParts(house: House, routes: Iterable<Route>): readonly SmallPart[] {
  const laid = laidCables(house, routes);
  const holes = holesOf(house, laid);
  const plates = platesOf(house, laid);
  const sum = (list: readonly number[]) => list.reduce((all, one) => all + one, 0);
  const parts: SmallPart[] = [
    {
      what: 'staples',
      count: sum(laid.map((one) => staplesOf(house, one.route) * Math.max(1, one.kinds.length))),
      why: 'within 12 in of each box and every 4½ ft (334.30); bored holes hold as well',
    },
    {
      what: 'stackers',
      count: plates.filter((one) => one.cables.length > STAPLED_TOGETHER).length,
      why: 'where more than two cables come down one bay, common practice',
    },
    {
      what: 'nail plates',
      count: sum(holes.filter((one) => one.needsPlate).map((one) => one.members)),
      why: 'holes nearer than 1¼ in to the face (300.4(A)(1))',
    },
    {
      what: 'bushings for steel studs',
      count: sum(holes.filter((one) => one.isSteel).map((one) => one.members)),
      why: 'around every opening, in before the cable (300.4(B)(1))',
    },
    {
      what: 'cable connectors at panels',
      count: sum(laid.filter((one) => !one.run.from).map((one) => Math.max(1, one.kinds.length))),
      why: 'one for each cable into a metal enclosure (312.5(C))',
    },
    {
      what: 'boxes where cable changes to conduit in the slab',
      count: sum(laid.map((one) => slabStretches(one).length)),
      why: 'every splice is in a box that stays accessible (300.15, 314.29)',
    },
    {
      what: 'mounting blocks in siding',
      count: Object.values(house.boxes).filter((box) => box.state !== 'existing' && needsSidingBlock(house, box))
        .length,
      why: 'one for each box on lap siding, shingles or battens: common practice',
    },
    {
      what: 'bored plates to seal',
      count: sum(plates.filter((one) => one.end !== 'block').map(plateHolesOf)),
      why: 'fireblocking (IRC R302.11)',
    },
  ];
  return parts.filter((one) => one.count > 0);
}

/** A box that needs more of the framer than a stud. */
interface Backing {
  readonly box: Box;
  readonly what: string;
}

/** What is asked of the framer before the walls close: blocks behind wide boxes, backing for weight. */
export const backingsOf = (house: House): readonly Backing[] =>
  Object.values(house.boxes).flatMap((box) => {
    const what = backingFor(box);
    return what && box.state !== 'existing' ? [{ box, what }] : [];
  });
