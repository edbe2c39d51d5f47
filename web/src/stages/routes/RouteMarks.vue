<script setup lang="ts">
import { computed } from 'vue';
import type { House, LaidCable } from '@winculum/core';
import { bundlesOf, routeLines } from './route-lines';

/** Cables on the plan: in the walls drawn through, over the ceiling in dashes, below the floor in dots, with marks where they go up or down. */
const props = defineProps<{
  house: House;
  level: string;
  scale: number;
  laid: readonly LaidCable[];
  /** Cables that are looked at: by circuit or by themselves. */
  inkOf: (cable: LaidCable) => string | undefined;
  picked: string;
  /** Every circuit is looked at: lines are thin, and what goes up or down is marked only close up. */
  isAll: boolean;
  /** What of a cable is drawn: in the walls, over the ceiling, below the floor. */
  layers: Readonly<Record<'wall' | 'over' | 'under', boolean>>;
}>();
const emit = defineEmits<{ pick: [runId: string]; lead: [runId: string, at: { x: number; y: number }] }>();
const drawn = computed(() => {
  const { lines, rises } = routeLines(props.house, props.level, props.laid);
  const shows = (look: string) => props.layers[look === 'end' ? 'wall' : (look as 'wall' | 'over' | 'under')];
  return {
    lines: lines.filter((one) => shows(one.look)),
    rises: rises.filter((one) => props.layers[one.plate === 'top' ? 'over' : 'under']),
  };
});
/** Cables that lie together are counted among those that are looked at. */
const bundles = computed(() => bundlesOf(drawn.value.lines.filter((one) => props.inkOf(one.cable))));
const rises = computed(() =>
  props.isAll && props.scale < 1.6
    ? []
    : drawn.value.rises.filter((one) => props.inkOf(one.cable) || one.cable.run.id === props.picked),
);
/** Quiet lines first, what is looked at on top. */
const lines = computed(() => [...drawn.value.lines].sort((a, b) => rank(a.cable) - rank(b.cable)));
const rank = (cable: LaidCable) => (cable.run.id === props.picked ? 2 : props.inkOf(cable) ? 1 : 0);
const path = (points: readonly { x: number; y: number }[]) => `M${points.map(({ x, y }) => `${x} ${y}`).join('L')}`;
const thick = (cable: LaidCable) =>
  (cable.run.id === props.picked ? 4 : props.inkOf(cable) ? (props.isAll ? 1.6 : 2.4) : 1.1) / props.scale;
const describe = ({ fromLabel, toLabel, circuit }: LaidCable) => `${circuit.name}: ${fromLabel} to ${toLabel}`;

let from: { x: number; y: number; run: string } | undefined;
function grab(event: PointerEvent, run: string): void {
  event.stopPropagation();
  (event.target as Element).setPointerCapture(event.pointerId);
  from = { x: event.clientX, y: event.clientY, run };
}
function letGo(event: PointerEvent): void {
  const start = from;
  from = undefined;
  if (!start) return;
  const isDrag = Math.hypot(event.clientX - start.x, event.clientY - start.y) > 8;
  if (!isDrag) return emit('pick', start.run);
  const to = (event.target as SVGGraphicsElement).getScreenCTM();
  if (!to) return;
  const { x, y } = new DOMPoint(event.clientX, event.clientY).matrixTransform(to.inverse());
  emit('lead', start.run, { x, y });
}
</script>

<template>
  <g class="routes">
    <g v-for="line in lines" :key="line.key">
      <path
        :d="path(line.points)"
        :class="['cable', line.look, { quiet: !inkOf(line.cable) && line.cable.run.id !== picked }]"
        :style="{ stroke: line.cable.run.id === picked ? 'var(--chalk)' : inkOf(line.cable) }"
        :stroke-width="thick(line.cable)"
        :stroke-dasharray="
          line.look === 'over'
            ? `${7 / scale} ${4 / scale}`
            : line.look === 'under'
              ? `${2 / scale} ${4 / scale}`
              : undefined
        "
      />
      <path
        :d="path(line.points)"
        class="target"
        :stroke-width="12 / scale"
        @pointerdown="grab($event, line.cable.run.id)"
        @pointerup="letGo"
        @pointercancel="from = undefined"
      >
        <title>{{ describe(line.cable) }}</title>
      </path>
    </g>
    <path
      v-for="rise in rises"
      :key="rise.key"
      class="rise"
      :style="{ fill: rise.cable.run.id === picked ? 'var(--chalk)' : inkOf(rise.cable) }"
      :transform="`translate(${rise.at.x} ${rise.at.y}) scale(${1 / scale})`"
      :d="rise.plate === 'top' ? 'M0 -6L5 4H-5Z' : 'M0 6L5 -4H-5Z'"
    />
    <g
      v-for="one in bundles"
      :key="`${one.at.x} ${one.at.y}`"
      :transform="`translate(${one.at.x} ${one.at.y}) scale(${1 / scale})`"
      class="bundle"
    >
      <circle r="9" />
      <text>{{ one.count }}</text>
    </g>
  </g>
</template>

<style scoped>
.cable {
  fill: none;
  stroke: var(--ink);
  stroke-linejoin: round;
  pointer-events: none;
}
.cable.end {
  stroke-dasharray: 1 3;
}
.quiet {
  stroke: var(--muted);
  opacity: 0.55;
}
.rise {
  fill: var(--ink);
  stroke: var(--card);
  stroke-width: 1;
  pointer-events: none;
}
.target {
  fill: none;
  stroke: transparent;
  cursor: pointer;
  pointer-events: stroke;
}
.bundle {
  pointer-events: none;
}
.bundle circle {
  fill: var(--card);
  stroke: var(--muted);
}
.bundle text {
  font: 700 11px var(--numbers);
  text-anchor: middle;
  dominant-baseline: central;
  fill: var(--ink);
}
</style>
