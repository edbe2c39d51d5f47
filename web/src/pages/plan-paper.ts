import type { Bounds } from '@winculum/core';

export type Lens = 'boxes' | 'switching' | 'circuits' | 'routes' | 'low-voltage';

/** Papers, long side across, inches; what a printer leaves unprinted is taken off on every side. */
export const PAPERS = {
  letter: { word: 'Letter, 11 x 8½', widthIn: 11, heightIn: 8.5 },
  tabloid: { word: 'Tabloid, 17 x 11', widthIn: 17, heightIn: 11 },
  'arch-c': { word: 'ARCH C, 24 x 18', widthIn: 24, heightIn: 18 },
  'arch-d': { word: 'ARCH D, 36 x 24', widthIn: 36, heightIn: 24 },
} as const;
export type PaperId = keyof typeof PAPERS;
/** A paper as it lies: across, or tall. */
export interface Paper {
  readonly widthIn: number;
  readonly heightIn: number;
  /** Name of its page in the style sheet. */
  readonly page: string;
}

/** Drawing scales: inches on paper for an inch of the house. */
export const SCALES = {
  quarter: { word: '¼ in = 1 ft', paperIn: 1 / 48 },
  eighth: { word: '⅛ in = 1 ft', paperIn: 1 / 96 },
} as const;
export type ScaleId = keyof typeof SCALES;
export type Scale = (typeof SCALES)[ScaleId];

export const MARGIN_IN = 0.4;
/** Height of the strip with title and legend below the drawing, inches. */
export const TITLE_IN = 1.1;

/** What one sheet shows of the plan, house inches. */
export interface Tile {
  readonly number: number;
  readonly x: number;
  readonly y: number;
  readonly widthIn: number;
  readonly heightIn: number;
  /** Sides at which another sheet goes on. */
  readonly match: readonly ('left' | 'right' | 'top' | 'bottom')[];
}

/** The paper across or tall, whichever takes fewer sheets; across where both take the same. */
export function layPaper(id: PaperId, bounds: Bounds, scale: Scale): Paper {
  const { widthIn, heightIn } = PAPERS[id];
  const across = { widthIn, heightIn, page: `plan-${id}` };
  const tall = { widthIn: heightIn, heightIn: widthIn, page: `plan-${id}-tall` };
  return tilesFor(bounds, tall, scale).length < tilesFor(bounds, across, scale).length ? tall : across;
}

/** Cuts a plan into the fewest sheets of a paper at a scale; where one is enough it stands in its middle. */
export function tilesFor({ minX, minY, maxX, maxY }: Bounds, paper: Paper, { paperIn }: Scale): Tile[] {
  const widthIn = (paper.widthIn - 2 * MARGIN_IN) / paperIn;
  const heightIn = (paper.heightIn - 2 * MARGIN_IN - TITLE_IN) / paperIn;
  const [across, down] = [maxX - minX, maxY - minY];
  const [columns, rows] = [
    Math.max(1, Math.ceil(across / widthIn - 1e-9)),
    Math.max(1, Math.ceil(down / heightIn - 1e-9)),
  ];
  const left = minX - (columns * widthIn - across) / 2;
  const top = minY - (rows * heightIn - down) / 2;
  return Array.from({ length: rows * columns }, (_, i) => {
    const [column, row] = [i % columns, Math.floor(i / columns)];
    return {
      number: i + 1,
      x: left + column * widthIn,
      y: top + row * heightIn,
      widthIn,
      heightIn,
      match: [
        ...(column > 0 ? (['left'] as const) : []),
        ...(column < columns - 1 ? (['right'] as const) : []),
        ...(row > 0 ? (['top'] as const) : []),
        ...(row < rows - 1 ? (['bottom'] as const) : []),
      ],
    };
  });
}
