import type { Board, BoardCable, BoardPart } from './board';

/** A task on the bench: what stands there, and what is asked. */
interface Exercise {
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
