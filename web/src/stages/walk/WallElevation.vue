<script setup lang="ts">
import { computed } from 'vue';
import { formatLength, viewRoom, type House, type Room, type WallSheet } from '@winculum/core';

/** One wall as the helper faces it: openings, boxes at their heights, running distances from the named jamb or corner. */
const props = defineProps<{ house: House; room: Room; sheet: WallSheet }>();
const WIDTH = 700;
const HIGH = 120;
const scale = computed(() => Math.min(WIDTH / props.sheet.lengthIn, 2));
const ceiling = computed(() => props.house.levels[props.room.level]!.ceilingIn);
const y = (heightIn: number) => HIGH - (Math.min(heightIn, ceiling.value) / ceiling.value) * (HIGH - 12);
const x = (alongIn: number) => alongIn * scale.value;
const openings = computed(() =>
  viewRoom(props.house, props.room.id)
    .openings.filter((seen) => seen.wall === props.sheet.wall)
    .map((seen) => ({
      id: seen.opening.id,
      x: x(seen.alongIn),
      w: x(seen.widthIn),
      top: y(seen.opening.headIn),
      bottom: y(seen.opening.kind === 'window' ? seen.opening.sillIn : 0),
      name: seen.opening.kind.replace('-', ' '),
    })),
);
/** Labels that would run into each other step down into further rows. */
const boxes = computed(() => {
  const ends: number[] = [];
  return props.sheet.lines.map((line) => {
    const at = line.box.at as { alongIn: number; heightIn: number };
    const [px, half] = [x(at.alongIn), 32];
    let row = ends.findIndex((end) => px - half > end);
    if (row < 0) row = ends.length;
    ends[row] = px + half;
    return {
      tag: line.tag,
      x: px,
      y: y(at.heightIn),
      w: 6 + 6 * line.gangs,
      row: Math.min(row, 3),
      run: formatLength(Math.abs(line.runIn ?? 0), props.house.standards.lengths) + ((line.runIn ?? 0) < 0 ? ' ←' : ''),
      open: Boolean(line.box.state && line.box.state !== 'existing'),
    };
  });
});
const rows = computed(() => 1 + Math.max(0, ...boxes.value.map((one) => one.row)));
const start = computed(() => x(props.sheet.start.alongIn));
</script>

<template>
  <svg
    :viewBox="`-34 0 ${x(sheet.lengthIn) + 68} ${HIGH + 8 + rows * 26}`"
    class="elevation"
    :style="{ maxWidth: `${x(sheet.lengthIn) + 68}px` }"
    role="img"
    :aria-label="`${sheet.name} of ${room.name}`"
  >
    <rect x="0" :y="y(ceiling)" :width="x(sheet.lengthIn)" :height="HIGH - y(ceiling)" class="wall" />
    <g v-for="one in openings" :key="one.id">
      <rect :x="one.x" :y="one.top" :width="one.w" :height="one.bottom - one.top" class="opening" />
      <text v-if="one.w > 40" :x="one.x + one.w / 2" :y="(one.top + one.bottom) / 2" class="what">{{ one.name }}</text>
    </g>
    <path :d="`M${start} ${HIGH - 14}V${HIGH + 6}`" class="start" />
    <g v-for="one in boxes" :key="one.tag">
      <path :d="`M${one.x} ${one.y}V${HIGH + 8 + one.row * 26}`" class="lead" />
      <rect :x="one.x - one.w / 2" :y="one.y - 7" :width="one.w" height="14" class="box" :class="{ open: one.open }" />
      <text :x="one.x" :y="HIGH + 17 + one.row * 26" class="tag">{{ one.tag }}</text>
      <text :x="one.x" :y="HIGH + 29 + one.row * 26" class="run">{{ one.run }}</text>
    </g>
  </svg>
</template>

<style scoped>
.elevation {
  width: 100%;
  display: block;
}
.wall {
  fill: none;
  stroke: var(--ink);
  stroke-width: 1.2;
}
.opening {
  fill: var(--feature);
  stroke: var(--muted);
}
.what,
.tag,
.run {
  font-family: var(--numbers);
  text-anchor: middle;
  fill: var(--ink);
}
.what {
  font-size: 11px;
  fill: var(--muted);
}
.tag {
  font-size: 12px;
  font-weight: 700;
}
.run {
  font-size: 12px;
}
.lead {
  stroke: var(--muted);
  stroke-width: 0.6;
  stroke-dasharray: 2 2;
}
.box {
  fill: var(--card);
  stroke: var(--ink);
  stroke-width: 1.6;
}
.box.open {
  stroke-dasharray: 3 2;
}
.start {
  stroke: var(--chalk);
  stroke-width: 2.5;
}
@media print {
  .elevation {
    max-height: 1.25in;
    width: auto;
  }
  .opening {
    fill: #f2f2f2;
  }
}
</style>
