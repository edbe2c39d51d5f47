import { z } from 'zod';
import type { SwitchHardware } from '../feed/chain';
import type { LoadPart, Netlist, Pin, SwitchPart, Wire } from '../proof/netlist';
import { prove, type Flaw } from '../proof/prove';
import type { TerminalName } from '../makeup/signals';
import { itemAt } from '../units/result';

const idSchema = z.string().regex(/^[a-z0-9]{1,12}$/, 'is not an id of the bench');
const pinSchema = z.string().regex(/^[a-z0-9]+(\.[a-z0-9-]+){1,2}$/, 'is not a screw or a wire end');
const SWITCH_KINDS = ['single-pole', 'three-way', 'four-way', 'two-pole', 'electronic', 'two-wire', 'add-on'] as const;
const LOAD_KINDS = ['lamp', 'receptacle', 'fan', 'heater'] as const;
/**
 * What lies ready for a board. A control with electronics needs a neutral (`electronic`), or none (`two-wire`), and hears its add-on switches by a wire
 * of their own; a heater takes 240 V from a feed of two hots.
 */
export const PART_KINDS = ['feed', 'feed-240', ...SWITCH_KINDS, ...LOAD_KINDS] as const;
export const CABLE_KINDS = ['/2', '/3', '/4'] as const;

/** A piece on the learning bench, in one of its boxes. */
const boardPartSchema = z.strictObject({
  id: idSchema,
  box: z.number().int().min(0).max(11),
  kind: z.enum(PART_KINDS),
  /** Which switches go with which lamps: "a" where nothing is said. A receptacle without a letter is always live. */
  letter: z.enum(['a', 'b', 'c']).optional(),
});
export type BoardPart = z.infer<typeof boardPartSchema>;

/** A cable from box to box; its conductors by color. */
const boardCableSchema = z.strictObject({
  id: idSchema,
  from: z.number().int().min(0).max(11),
  to: z.number().int().min(0).max(11),
  kind: z.enum(CABLE_KINDS),
});
export type BoardCable = z.infer<typeof boardCableSchema>;

/** Pairs of pins that somebody has joined. */
export const boardWiresSchema = z
  .array(z.tuple([pinSchema, pinSchema]).readonly())
  .max(200)
  .readonly();

export const boardSchema = z.strictObject({
  boxes: z.array(z.string().trim().min(1, 'needs a name').max(24)).max(12).readonly(),
  parts: z.array(boardPartSchema).max(48).readonly(),
  cables: z.array(boardCableSchema).max(24).readonly(),
  wires: boardWiresSchema,
});
export type Board = z.infer<typeof boardSchema>;

const PINS: Readonly<Record<BoardPart['kind'], readonly TerminalName[]>> = {
  feed: ['hot', 'neutral'],
  'feed-240': ['hot', 'hot-2'],
  'single-pole': ['line', 'load'],
  'three-way': ['common', 't1', 't2'],
  'four-way': ['a1', 'a2', 'b1', 'b2'],
  'two-pole': ['line', 'load', 'line-2', 'load-2'],
  electronic: ['line', 'load', 'neutral', 'signal'],
  'two-wire': ['line', 'load', 'signal'],
  'add-on': ['line', 'neutral', 'signal'],
  lamp: ['hot', 'neutral'],
  receptacle: ['hot', 'neutral'],
  fan: ['hot', 'neutral'],
  heater: ['hot', 'hot-2'],
};
const COLORS: Readonly<Record<BoardCable['kind'], readonly string[]>> = {
  '/2': ['black', 'white'],
  '/3': ['black', 'red', 'white'],
  '/4': ['black', 'red', 'blue', 'white'],
};

/** A terminal of a part, or an end of a conductor, where a wire can be put. */
export interface BoardPin {
  readonly pin: Pin;
  readonly box: number;
  /** A screw's name, or the color of a conductor. */
  readonly name: string;
  /** The part or cable that it belongs to. */
  readonly of: string;
}

