<script setup lang="ts">
import { computed } from 'vue';
import { electrodeConductor, serviceConductors, type Edition, type Panel } from '@winculum/core';

/** How the power comes in, from the utility to the panel, as far as the house says. Drawn for screen and paper alike. */
const props = defineProps<{ panel: Panel; others: readonly Panel[]; circuits: number; edition: Edition }>();
const conductors = computed(() => serviceConductors(props.panel.mainA));
const electrode = computed(() => conductors.value.copper && electrodeConductor(conductors.value.copper));
const isLate = computed(() => props.edition === '2020' || props.edition === '2023');
const sizes = computed(() =>
  conductors.value.copper
    ? `at least ${conductors.value.copper} Cu or ${conductors.value.aluminum} Al`
    : 'beyond the tables here',
);
const mainY = computed(() => (isLate.value ? 236 : 166));
</script>

<template>
  <svg
    class="one-line"
    :viewBox="`0 0 430 ${mainY + 130}`"
    role="img"
    :aria-label="`One-line: utility, meter, ${panel.name} with a main of ${panel.mainA} A`"
  >
    <g class="line">
      <path d="M90 34 V70" />
      <path :d="`M90 110 V${mainY - 16}`" />
      <path :d="`M90 ${mainY + 54} V${mainY + 96}`" />
      <path :d="`M150 ${mainY + 34} H212`" />
      <path v-if="isLate" d="M150 181 H196" class="thin" />
    </g>
    <g class="node">
      <path d="M78 10 h24 l-12 22 z" />
      <circle cx="90" cy="90" r="20" />
      <rect v-if="isLate" x="30" y="150" width="120" height="46" rx="2" />
      <rect x="30" :y="mainY - 16" width="120" height="70" rx="2" />
    </g>
    <g class="words">
      <text x="112" y="26">Utility</text>
      <text x="90" y="95" class="mid">M</text>
      <text x="122" y="95">Meter; ask the utility what it requires</text>
      <template v-if="isLate">
        <text x="90" y="170" class="mid">Emergency</text>
        <text x="90" y="186" class="mid">disconnect</text>
        <text x="202" y="172">outdoors, readily accessible: 230.85</text>
        <text x="202" y="189">surge protection at the service: 230.67</text>
      </template>
      <text x="90" :y="mainY + 6" class="mid bold">{{ panel.name }}</text>
      <text x="90" :y="mainY + 26" class="mid big">{{ panel.mainA }} A</text>
      <text x="90" :y="mainY + 44" class="mid">{{ panel.spaces }} spaces</text>
      <text x="102" :y="mainY - 28">{{ sizes }}</text>
      <text x="220" :y="mainY + 30">electrodes: No. {{ electrode ?? '?' }} Cu,</text>
      <text x="220" :y="mainY + 46">No. 6 is enough for rods (250.66)</text>
      <text x="90" :y="mainY + 114" class="mid">{{ circuits }} branch circuits</text>
      <text v-for="(one, i) in others" :key="one.id" x="220" :y="mainY + 78 + i * 16">
        {{ one.name }}, {{ one.mainA }} A: how it is fed is not drawn yet
      </text>
    </g>
    <g class="ground">
      <path :d="`M212 ${mainY + 34} v14 m-9 0 h18 m-15 4 h12 m-9 4 h6`" />
    </g>
  </svg>
</template>

<style scoped>
.one-line {
  width: 100%;
  max-width: 430px;
}
.line path,
.ground path,
.node path,
.node circle,
.node rect {
  fill: var(--card);
  stroke: var(--ink);
  stroke-width: 2;
}
.line .thin {
  stroke-width: 1;
  stroke-dasharray: 3 3;
}
text {
  font: 500 12.5px var(--words);
  fill: var(--ink);
}
.mid {
  text-anchor: middle;
}
.bold {
  font-weight: 700;
}
.big {
  font: 700 19px var(--numbers);
}
</style>
