import type { ConductorSize } from '../house/schema';

/*
 * Values recalled *from memory*, high confidence, and checked against physics where physics decides them: ambient factors
 * are √((Tc − Ta) ÷ (Tc − 30)), resistances follow from resistivity and area.
 */

export type Metal = 'copper' | 'aluminum';
/** Column of the ampacity table: the temperature that insulation and terminals stand, °C. */
type Column = 60 | 75 | 90;

/** Ampacity at 30 °C, up to three current-carrying conductors: Table 310.15(B)(16) until 2017, Table 310.16 from 2020. */
export const AMPACITY_A: Readonly<
  Record<Metal, Readonly<Partial<Record<ConductorSize, readonly [number, number, number]>>>>
> = {
  copper: {
    '14': [15, 20, 25],
    '12': [20, 25, 30],
    '10': [30, 35, 40],
    '8': [40, 50, 55],
    '6': [55, 65, 75],
    '4': [70, 85, 95],
    '3': [85, 100, 115],
    '2': [95, 115, 130],
    '1': [110, 130, 145],
    '1/0': [125, 150, 170],
    '2/0': [145, 175, 195],
    '3/0': [165, 200, 225],
    '4/0': [195, 230, 260],
    '250 kcmil': [215, 255, 290],
    '300 kcmil': [240, 285, 320],
    '350 kcmil': [260, 310, 350],
    '400 kcmil': [280, 335, 380],
    '500 kcmil': [320, 380, 430],
    '600 kcmil': [350, 420, 475],
  },
  aluminum: {
    '12': [15, 20, 25],
    '10': [25, 30, 35],
    '8': [35, 40, 45],
    '6': [40, 50, 55],
    '4': [55, 65, 75],
    '3': [65, 75, 85],
    '2': [75, 90, 100],
    '1': [85, 100, 115],
    '1/0': [100, 120, 135],
    '2/0': [115, 135, 150],
    '3/0': [130, 155, 175],
    '4/0': [150, 180, 205],
    '250 kcmil': [170, 205, 230],
    '300 kcmil': [195, 230, 260],
    '350 kcmil': [210, 250, 280],
    '400 kcmil': [225, 270, 305],
    '500 kcmil': [260, 310, 350],
    '600 kcmil': [285, 340, 385],
  },
};

/** Ampacity by metal, size and column, amperes: Table 310.16 (310.15(B)(16) to 2017); undefined where the table has none. */
export const ampacityOf = (metal: Metal, awg: ConductorSize, column: Column): number | undefined =>
  AMPACITY_A[metal][awg]?.[column === 60 ? 0 : column === 75 ? 1 : 2];

/** Bands of ambient temperature, upper end in °C, and factors for 60, 75 and 90 °C: 310.15(B), base 30 °C. */
export const AMBIENT_FACTORS: readonly (readonly [upToC: number, f60: number, f75: number, f90: number])[] = [
  [10, 1.29, 1.2, 1.15],
  [15, 1.22, 1.15, 1.12],
  [20, 1.15, 1.11, 1.08],
  [25, 1.08, 1.05, 1.04],
  [30, 1, 1, 1],
  [35, 0.91, 0.94, 0.96],
  [40, 0.82, 0.88, 0.91],
  [45, 0.71, 0.82, 0.87],
  [50, 0.58, 0.75, 0.82],
  [55, 0.41, 0.67, 0.76],
  [60, 0, 0.58, 0.71],
  [65, 0, 0.47, 0.65],
  [70, 0, 0.33, 0.58],
  [75, 0, 0, 0.5],
  [80, 0, 0, 0.41],
  [85, 0, 0, 0.29],
];

/** Factor of ambient temperature for the 90 °C column, from which NM-B is corrected; 0 beyond the table. */
export const ambientFactor90 = (ambientC: number): number =>
  AMBIENT_FACTORS.find((band) => Math.round(ambientC) <= band[0])?.[3] ?? 0;

/** Adjustment for more than three current-carrying conductors together: Table 310.15(B)(3)(a), 310.15(C)(1) from 2020. */
export function bundleFactor(conductors: number): number {
  if (conductors <= 3) return 1;
  if (conductors <= 6) return 0.8;
  if (conductors <= 9) return 0.7;
  if (conductors <= 20) return 0.5;
  if (conductors <= 30) return 0.45;
  return conductors <= 40 ? 0.4 : 0.35;
}

/** Circular mils and ohms per 1000 ft at 75 °C, direct current, uncoated copper and aluminum: Chapter 9 Table 8. */
export const RESISTANCE: Readonly<
  Record<ConductorSize, readonly [circularMils: number, copper: number, aluminum: number]>
> = {
  '14': [4110, 3.07, 5.06],
  '12': [6530, 1.93, 3.18],
  '10': [10380, 1.21, 2],
  '8': [16510, 0.778, 1.28],
  '6': [26240, 0.491, 0.808],
  '4': [41740, 0.308, 0.508],
  '3': [52620, 0.245, 0.403],
  '2': [66360, 0.194, 0.319],
  '1': [83690, 0.154, 0.253],
  '1/0': [105600, 0.122, 0.201],
  '2/0': [133100, 0.0967, 0.159],
  '3/0': [167800, 0.0766, 0.126],
  '4/0': [211600, 0.0608, 0.1],
  '250 kcmil': [250000, 0.0515, 0.0847],
  '300 kcmil': [300000, 0.0429, 0.0707],
  '350 kcmil': [350000, 0.0367, 0.0605],
  '400 kcmil': [400000, 0.0321, 0.0529],
  '500 kcmil': [500000, 0.0258, 0.0424],
  '600 kcmil': [600000, 0.0214, 0.0353],
};

/** Full-load current of single-phase motors, amperes, by horsepower, at 115 V and 230 V: Table 430.248. */
const MOTOR_FLC_A: readonly (readonly [hp: number, at115: number, at230: number])[] = [
  [1 / 6, 4.4, 2.2],
  [1 / 4, 5.8, 2.9],
  [1 / 3, 7.2, 3.6],
  [1 / 2, 9.8, 4.9],
  [3 / 4, 13.8, 6.9],
  [1, 16, 8],
  [1.5, 20, 10],
  [2, 24, 12],
  [3, 34, 17],
  [5, 56, 28],
  [7.5, 80, 40],
  [10, 100, 50],
];

/** Full-load current of a motor, the next horsepower of the table where its own is not in it; undefined above 10 hp. */
export function motorAmps(hp: number, volts: 120 | 240): number | undefined {
  const row = MOTOR_FLC_A.find(([size]) => size >= hp - 1e-6);
  return row && (volts === 240 ? row[2] : row[1]);
}

/** Share of its rated current that an arc welder without a motor heats its conductors with, by duty cycle: Table 630.11(A). */
const WELDER_SHARE: readonly (readonly [dutyPercent: number, share: number])[] = [
  [20, 0.45],
  [30, 0.55],
  [40, 0.63],
  [50, 0.71],
  [60, 0.78],
  [70, 0.84],
  [80, 0.89],
  [90, 0.95],
  [100, 1],
];
/** That share for a duty cycle, the next row up where its own is not in the table. */
export const welderShare = (dutyPercent: number): number =>
  WELDER_SHARE.find(([duty]) => duty >= dutyPercent - 1e-9)?.[1] ?? 1;
/** Largest breaker of a welder, share of its rated current: 630.12(A). */
export const WELDER_BREAKER_SHARE = 2;

/** Largest inverse-time breaker of a motor branch circuit, share of full-load current: 430.52, Exception 1 rounds up. */
export const MOTOR_BREAKER_SHARE = 2.5;
