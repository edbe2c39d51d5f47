<script setup lang="ts">
import { computed } from 'vue';
import { boundsOf, drawOutline, type FloorMark, type Room } from './ceiling-plan';

/** The floor of a room with the marks for what hangs above it. */
const props = defineProps<{ room: Room; marks: readonly FloorMark[] }>();
const bounds = computed(() => boundsOf(props.room.corners));
const size = computed(() => {
  const [w, h] = [bounds.value.maxX - bounds.value.minX, bounds.value.maxY - bounds.value.minY];
  return { w, h, pad: Math.max(w, h) * 0.08, text: Math.max(w, h) / 18 };
});
const marks = computed(() =>
  props.marks.map((mark) => ({ tag: mark.tag, ...(mark.box.at as { x: number; y: number }) })),
);
</script>

<template>
  <svg
    :viewBox="`${bounds.minX - size.pad} ${bounds.minY - size.pad} ${size.w + 2 * size.pad} ${size.h + 2 * size.pad}`"
    class="plan"
    role="img"
    :aria-label="`Floor marks of ${room.name}`"
  >
    <path :d="drawOutline(room)" class="outline" vector-effect="non-scaling-stroke" />
    <g v-for="one in marks" :key="one.tag" :transform="`translate(${one.x} ${one.y})`">
      <path
        :d="`M${-size.text * 0.6} 0H${size.text * 0.6}M0 ${-size.text * 0.6}V${size.text * 0.6}`"
        class="cross"
        vector-effect="non-scaling-stroke"
      />
      <text :y="-size.text * 0.8" :font-size="size.text" class="tag">{{ one.tag }}</text>
    </g>
    <text
      :x="(bounds.minX + bounds.maxX) / 2"
      :y="bounds.minY - size.pad * 0.2"
      :font-size="size.text * 0.8"
      class="tag muted"
    >
      north
    </text>
  </svg>
</template>

<style scoped>
.plan {
  width: 200px;
  max-height: 190px;
}
.outline {
  fill: none;
  stroke: var(--ink);
  stroke-width: 1.4;
}
.cross {
  stroke: var(--chalk);
  stroke-width: 2;
}
.tag {
  font-family: var(--numbers);
  font-weight: 700;
  text-anchor: middle;
  fill: var(--ink);
}
.tag.muted {
  fill: var(--muted);
}
@media print {
  .plan {
    width: 1.5in;
    max-height: 1.4in;
  }
}
</style>
