import type { GridPlaces, LightMap } from '@winculum/core';

/** What the ceiling panel shows on the sheet. */
export interface CeilingShown {
  readonly grid: GridPlaces;
  readonly conflicts: ReadonlySet<number>;
  readonly map: LightMap | null;
}
