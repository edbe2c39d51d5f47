import { CONDUCTOR_SIZES, TRADE_SIZES, type ConductorSize, type Feeder } from '../house/schema';
import { itemAt } from '../units/result';

/** Cross sections of THHN and THWN-2 conductors, square inches: Chapter 9, Table 5. *From memory*, high. */
export const CONDUCTOR_IN2: Readonly<Record<ConductorSize, number>> = {
  '14': 0.0097,
  '12': 0.0133,
  '10': 0.0211,
  '8': 0.0366,
  '6': 0.0507,
  '4': 0.0824,
  '3': 0.0973,
  '2': 0.1158,
  '1': 0.1562,
  '1/0': 0.1855,
  '2/0': 0.2223,
  '3/0': 0.2679,
  '4/0': 0.3237,
  '250 kcmil': 0.397,
  '300 kcmil': 0.4608,
  '350 kcmil': 0.5242,
  '400 kcmil': 0.5863,
  '500 kcmil': 0.7073,
  '600 kcmil': 0.8676,
};

type RacewayKind = NonNullable<Feeder['raceway']>['kind'];
type Trade = (typeof TRADE_SIZES)[number];

/** 40 % of the inside of raceways, square inches, by trade size from 1/2 to 3: Chapter 9, Tables 1 and 4. *From memory*, high. */
export const ALLOWED_IN2: Readonly<Record<RacewayKind, readonly number[]>> = {
  emt: [0.122, 0.213, 0.346, 0.598, 0.814, 1.342, 2.343, 3.538],
  rigid: [0.125, 0.22, 0.355, 0.61, 0.829, 1.363, 1.946, 3],
  'pvc-40': [0.114, 0.203, 0.333, 0.581, 0.794, 1.316, 1.878, 2.907],
  'pvc-80': [0.087, 0.164, 0.275, 0.495, 0.684, 1.15, 1.647, 2.577],
};

type Pulled = Pick<Feeder, 'conductor' | 'poles' | 'neutral' | 'ground'>;

/** The conductors of a feeder: as many ungrounded ones as poles, a neutral, and its equipment grounding conductor. */
function conductorsOf({ conductor, poles, neutral, ground }: Pulled): ConductorSize[] {
  const hot = Array.from({ length: poles }, () => conductor.size);
  const isWire = (one: string): one is ConductorSize => (CONDUCTOR_SIZES as readonly string[]).includes(one);
  return [...hot, neutral ?? conductor.size, ...(isWire(ground) ? [ground] : [])];
}

/** What the conductors of a feeder or a circuit take of their raceway, square inches, and what they may: 40 % where there are three or more. */
export function racewayFill(
  feeder: Pulled & Pick<Feeder, 'raceway'>,
): { readonly takenIn2: number; readonly allowedIn2: number } | undefined {
  if (!feeder.raceway) return undefined;
  const { kind, trade } = feeder.raceway;
  return {
    takenIn2: conductorsOf(feeder).reduce((sum, size) => sum + CONDUCTOR_IN2[size], 0),
    allowedIn2: itemAt(ALLOWED_IN2[kind], TRADE_SIZES.indexOf(trade)),
  };
}

/** The least trade size that holds a feeder's conductors; undefined beyond 3 in. */
export function leastTrade(feeder: Pulled, kind: RacewayKind): Trade | undefined {
  const taken = conductorsOf(feeder).reduce((sum, size) => sum + CONDUCTOR_IN2[size], 0);
  return TRADE_SIZES[ALLOWED_IN2[kind].findIndex((most) => taken <= most + 1e-9)];
}
