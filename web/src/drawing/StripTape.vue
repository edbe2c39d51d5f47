<script setup lang="ts">
/** The steel tape under a wall strip: a mark at every foot, numbers as close as they can be read. */
defineProps<{
  lengthIn: number;
  /** Pixels to the right of an inch along the strip. */
  x: (along: number) => number;
  /** Its upper edge and its width, pixels. */
  top: number;
  width: number;
  /** Inches between two numbers. */
  every: number;
}>();
const HEIGHT = 22;
</script>

<template>
  <g class="tape" pointer-events="none">
    <rect :x="2" :y="top" :width="width" :height="HEIGHT" />
    <path v-for="n in Math.floor(lengthIn / 12)" :key="n" :d="`M${x(n * 12)},${top}v${n % 2 ? 6 : 10}`" />
    <text v-for="n in Math.floor(lengthIn / every)" :key="`f${n}`" :x="x(n * every)" :y="top + 16">
      {{ (n * every) / 12 }}'
    </text>
  </g>
</template>

<style scoped>
.tape rect {
  fill: var(--tape);
  stroke: #9a7a1d;
  stroke-width: 0.7;
}
.tape path {
  stroke: #4b3a09;
  stroke-width: 0.9;
}
.tape text {
  font: 600 12px var(--numbers);
  fill: #2e2406;
  text-anchor: middle;
}
</style>
