import type { Awg, BreakerKind, Circuit } from '../house/schema';

/** Dollars a foot of two-wire cable with ground: *common practice*, *from memory*, low confidence; for comparing plans only. */
const CABLE_PER_FT: Readonly<Record<Awg, number>> = {
  '14': 0.45,
  '12': 0.65,
  '10': 1.1,
  '8': 1.9,
  '6': 2.8,
  '4': 4.2,
  '3': 5,
  '2': 6,
  '1': 7,
  '1/0': 5,
  '2/0': 6,
  '3/0': 7,
  '4/0': 8,
};
/** Dollars a breaker of one pole; of two poles a plain one costs twice, a protecting one half as much again. Likewise low. */
const BREAKER: Readonly<Record<BreakerKind, number>> = { plain: 8, afci: 48, gfci: 50, dual: 58 };

/** Usual price of a breaker by kind and poles, dollars: *common practice*, low. */
export const breakerPrice = (kind: BreakerKind, poles: 1 | 2): number =>
  BREAKER[kind] * (poles === 1 ? 1 : kind === 'plain' ? 2 : 1.5);

/** What the material of a circuit costs, dollars: to compare one plan with another, not to bid. */
export const circuitPrice = (circuit: Pick<Circuit, 'awg' | 'poles'>, kind: BreakerKind, cableFt: number): number =>
  breakerPrice(kind, circuit.poles) + cableFt * CABLE_PER_FT[circuit.awg];
