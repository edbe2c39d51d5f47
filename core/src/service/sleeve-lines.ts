import { boundsOf, distance, nearestOnSegment, type Point } from '../geometry/geometry';
import type { House, Room, Sleeve } from '../house/schema';
import { cableBetween, spotOfBox } from '../circuits/cable-run';
import { boxPoint } from '../plan/points';
import { placeOfEnd } from './sleeve-fill';
import { itemAt } from '../units/result';

/** One sleeve as it is seen on a level: between the walls of its rooms that face each other, or a stub where its other end lies elsewhere. */
interface SleeveLine {
  readonly sleeve: Sleeve;
  readonly from: Point;
  readonly to: Point;
  /** At the ends on this level: capped or open. */
  readonly ends: readonly { readonly at: Point; readonly capped: boolean }[];
  readonly words: string;
}

const middleOf = (room: Room): Point => {
  const { minX, maxX, minY, maxY } = boundsOf(room.corners);
  return { x: (minX + maxX) / 2, y: (minY + maxY) / 2 };
};
/** The point of a room's outline nearest to a place. */
const edgeTowards = ({ corners }: Room, place: Point): Point =>
  corners
    .map((corner, i) => nearestOnSegment(place, corner, itemAt(corners, (i + 1) % corners.length)))
    .reduce((best, one) => (distance(one, place) < distance(best, place) ? one : best));

/** The box that an end lies in, on the plan; undefined where none is said. */
function pointOfEnd(house: House, { box }: Sleeve['from']): Point | undefined {
  const there = box === undefined ? undefined : house.boxes[box];
  return there && boxPoint(house, there);
}

/** The way from box to box square to the house, feet: what a sleeve takes at least. Undefined where an end is in no box. */
export function sleeveEstimateFt(house: House, { from, to }: Pick<Sleeve, 'from' | 'to'>): number | undefined {
  const [a, b] = [from, to].map(({ box }) => (box === undefined ? undefined : house.boxes[box]));
  return a && b ? Math.ceil(cableBetween(spotOfBox(house, a), spotOfBox(house, b)) / 12) : undefined;
}

/** How long the stub is of a sleeve that leaves the level or the house, and how far two from one room stand apart, inches. */
const [STUB_IN, APART_IN] = [36, 9];

/** The sleeves with an end on a level: from box to box where those are said; else the line shows which rooms it joins. */
export function sleeveLines(house: House, level: string): readonly SleeveLine[] {
  const roomOn = (id: string | null): Room | undefined => {
    const room = id === null ? undefined : house.rooms[id];
    return room?.level === level ? room : undefined;
  };
  return Object.values(house.sleeves).flatMap((sleeve, i): SleeveLine[] => {
    const [a, b] = [roomOn(sleeve.from.room), roomOn(sleeve.to.room)];
    const size = sleeve.kind === 'piece' ? '' : `, ${sleeve.trade} in`;
    const [boxA, boxB] = [pointOfEnd(house, sleeve.from), pointOfEnd(house, sleeve.to)];
    if (a && b && (a !== b || (boxA && boxB))) {
      const shift = (point: Point): Point => ({ x: point.x + (i % 4) * APART_IN, y: point.y + (i % 4) * APART_IN });
      const from = boxA ?? shift(edgeTowards(a, boxB ?? middleOf(b)));
      const to = boxB ?? shift(edgeTowards(b, boxA ?? middleOf(a)));
      const ends = [
        { at: from, capped: sleeve.from.capped },
        { at: to, capped: sleeve.to.capped },
      ];
      return [{ sleeve, from, to, ends, words: `${sleeve.name}${size}` }];
    }
    const here = a ?? b;
    if (!here) return [];
    const [own, other] = a ? [sleeve.from, sleeve.to] : [sleeve.to, sleeve.from];
    const middle = middleOf(here);
    const from = pointOfEnd(house, own) ?? { x: middle.x + (i % 4) * APART_IN, y: middle.y };
    const to = { x: from.x, y: from.y + STUB_IN };
    return [
      {
        sleeve,
        from,
        to,
        ends: [{ at: from, capped: own.capped }],
        words: `${sleeve.name}${size} to ${placeOfEnd(house, other)}`,
      },
    ];
  });
}
