import type { SwitchHardware } from './chain';
import type { LoadPart, Netlist, Pin, SwitchPart, Wire } from './netlist';
import { prove, type Flaw } from './prove';
import type { TerminalName } from './signals';

/** A piece on the learning bench, in one of its boxes. */
export interface BoardPart {
  readonly id: string;
  readonly box: number;
  readonly kind: 'feed' | 'single-pole' | 'three-way' | 'four-way' | 'lamp' | 'receptacle' | 'fan';
}
/** A cable from box to box; its conductors by colour. */
export interface BoardCable {
  readonly id: string;
  readonly from: number;
  readonly to: number;
  readonly kind: '/2' | '/3' | '/4';
}
export interface Board {
  readonly boxes: readonly string[];
  readonly parts: readonly BoardPart[];
  readonly cables: readonly BoardCable[];
  /** Pairs of pins that somebody has joined. */
  readonly wires: readonly (readonly [Pin, Pin])[];
}

const PINS: Readonly<Record<BoardPart['kind'], readonly TerminalName[]>> = {
  feed: ['hot', 'neutral'],
  'single-pole': ['line', 'load'],
  'three-way': ['common', 't1', 't2'],
  'four-way': ['a1', 'a2', 'b1', 'b2'],
  lamp: ['hot', 'neutral'],
  receptacle: ['hot', 'neutral'],
  fan: ['hot', 'neutral'],
};
const COLOURS: Readonly<Record<BoardCable['kind'], readonly string[]>> = {
  '/2': ['black', 'white'],
  '/3': ['black', 'red', 'white'],
  '/4': ['black', 'red', 'blue', 'white'],
};

export interface BoardPin {
  readonly pin: Pin;
  readonly box: number;
  /** A screw's name, or the colour of a conductor. */
  readonly name: string;
  /** The part or cable that it belongs to. */
  readonly of: string;
}

/** Every pin of a board, in the order of its boxes. */
export function pinsOf(board: Board): readonly BoardPin[] {
  return [
    ...board.cables.flatMap((cable) =>
      (['a', 'b'] as const).flatMap((end) =>
        COLOURS[cable.kind].map((colour) => ({
          pin: `${cable.id}.${colour}.${end}`,
          box: end === 'a' ? cable.from : cable.to,
          name: colour,
          of: cable.id,
        })),
      ),
    ),
    ...board.parts.flatMap((part) =>
      PINS[part.kind].map((name) => ({ pin: `${part.id}.${name}`, box: part.box, name, of: part.id })),
    ),
  ];
}

/** Why two pins cannot be joined; undefined where they can. */
export function whyNot(board: Board, a: Pin, b: Pin): string | undefined {
  const pins = pinsOf(board);
  const [from, to] = [a, b].map((pin) => pins.find((one) => one.pin === pin));
  if (!from || !to || a === b) return 'Pick two different screws or wire ends.';
  if (from.box !== to.box)
    return 'Between boxes a conductor runs in a cable only (300.3(B)): join it to a wire of the cable in its own box.';
  if (board.wires.some(([p, q]) => (p === a && q === b) || (p === b && q === a)))
    return 'These two are joined already.';
  return undefined;
}

const SHORT_OHMS = 0.02;
const isSwitch = (part: BoardPart): part is BoardPart & { kind: 'single-pole' | 'three-way' | 'four-way' } =>
  part.kind === 'single-pole' || part.kind === 'three-way' || part.kind === 'four-way';

