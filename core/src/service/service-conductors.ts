/** Conductor sizes of services, smallest first, with their 75 °C ampacities, amperes: Table 310.15(B)(16), 310.16 from 2020. *From memory*, high. */
const SIZES: readonly (readonly [size: string, copper: number | undefined, aluminum: number | undefined])[] = [
  ['6', 65, 50],
  ['4', 85, 65],
  ['3', 100, 75],
  ['2', 115, 90],
  ['1', 130, 100],
  ['1/0', 150, 120],
  ['2/0', 175, 135],
  ['3/0', 200, 155],
  ['4/0', 230, 180],
  ['250 kcmil', 255, 205],
  ['300 kcmil', 285, 230],
  ['350 kcmil', 310, 250],
  ['400 kcmil', 335, 270],
  ['500 kcmil', 380, 310],
  ['600 kcmil', 420, 340],
];
/** Share of the rating that the conductors of a dwelling's whole load must carry: 310.15(B)(7), 310.12 from 2020. */
const DWELLING_SHARE = 0.83;
/** Ratings within which that share holds, amperes. */
const [SHARE_FROM_A, SHARE_TO_A] = [100, 400];

/** Ratings of service disconnects, amperes: 240.6(A). */
export const SERVICE_RATINGS_A = [60, 100, 110, 125, 150, 175, 200, 225, 250, 300, 350, 400] as const;

/** Whether a rating holds a load: fractions under half an ampere may be dropped, 220.5(B). */
export const fitsRating = (amperes: number, ratingA: number): boolean => Math.floor(amperes + 0.5) <= ratingA;

/** The next rating at or above a load; undefined beyond the list. */
export const nextServiceRating = (amperes: number): number | undefined =>
  SERVICE_RATINGS_A.find((rating) => fitsRating(amperes, rating));

interface ServiceConductors {
  readonly copper: string | undefined;
  readonly aluminum: string | undefined;
  /** Ampacity that was asked of them. */
  readonly leastA: number;
}

/**
 * Least ungrounded conductors of a dwelling's service or main feeder that carries its whole load, 75 °C terminals, 30 °C, no adjustment.
 * @example 200 A takes 2/0 copper or 4/0 aluminum
 */
export function serviceConductors(ratingA: number): ServiceConductors {
  const isShared = ratingA >= SHARE_FROM_A && ratingA <= SHARE_TO_A;
  const leastA = isShared ? ratingA * DWELLING_SHARE : ratingA;
  const size = (column: 1 | 2) => SIZES.find((one) => (one[column] ?? 0) >= leastA - 1e-9)?.[0];
  return { copper: size(1), aluminum: size(2), leastA };
}

/** Copper grounding electrode conductor by the largest ungrounded conductor, Table 250.66. *From memory*, high. */
const ELECTRODE: readonly (readonly [upToCopper: string, copper: string])[] = [
  ['2', '8'],
  ['1/0', '6'],
  ['3/0', '4'],
  ['350 kcmil', '2'],
  ['600 kcmil', '1/0'],
];

/** The copper grounding electrode conductor for a copper service conductor; rods alone never need more than No. 6, 250.66(A). */
export function electrodeConductor(copper: string): string | undefined {
  const order = SIZES.map(([size]) => size);
  return ELECTRODE.find(([upTo]) => order.indexOf(copper) <= order.indexOf(upTo))?.[1];
}
