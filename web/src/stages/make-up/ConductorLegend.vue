<script setup lang="ts">
import { computed } from 'vue';
import type { CardLayout } from './card-layout';

/** What the strokes of a card stand for: those that are on it. */
const props = defineProps<{ layout: CardLayout }>();
const colors = computed(() => [...new Set(props.layout.cables.flatMap((one) => one.wires.map((wire) => wire.color)))]);
const hasRemarked = computed(() => props.layout.cables.some((one) => one.wires.some((wire) => wire.remarked)));
const words: Record<string, string> = {
  black: 'black: hot, traveler, switched',
  red: 'red: second traveler, switched, second hot',
  blue: 'blue: traveler, switched',
  white: 'white: neutral',
  bare: 'bare: ground',
};
</script>

<template>
  <section class="legend">
    <h3 class="small-caps">Conductors</h3>
    <p v-for="one in colors" :key="one" class="swatch">
      <svg width="34" height="10" aria-hidden="true">
        <line :class="['wire', one]" x1="2" x2="32" y1="5" y2="5" />
        <line v-if="one === 'white' || one === 'bare'" :class="['core', one]" x1="2" x2="32" y1="5" y2="5" />
      </svg>
      {{ words[one] }}
    </p>
    <p v-if="hasRemarked" class="swatch">
      <svg width="34" height="10" aria-hidden="true">
        <line class="wire white" x1="2" x2="32" y1="5" y2="5" />
        <line class="core white" x1="2" x2="32" y1="5" y2="5" />
        <rect class="mark" x="12" y="0" width="10" height="10" />
      </svg>
      white with a band: no neutral, mark it for good (200.7(C))
    </p>
  </section>
</template>

<style scoped src="./conductors.css"></style>

<style scoped>
h3 {
  margin: 8px 0 2px;
}
.swatch {
  display: flex;
  gap: 8px;
  align-items: center;
  font-size: 12.5px;
}
.swatch svg {
  flex: none;
}
@media print {
  .legend {
    display: none;
  }
}
</style>