/** The board as the prover and the solution read it. Grounds are left out of the bench. */
export function boardNetlist(board: Board): Netlist {
  const node = new Map<Pin, number>(pinsOf(board).map((one, i) => [one.pin, i]));
  const wires: Wire[] = board.wires.map(([a, b], i) => ({
    id: `w${i}`,
    label: `${a} to ${b}`,
    a,
    b,
    ohms: SHORT_OHMS,
  }));
  for (const cable of board.cables)
    for (const colour of COLOURS[cable.kind])
      wires.push({
        id: `${cable.id}.${colour}`,
        label: `${colour} from ${board.boxes[cable.from]!} to ${board.boxes[cable.to]!}`,
        a: `${cable.id}.${colour}.a`,
        b: `${cable.id}.${colour}.b`,
        ohms: SHORT_OHMS,
      });
  const named = (part: BoardPart) => board.boxes[part.box]!;
  const switches = board.parts.filter(isSwitch).map((part): SwitchPart => ({
    id: part.id,
    label: named(part),
    hardware: part.kind satisfies SwitchHardware,
    at: Object.fromEntries(PINS[part.kind].map((name) => [name, `${part.id}.${name}`])),
  }));
  const loads = board.parts
    .filter((part) => part.kind === 'lamp' || part.kind === 'receptacle' || part.kind === 'fan')
    .map((part): LoadPart => ({
      id: part.id,
      label: `the ${part.kind} in ${named(part)}`,
      kind: part.kind === 'lamp' ? 'lamp' : part.kind === 'fan' ? 'fan' : 'receptacle',
      a: `${part.id}.hot`,
      b: `${part.id}.neutral`,
      ground: undefined,
      watts: part.kind === 'lamp' ? 60 : 180,
      volts: 120,
      from: 'hot/Q',
      to: 'neutral/Q',
      group: part.kind === 'receptacle' ? undefined : 'a',
    }));
  const feeds = board.parts.filter((part) => part.kind === 'feed');
  return {
    node,
    wires,
    switches,
    loads,
    gfcis: [],
    grounds: [],
    sources: feeds.flatMap((part) => [
      { id: 'hot/Q', kind: 'hot' as const, point: `${part.id}.hot`, volts: 120 },
      { id: 'neutral/Q', kind: 'neutral' as const, point: `${part.id}.neutral`, volts: 0 },
    ]),
    groups: [{ id: 'a', name: 'the light', switches: switches.map((one) => one.id) }],
  };
}

/** A task on the bench: what stands there, and what is asked. */
export interface Exercise {
  readonly id: string;
  readonly title: string;
  readonly task: string;
  /** Said when somebody asks how to begin. */
  readonly hint: string;
  readonly board: Omit<Board, 'wires'>;
}

const part = (id: string, box: number, kind: BoardPart['kind']): BoardPart => ({ id, box, kind });
const cable = (id: string, from: number, to: number, kind: BoardCable['kind']): BoardCable => ({ id, from, to, kind });

