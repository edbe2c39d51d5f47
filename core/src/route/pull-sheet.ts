import { MAKE_UP_IN } from '../circuits/cable-run';
import { groupBy } from '../units/group-by';
import { routingSchema, type Box, type Circuit, type House, type Routing } from '../house/schema';
import { laidCables, type LaidCable } from './laid';
import { cableIn, slabStretches, wireFeet } from './slab-conduits';
import type { Route } from '../house/schema';
import { spaceKindsOf } from './plates';
import { isFished } from './small-parts';

const USUAL: Routing = routingSchema.parse({});
/** How the firm leads cables. */
export const routingOf = ({ standards }: Pick<House, 'standards'>): Routing => standards.routing ?? USUAL;

/** Feet to cut: the way, slack, and what is left at both ends, inches; rounded up to the foot. */
export const feetOf = (lengthIn: number, slackIn: number, endsIn: number): number =>
  Math.ceil((lengthIn + slackIn + endsIn) / 12 - 1e-6);

/** Feet to cut for one cable: its way, slack, what is left in the boxes, the tail in the panel. */
export function cutFeet(house: House, { route, run }: Pick<LaidCable, 'route' | 'run'>): number {
  const { slackIn, panelTailIn } = routingOf(house);
  const ends = MAKE_UP_IN + (run.from ? MAKE_UP_IN : panelTailIn);
  return feetOf(route.lengthIn, slackIn, ends);
}

/** One cable as a helper pulls it. */
interface PullLine {
  readonly cable: LaidCable;
  readonly kind: string;
  readonly from: string;
  readonly via: string;
  readonly to: string;
  readonly feet: number;
  /** Single conductors in conduit, where no cable may lie. */
  readonly isWire?: true;
}

/** The cables of one circuit, from the panel on. */
interface PullGroup {
  readonly circuit: Circuit;
  readonly lines: readonly PullLine[];
  /** Of cable; conductors in conduit are counted by color, line by line. */
  readonly feet: number;
}

/** The way of a cable in a few words: "up, attic, down". */
export function viaOf(house: House, { legs }: Pick<Route, 'legs'>): string {
  const words: string[] = [];
  const add = (word: string) => {
    if (words.at(-1) !== word) words.push(word);
  };
  for (const leg of legs) {
    if (leg.kind === 'studs') add(`studs at ${Math.round(leg.heightIn)}"`);
    if (isFished(house, leg)) add('fished');
    if (leg.kind === 'end') add(END_WORDS[leg.note]);
    if (leg.kind === 'space') {
      const kinds = [...spaceKindsOf(house, { legs: [leg] })].sort((a, b) => b[1] - a[1]);
      add(SPACE_WORDS[kinds[0]?.[0] ?? 'unknown']);
    }
  }
  return words.length > 0 ? words.join(', ') : 'in the bay';
}

/** Where cable changes to conductors in conduit. */
const AT_WALL = 'box in the wall';
const END_WORDS = {
  surface: 'on the face',
  rafters: 'between rafters',
  slab: 'conduit in the slab',
  outside: 'outdoors',
} as const;
const SPACE_WORDS = {
  attic: 'attic',
  closed: 'joists',
  open: 'basement ceiling',
  crawl: 'crawl space',
  unknown: 'ceiling space',
} as const;

/** From where the cable ends in the wall to the box in the floor: a conductor of each color. */
function wireLines(cable: LaidCable): PullLine[] {
  return slabStretches(cable).flatMap((stretch) => {
    const isStart = stretch.box.id === cable.run.from?.id;
    return stretch.wires.map((color): PullLine => ({
      cable,
      kind: `${cable.run.awg} THWN ${color}`,
      from: isStart ? stretch.box.tag : AT_WALL,
      via: END_WORDS.slab,
      to: isStart ? AT_WALL : stretch.box.tag,
      feet: wireFeet(stretch),
      isWire: true,
    }));
  });
}

/** What is pulled circuit by circuit, three-conductor first: it runs out soonest. */
export function pullSheet(house: House, routes: Iterable<Route>): readonly PullGroup[] {
  const byCircuit = groupBy([...laidCables(house, routes)], (one) => one.circuit.id);
  const { slackIn, panelTailIn } = routingOf(house);
  return [...byCircuit.values()].map((cables): PullGroup => {
    const lines = cables.flatMap((cable) => {
      const stretches = slabStretches(cable);
      const isAt = (box: Box | undefined) => stretches.some((one) => one.box.id === box?.id);
      const inWalls: Pick<PullLine, 'from' | 'to' | 'feet'> = {
        from: isAt(cable.run.from) ? AT_WALL : cable.fromLabel,
        to: isAt(cable.run.to) ? AT_WALL : cable.toLabel,
        // What is left at an end is as much where cable changes to conductors as in a box.
        feet: feetOf(cableIn(cable.route), slackIn, MAKE_UP_IN + (cable.run.from ? MAKE_UP_IN : panelTailIn)),
      };
      const legs = cable.route.legs.filter((leg) => leg.kind !== 'end' || leg.note !== 'slab');
      const via = viaOf(house, { legs });
      const isAll = legs.length === 0;
      return [
        ...(isAll ? [] : cable.kinds.length > 0 ? cable.kinds : ['?']).map((kind): PullLine => ({
          cable,
          kind,
          via,
          ...inWalls,
        })),
        ...wireLines(cable),
      ];
    });
    const feet = lines.reduce((sum, one) => sum + (one.isWire ? 0 : one.feet), 0);
    return { circuit: cables[0]!.circuit, lines, feet };
  });
}