/** Every pin of a board, in the order of its boxes. */
export function pinsOf(board: Board): readonly BoardPin[] {
  return [
    ...board.cables.flatMap((cable) =>
      (['a', 'b'] as const).flatMap((end) =>
        COLORS[cable.kind].map((color) => ({
          pin: `${cable.id}.${color}.${end}`,
          box: end === 'a' ? cable.from : cable.to,
          name: color,
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
/** What each takes, watts: *common practice*. */
const WATTS: Readonly<Record<(typeof LOAD_KINDS)[number], number>> = {
  lamp: 60,
  receptacle: 180,
  fan: 180,
  heater: 1500,
};
type SwitchKind = (typeof SWITCH_KINDS)[number];
const isSwitch = (part: BoardPart): part is BoardPart & { kind: SwitchKind } =>
  SWITCH_KINDS.some((one) => one === part.kind);
const isLoad = (part: BoardPart): part is BoardPart & { kind: (typeof LOAD_KINDS)[number] } =>
  LOAD_KINDS.some((one) => one === part.kind);
/** Whether power comes in there. */
export const isFeed = ({ kind }: Pick<BoardPart, 'kind'>): boolean => kind === 'feed' || kind === 'feed-240';
const hardwareOf = (kind: SwitchKind): SwitchHardware =>
  kind === 'electronic' || kind === 'two-wire' ? 'smart' : kind;

/** The group that a part belongs to; undefined for a feed and for what is always live. */
export const letterOf = (part: BoardPart): string | undefined =>
  isFeed(part) ? undefined : (part.letter ?? (part.kind === 'receptacle' ? undefined : 'a'));

/** The groups of a board, in the order of the alphabet. */
export const lettersOf = (board: Board): readonly string[] =>
  [...new Set(board.parts.flatMap((part) => letterOf(part) ?? []))].sort();

/** What a board leaves out. */
const NOT_ON_THE_BENCH = { gfcis: [], grounds: [], waiting: [], joins: [] } as const;

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
    for (const color of COLORS[cable.kind])
      wires.push({
        id: `${cable.id}.${color}`,
        label: `${color} from ${itemAt(board.boxes, cable.from)} to ${itemAt(board.boxes, cable.to)}`,
        a: `${cable.id}.${color}.a`,
        b: `${cable.id}.${color}.b`,
        ohms: SHORT_OHMS,
      });
  const named = (part: BoardPart) => itemAt(board.boxes, part.box);
  const isAlone = (part: BoardPart) => board.parts.filter((one) => one.box === part.box && isSwitch(one)).length === 1;
  const switches = board.parts.filter(isSwitch).map((part): SwitchPart => ({
    id: part.id,
    label: isAlone(part) ? named(part) : `${named(part)}, ${part.kind} ${letterOf(part)}`,
    hardware: hardwareOf(part.kind),
    at: Object.fromEntries(PINS[part.kind].map((name) => [name, `${part.id}.${name}`])),
  }));
  const loads = board.parts.filter(isLoad).map((part): LoadPart => ({
    id: part.id,
    label: `the ${part.kind} in ${named(part)}`,
    kind: part.kind === 'heater' ? 'fixed' : part.kind,
    a: `${part.id}.hot`,
    b: `${part.id}.${part.kind === 'heater' ? 'hot-2' : 'neutral'}`,
    ground: undefined,
    watts: WATTS[part.kind],
    volts: part.kind === 'heater' ? 240 : 120,
    from: 'hot/Q',
    to: part.kind === 'heater' ? 'hot/Q/2' : 'neutral/Q',
    group: letterOf(part),
  }));
  const feeds = board.parts.filter(isFeed);
  return {
    node,
    wires,
    switches,
    loads,
    ...NOT_ON_THE_BENCH,
    sources: feeds.flatMap((part) => [
      { id: 'hot/Q', kind: 'hot' as const, point: `${part.id}.hot`, volts: 120 },
      part.kind === 'feed-240'
        ? { id: 'hot/Q/2', kind: 'hot' as const, point: `${part.id}.hot-2`, volts: -120 }
        : { id: 'neutral/Q', kind: 'neutral' as const, point: `${part.id}.neutral`, volts: 0 },
    ]),
    groups: lettersOf(board).map((letter) => ({
      id: letter,
      name: letter === 'a' ? 'the light' : `group ${letter}`,
      switches: board.parts.filter((part) => isSwitch(part) && letterOf(part) === letter).map((part) => part.id),
    })),
  };
}

const REASONS: Partial<Record<Flaw['kind'], string>> = {
  short: 'Follow the hot: somewhere it meets the neutral without a lamp between.',
  dark: 'Trace from the feed to the lamp in that position: where does the way end?',
  lit: 'In that position a way round the switch stays closed. Is a traveler on a common?',
  'neutral-missing': 'The white of the lamp has to come back to the white of the feed.',
  'neutral-switched': 'A switch breaks the hot only: a lamp with a broken neutral is dark and still live.',
  'not-live': 'The receptacle takes its hot before any switch.',
  foreign: 'Something changes with the switches that should not.',
};

/** What a wired board does, and whether it is what was asked for. */
export interface BoardVerdict {
  readonly solved: boolean;
  readonly problems: readonly { readonly what: string; readonly why: string; readonly positions: readonly number[] }[];
}

/** What a board of one's own still needs before there is anything to prove. */
function whatIsMissing(board: Board): BoardVerdict['problems'] {
  const problem = (what: string, why: string) => ({ what, why, positions: [] });
  const loads = board.parts.filter(isLoad);
  const feed = board.parts.find(isFeed);
  if (!feed) return [problem('There is no feed on the board.', 'Put one into the box where the power comes in.')];
  if (loads.length === 0)
    return [problem('Nothing on the board can light.', 'Put a lamp, a fan or a receptacle into a box.')];
  const misfit = loads.find((one) => (one.kind === 'heater') !== (feed.kind === 'feed-240'));
  if (misfit)
    return [
      misfit.kind === 'heater'
        ? problem('A heater of 240 V does not run on a hot and a neutral.', 'Feed the board by two hots.')
        : problem(`A ${misfit.kind} of 120 V does not run on two hots.`, 'Feed the board by a hot and a neutral.'),
    ];
  return lettersOf(board).flatMap((letter) => {
    const has = (parts: readonly BoardPart[]) => parts.some((part) => letterOf(part) === letter);
    if (!has(loads)) return [problem(`The switches of ${letter} switch nothing.`, `Give a lamp the letter ${letter}.`)];
    if (!has(board.parts.filter(isSwitch)))
      return [problem(`What has the letter ${letter} has no switch.`, `Give a switch the letter ${letter}.`)];
    return [];
  });
}

/** The prover's word on a board, with the reason an instructor would give. */
export function checkBoard(board: Board): BoardVerdict {
  const missing = whatIsMissing(board);
  if (missing.length > 0) return { solved: false, problems: missing };
  const proof = prove(boardNetlist(board));
  const flaws = [...proof.flaws, ...proof.groups.flatMap((one) => one.flaws)];
  return {
    solved: flaws.length === 0,
    problems: flaws.slice(0, 3).map((one) => ({
      what: itemAt(one.message, 0).toUpperCase() + one.message.slice(1),
      why: REASONS[one.kind] ?? '',
      positions: one.positions,
    })),
  };
}
