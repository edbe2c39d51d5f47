import { given } from '../units/result';
/** Table 220.55, one row a number of appliances from 1 to 25: columns A and B in percent, C in kilowatts. *From memory*, high. */
const ROWS: readonly (readonly [a: number, b: number, c: number])[] = [
  [80, 80, 8],
  [75, 65, 11],
  [70, 55, 14],
  [66, 50, 17],
  [62, 45, 20],
  [59, 43, 21],
  [56, 40, 22],
  [53, 36, 23],
  [51, 35, 24],
  [49, 34, 25],
  [47, 32, 26],
  [45, 32, 27],
  [43, 32, 28],
  [41, 32, 29],
  [40, 32, 30],
  [39, 28, 31],
  [38, 28, 32],
  [37, 28, 33],
  [36, 28, 34],
  [35, 28, 35],
  [34, 26, 36],
  [33, 26, 37],
  [32, 26, 38],
  [31, 26, 39],
  [30, 26, 40],
];
/** Beyond them column A is 30 %, column B falls by tens, and column C grows by each range. *From memory*, medium. */
const LATER_B: readonly (readonly [most: number, b: number])[] = [
  [30, 24],
  [40, 22],
  [50, 20],
  [60, 18],
  [Infinity, 16],
];
const [SMALL_KW, MIDDLE_KW, COLUMN_C_KW] = [3.5, 8.75, 12];

function rowFor(count: number): readonly [a: number, b: number, c: number] {
  const row = ROWS[count - 1];
  if (row) return row;
  const [, b] = given(LATER_B.find(([most]) => count <= most));
  return [30, b, count <= 40 ? 15 + count : 25 + 0.75 * count];
}

/**
 * Demand of household cooking appliances over 1¾ kW on a service or feeder, volt-amperes: column C with Notes 1 and 2, or columns A and B by
 * Note 3 where they give less.
 * @example a range of 12 kW is 8,000 VA; ovens of 4 and 4 with a cooktop of 5.1 kW are 7,205 VA
 */
export function cookingDemandVa(platesVa: readonly number[]): number {
  if (platesVa.length === 0) return 0;
  const kilowatts = platesVa.map((va) => va / 1000);
  const [, , columnC] = rowFor(kilowatts.length);
  // Notes 1 and 2: each kilowatt, or its greater part, of the mean over 12 adds 5 %.
  const mean = kilowatts.reduce((sum, kw) => sum + Math.max(COLUMN_C_KW, kw), 0) / kilowatts.length;
  const byC = columnC * (1 + 0.05 * Math.round(Math.max(0, mean - COLUMN_C_KW) + 1e-9));
  if (kilowatts.some((kw) => kw > MIDDLE_KW)) return byC * 1000;
  const share = (all: readonly number[], column: 0 | 1) =>
    all.length === 0 ? 0 : (all.reduce((sum, kw) => sum + kw, 0) * rowFor(all.length)[column]) / 100;
  const byNote3 =
    share(
      kilowatts.filter((kw) => kw < SMALL_KW),
      0,
    ) +
    share(
      kilowatts.filter((kw) => kw >= SMALL_KW),
      1,
    );
  return Math.min(byC, byNote3) * 1000;
}
