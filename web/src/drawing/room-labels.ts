import {
  boundsOf,
  featureOutline,
  formatLength,
  innerPoint,
  isInside,
  memo,
  placeOf,
  roomSpan,
  wallOf,
  type Box,
  type House,
  type Point,
  type RoomView,
} from '@winculum/core';
import { featureLabel, FEATURE_LABELS_FROM } from './plan-shapes';

/** Words and symbols of one room on the plan, so that none covers another: symbols first, then the name, features, marks. Inches of the plan. */

interface Rect {
  readonly minX: number;
  readonly minY: number;
  readonly maxX: number;
  readonly maxY: number;
}
interface PlacedSymbol {
  readonly box: Box;
  readonly x: number;
  readonly y: number;
  readonly angle: number;
}
type Lengths = House['standards']['lengths'];

/** Widths of a letter in parts of its size: capitals of a name with their spacing, digits of a mark, small letters. */
const CAPITAL = 0.64;
const DIGIT = 0.54;
/** How far a symbol reaches from its middle, alone and with its circuit's ring, and a mark's size, in sizes of symbols. */
export const REACH = 1.6;
export const RING_REACH = 1.9;
export const MARK_SIZE = 1.6;
/** How much of its reach a symbol on a wall stands in the wall, in sizes. */
const TUCKED = 0.35;
/** Symbols on one wall nearer than this to each other stand in two rows, in sizes. */
const STACKED = 1.8;

const around = ({ x, y }: Point, width: number, height: number): Rect => ({
  minX: x - width / 2,
  minY: y - height / 2,
  maxX: x + width / 2,
  maxY: y + height / 2,
});
const meet = (a: Rect, b: Rect): boolean => a.minX < b.maxX && b.minX < a.maxX && a.minY < b.maxY && b.minY < a.maxY;
const isFree = (rect: Rect, taken: readonly Rect[]): boolean => !taken.some((one) => meet(one, rect));
/** Whether a rectangle lies in a room; of most rooms their bounds decide. */
function inRoom({ corners }: RoomView['room']): (rect: Rect) => boolean {
  const bounds = boundsOf(corners);
  const isWithin = (rect: Rect) =>
    rect.minX > bounds.minX && rect.maxX < bounds.maxX && rect.minY > bounds.minY && rect.maxY < bounds.maxY;
  const isSquare = corners.every(
    ({ x, y }) => (x === bounds.minX || x === bounds.maxX) && (y === bounds.minY || y === bounds.maxY),
  );
  if (corners.length === 4 && isSquare) return isWithin;
  return (rect) =>
    isWithin(rect) &&
    [
      { x: rect.minX, y: rect.minY },
      { x: rect.maxX, y: rect.minY },
      { x: rect.maxX, y: rect.maxY },
      { x: rect.minX, y: rect.maxY },
    ].every((corner) => isInside(corner, corners));
}

/** Symbols keep a readable size on the screen, and never swell over the room. Inches, at so many pixels an inch. */
export const symbolSize = (scale: number): number => Math.max(3, Math.min(8, 7 / scale));

/** A box on a wall is drawn just inside the room, turned with its wall; one that would cover another on its wall stands behind it. */
function placeSymbols(view: RoomView, size: number, reach: number): readonly PlacedSymbol[] {
  const rows = new Map<string, { alongIn: number; row: number }[]>();
  const rowOf = (wall: string, alongIn: number): number => {
    const others = rows.get(wall) ?? [];
    const taken = new Set(
      others.filter((one) => Math.abs(one.alongIn - alongIn) < STACKED * size).map((one) => one.row),
    );
    let row = 0;
    while (taken.has(row)) row++;
    rows.set(wall, [...others, { alongIn, row }]);
    return row;
  };
  return view.boxes.map((box) => {
    const point = placeOf(view, box);
    if (box.at.kind !== 'wall') return { box, ...point, angle: 0 };
    const wall = wallOf(view, box.at.wall);
    const { unit } = wall;
    const off = size * (reach - TUCKED + 2 * REACH * rowOf(wall.id, box.at.alongIn));
    return {
      box,
      x: point.x - unit.y * off,
      y: point.y + unit.x * off,
      angle: (Math.atan2(unit.y, unit.x) * 180) / Math.PI,
    };
  });
}

interface PlacedName {
  readonly x: number;
  readonly y: number;
  readonly textSize: number;
  readonly name: string;
  readonly span: string;
  readonly rect: Rect;
}

