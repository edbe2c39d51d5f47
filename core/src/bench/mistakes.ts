import type { TerminalName } from '../makeup/signals';
import { checkBoard, pinsOf, type Board, type BoardPart } from './board';
import { given, itemAt } from '../units/result';

/** A mistake as it is made on site, in a board that was right. */
export interface BoardMistake {
  readonly wires: Board['wires'];
  /** Which kind it is: practice counts what is found and missed by it. */
  readonly kind: string;
  /** Where it is, for whoever gives up. */
  readonly words: string;
}

type Change = Omit<BoardMistake, 'kind'>;
type Wires = Board['wires'];

/** Screws that get each other's wire, by device. */
const CHANGED_OVER: Readonly<Partial<Record<BoardPart['kind'], readonly (readonly [TerminalName, TerminalName])[]>>> = {
  'three-way': [
    ['common', 't1'],
    ['common', 't2'],
  ],
  'four-way': [
    ['a1', 'b1'],
    ['a2', 'b2'],
  ],
  'two-pole': [
    ['line', 'load-2'],
    ['load', 'line-2'],
  ],
  electronic: [
    ['load', 'neutral'],
    ['neutral', 'signal'],
  ],
  'add-on': [['neutral', 'signal']],
};

const changed = (wires: Wires, from: string, to: string): Wires => {
  const other = (pin: string) => (pin === from ? to : pin === to ? from : pin);
  return wires.map(([a, b]) => [other(a), other(b)] as const);
};
const isUsed = (wires: Wires, pin: string): boolean => wires.some((wire) => wire.includes(pin));

/** Every mistake of each kind that this board can have. Some of them change nothing that can be seen; the prover says which. */
function mistakesOf(board: Board): ReadonlyMap<string, readonly Change[]> {
  const { wires, boxes } = board;
  const screws = board.parts.flatMap((part) =>
    (CHANGED_OVER[part.kind] ?? []).map(([a, b]): Change => ({
      wires: changed(wires, `${part.id}.${a}`, `${part.id}.${b}`),
      words: `The wires on ${a} and ${b} of the ${part.kind} in ${boxes[part.box]} have changed places.`,
    })),
  );
  const ends = pinsOf(board).filter((one) => board.cables.some(({ id }) => id === one.of));
  const colors = ends.flatMap((one, i) =>
    ends
      .slice(i + 1)
      .filter((other) => other.of === one.of && other.box === one.box && other.name !== one.name)
      .filter((other) => isUsed(wires, one.pin) || isUsed(wires, other.pin))
      .map((other): Change => ({
        wires: changed(wires, one.pin, other.pin),
        words: `In ${boxes[one.box]} the ${one.name} and the ${other.name} of one cable have changed places.`,
      })),
  );
  const words = new Map(pinsOf(board).map((one) => [one.pin, one]));
  const loose = wires.map(([a, b], i): Change => {
    const [from, to] = [given(words.get(a)), given(words.get(b))];
    return {
      wires: wires.filter((_, n) => n !== i),
      words: `In ${boxes[from.box]} a joint has come off between ${from.name} and ${to.name}.`,
    };
  });
  return new Map([
    ['screws of a switch changed over', screws],
    ['wires of a cable changed over', colors],
    ['a joint come off', loose],
  ]);
}

/**
 * Plants one mistake that shows in some position of the switches; undefined where the board is not right, or nothing can go wrong.
 * @param weightOf how often a kind comes, against the others
 * @param random from 0 to less than 1
 */
export function plantOnBoard(
  board: Board,
  weightOf: (kind: string) => number,
  random: () => number,
): BoardMistake | undefined {
  if (!checkBoard(board).solved) return undefined;
  const kinds = new Map([...mistakesOf(board)].map(([kind, all]) => [kind, [...all]]));
  for (;;) {
    const left = [...kinds].filter(([, all]) => all.length > 0);
    if (left.length === 0) return undefined;
    let draw = random() * left.reduce((sum, [kind]) => sum + weightOf(kind), 0);
    const [kind, all] = left.find(([one]) => (draw -= weightOf(one)) < 0) ?? itemAt(left, -1);
    const change = itemAt(all.splice(Math.floor(random() * all.length), 1), 0);
    if (!checkBoard({ ...board, wires: change.wires }).solved) return { ...change, kind };
  }
}

/** Mistakes of a kind that was missed come up more often: so many times more for each miss that no find has made good. */
const MISSED_WEIGHS = 3;

/** Found and missed, by kind of mistake. */
type Tallies = Readonly<Record<string, { right: number; wrong: number }>>;

/** The tallies with one more found, or missed. */
export function countMistake(tallies: Tallies, kind: string, isFound: boolean): Record<string, Tallies[string]> {
  const { right = 0, wrong = 0 } = tallies[kind] ?? {};
  return { ...tallies, [kind]: isFound ? { right: right + 1, wrong } : { right, wrong: wrong + 1 } };
}

/** How often each kind of mistake is to come, after what somebody has found and missed of it. */
export const weighMissed =
  (tallies: Tallies) =>
  (kind: string): number => {
    const { right = 0, wrong = 0 } = tallies[kind] ?? {};
    return 1 + MISSED_WEIGHS * Math.max(0, wrong - right);
  };
