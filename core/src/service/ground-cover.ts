import type { BuriedWiring } from '../house/schema';

/** What lies over it: soil; a driveway or parking of a one- or two-family dwelling; 4 in of concrete outdoors without traffic, 6 in past it on both sides. */
type Over = NonNullable<BuriedWiring['under']>;
type Column = 'cable' | 'metal' | 'raceway' | 'gfci-20';

/**
 * Least cover, inches, from grade to the top of what lies in the ground: Table 300.5. *From memory*, high. Cables; rigid and intermediate metal conduit;
 * nonmetallic and other approved raceways; residential branch circuits of 120 V and 20 A at most with GFCI protection ahead.
 */
const COVER_IN: Readonly<Record<Over, Readonly<Record<Column, number>>>> = {
  soil: { cable: 24, metal: 6, raceway: 18, 'gfci-20': 12 },
  driveway: { cable: 18, metal: 18, raceway: 18, 'gfci-20': 12 },
  slab: { cable: 18, metal: 4, raceway: 4, 'gfci-20': 6 },
};
/** Under a slab a circuit with GFCI in a raceway needs less than as cable, Table 300.5. Inches. */
const GFCI_RACEWAY_UNDER_SLAB_IN = 4;

/** The least cover of what lies in the ground, inches. `isGfci20`: a branch circuit of 120 V and 20 A at most, with its GFCI ahead of the ground. */
export function leastCover(
  wiring: 'raceway' | 'cable',
  raceway: BuriedWiring['raceway'],
  over: Over,
  isGfci20 = false,
): number {
  const own = COVER_IN[over][wiring === 'cable' ? 'cable' : raceway?.kind === 'rigid' ? 'metal' : 'raceway'];
  if (!isGfci20) return own;
  const gfci = over === 'slab' && wiring === 'raceway' ? GFCI_RACEWAY_UNDER_SLAB_IN : COVER_IN[over]['gfci-20'];
  return Math.min(own, gfci);
}
