import { count } from '@winculum/core';
import { cableLabel, deviceTitle, joinsOf, type BoxMakeUp, type CableLabel, type Join } from '@winculum/core';

/** Everything of a card's drawing, in its own units; the box is drawn as one looks into it. */
export interface CardLayout {
  readonly width: number;
  readonly height: number;
  /** Where the box begins, to the right of the names. */
  readonly left: number;
  readonly cables: readonly {
    readonly id: string;
    readonly x: number;
    readonly width: number;
    readonly label: CableLabel;
    readonly wires: readonly { readonly x: number; readonly color: string; readonly remarked: boolean }[];
  }[];
  readonly rows: readonly CardRow[];
  readonly devices: readonly {
    readonly id: string;
    readonly x: number;
    readonly width: number;
    readonly title: string;
    readonly about: string;
    readonly terminals: readonly { readonly x: number; readonly name: string; readonly color: string }[];
  }[];
  readonly boxTop: number;
  readonly deviceTop: number;
}

/** One net of the box: a level line to which its wires come down and from which its pigtails go. */
export interface CardRow {
  readonly id: string;
  readonly y: number;
  readonly text: string;
  readonly color: string;
  readonly from: number;
  readonly to: number;
  /** A connector with so many wires under it; none where wire and screw are one piece. */
  readonly count: number;
  readonly capped: boolean;
  readonly drops: readonly {
    readonly x: number;
    readonly toY: number;
    readonly color: string;
    readonly remarked: boolean;
  }[];
  /** Where wires of other rows cross this line: it hops over them. */
  readonly hops: readonly number[];
}

const CABLE_TOP = 8;
const CABLE_HEIGHT = 46;
const BOX_TOP = 76;
const ROW = 30;
const WIRE = 20;
const PIN = 38;

const ORDER = ['ground', 'neutral', 'hot', 'leg', 'traveler', 'signal', 'join', 'spare'];
const rank = (join: Join) => ORDER.findIndex((kind) => join.signal.startsWith(kind));

const PIN_NAMES: Readonly<Record<string, string>> = {
  hot: 'HOT',
  'hot-2': 'HOT 2',
  switched: 'TOP',
  neutral: 'NEUT',
  ground: 'G',
  line: 'LINE',
  load: 'LOAD',
  common: 'COM',
  t1: 'T1',
  t2: 'T2',
  a1: 'IN 1',
  a2: 'IN 2',
  b1: 'OUT 1',
  b2: 'OUT 2',
  'line-hot': 'LINE H',
  'line-neutral': 'LINE N',
  'load-hot': 'LOAD H',
  'load-neutral': 'LOAD N',
  signal: 'SIG',
  join: 'JOIN',
};
const pinColour = (name: string) =>
  name === 'ground' ? 'ground' : /neutral/.test(name) ? 'silver' : name === 'common' ? 'dark' : 'brass';

/** What a pigtail to a screw is cut from: the color of its row, black for hots that come on several. */
function rowColour(join: Join): string {
  if (join.signal === 'ground') return 'bare';
  if (join.signal.startsWith('neutral')) return 'white';
  const [first] = join.ends;
  return first && !first.conductor.remarked ? first.conductor.color : 'black';
}

function describe(join: Join): string {
  const [wires, tails] = [join.ends.length, join.terminals.length];
  const { words } = join;
  if (join.via === 'direct') return words;
  if (join.via === 'capped') return `${words}, capped`;
  if (join.via === 'device') return `${words}: through the device`;
  if (join.via === 'jumper') return `${words}: jumper`;
  if (join.via === 'open') return `${words}: nothing comes`;
  return tails === 0 ? `${words}: ${wires}` : `${words}: ${wires} + ${count(tails, 'pigtail')}`;
}

/**
 * Lays out a card: cables above, a line for every net below them, devices at the foot. Each wire has its own upright and each
 * net its own line, so that no two conductors ever lie on one another.
 */
