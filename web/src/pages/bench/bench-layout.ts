import { isFeed, letterOf, lettersOf, pinsOf, type Board, type BoardPart, type BoardPin } from '@winculum/core';

const BOX = 190;
const GAP = 46;
/** A cable into the first box of a row turns in it. */
const MARGIN = 36;
const TOP = 20;
const FIRST_END = 66;
const END_STEP = 34;
const SCREW_STEP = 40;
const DEVICE_HIGH = 62;
const LEAST_DEVICE_TOP = 226;
const LANE = 26;
/** As wide as five plain boxes. */
const ROW = 5 * BOX + 4 * GAP + 2 * MARGIN;

interface PinSpot {
  readonly x: number;
  readonly y: number;
  readonly pin: BoardPin;
  /** The way a wire leaves it, of length one: into the box from its sides, up from a device, down from the feed. */
  readonly out: { readonly x: number; readonly y: number };
}
interface BenchLayout {
  readonly width: number;
  readonly height: number;
  readonly boxes: readonly {
    readonly name: string;
    readonly x: number;
    readonly y: number;
    readonly width: number;
    readonly high: number;
  }[];
  readonly devices: readonly {
    readonly part: BoardPart;
    readonly x: number;
    readonly y: number;
    readonly width: number;
    readonly name: string;
  }[];
  /** Sheaths: a band from box to box, and its cut ends. */
  readonly jackets: readonly {
    readonly id: string;
    readonly kind: string;
    readonly path: string;
    readonly x: number;
    readonly y: number;
    readonly ends: readonly { readonly x: number; readonly y: number; readonly high: number }[];
  }[];
  readonly spots: ReadonlyMap<string, PinSpot>;
}

const NAMES: Readonly<Record<BoardPart['kind'], string>> = {
  feed: 'FEED',
  'feed-240': 'FEED',
  'single-pole': 'S',
  'three-way': 'S3',
  'four-way': 'S4',
  'two-pole': 'S2',
  electronic: 'CONTROL',
  'two-wire': 'CONTROL',
  'add-on': 'ADD-ON',
  lamp: 'LAMP',
  receptacle: 'RECEPT.',
  fan: 'FAN',
  heater: 'HEATER',
};

/** What the layout asks of a board, again and again. */
function partsOfBoard(board: Board) {
  const pins = pinsOf(board);
  const cables = new Set(board.cables.map((cable) => cable.id));
  const screwsOf = (part: BoardPart) => pins.filter((one) => one.of === part.id);
  return {
    pins,
    endsAt: (box: number, end: 'a' | 'b') =>
      pins.filter((one) => one.box === box && cables.has(one.of) && one.pin.endsWith(`.${end}`)),
    devicesIn: (box: number) => board.parts.filter((part) => part.box === box && !isFeed(part)),
    screwsOf,
    deviceWidth: (part: BoardPart) => screwsOf(part).length * SCREW_STEP + 14,
  };
}
type Parts = ReturnType<typeof partsOfBoard>;

interface Place {
  readonly x: number;
  readonly row: number;
  readonly width: number;
  /** What its devices take of that. */
  readonly wanted: number;
}

/** Boxes in rows, as many in each as a page is wide. */
function inRows(board: Board, { devicesIn, deviceWidth }: Parts): readonly Place[] {
  let [x, row] = [MARGIN, 0];
  return board.boxes.map((_, box) => {
    const wanted = devicesIn(box).reduce((sum, part) => sum + deviceWidth(part) + 8, 8);
    const width = Math.max(BOX, wanted);
    if (x > MARGIN && x + width + MARGIN > ROW) [x, row] = [MARGIN, row + 1];
    const place = { x, row, width, wanted };
    x += width + GAP;
    return place;
  });
}

