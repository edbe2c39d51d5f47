import { defineStore } from 'pinia';
import { ref } from 'vue';
import type { FeatureKind, OpeningKind, RoomKind } from '@winculum/core';

/** What the tools of the house stage set down next: chosen in its toolbar or beside the sheet. */
export const useKinds = defineStore('house-kinds', () => ({
  room: ref<RoomKind>('bedroom'),
  opening: ref<OpeningKind>('door'),
  feature: ref<FeatureKind>('counter'),
}));
