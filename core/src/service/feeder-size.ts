import { nextStandardRating, SMALL_MAX_A, STANDARD_RATINGS_A } from '../electrical/conductors';
import { ambientFactor90, ampacityOf, RESISTANCE, type Metal } from '../electrical/tables';
import { airAround } from '../circuits/sizing';
import { CONDUCTOR_SIZES, type ConductorSize, type Feeder, type House } from '../house/schema';
import { atLeast, groundConductor, serviceConductors } from './service-conductors';
import { itemAt } from '../units/result';

type Wiring = Feeder['wiring'];

/**
 * The column of the ampacity table that holds: nonmetallic and underground (UF) cable 60 °C whatever the terminals, 334.80 and 340.80;
 * others 75 °C, since breakers and lugs of today are marked 60/75 °C, 110.14(C)(1)(a)(3). Whoever has older ones reads the marking.
 */
const columnOf = (wiring: Wiring): 60 | 75 => (wiring === 'nonmetallic' || wiring === 'underground' ? 60 : 75);

/** Conductors as they lie: of a kind, in air of so many °C. */
interface Laid extends Pick<Feeder, 'wiring' | 'conductor'> {
  readonly airC: number;
}

/** A feeder in the air that it lies in. */
export const laidIn = <T extends Pick<Feeder, 'inAttic'>>(house: Pick<House, 'standards'>, feeder: T) => ({
  ...feeder,
  airC: airAround(house, feeder),
});

/** What the conductors of a feeder carry as they lie, amperes: corrected from 90 °C, not over their column. */
export function feederAmpacity({ wiring, conductor, airC }: Laid): number {
  const { size, metal } = conductor;
  const cap = ampacityOf(metal, size, columnOf(wiring)) ?? 0;
  return Math.min(cap, (ampacityOf(metal, size, 90) ?? 0) * ambientFactor90(airC));
}

/** The largest breaker on conductors of such an ampacity: the next standard rating, 240.4(B), but never past 240.4(D). */
export function largestFeederBreaker(feeder: Laid): number {
  const ampacity = feederAmpacity(feeder);
  const next = nextStandardRating(ampacity) ?? itemAt(STANDARD_RATINGS_A, -1);
  const { size, metal } = feeder.conductor;
  return ampacity > 0 ? Math.min(next, SMALL_MAX_A[metal][size] ?? Infinity) : 0;
}

/** Sizes that a kind of wiring is made in: nonmetallic cable to No. 2 but No. 3, service-entrance cable from No. 8. *From memory*. */
function isMade(wiring: Wiring, size: ConductorSize): boolean {
  if (wiring === 'nonmetallic') return size !== '3' && !atLeast(size, '1');
  if (wiring === 'underground') return !atLeast(size, '3');
  return wiring !== 'service-entrance' || atLeast(size, '8');
}

/**
 * The least conductors for a feeder, with its equipment grounding conductor: to carry the load, be guarded by its breaker, and, where it
 * carries a whole dwelling, by the 83 % of 310.12. Undefined where that kind of wiring is not made so large.
 */
export function leastFeeder(
  { wiring, airC, ratingA }: Pick<Laid, 'wiring' | 'airC'> & Pick<Feeder, 'ratingA'>,
  metal: Metal,
  loadA: number,
  isWholeDwelling: boolean,
): { readonly size: ConductorSize; readonly ground: ConductorSize } | undefined {
  const size = CONDUCTOR_SIZES.find((one) => {
    if (!isMade(wiring, one)) return false;
    const feeder = { wiring, conductor: { size: one, metal }, airC, ratingA };
    return fitsFeeder(feeder, loadA, isWholeDwelling);
  });
  const ground = groundConductor(ratingA, metal);
  return size && ground && { size, ground };
}

/** Whether the conductors of a feeder carry its load and are guarded by its breaker. */
export function fitsFeeder(feeder: Laid & Pick<Feeder, 'ratingA'>, loadA: number, isWholeDwelling: boolean): boolean {
  const ampacity = feederAmpacity(feeder);
  if (ampacity < Math.floor(loadA + 0.5)) return false;
  if (feeder.ratingA <= largestFeederBreaker(feeder)) return true;
  // 310.15(B)(7), 310.12 from 2020: for 100 to 400 A that carry a whole dwelling.
  const { leastA } = serviceConductors(feeder.ratingA);
  return isWholeDwelling && columnOf(feeder.wiring) === 75 && ampacity >= leastA - 1e-9;
}

/**
 * The equipment grounding conductor that a feeder needs: Table 250.122 by its breaker, larger in proportion where the ungrounded
 * conductors are larger than they would have to be (250.122(B)), but never larger than they. What 310.12 lets a whole dwelling's feeder
 * be is not what it is compared with: taking the usual size instead is no enlargement that anybody had in mind.
 */
export function groundFor(feeder: Laid & Pick<Feeder, 'ratingA'>, loadA: number): ConductorSize | undefined {
  const { metal, size } = feeder.conductor;
  const least = leastFeeder(feeder, metal, loadA, false);
  const table = groundConductor(feeder.ratingA, metal);
  if (!least || !table) return table;
  const mils = (one: ConductorSize) => RESISTANCE[one][0];
  const wanted = mils(table) * Math.max(1, mils(size) / mils(least.size));
  const grown = CONDUCTOR_SIZES.find((one) => mils(one) >= wanted - 1) ?? size;
  return atLeast(size, grown) ? grown : size;
}

/**
 * Share of the voltage that a feeder loses on its heavier leg: amperes × one way × ohms, Chapter 9 Table 8 at 75 °C, there and back. Of two
 * poles only the difference of the legs (`unevenA`, amperes) comes back over the neutral, which may be smaller.
 */
export function feederDrop(
  { conductor, neutral, poles }: Pick<Feeder, 'conductor' | 'neutral' | 'poles'>,
  loadA: number,
  oneWayFt: number,
  unevenA = 0,
): number {
  const ohms = (size: ConductorSize) => (RESISTANCE[size][conductor.metal === 'copper' ? 1 : 2] / 1000) * oneWayFt;
  const [out, back] = [ohms(conductor.size), ohms(neutral ?? conductor.size)];
  return (loadA * out + (poles === 2 ? unevenA : loadA) * back) / 120;
}
