<script setup lang="ts">
import { computed } from 'vue';
import type { House, LowVoltageRun } from '@winculum/core';
import { lowVoltageLines } from './route-lines';

/** Low voltage on the plan: dashes and dots, whatever it carries, with its words where one points at it. */
const props = defineProps<{ house: House; level: string; scale: number; runs: readonly LowVoltageRun[] }>();
const lines = computed(() => lowVoltageLines(props.house, props.level, props.runs));
const path = (points: readonly { x: number; y: number }[]) => `M${points.map(({ x, y }) => `${x} ${y}`).join('L')}`;
</script>

<template>
  <g class="low-voltage" aria-label="Low voltage">
    <path
      v-for="line in lines"
      :key="line.key"
      :d="path(line.points)"
      :stroke-width="2.6 / scale"
      :stroke-dasharray="`${9 / scale} ${3 / scale} ${2 / scale} ${3 / scale}`"
    >
      <title>{{ line.run.cable }}: {{ line.run.box.tag }} to {{ line.run.home.label }}</title>
    </path>
  </g>
</template>

<style scoped>
path {
  fill: none;
  stroke: var(--reached-ink);
  stroke-linejoin: round;
}
</style>