export const EXERCISES: readonly Exercise[] = [
  {
    id: 'one-switch',
    title: 'One switch',
    task: 'Power comes to the switch. The switch lights the lamp.',
    hint: 'The switch breaks the hot and never the neutral: the white goes straight through to the lamp.',
    board: {
      boxes: ['switch box', 'lamp box'],
      parts: [part('feed', 0, 'feed'), part('s1', 0, 'single-pole'), part('lamp', 1, 'lamp')],
      cables: [cable('c1', 0, 1, '/2')],
    },
  },
  {
    id: 'loop',
    title: 'One switch, power at the lamp',
    task: 'Power comes to the lamp. A three-wire cable goes down to the switch; leave its white joined to the neutral.',
    hint: 'Hot goes down on the black and comes back switched on the red; the white waits at the switch (404.2(C)).',
    board: {
      boxes: ['lamp box', 'switch box'],
      parts: [part('feed', 0, 'feed'), part('lamp', 0, 'lamp'), part('s1', 1, 'single-pole')],
      cables: [cable('c1', 0, 1, '/3')],
    },
  },
  {
    id: 'live-receptacle',
    title: 'A switch, and a receptacle that stays live',
    task: 'The lamp follows the switch; the receptacle behind it is always live.',
    hint: 'The hot passes the switch unbroken on one wire, switched on another.',
    board: {
      boxes: ['switch box', 'lamp box', 'receptacle box'],
      parts: [
        part('feed', 0, 'feed'),
        part('s1', 0, 'single-pole'),
        part('lamp', 1, 'lamp'),
        part('r1', 2, 'receptacle'),
      ],
      cables: [cable('c1', 0, 1, '/3'), cable('c2', 1, 2, '/2')],
    },
  },
  {
    id: 'two-places',
    title: 'Two places',
    task: 'Power at the first three-way, the lamp behind the second. Each of them must work whatever the other does.',
    hint: 'Feed on the common of the first, lamp on the common of the second, the two travelers between the brass screws.',
    board: {
      boxes: ['first switch', 'second switch', 'lamp box'],
      parts: [part('feed', 0, 'feed'), part('s1', 0, 'three-way'), part('s2', 1, 'three-way'), part('lamp', 2, 'lamp')],
      cables: [cable('c1', 0, 1, '/3'), cable('c2', 1, 2, '/2')],
    },
  },
  {
    id: 'two-places-light',
    title: 'Two places, the lamp between them',
    task: 'Power at the first three-way, then the lamp, then the second three-way.',
    hint: 'The travelers pass the lamp box untouched; the switched wire comes back from the second switch.',
    board: {
      boxes: ['first switch', 'lamp box', 'second switch'],
      parts: [part('feed', 0, 'feed'), part('s1', 0, 'three-way'), part('lamp', 1, 'lamp'), part('s2', 2, 'three-way')],
      cables: [cable('c1', 0, 1, '/3'), cable('c2', 1, 2, '/4')],
    },
  },
  {
    id: 'three-places',
    title: 'Three places',
    task: 'Two three-ways and a four-way between them.',
    hint: 'The four-way takes one pair of travelers in and hands a pair out; it crosses them or not.',
    board: {
      boxes: ['first switch', 'middle switch', 'last switch', 'lamp box'],
      parts: [
        part('feed', 0, 'feed'),
        part('s1', 0, 'three-way'),
        part('s2', 1, 'four-way'),
        part('s3', 2, 'three-way'),
        part('lamp', 3, 'lamp'),
      ],
      cables: [cable('c1', 0, 1, '/3'), cable('c2', 1, 2, '/3'), cable('c3', 2, 3, '/2')],
    },
  },
  {
    id: 'four-places',
    title: 'Four places, power at the lamp',
    task: 'Power comes to the lamp; all four switches hang on it in a row.',
    hint: 'Hot, switched wire and neutral go down together; the switched wire has to come back from the far end.',
    board: {
      boxes: ['lamp box', 'first switch', 'second switch', 'third switch', 'last switch'],
      parts: [
        part('feed', 0, 'feed'),
        part('lamp', 0, 'lamp'),
        part('s1', 1, 'three-way'),
        part('s2', 2, 'four-way'),
        part('s3', 3, 'four-way'),
        part('s4', 4, 'three-way'),
      ],
      cables: [cable('c1', 0, 1, '/3'), cable('c2', 1, 2, '/4'), cable('c3', 2, 3, '/4'), cable('c4', 3, 4, '/4')],
    },
  },
];

const REASONS: Partial<Record<Flaw['kind'], string>> = {
  short: 'Follow the hot: somewhere it meets the neutral without a lamp between.',
  dark: 'Trace from the feed to the lamp in that position: where does the way end?',
  lit: 'In that position a way round the switch stays closed. Is a traveler on a common?',
  'neutral-missing': 'The white of the lamp has to come back to the white of the feed.',
  'neutral-switched': 'A switch breaks the hot only: a lamp with a broken neutral is dark and still live.',
  'not-live': 'The receptacle takes its hot before any switch.',
  foreign: 'Something changes with the switches that should not.',
};

export interface BoardVerdict {
  readonly solved: boolean;
  readonly problems: readonly { readonly what: string; readonly why: string; readonly positions: readonly number[] }[];
}

/** The prover's word on a board, with the reason an instructor would give. */
export function checkBoard(board: Board): BoardVerdict {
  const proof = prove(boardNetlist(board));
  const flaws = [...proof.flaws, ...proof.groups.flatMap((one) => one.flaws)];
  return {
    solved: flaws.length === 0,
    problems: flaws
      .slice(0, 3)
      .map((one) => ({ what: one.message, why: REASONS[one.kind] ?? '', positions: one.positions })),
  };
}
