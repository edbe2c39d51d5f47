import { RESISTANCE, type Metal } from '../electrical/tables';
import type { ConductorSize, Feeder } from '../house/schema';

/** Pounds a foot for each circular mil: by density, as handbooks list bare conductors (1/0: copper 319.5, aluminum 97 lb a thousand feet). */
const LB_PER_MIL_FT: Readonly<Record<Metal, number>> = { copper: 3.026e-6, aluminum: 9.19e-7 };
/** Dollars a pound of conductor, drawn and covered: *common practice*, *from memory*, low confidence; to compare metals, not to bid. */
const DOLLARS_PER_LB: Readonly<Record<Metal, number>> = { copper: 8, aluminum: 6 };

/** The conductors of a feeder by weight and by their usual price, its ground among them where it is a conductor. */
export function feederMetal(
  { conductor, neutral, ground, poles }: Pick<Feeder, 'conductor' | 'neutral' | 'ground' | 'poles'>,
  oneWayFt: number,
): { readonly lb: number; readonly dollars: number } {
  const mils = (size: ConductorSize) => RESISTANCE[size][0];
  const { size, metal } = conductor;
  const grounding = ground === 'raceway' || ground === 'none' ? 0 : mils(ground);
  const all = poles * mils(size) + mils(neutral ?? size) + grounding;
  const lb = all * oneWayFt * LB_PER_MIL_FT[metal];
  return { lb, dollars: lb * DOLLARS_PER_LB[metal] };
}
