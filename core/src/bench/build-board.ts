import { refuse, succeed, type Result } from '../units/result';
import { isFeed, type Board, type BoardCable, type BoardPart } from './board';

const MOST_BOXES = 8;
/** A box of the bench shows so many devices side by side; and so many wire ends one above the other. */
const MOST_DEVICES = 3;
const MOST_CABLES = 3;

/** A board of one's own to begin with: one box with the feed in it. */
export const NEW_BOARD: Board = {
  boxes: ['first box'],
  parts: [{ id: 'feed', box: 0, kind: 'feed' }],
  cables: [],
  wires: [],
};

const PREFIX: Readonly<Record<BoardPart['kind'], string>> = {
  feed: 'feed',
  'feed-240': 'feed',
  'single-pole': 's',
  'three-way': 's',
  'four-way': 's',
  'two-pole': 's',
  electronic: 's',
  'two-wire': 's',
  'add-on': 's',
  lamp: 'lamp',
  receptacle: 'r',
  fan: 'fan',
  heater: 'heat',
};

/** An id that nothing on the board has. */
function freeId(board: Board, prefix: string): string {
  const taken = new Set([...board.parts, ...board.cables].map((one) => one.id));
  for (let n = 1; ; n++) if (!taken.has(`${prefix}${n}`)) return `${prefix}${n}`;
}

/** One more box, behind the last. */
export function addBox(board: Board, name: string): Result<Board> {
  const called = name.trim();
  if (called === '') return refuse('name', 'name', 'Name the box first, for instance "hall switch".');
  if (called.length > 24) return refuse('name', 'name', 'A name has at most 24 letters. Make it shorter.');
  if (board.boxes.length >= MOST_BOXES)
    return refuse('boxes', 'boxes', `The bench holds ${MOST_BOXES} boxes. Take one away first.`);
  if (board.boxes.includes(called))
    return refuse('name', 'name', `There is a box "${called}" already. Name it otherwise.`);
  return succeed({ ...board, boxes: [...board.boxes, called] });
}

/** A part into a box. There is one feed; a box takes three devices. */
export function addPart(board: Board, box: number, kind: BoardPart['kind']): Result<Board> {
  const here = board.parts.filter((one) => one.box === box && !isFeed(one));
  if (board.boxes[box] === undefined) return refuse('box', 'box', 'There is no such box. Add it first.');
  const feeds = isFeed({ kind });
  if (feeds && board.parts.some(isFeed))
    return refuse('feed', 'kind', 'There is one feed on the bench. Take it away to put it elsewhere.');
  if (!feeds && here.length >= MOST_DEVICES)
    return refuse('full', 'box', `${board.boxes[box]} holds ${MOST_DEVICES} devices already. Put it into another box.`);
  const id = feeds ? 'feed' : freeId(board, PREFIX[kind]);
  return succeed({ ...board, parts: [...board.parts, { id, box, kind }] });
}

/** A cable between two boxes; it is entered from the one that stands first. */
export function addCable(board: Board, a: number, b: number, kind: BoardCable['kind']): Result<Board> {
  const [from, to] = a < b ? [a, b] : [b, a];
  const count = (box: number) => board.cables.filter((one) => one.from === box || one.to === box).length;
  if (from === to) return refuse('cable', 'to', 'A cable runs from one box to another. Choose two.');
  if (board.boxes[from] === undefined || board.boxes[to] === undefined)
    return refuse('box', 'to', 'There is no such box. Add it first.');
  const full = [from, to].find((box) => count(box) >= MOST_CABLES);
  if (full !== undefined)
    return refuse('full', 'from', `${board.boxes[full]} has ${MOST_CABLES} cables already. Go by way of another box.`);
  return succeed({ ...board, cables: [...board.cables, { id: freeId(board, 'c'), from, to, kind }] });
}

/** Without a part or a cable, and without the joints that were made at it. */
export function takeAway(board: Board, id: string): Board {
  const isOf = (pin: string) => pin.startsWith(`${id}.`);
  return {
    ...board,
    parts: board.parts.filter((one) => one.id !== id),
    cables: board.cables.filter((one) => one.id !== id),
    wires: board.wires.filter(([p, q]) => !isOf(p) && !isOf(q)),
  };
}

/** Without a box, what is in it and the cables that reach it; the boxes behind it move up. */
export function takeBoxAway(board: Board, box: number): Board {
  const gone = [
    ...board.parts.filter((one) => one.box === box),
    ...board.cables.filter((one) => one.from === box || one.to === box),
  ];
  const left = gone.reduce((now, { id }) => takeAway(now, id), board);
  const up = (n: number) => (n > box ? n - 1 : n);
  return {
    ...left,
    boxes: left.boxes.filter((_, i) => i !== box),
    parts: left.parts.map((one) => ({ ...one, box: up(one.box) })),
    cables: left.cables.map((one) => ({ ...one, from: up(one.from), to: up(one.to) })),
  };
}

/** Which switches go with what: the same letter for both. No letter keeps a receptacle always live. */
export const setLetter = (board: Board, id: string, letter: BoardPart['letter']): Board => ({
  ...board,
  parts: board.parts.map((one) => {
    if (one.id !== id) return one;
    const plain = { id: one.id, box: one.box, kind: one.kind };
    return letter === undefined ? plain : { ...plain, letter };
  }),
});
