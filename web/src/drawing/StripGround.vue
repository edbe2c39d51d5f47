<script setup lang="ts">
import type { Strip } from './strip-layout';

/** What a wall strip stands on: studs and what framing bars, openings and features, and where walls end. */
defineProps<{
  strip: Strip;
  /** Where inches along the strip, and inches of height, are on the drawing. */
  x: (alongIn: number) => number;
  y: (heightIn: number) => number;
  perInch: number;
  /** Of the walls on the drawing. */
  top: number;
  height: number;
}>();
</script>

<template>
  <g>
    <path
      v-for="stud in strip.studs"
      :key="`${stud.at}`"
      :d="`M${x(stud.at)},${top}v${height}`"
      class="stud"
      :class="stud.kind"
      pointer-events="none"
    />
    <rect
      v-for="(one, i) in strip.barred"
      :key="`barred-${i}`"
      :x="x(one.fromIn)"
      :y="y(one.topIn)"
      :width="(one.toIn - one.fromIn) * perInch"
      :height="Math.max(0, y(one.bottomIn) - y(one.topIn))"
      class="barred"
      pointer-events="none"
    >
      <title>{{ one.cause }}: no box, no hole</title>
    </rect>
    <path
      v-for="(bay, i) in strip.narrow"
      :key="`narrow-${i}`"
      :d="`M${x(bay.fromIn)},${top + 2}H${x(bay.toIn)}`"
      class="narrow"
    >
      <title>bay under 10 in clear: an ordinary drill does not fit</title>
    </path>
    <g v-for="part in strip.parts" :key="part.id" pointer-events="none">
      <rect
        :x="x(part.fromIn)"
        :y="y(part.topIn)"
        :width="(part.toIn - part.fromIn) * perInch"
        :height="y(part.bottomIn) - y(part.topIn)"
        :class="['part', part.look]"
      />
      <text
        v-if="(part.toIn - part.fromIn) * perInch > part.label.length * 5.6"
        :x="x((part.fromIn + part.toIn) / 2)"
        :y="(y(part.topIn) + y(part.bottomIn)) / 2"
        class="part-name"
      >
        {{ part.label }}
      </text>
    </g>
    <g v-for="wall in strip.walls" :key="`${wall.name}${wall.fromIn}`" pointer-events="none">
      <path :d="`M${x(wall.fromIn)},${top - 6}v${height + 10}`" class="corner" />
      <text
        v-if="(wall.toIn - wall.fromIn) * perInch > 34"
        :x="x((wall.fromIn + wall.toIn) / 2)"
        :y="top - 10"
        class="wall-name"
      >
        {{ wall.name }}
      </text>
    </g>
  </g>
</template>

<style scoped>
.stud {
  stroke: var(--lumber);
  stroke-width: 2;
  opacity: 0.75;
}
.stud.king {
  stroke-width: 3;
}
.barred {
  fill: var(--lumber);
  opacity: 0.45;
}
.narrow {
  stroke: var(--caution);
  stroke-width: 4;
}
.corner {
  stroke: var(--wall);
  stroke-width: 1.5;
}
.wall-name {
  font: 600 11px var(--numbers);
  letter-spacing: 0.12em;
  text-transform: uppercase;
  text-anchor: middle;
  fill: var(--muted);
}
.part {
  stroke: var(--muted);
  stroke-width: 0.8;
  fill: var(--feature);
}
.part.window,
.part.glass {
  fill: var(--glass);
}
.part.void {
  fill: var(--rail);
}
.part.soft {
  fill: none;
  stroke-dasharray: 4 3;
}
.part-name {
  font: 500 11px var(--words);
  fill: var(--muted);
  text-anchor: middle;
  dominant-baseline: central;
}
</style>