/** Where the name of a room stands: as near to its middle as nothing else does, with its size where there is room for both. */
function placeName(
  { room }: RoomView,
  texts: readonly { readonly span: string; readonly textSize: number }[],
  lifted: number,
  taken: readonly Rect[],
): PlacedName | undefined {
  const middle = innerPoint(room.corners);
  const wanted = { x: middle.x, y: middle.y - lifted };
  const { minX, minY, maxX, maxY } = boundsOf(room.corners);
  const steps = Array.from({ length: 9 }, (_, i) => (i + 0.5) / 9);
  const grid = steps.flatMap((u) => steps.map((v) => ({ x: minX + (maxX - minX) * u, y: minY + (maxY - minY) * v })));
  const far = ({ x, y }: Point) => Math.hypot(x - wanted.x, y - wanted.y);
  const liesIn = inRoom(room);
  const places = [wanted, middle, ...grid.sort((a, b) => far(a) - far(b))];
  for (const { span, textSize } of texts) {
    const width = Math.max(room.name.length * CAPITAL, span.length * DIGIT * 0.86) * textSize;
    const height = textSize * (span ? 2.2 : 1.15);
    if (width >= maxX - minX || height >= maxY - minY) continue;
    for (const at of places) {
      const rect = around(at, width, height);
      if (isFree(rect, taken) && liesIn(rect))
        return { x: at.x, y: rect.minY + textSize * 0.92, textSize, name: room.name, span, rect };
    }
  }
  return undefined;
}

/** What a room shows at so many pixels an inch, with letters so large; remembered by the room as it is seen. */
export const roomLabels = memo(
  (view: RoomView, scale: number, textSize: number, showBoxes: boolean, lengths: Lengths, reach: number = REACH) => {
    const { room } = view;
    const size = symbolSize(scale);
    const symbols = showBoxes ? placeSymbols(view, size, reach) : [];
    const taken: Rect[] = symbols.map((one) => around(one, 2 * reach * size, 2 * reach * size));
    const { widthIn, depthIn } = roomSpan(room);
    const span =
      scale > (showBoxes ? 1.6 : 0.7) ? `${formatLength(widthIn, lengths)} × ${formatLength(depthIn, lengths)}` : '';
    const sizes = [textSize, textSize * 0.84, textSize * 0.7];
    const texts = [
      ...(span ? sizes.map((one) => ({ span, textSize: one })) : []),
      ...sizes.map((one) => ({ span: '', textSize: one })),
    ];
    // Where there is room for it the name stands above the middle, which is where luminaires hang.
    const lifted = showBoxes && depthIn * scale > 56 ? textSize * 1.9 : 0;
    const things = view.features.map((feature) => ({
      feature,
      label: scale > FEATURE_LABELS_FROM ? featureLabel(room, feature, textSize) : undefined,
    }));
    const rectOf = ({ at, turn, size: high, lengthIn }: NonNullable<(typeof things)[number]['label']>): Rect =>
      turn === 0 ? around(at, lengthIn, high * 1.1) : around(at, high * 1.1, lengthIn);
    const labels = things.flatMap(({ feature, label }) => {
      if (!label) return [];
      const rect = rectOf(label);
      return isFree(rect, taken) ? [{ id: feature.id, ...label, rect }] : [];
    });
    // Beside what stands in the room where there is a place; else over it, but for its words; else over these, which give way.
    const bodies = view.features.map((feature) => boundsOf(featureOutline(room, feature)));
    const words = labels.map((one) => one.rect);
    const obstacles = [
      ...(bodies.length > 0 ? [[...taken, ...bodies]] : []),
      ...(words.length > 0 ? [[...taken, ...words]] : []),
      taken,
    ];
    let name: PlacedName | undefined;
    for (const those of obstacles) name ??= placeName(view, texts, lifted, those);
    const features = name ? labels.filter((one) => !meet(one.rect, name.rect)) : labels;
    taken.push(...(name ? [name.rect] : []), ...features.map((one) => one.rect));
    return { size, reach, symbols, name, features, taken };
  },
);

/** How far off a mark may stand, beside its symbol first, in multiples of that; farther ones hang on a line. */
const RINGS = [1, 1.9, 2.9] as const;

interface MarkPlace extends Point {
  /** It stands away from its symbol: a line leads there. */
  readonly isLed: boolean;
}

/** Where the marks of a room's boxes stand beside their symbols; those that find no place are left out until one looks closer. */
export function placeMarks(
  { room }: RoomView,
  { size, reach, symbols, taken }: ReturnType<typeof roomLabels>,
  markOf: (box: Box) => string,
): ReadonlyMap<string, MarkPlace> {
  const marks = new Map<string, MarkPlace>();
  const all = [...taken];
  const liesIn = inRoom(room);
  for (const { box, x, y } of symbols) {
    const mark = markOf(box);
    if (!mark) continue;
    const [width, height] = [mark.length * DIGIT * MARK_SIZE * size + 0.2 * size, MARK_SIZE * size * 1.22];
    const [up, aside] = [reach * size + height / 2, reach * size + width / 2];
    const offsets: Point[] = [
      { x: 0, y: up },
      { x: 0, y: -up },
      { x: aside, y: 0 },
      { x: -aside, y: 0 },
      { x: aside, y: up },
      { x: -aside, y: up },
      { x: aside, y: -up },
      { x: -aside, y: -up },
    ];
    const places = RINGS.flatMap((ring) =>
      offsets.map((one) => ({ x: one.x * ring, y: one.y * ring, isLed: ring > 1 })),
    );
    const found = places.find((one) => {
      const rect = around({ x: x + one.x, y: y + one.y }, width, height);
      return isFree(rect, all) && liesIn(rect);
    });
    if (!found) continue;
    marks.set(box.id, found);
    all.push(around({ x: x + found.x, y: y + found.y }, width, height));
  }
  return marks;
}
