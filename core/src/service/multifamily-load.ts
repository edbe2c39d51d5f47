import type { DwellingLoads } from './connected-loads';
import {
  finish,
  inWords,
  loadsOf,
  names,
  poolLines,
  seasons,
  sumVa,
  type CalculationLine,
  type LoadCalculation,
} from './load-calculation';
import { given } from '../units/result';

/** Demand of multifamily dwellings by the number of units, percent: Table 220.84, 220.84(B) from 2020. *From memory*, medium. */
const MULTIFAMILY: readonly (readonly [most: number, percent: number])[] = [
  ...([
    [5, 45],
    [7, 44],
    [10, 43],
    [11, 42],
    [13, 41],
    [15, 40],
    [17, 39],
    [20, 38],
    [21, 37],
    [23, 36],
  ] as const),
  ...([
    [25, 35],
    [27, 34],
    [30, 33],
    [31, 32],
    [33, 31],
    [36, 30],
    [38, 29],
    [42, 28],
    [45, 27],
    [50, 26],
  ] as const),
  ...([
    [55, 25],
    [61, 24],
    [Infinity, 23],
  ] as const),
];

/** Three dwellings and more, each with electric cooking and with electric heat or cooling: 220.84(A). */
export const isMultifamily = (loads: DwellingLoads): boolean =>
  loads.dwellings >= 3 &&
  loadsOf(loads, 'cooking').length >= loads.dwellings &&
  Math.max(seasons(loads).heating.length, seasons(loads).cooling.length) >= loads.dwellings;

/** What dwellings connect by 220.84(C): the pool at its plates, and the larger of heat and cooling. */
function connectedLines(loads: DwellingLoads): CalculationLine[] {
  const { heating, cooling, heatVa, coolVa } = seasons(loads);
  const climate: CalculationLine = {
    what: heatVa >= coolVa ? `Heat: ${names(heating)}` : `Cooling: ${names(cooling)}`,
    sum: `heat ${inWords(heatVa)}, cooling ${inWords(coolVa)}: the larger`,
    va: Math.max(heatVa, coolVa),
    section: '220.84(C)(5)',
  };
  return [...poolLines(loads), ...(climate.va > 0 ? [climate] : [])];
}

/**
 * The load of three dwelling units and more by the optional method, 220.84: for units with electric cooking and with electric heat or
 * cooling, see {@link isMultifamily}. Loads of the house itself come on top, by Part III.
 */
export function multifamilyLoad(loads: DwellingLoads): LoadCalculation {
  const lines = connectedLines(loads);
  const total = sumVa(lines);
  const [, percent] = given(MULTIFAMILY.find(([most]) => loads.dwellings <= most));
  return finish(
    loads,
    [
      ...lines.map((line) => ({ ...line, va: 0, sum: `${line.sum} = ${inWords(line.va)} VA` })),
      {
        what: `Demand on these, ${loads.dwellings} units`,
        sum: `${inWords(total)} VA × ${percent} %`,
        va: (total * percent) / 100,
        section: loads.edition === '2014' || loads.edition === '2017' ? 'Table 220.84' : 'Table 220.84(B)',
      },
    ],
    ['Everything is taken as a load of the units: what a house panel feeds comes on top, by Part III.'],
  );
}

/**
 * Two dwelling units by 220.85: three identical ones by 220.84, half as much again as the two connect. Where the units differ this is
 * less than three of the larger would be, so it is shown and never decides.
 */
export function twoDwellingsLoad(loads: DwellingLoads): LoadCalculation {
  const total = sumVa(connectedLines(loads));
  return finish(
    loads,
    [
      {
        what: 'Three units like these',
        sum: `${inWords(total)} VA connected × 3/2 × 45 %`,
        va: total * 1.5 * 0.45,
        section: '220.85, 220.84',
      },
    ],
    ['The two units are alike. Where they differ, reckon three of the larger one; the authority decides.'],
  );
}
