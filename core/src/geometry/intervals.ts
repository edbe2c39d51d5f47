/** A stretch along a line, inches; `to` is never less than `from`. */
export interface Interval {
  readonly fromIn: number;
  readonly toIn: number;
}

/** Length of an interval, inches. */
export const lengthOf = (interval: Interval): number => interval.toIn - interval.fromIn;

/** Closer than this two places on a tape are the same place, inches. */
export const HAIR_IN = 1 / 64;

/** Whether a measured length is longer, or shorter, than a limit by more than a tape shows: what is exactly at a limit keeps it. Inches. */
export const isLonger = (measuredIn: number, limitIn: number): boolean => measuredIn > limitIn + HAIR_IN;
/** Whether a measure falls short of a limit by more than a hair. */
export const isShorter = (measuredIn: number, limitIn: number): boolean => measuredIn < limitIn - HAIR_IN;

/** Sorted, with touching and overlapping stretches joined. */
export function joinIntervals(intervals: readonly Interval[]): Interval[] {
  const joined: { fromIn: number; toIn: number }[] = [];
  for (const { fromIn, toIn } of [...intervals].sort((a, b) => a.fromIn - b.fromIn)) {
    const last = joined.at(-1);
    if (last && fromIn <= last.toIn + HAIR_IN) last.toIn = Math.max(last.toIn, toIn);
    else joined.push({ fromIn, toIn });
  }
  return joined;
}

/** What is left of a stretch when others are cut out of it. */
export function cutIntervals(whole: Interval, cuts: readonly Interval[]): Interval[] {
  const left: Interval[] = [];
  let at = whole.fromIn;
  for (const cut of joinIntervals(cuts)) {
    if (cut.toIn <= whole.fromIn || cut.fromIn >= whole.toIn) continue;
    if (cut.fromIn > at + HAIR_IN) left.push({ fromIn: at, toIn: cut.fromIn });
    at = Math.max(at, cut.toIn);
  }
  if (whole.toIn > at + HAIR_IN) left.push({ fromIn: at, toIn: whole.toIn });
  return left;
}

/**
 * What is left of a closed loop when stretches are cut out of it. A remainder over the loop's start comes back as one
 * stretch whose `to` lies beyond the loop's length.
 */
export function cutLoop(loopLengthIn: number, cuts: readonly Interval[]): Interval[] {
  if (cuts.length === 0) return [{ fromIn: 0, toIn: loopLengthIn }];
  const flat = cuts.flatMap((cut) =>
    cut.toIn > loopLengthIn
      ? [
          { fromIn: cut.fromIn, toIn: loopLengthIn },
          { fromIn: 0, toIn: cut.toIn - loopLengthIn },
        ]
      : [cut],
  );
  const left = cutIntervals({ fromIn: 0, toIn: loopLengthIn }, flat);
  const [first, last] = [left[0], left.at(-1)];
  if (left.length > 1 && first && last && first.fromIn < HAIR_IN && last.toIn > loopLengthIn - HAIR_IN)
    return [...left.slice(1, -1), { fromIn: last.fromIn, toIn: loopLengthIn + first.toIn }];
  return left;
}
