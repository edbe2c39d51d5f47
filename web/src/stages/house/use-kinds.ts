import { defineStore } from 'pinia';
import { ref } from 'vue';
import { FEATURE_KINDS, ROOM_KINDS, type FeatureKind, type OpeningKind, type RoomKind } from '@winculum/core';

/** What the tools of the house stage set down next: chosen in its toolbar or beside the sheet. */
export const useKinds = defineStore('house-kinds', () => ({
  room: ref<RoomKind>('bedroom'),
  opening: ref<OpeningKind>('door'),
  feature: ref<FeatureKind>('counter'),
}));

export interface Named<T> {
  readonly value: T;
  readonly title: string;
}
const named = <T extends string>(all: readonly T[]): readonly Named<T>[] =>
  all.map((value) => ({ value, title: value.replaceAll('-', ' ') }));

export const ROOMS = named(ROOM_KINDS);
export const FEATURES = named(FEATURE_KINDS);
export const OPENINGS: readonly Named<OpeningKind>[] = [
  { value: 'door', title: 'Door' },
  { value: 'cased', title: 'Cased opening' },
  { value: 'slider', title: 'Sliding door' },
  { value: 'window', title: 'Window' },
  { value: 'fixed-glass', title: 'Fixed glass' },
  { value: 'vehicle', title: 'Vehicle door' },
  { value: 'pocket', title: 'Pocket door' },
  { value: 'barn', title: 'Barn door' },
];

/** Those that are set down most often, in the order of a house. */
export const USUAL_ROOMS = named<RoomKind>([
  ...(['living', 'kitchen', 'dining', 'bedroom', 'bathroom', 'half-bath', 'hallway', 'closet'] as const),
  ...(['laundry', 'garage', 'foyer', 'porch', 'deck'] as const),
]);
export const USUAL_FEATURES = named<FeatureKind>([
  ...(['counter', 'sink', 'range', 'refrigerator', 'dishwasher', 'island', 'basin', 'toilet', 'tub'] as const),
  ...(['shower', 'washer', 'dryer', 'water-heater', 'furnace', 'panel', 'stair', 'bed'] as const),
]);
