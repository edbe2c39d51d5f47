import { AWG_SIZES, type Awg, type ConductorSize } from '../house/schema';
import { ambientFactor90, ampacityOf, bundleFactor, type Metal } from './tables';
import { given } from '../units/result';

/** Ampacity of copper NM-B at 30 °C and alone, amperes: the 60 °C column, as NEC 334.80 demands. */
export const NM_COPPER_A = Object.fromEntries(
  AWG_SIZES.flatMap((awg) => (ampacityOf('copper', awg, 60) ? [[awg, given(ampacityOf('copper', awg, 60))]] : [])),
) as Readonly<Record<Awg, number>>;

/** Largest breaker on small conductors, whatever their ampacity: NEC 240.4(D). *From memory*, high. */
export const SMALL_MAX_A: Readonly<Record<Metal, Partial<Record<ConductorSize, number>>>> = {
  copper: { '14': 15, '12': 20, '10': 30 },
  aluminum: { '12': 15, '10': 25 },
};

/** Standard ratings of breakers up to a house's needs: NEC 240.6(A). *From memory*, high. */
export const STANDARD_RATINGS_A = [
  15, 20, 25, 30, 35, 40, 45, 50, 60, 70, 80, 90, 100, 110, 125, 150, 175, 200, 225, 250, 300, 350, 400,
] as const;

/** The next standard rating at or above an ampere value; undefined beyond the list. */
export const nextStandardRating = (amperes: number): number | undefined =>
  STANDARD_RATINGS_A.find((rating) => rating >= amperes - 1e-9);

/** How a cable lies: what heats it from outside. */
export interface Lying {
  /** Hottest air on its way, °C; 30 where nothing is said. */
  readonly ambientC?: number | undefined;
  /** Two-wire cables drawn together through one sealed opening or in insulation, itself included: 334.80. */
  readonly cables?: number | undefined;
  readonly metal?: Metal | undefined;
}

/** What a cable carries as it lies, with its factors, amperes. */
export interface CableAmpacity {
  /** 90 °C column, from which NM-B may be corrected. */
  readonly startA: number;
  readonly ambient: number;
  readonly bundle: number;
  /** 60 °C column, which it may not exceed. */
  readonly capA: number;
  readonly ampacityA: number;
}

/** Two current-carrying conductors a cable; up to two cables together are not adjusted: 334.80. */
const conductorsIn = (cables: number): number => (cables > 2 ? cables * 2 : 2);

/** What a nonmetallic cable carries as it lies: corrected from the 90 °C column, capped at the 60 °C one. NEC 334.80, 310.15. */
export function cableAmpacity(awg: Awg, { ambientC = 30, cables = 1, metal = 'copper' }: Lying = {}): CableAmpacity {
  const startA = ampacityOf(metal, awg, 90) ?? 0;
  // Aluminum comes as service-entrance cable, which follows its terminals: 60 °C up to No. 1, 75 °C above (110.14(C)(1)).
  const capA = ampacityOf(metal, awg, metal === 'aluminum' && awg.includes('/') ? 75 : 60) ?? 0;
  const ambient = ambientFactor90(ambientC);
  const bundle = bundleFactor(conductorsIn(cables));
  return { startA, ambient, bundle, capA, ampacityA: Math.min(capA, startA * ambient * bundle) };
}

/**
 * The largest breaker that a cable may have. 240.4(B) lets the next standard size up guard a conductor whose ampacity falls
 * between two, but not where the circuit feeds several receptacles for portable loads, and never past 240.4(D). 0 where no
 * standard breaker is small enough.
 */
export function largestBreakerFor(awg: Awg, servesSeveralReceptacles: boolean, lying: Lying = {}): number {
  const { ampacityA } = cableAmpacity(awg, lying);
  const small = SMALL_MAX_A[lying.metal ?? 'copper'][awg] ?? Infinity;
  const below = STANDARD_RATINGS_A.findLast((rating) => rating <= ampacityA + 1e-9) ?? 0;
  const guard = servesSeveralReceptacles ? below : (nextStandardRating(ampacityA) ?? below);
  return Math.min(ampacityA > 0 ? guard : 0, small);
}

/** The smallest cable for a breaker and the load behind it, amperes; undefined when no size of the table will do. */
export function smallestNmFor(
  ratingA: number,
  loadA: number,
  servesSeveralReceptacles: boolean,
  lying: Lying = {},
): Awg | undefined {
  return AWG_SIZES.find(
    (awg) =>
      cableAmpacity(awg, lying).ampacityA >= loadA - 1e-9 &&
      largestBreakerFor(awg, servesSeveralReceptacles, lying) >= ratingA,
  );
}
