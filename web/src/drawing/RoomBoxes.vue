<script setup lang="ts">
import { computed } from 'vue';
import { placeOf, wallOf, type Box, type RoomView } from '@winculum/core';
import BoxSymbol from './BoxSymbol.vue';

/** The boxes of one room; a room that nobody touches keeps its view, so it is not drawn again. */
const props = defineProps<{
  view: RoomView;
  scale: number;
  selected: ReadonlySet<string>;
  showTags: boolean;
  markOf?: ((box: Box) => string) | undefined;
  colorOf?: ((box: Box) => string | undefined) | undefined;
  ringOf?: ((box: Box) => string | undefined) | undefined;
  /** Boxes that rest on an open question. */
  waiting?: ReadonlySet<string> | undefined;
}>();
/** Symbols keep a readable size on the screen, and never swell over the room. */
const size = computed(() => Math.max(3, Math.min(8, 7 / props.scale)));

/** A box on a wall is drawn just inside the room, turned with its wall. */
function place(box: Box): { x: number; y: number; angle: number } {
  const point = placeOf(props.view, box);
  if (box.at.kind !== 'wall') return { ...point, angle: 0 };
  const wall = wallOf(props.view, box.at.wall);
  const [ux, uy] = [(wall.to.x - wall.from.x) / wall.lengthIn, (wall.to.y - wall.from.y) / wall.lengthIn];
  const off = size.value * 1.25;
  return { x: point.x - uy * off, y: point.y + ux * off, angle: (Math.atan2(uy, ux) * 180) / Math.PI };
}
const placed = computed(() => props.view.boxes.map((box) => ({ box, ...place(box) })));
</script>

<template>
  <g>
    <g
      v-for="{ box, x, y, angle } in placed"
      :key="box.id"
      data-hit="box"
      :data-id="box.id"
      class="box"
      :transform="`translate(${x} ${y})`"
    >
      <circle :r="Math.max(size * 1.6, 10 / scale)" class="target" />
      <BoxSymbol
        :box="box"
        :angle="angle"
        :size="size"
        :selected="selected.has(box.id)"
        :mark="markOf?.(box) || (showTags && scale > 1.25 ? box.tag : '')"
        :color="colorOf?.(box)"
        :ring="ringOf?.(box)"
        :waits="waiting?.has(box.id)"
      />
    </g>
  </g>
</template>

<style scoped>
.box {
  cursor: pointer;
}
.target {
  fill: transparent;
}
</style>
