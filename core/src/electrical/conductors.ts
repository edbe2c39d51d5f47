import { AWG_SIZES, type Awg } from '../house/schema';

/**
 * Ampacity of copper NM-B, amperes: the 60 °C column, as NEC 334.80 demands (Table 310.15(B)(16) in 2017, Table 310.16
 * from 2020). *From memory*, high confidence.
 */
export const NM_COPPER_A: Readonly<Record<Awg, number>> = {
  '14': 15,
  '12': 20,
  '10': 30,
  '8': 40,
  '6': 55,
  '4': 70,
  '3': 85,
  '2': 95,
  '1': 110,
};

/** Largest breaker on small copper conductors, whatever their ampacity: NEC 240.4(D). *From memory*, high. */
const SMALL_COPPER_MAX_A: Partial<Record<Awg, number>> = { '14': 15, '12': 20, '10': 30 };

/** Standard ratings of breakers up to a house's needs: NEC 240.6(A). *From memory*, high. */
export const STANDARD_RATINGS_A = [
  15, 20, 25, 30, 35, 40, 45, 50, 60, 70, 80, 90, 100, 110, 125, 150, 175, 200,
] as const;

/** The next standard rating at or above an ampere value; undefined beyond the list. */
export const nextStandardRating = (amperes: number): number | undefined =>
  STANDARD_RATINGS_A.find((rating) => rating >= amperes - 1e-9);

/**
 * The largest breaker that NM-B copper of a size may have. 240.4(B) lets the next standard size up guard a conductor whose
 * ampacity falls between two, but not where the circuit feeds several receptacles for portable loads, and never past 240.4(D).
 */
export function largestBreakerFor(awg: Awg, servesSeveralReceptacles: boolean): number {
  const small = SMALL_COPPER_MAX_A[awg];
  if (small !== undefined) return small;
  const ampacity = NM_COPPER_A[awg];
  const nextUp = nextStandardRating(ampacity) ?? ampacity;
  if (!servesSeveralReceptacles) return nextUp;
  return STANDARD_RATINGS_A.findLast((rating) => rating <= ampacity) ?? ampacity;
}

/** The smallest NM-B copper for a breaker and the load behind it, amperes; undefined when no size of the table will do. */
export function smallestNmFor(ratingA: number, loadA: number, servesSeveralReceptacles: boolean): Awg | undefined {
  return AWG_SIZES.find(
    (awg) => NM_COPPER_A[awg] >= loadA - 1e-9 && largestBreakerFor(awg, servesSeveralReceptacles) >= ratingA,
  );
}
