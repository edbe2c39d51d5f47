<script setup lang="ts">
import { computed } from 'vue';
import type { Box, House, RoomView } from '@winculum/core';
import BoxSymbol from './BoxSymbol.vue';
import RoomLabel from './RoomLabel.vue';
import { placeMarks, REACH, RING_REACH, roomLabels } from './room-labels';

/** The boxes of one room, with its name beside them; a room that nobody touches keeps its view, so it is not drawn again. */
const props = defineProps<{
  view: RoomView;
  scale: number;
  textSize: number;
  lengths: House['standards']['lengths'];
  selected: ReadonlySet<string>;
  showTags: boolean;
  markOf?: ((box: Box) => string) | undefined;
  colorOf?: ((box: Box) => string | undefined) | undefined;
  ringOf?: ((box: Box) => string | undefined) | undefined;
  /** Boxes that rest on an open question. */
  waiting?: ReadonlySet<string> | undefined;
}>();
const reach = computed(() => (props.ringOf ? RING_REACH : REACH));
const layout = computed(() => roomLabels(props.view, props.scale, props.textSize, true, props.lengths, reach.value));
const size = computed(() => layout.value.size);
/** Tags are read from so many pixels an inch up; a mark of the stage always. */
const TAGS_FROM = 1.25;
const textAt = (box: Box) => props.markOf?.(box) || (props.showTags && props.scale > TAGS_FROM ? box.tag : '');
const marks = computed(() => placeMarks(props.view, layout.value, textAt));
</script>

<template>
  <g>
    <RoomLabel :view="view" :scale="scale" :text-size="textSize" show-boxes :lengths="lengths" :reach="reach" />
    <g
      v-for="{ box, x, y, angle } in layout.symbols"
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
        :mark="marks.has(box.id) || selected.has(box.id) ? textAt(box) : ''"
        :mark-at="marks.get(box.id)"
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
