<script setup lang="ts">
import { computed } from 'vue';
import type { House, RoomView } from '@winculum/core';
import { roomLabels } from './room-labels';

/** The name and the size of a room and the names of what stands in it, where each has a place of its own. */
const props = defineProps<{
  view: RoomView;
  scale: number;
  textSize: number;
  /** Its boxes are drawn, and nothing covers their symbols. */
  showBoxes: boolean;
  lengths: House['standards']['lengths'];
  /** How far symbols reach, in sizes of symbols. */
  reach?: number;
}>();
const labels = computed(() =>
  roomLabels(props.view, props.scale, props.textSize, props.showBoxes, props.lengths, props.reach),
);
</script>

<template>
  <g class="label" pointer-events="none">
    <text
      v-for="one in labels.features"
      :key="one.id"
      class="thing"
      :transform="`translate(${one.at.x} ${one.at.y}) rotate(${one.turn})`"
      :font-size="one.size"
    >
      {{ one.text }}
    </text>
    <text v-if="labels.name" class="room-name" :x="labels.name.x" :y="labels.name.y" :font-size="labels.name.textSize">
      <tspan class="name">{{ labels.name.name }}</tspan>
      <tspan
        v-if="labels.name.span"
        :x="labels.name.x"
        :dy="labels.name.textSize * 1.05"
        :font-size="labels.name.textSize * 0.86"
        class="size"
        >{{ labels.name.span }}</tspan
      >
    </text>
  </g>
</template>

<style scoped>
.room-name {
  text-anchor: middle;
  fill: var(--ink);
  paint-order: stroke;
  stroke: var(--room);
  stroke-width: 2px;
}
.name {
  font-family: var(--numbers);
  font-weight: 600;
  letter-spacing: 0.08em;
  text-transform: uppercase;
}
.size {
  font-family: var(--words);
  fill: var(--muted);
}
.thing {
  font-family: var(--words);
  text-anchor: middle;
  dominant-baseline: central;
  fill: var(--muted);
}
</style>
