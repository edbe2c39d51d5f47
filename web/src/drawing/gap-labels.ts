/** A stretch of a ribbon on the screen, pixels, with what is said of it at length and in short. */
interface Gap {
  readonly fromX: number;
  readonly toX: number;
  readonly long: string;
  readonly short: string;
}

/** A label in its place: the middle of its text, and which of two rows it is in. */
interface GapLabel {
  readonly x: number;
  readonly row: 0 | 1;
  readonly text: string;
}

/** Width of a letter of a label and the air beside it, pixels. */
const LETTER = 6.2;
const AIR = 6;
const ROWS = [0, 1] as const;

/** Labels over gaps, none over another: at length where there is room for it, in short where not, in a second row, or not at all. */
export function gapLabels(gaps: readonly Gap[], width: number): GapLabel[] {
  const ends = [0, 0];
  const labels: GapLabel[] = [];
  for (const { fromX, toX, long, short } of [...gaps].sort((a, b) => a.fromX - b.fromX)) {
    const tries = [long, short].flatMap((text) => ROWS.map((row) => ({ text, row })));
    for (const { text, row } of tries) {
      const half = (text.length * LETTER) / 2;
      const x = Math.max(half, Math.min(width - half, (fromX + toX) / 2));
      if (x - half < ends[row]!) continue;
      labels.push({ x, row, text });
      ends[row] = x + half + AIR;
      break;
    }
  }
  return labels;
}
