import type { RoomKind } from '../house/schema';

/** Rooms suitable for habitation, as 210.70, 404.2(C) and 314.27(C) mean them and 210.52(A) lists them or their like. */
export const HABITABLE_ROOMS: ReadonlySet<RoomKind> = new Set([
  'kitchen',
  'dining',
  'breakfast',
  'living',
  'family',
  'den',
  'library',
  'sunroom',
  'bedroom',
  'recreation',
  'office',
  'studio',
  'basement-finished',
]);