export function layoutCard(makeUp: BoxMakeUp): CardLayout {
  const { units } = makeUp;
  const joins = [...joinsOf(makeUp)].sort((a, b) => rank(a) - rank(b));
  // The names of the nets stand in a column of their own.
  const LEFT = 30 + 7.2 * Math.max(8, ...joins.map((join) => describe(join).length));
  const taken: number[] = [];
  let x = LEFT + 16;
  const wireX = new Map<string, number>();
  const cables = makeUp.cables.map((end) => {
    const label = cableLabel(
      units.find((one) => one.runs.includes(end.run))!,
      end,
    );
    const { conductors } = end.cable;
    const width = Math.max(
      conductors.length * WIRE + 16,
      label.heading.length * 10 + 24,
      label.detail.length * 6.4 + 20,
    );
    const start = x + (width - (conductors.length - 1) * WIRE) / 2;
    const wires = conductors.map((one, i) => {
      const at = Math.round(start + i * WIRE);
      wireX.set(`${one.id}.${end.end}`, at);
      taken.push(at);
      return { x: at, color: one.color, remarked: one.remarked };
    });
    const cable = { id: `${end.cable.id}.${end.end}`, x, width, label, wires };
    x += width + 14;
    return cable;
  });
  const deviceTop = BOX_TOP + 34 + joins.length * ROW + 26;
  const outlets = new Map(
    joinsOf(makeUp).flatMap((join) => join.terminals.map((one) => [one.outlet.device.id, one.outlet] as const)),
  );
  const pinX = new Map<string, number>();
  let left = LEFT + 16;
  const devices = Object.keys(makeUp.box.devices).flatMap((id) => {
    const outlet = outlets.get(id);
    if (!outlet) return [];
    const names = [
      ...new Map(
        joinsOf(makeUp).flatMap((join) =>
          join.terminals.filter((one) => one.outlet === outlet).map((one) => [one.id, one] as const),
        ),
      ).values(),
    ];
    names.sort((a, b) => Number(a.name === 'ground') - Number(b.name === 'ground'));
    const { title, about } = deviceTitle(units, outlet);
    const width = Math.max(names.length * PIN + 14, title.length * 10 + 20, about.length * 6.6 + 16);
    const start = (at: number) => at + (width - (names.length - 1) * PIN) / 2;
    // The screws' uprights keep clear of the cables' wires.
    while (names.some((_, i) => taken.some((one) => Math.abs(one - (start(left) + i * PIN)) < 8))) left += 3;
    const terminals = names.map((one, i) => {
      const at = Math.round(start(left) + i * PIN);
      pinX.set(one.id, at);
      return { x: at, name: PIN_NAMES[one.name] ?? one.name, color: pinColour(one.name) };
    });
    const device = { id, x: left, width, title, about, terminals };
    left += width + 16;
    return [device];
  });
  const bare = joins.map((join, i) => {
    const y = BOX_TOP + 40 + i * ROW;
    const color = rowColour(join);
    const drops = [
      ...join.ends.map((end) => ({
        x: wireX.get(end.id)!,
        toY: BOX_TOP,
        color: end.conductor.color as string,
        remarked: end.conductor.remarked,
      })),
      ...join.terminals.map((one) => ({ x: pinX.get(one.id)!, toY: deviceTop, color, remarked: false })),
    ];
    const xs = drops.map((one) => one.x);
    const count = join.via === 'splice' || join.via === 'capped' ? join.ends.length + join.terminals.length : 0;
    return {
      id: join.id,
      y,
      text: describe(join),
      color,
      from: Math.min(...xs),
      to: Math.max(...xs),
      count,
      capped: join.via === 'capped',
      drops,
    };
  });
  const rows = bare.map((row): CardRow => {
    const hops = bare
      .filter((other) => other !== row)
      .flatMap((other) =>
        other.drops.filter(
          (drop) =>
            drop.x > row.from &&
            drop.x < row.to &&
            Math.min(other.y, drop.toY) < row.y &&
            row.y < Math.max(other.y, drop.toY),
        ),
      )
      .map((drop) => drop.x)
      .sort((a, b) => a - b);
    return { ...row, hops };
  });
  return {
    left: LEFT,
    width: Math.max(x, left, LEFT + 260) + 6,
    height: devices.length > 0 ? deviceTop + 78 : deviceTop + 4,
    cables,
    rows,
    devices,
    boxTop: BOX_TOP,
    deviceTop,
  };
}

export const CARD = { CABLE_TOP, CABLE_HEIGHT } as const;

/** A level line that hops over what crosses it. */
export function linePath({ from, to, y, hops }: CardRow): string {
  const radius = 5;
  let path = `M ${from} ${y}`;
  for (const x of hops) path += ` L ${x - radius} ${y} A ${radius} ${radius} 0 0 1 ${x + radius} ${y}`;
  return `${path} L ${to} ${y}`;
}
