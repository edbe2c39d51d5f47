import { STANDARD_RATINGS_A } from '../electrical/conductors';
import { ampacityOf, type Metal } from '../electrical/tables';
import { CONDUCTOR_SIZES, type ConductorSize } from '../house/schema';

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

/** No. 8 copper or No. 6 aluminum at least for a service, 230.31; those of a rating of 60 A are larger anyway. */
const FROM = CONDUCTOR_SIZES.indexOf('6');

interface ServiceConductors {
  readonly copper: ConductorSize | undefined;
  readonly aluminum: ConductorSize | undefined;
  /** Ampacity that was asked of them. */
  readonly leastA: number;
}

/** Whose conductors they are. */
interface Served {
  /** They carry the whole load of one dwelling and nothing else, at volts for which the share is given. */
  readonly isOneDwelling?: boolean;
  /** The calculated load, amperes; asked for where they serve more than one dwelling. */
  readonly loadA?: number;
}

/**
 * Least ungrounded conductors of a service or main feeder, 75 °C terminals, 30 °C, no adjustment: by 83 % where they carry the whole load of
 * one dwelling; otherwise for the load, and so that the rating is the next standard one at most, 240.4(B).
 * @example 200 A takes 2/0 copper or 4/0 aluminum; for two dwellings 3/0 copper or 250 kcmil aluminum
 */
export function serviceConductors(
  ratingA: number,
  { isOneDwelling = true, loadA = 0 }: Served = {},
): ServiceConductors {
  const isShared = isOneDwelling && ratingA >= SHARE_FROM_A && ratingA <= SHARE_TO_A;
  const below = STANDARD_RATINGS_A.findLast((one) => one < ratingA) ?? 0;
  const leastA = isShared ? ratingA * DWELLING_SHARE : isOneDwelling ? ratingA : Math.max(loadA, below + 1);
  const size = (metal: Metal) =>
    CONDUCTOR_SIZES.slice(FROM).find((one) => (ampacityOf(metal, one, 75) ?? 0) >= leastA - 1e-9);
  return { copper: size('copper'), aluminum: size('aluminum'), leastA };
}

/** Grounding electrode conductor by the largest ungrounded conductor, Table 250.66. *From memory*, high. */
const ELECTRODE: readonly (readonly [upTo: Record<Metal, ConductorSize>, conductor: Record<Metal, ConductorSize>])[] = [
  [
    { copper: '2', aluminum: '1/0' },
    { copper: '8', aluminum: '6' },
  ],
  [
    { copper: '1/0', aluminum: '3/0' },
    { copper: '6', aluminum: '4' },
  ],
  [
    { copper: '3/0', aluminum: '250 kcmil' },
    { copper: '4', aluminum: '2' },
  ],
  [
    { copper: '350 kcmil', aluminum: '500 kcmil' },
    { copper: '2', aluminum: '1/0' },
  ],
  [
    { copper: '600 kcmil', aluminum: '600 kcmil' },
    { copper: '1/0', aluminum: '3/0' },
  ],
];
/** Whether one size is at least as large as another. */
export const atLeast = (size: ConductorSize, least: ConductorSize): boolean =>
  CONDUCTOR_SIZES.indexOf(size) >= CONDUCTOR_SIZES.indexOf(least);

/**
 * The least grounding electrode conductor of a metal for service conductors; rods, pipes and plates alone never need more than No. 6 copper
 * or No. 4 aluminum, 250.66(A), a concrete-encased electrode No. 4 copper, (B).
 */
export const electrodeConductor = (
  service: ConductorSize,
  of: Metal = 'copper',
  serviceMetal: Metal = 'copper',
): ConductorSize | undefined => ELECTRODE.find(([upTo]) => atLeast(upTo[serviceMetal], service))?.[1][of];

/** Wire-type equipment grounding conductor by the overcurrent device ahead, Table 250.122. *From memory*, high. */
const GROUND: readonly (readonly [upToA: number, conductor: Record<Metal, ConductorSize>])[] = [
  [15, { copper: '14', aluminum: '12' }],
  [20, { copper: '12', aluminum: '10' }],
  [60, { copper: '10', aluminum: '8' }],
  [100, { copper: '8', aluminum: '6' }],
  [200, { copper: '6', aluminum: '4' }],
  [300, { copper: '4', aluminum: '2' }],
  [400, { copper: '3', aluminum: '1' }],
];
/** The equipment grounding conductor by the breaker ahead of it: Table 250.122. *From memory*, high. */
export const groundConductor = (ratingA: number, metal: Metal = 'copper'): ConductorSize | undefined =>
  GROUND.find(([upToA]) => ratingA <= upToA)?.[1][metal];
