<script setup lang="ts">
import { computed } from 'vue';
import type { House } from '@winculum/core';
import { layOutOneLine, type OneLineNode, type PartRef } from './one-line-layout';

/** How power comes in and on to every panel, as the document says. Drawn for screen and paper alike; each part can be picked. */
const props = defineProps<{ house: House; chosen: PartRef | null }>();
const emit = defineEmits<{ choose: [part: PartRef] }>();
const drawing = computed(() => layOutOneLine(props.house));
const isChosen = ({ kind, id }: PartRef) => props.chosen?.kind === kind && props.chosen.id === id;
const path = (points: readonly (readonly [number, number])[]) => `M${points.map((one) => one.join(' ')).join('L')}`;
const named = ({ shape, words }: OneLineNode) => `${shape}: ${words.join(', ')}`;
/** Words stand in a panel and a disconnect, beside everything else. */
const isBox = ({ shape }: OneLineNode) => shape === 'panel' || shape === 'disconnect';
function onKey(event: KeyboardEvent, part: PartRef): void {
  if (event.key !== 'Enter' && event.key !== ' ') return;
  event.preventDefault();
  emit('choose', part);
}
</script>

<template>
  <svg
    class="one-line"
    :viewBox="`0 0 ${drawing.width} ${drawing.height}`"
    :style="{ maxWidth: `${drawing.width}px` }"
    role="group"
    aria-label="One-line diagram"
  >
    <g
      v-for="(edge, i) in drawing.edges"
      :key="`e${i}`"
      class="part"
      :class="{ chosen: isChosen(edge.part) }"
      :role="edge.part.kind === 'feeder' ? 'button' : undefined"
      :tabindex="edge.part.kind === 'feeder' ? 0 : undefined"
      :aria-label="edge.part.kind === 'feeder' ? `feeder: ${edge.words.join(', ')}` : undefined"
      @click="emit('choose', edge.part)"
      @keydown="onKey($event, edge.part)"
    >
      <path class="reach" :d="path(edge.points)" />
      <path class="line" :d="path(edge.points)" />
      <text v-for="(word, n) in edge.words" :key="n" :x="edge.at[0]" :y="edge.at[1] + n * 15">{{ word }}</text>
    </g>
    <g
      v-for="(node, i) in drawing.nodes"
      :key="`n${i}`"
      class="part node"
      :class="{ chosen: isChosen(node.part) }"
      role="button"
      tabindex="0"
      :aria-label="named(node)"
      :transform="`translate(${node.x} ${node.y})`"
      @click="emit('choose', node.part)"
      @keydown="onKey($event, node.part)"
    >
      <path v-if="node.shape === 'utility'" d="M-13 0 h26 l-13 24 z" />
      <path v-else-if="node.shape === 'cord'" d="M-22 4 h44 v22 h-44 z M-8 4 v-4 M8 4 v-4" />
      <template v-else-if="node.shape === 'meter'">
        <circle cy="20" r="20" />
        <text y="25" class="mid bold">M</text>
      </template>
      <template v-else-if="node.shape === 'generator'">
        <circle cy="30" r="26" />
        <text y="36" class="mid big">G</text>
      </template>
      <template v-else-if="node.shape === 'inverter'">
        <rect x="-26" y="4" width="52" height="52" rx="2" />
        <path class="thin" d="M-26 56 L26 4" />
        <text x="-12" y="26" class="mid bold">=</text>
        <text x="12" y="50" class="mid bold">~</text>
      </template>
      <rect v-else :x="-node.width / 2" y="0" :width="node.width" :height="node.height" rx="2" />
      <template v-if="isBox(node)">
        <text
          v-for="(word, n) in node.words"
          :key="n"
          :y="n === 0 ? 17 : 17 + n * 17"
          class="mid"
          :class="{ bold: n === 0, big: node.shape === 'panel' && n === 1 }"
        >
          {{ word }}
        </text>
      </template>
      <template v-else>
        <text v-for="(word, n) in node.words" :key="n" :x="node.width / 2 + 8" :y="node.height / 2 - 2 + n * 15">
          {{ word }}
        </text>
      </template>
      <g v-if="node.ground" :transform="`translate(${node.width / 2} 22)`">
        <path class="thin ground" d="M0 0 h16 v12 m-9 0 h18 m-15 4 h12 m-9 4 h6" />
        <text v-for="(word, n) in node.ground" :key="n" x="30" :y="4 + n * 13" class="small">{{ word }}</text>
      </g>
    </g>
  </svg>
</template>

<style scoped>
.one-line {
  width: 100%;
}
.line,
.node path,
.node circle,
.node rect {
  fill: var(--card);
  stroke: var(--ink);
  stroke-width: 2;
}
.line,
.node .ground {
  fill: none;
}
.node .thin {
  stroke-width: 1.2;
}
.reach {
  fill: none;
  stroke: transparent;
  stroke-width: 24;
}
.part {
  cursor: pointer;
  outline: none;
}
.part:focus-visible .line,
.part:focus-visible rect,
.part:focus-visible circle,
.chosen .line,
.chosen rect,
.chosen circle {
  stroke: var(--chalk);
  stroke-width: 3.5;
}
text {
  font: 500 12.5px var(--words);
  fill: var(--ink);
}
.small {
  font-size: 11.5px;
}
.mid {
  text-anchor: middle;
}
.bold {
  font-weight: 700;
}
.big {
  font: 700 17px var(--numbers);
}
</style>