/** Where everything of a board is drawn: boxes in rows, wire ends at their sides, devices at their foot. Units of the drawing. */
export function layOutBench(board: Board): BenchLayout {
  const parts = partsOfBoard(board);
  const { pins, endsAt, devicesIn, screwsOf, deviceWidth } = parts;
  const tallest = Math.max(0, ...board.boxes.flatMap((_, i) => [endsAt(i, 'a').length, endsAt(i, 'b').length]));
  const deviceTop = Math.max(LEAST_DEVICE_TOP, FIRST_END + tallest * END_STEP + 10);
  const high = deviceTop + DEVICE_HIGH + 8 - TOP;
  const isLettered = lettersOf(board).length > 1;

  const places = inRows(board, parts);
  const rows = (places.at(-1)?.row ?? 0) + 1;
  const isNear = ({ from, to }: Board['cables'][number]) => to === from + 1 && places[from]!.row === places[to]!.row;
  const lanesIn = (row: number) => board.cables.filter((one) => !isNear(one) && places[one.from]!.row === row).length;
  // The top of each row, and below the last the foot of the drawing.
  const tops = [0];
  for (let row = 0; row < rows; row++) {
    const lanes = lanesIn(row);
    tops.push(tops[row]! + TOP + high + 34 + lanes * LANE + (lanes > 0 ? 20 : 0));
  }

  const spots = new Map<string, PinSpot>();
  const devices: BenchLayout['devices'][number][] = [];
  const boxes = board.boxes.map((name, box) => {
    const { x, row, width, wanted } = places[box]!;
    const top = tops[row]!;
    for (const end of ['b', 'a'] as const)
      endsAt(box, end).forEach((pin, i) =>
        spots.set(pin.pin, {
          x: end === 'b' ? x + 26 : x + width - 26,
          y: top + FIRST_END + i * END_STEP,
          pin,
          out: { x: end === 'b' ? 1 : -1, y: 0 },
        }),
      );
    let left = x + (width - wanted) / 2 + 8;
    for (const part of devicesIn(box)) {
      screwsOf(part).forEach((pin, i) =>
        spots.set(pin.pin, {
          x: left + 7 + (i + 0.5) * SCREW_STEP,
          y: top + deviceTop + 14,
          pin,
          out: { x: 0, y: -1 },
        }),
      );
      const letter = isLettered ? letterOf(part) : undefined;
      const label = `${NAMES[part.kind]}${letter === undefined ? '' : ` ${letter}`}`;
      devices.push({ part, x: left, y: top + deviceTop, width: deviceWidth(part), name: label });
      left += deviceWidth(part) + 8;
    }
    pins
      .filter((one) => one.box === box && one.of === 'feed')
      .forEach((pin, i) =>
        spots.set(pin.pin, { x: x + width / 2 - 22 + i * 44, y: top + 46, pin, out: { x: 0, y: 1 } }),
      );
    return { name, x, y: top + TOP, width, high };
  });

  const used = tops.map(() => 0);
  const jackets = board.cables.map((cable) => {
    const end = (which: 'a' | 'b') => {
      const own = pins.filter((one) => one.of === cable.id && one.pin.endsWith(`.${which}`));
      const ys = own.map((one) => spots.get(one.pin)!.y);
      const box = boxes[which === 'a' ? cable.from : cable.to]!;
      const edge = which === 'a' ? box.x + box.width : box.x;
      return { x: edge - 10, y: Math.min(...ys) - 12, high: Math.max(...ys) - Math.min(...ys) + 24, edge };
    };
    const [a, b] = [end('a'), end('b')];
    const [ya, yb] = [a.y + a.high / 2, b.y + b.high / 2];
    // From neighbor to neighbor straight over; past other boxes below their row, each in a lane of its own.
    const { row } = places[cable.from]!;
    const lane = tops[row]! + TOP + high + 44 + (isNear(cable) ? 0 : used[row]!++) * LANE;
    const [out, into] = [a.edge + GAP / 2, b.edge - GAP / 2];
    const path = isNear(cable)
      ? `M ${a.edge} ${ya} C ${out} ${ya}, ${into} ${yb}, ${b.edge} ${yb}`
      : `M ${a.edge} ${ya} H ${out} V ${lane} H ${into} V ${yb} H ${b.edge}`;
    return { id: cable.id, kind: cable.kind, path, x: out, y: a.y - 4, ends: [a, b] };
  });
  const widest = Math.max(0, ...places.map((one) => one.x + one.width));
  // A cable that leaves the last box of a row turns beside it.
  const turns = jackets.some((one) => one.x > widest - 1) ? GAP / 2 : 0;
  return { width: Math.max(widest + MARGIN + turns, 460), height: tops.at(-1)!, boxes, devices, jackets, spots };
}

const BENDS = 5;
/**
 * A joint from screw to screw: it leaves both the way a wire would, so that it does not run over the others of a column, and
 * each a little farther than the last, so that two never cover each other.
 */
export function jointPath(p: Omit<PinSpot, 'pin'>, q: Omit<PinSpot, 'pin'>, nth: number): string {
  const far = 34 + (nth % BENDS) * 9 + 0.18 * Math.hypot(q.x - p.x, q.y - p.y);
  const [a, b] = [p, q].map(({ x, y, out }) => `${x + out.x * far} ${y + out.y * far}`);
  return `M ${p.x} ${p.y} C ${a}, ${b}, ${q.x} ${q.y}`;
}

const SCREWS: Readonly<Record<string, string>> = {
  hot: 'HOT',
  neutral: 'NEUT',
  line: 'LINE',
  load: 'LOAD',
  common: 'COM',
  t1: 'T1',
  t2: 'T2',
  a1: 'IN1',
  a2: 'IN2',
  b1: 'OUT1',
  b2: 'OUT2',
  'hot-2': 'HOT 2',
  'line-2': 'LINE 2',
  'load-2': 'LOAD 2',
  signal: 'SIGNAL',
};
export const screwName = (pin: BoardPin): string => SCREWS[pin.name] ?? pin.name;

/** A pin in words, for those who cannot see the drawing. */
export const pinWords = (board: Board, pin: BoardPin): string =>
  `${pin.name} of ${board.parts.find((part) => part.id === pin.of)?.kind ?? 'the cable'} in ${board.boxes[pin.box]}`;
