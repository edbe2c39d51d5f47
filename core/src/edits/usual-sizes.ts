import type { FeatureKind, OpeningKind } from '../house/schema';

/** Sizes that things usually have when they are first put down, inches: *common practice*, changed at will. */
export const OPENING_WIDTH_IN: Readonly<Record<OpeningKind, number>> = {
  door: 32,
  cased: 48,
  slider: 72,
  window: 36,
  'fixed-glass': 24,
  vehicle: 108,
  pocket: 32,
  barn: 36,
};

/** Width along the wall, depth, height of the top, inches: *common practice*. */
export const FEATURE_SIZE_IN: Readonly<Partial<Record<FeatureKind, readonly [number, number, number]>>> = {
  counter: [72, 25, 36],
  island: [72, 36, 36],
  peninsula: [60, 25, 36],
  cabinet: [36, 24, 84],
  'tall-cabinet': [24, 24, 84],
  sink: [33, 20, 36],
  basin: [20, 19, 34],
  range: [30, 26, 36],
  cooktop: [30, 21, 36],
  refrigerator: [36, 30, 70],
  dishwasher: [24, 24, 34],
  tub: [60, 30, 20],
  shower: [36, 36, 80],
  toilet: [20, 28, 16],
  'hot-tub': [84, 84, 38],
  washer: [28, 30, 42],
  dryer: [28, 30, 42],
  fireplace: [60, 20, 48],
  stair: [40, 120, 100],
  'baseboard-heater': [72, 3, 8],
  'water-heater': [22, 22, 60],
  kiln: [34, 34, 36],
  panel: [16, 4, 60],
  furniture: [60, 36, 30],
  bed: [60, 80, 40],
  desk: [60, 28, 30],
  sofa: [84, 38, 34],
  tv: [55, 4, 60],
  disposer: [10, 10, 24],
  'range-hood': [30, 20, 84],
  microwave: [30, 16, 72],
  'bath-fan': [12, 12, 96],
  mirror: [36, 1, 76],
  'bidet-seat': [16, 20, 18],
  workbench: [96, 24, 36],
  freezer: [30, 30, 66],
  'garage-opener': [12, 40, 96],
  sump: [24, 24, 1],
  'ev-charger': [12, 8, 60],
  'attic-access': [22, 30, 96],
  'water-service': [6, 6, 24],
  'gas-meter': [18, 12, 48],
  disconnect: [9, 5, 60],
  'low-voltage-enclosure': [15, 4, 66],
};

/** What stands or hangs in a room, and not against a wall. */
export const STANDS_FREE: ReadonlySet<FeatureKind> = new Set([
  'island',
  'stair',
  'kiln',
  'furniture',
  'bath-fan',
  'garage-opener',
  'sump',
  'attic-access',
]);

/** The underside of what hangs, inches above the floor: *common practice*. */
export const FEATURE_BOTTOM_IN: Readonly<Partial<Record<FeatureKind, number>>> = {
  'range-hood': 66,
  microwave: 54,
  mirror: 40,
  'bath-fan': 90,
  'garage-opener': 84,
  'attic-access': 90,
  'ev-charger': 40,
  disconnect: 48,
  'low-voltage-enclosure': 36,
};
/** The gap that a basin or a sink leaves behind it, inches. */
export const BEHIND_IN: Readonly<Partial<Record<FeatureKind, number>>> = { sink: 3, basin: 3 };
