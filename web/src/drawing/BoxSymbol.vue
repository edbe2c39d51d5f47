<script setup lang="ts">
import { computed } from 'vue';
import type { Box, Point } from '@winculum/core';
import { MARK_SIZE } from './room-labels';

/** Plan symbols of the published drafting convention for electrical plans, drawn by us: a circle with strokes for receptacles, S for switches. */
const props = defineProps<{
  box: Box;
  angle: number;
  size: number;
  mark?: string;
  /** Where the mark stands beside the symbol, inches; below it where nothing is said. */
  markAt?: (Point & { readonly isLed: boolean }) | undefined;
  selected?: boolean;
  ghost?: boolean;
  /** It rests on a question of the brief that nobody has answered. */
  waits?: boolean | undefined;
  color?: string;
  /** Strokes and gaps of a ring around it, in parts of its size: a second carrier beside the color. */
  ring?: string;
}>();

const first = computed(() => Object.values(props.box.devices)[0]);
/** S for switches, T for a thermostat at line voltage. */
const letter = computed(() =>
  first.value?.kind === 'switch' && /^line-thermostat/.test(first.value.style) ? 'T' : 'S',
);
const switches = computed(() => Object.values(props.box.devices).filter((device) => device.kind === 'switch').length);
const provisional = computed(
  () => props.waits || ['undecided', 'not-delivered', 'future', 'held'].includes(props.box.state ?? ''),
);
const LOW = { data: 'D', coax: 'X', speaker: 'SP', doorbell: 'B', thermostat: 'T', alarm: 'AL', sleeve: 'SL' } as const;
const label = computed(
  () =>
    `${props.box.tag}, ${first.value?.kind ?? 'box'}${props.box.state ? `, ${props.box.state}` : ''}${props.waits ? ', waits for an answer' : ''}`,
);
/** From the edge of the symbol to the near edge of its mark. */
function leader({ x, y }: Point): string {
  const far = Math.hypot(x, y);
  const [from, to] = [props.size * 1.3, far - props.size * MARK_SIZE * 0.6];
  return `M${(x / far) * from} ${(y / far) * from}L${(x / far) * to} ${(y / far) * to}`;
}
</script>

<template>
  <g
    class="symbol"
    :class="{ selected, ghost, provisional, existing: box.state === 'existing' }"
    :style="color ? { color } : undefined"
    :aria-label="label"
    role="img"
  >
    <circle v-if="selected" :r="size * 1.75" class="halo" />
    <g v-if="ring" :transform="`scale(${size})`"><circle r="1.75" class="ring" :stroke-dasharray="ring" /></g>
    <g :transform="`rotate(${angle}) scale(${size})`">
      <template v-if="first?.kind === 'receptacle'">
        <circle r="1" class="face" />
        <path v-if="first.volts === 240" d="M-1.5,-.45H1.5M-1.5,0H1.5M-1.5,.45H1.5" />
        <path v-else-if="first.style === 'single'" d="M-1.5,0H1.5" />
        <path v-else d="M-1.5,-.35H1.5M-1.5,.35H1.5" />
        <path
          v-if="first.switched !== 'no'"
          :d="first.switched === 'half' ? 'M-1,0A1,1 0 0 0 1,0Z' : 'M-1,0A1,1 0 0 0 1,0A1,1 0 0 0 -1,0Z'"
          class="filled"
        />
      </template>
      <template v-else-if="first?.kind === 'luminaire'">
        <circle r="1" class="face" />
        <path d="M-.7,-.7L-1.25,-1.25M.7,-.7L1.25,-1.25M-.7,.7L-1.25,1.25M.7,.7L1.25,1.25" />
        <circle v-if="first.style === 'recessed'" r=".55" class="face" />
      </template>
      <template v-else-if="first?.kind === 'fan'"
        ><circle r="1" class="face" /><path d="M-.85,-.85L.85,.85M.85,-.85L-.85,.85"
      /></template>
      <template v-else-if="first?.kind === 'connection'"
        ><circle r="1" class="face" /><circle r=".4" class="filled"
      /></template>
      <rect v-else-if="first?.kind === 'alarm'" x="-1.3" y="-1" width="2.6" height="2" rx=".3" class="face" />
      <path v-else-if="first?.kind === 'low-voltage'" d="M0,-1.2L1.2,1H-1.2Z" class="face" />
      <circle v-else r=".9" class="face" :class="{ bare: first?.kind === 'switch' }" />
    </g>
    <text v-if="first?.kind === 'switch'" :font-size="size * 2.6" class="letter"
      >{{ letter }}<tspan v-if="switches > 1" :font-size="size * 1.5" dy=".25em">{{ switches }}</tspan></text
    >
    <text v-else-if="first?.kind === 'alarm'" :font-size="size * 1.35" class="letter">{{
      first.senses === 'smoke' ? 'SA' : first.senses === 'co' ? 'CO' : 'SC'
    }}</text>
    <text v-else-if="first?.kind === 'low-voltage'" :font-size="size * 1.1" :y="size * 0.35" class="letter">{{
      LOW[first.system]
    }}</text>
    <text v-if="provisional" :font-size="size * 2" :x="size * 1.9" :y="-size * 1.2" class="letter query">?</text>
    <path v-if="mark && markAt?.isLed" class="leader" :d="leader(markAt)" :style="{ strokeWidth: size * 0.14 }" />
    <text v-if="mark" :font-size="size * MARK_SIZE" :x="markAt?.x ?? 0" :y="markAt?.y ?? size * 2.2" class="mark">{{
      mark
    }}</text>
  </g>
</template>

<style scoped>
.symbol {
  color: var(--ink);
}
.symbol path,
.face {
  fill: none;
  stroke: currentColor;
  stroke-width: 0.2;
  vector-effect: none;
}
.face {
  fill: var(--room);
}
.face.bare {
  stroke: none;
  fill: none;
}
.symbol .filled {
  fill: currentColor;
}
.letter {
  font-family: var(--numbers);
  font-weight: 700;
  fill: currentColor;
  text-anchor: middle;
  dominant-baseline: central;
}
.mark {
  font-family: var(--numbers);
  font-weight: 600;
  fill: currentColor;
  text-anchor: middle;
  dominant-baseline: central;
  paint-order: stroke;
  stroke: var(--room);
  stroke-width: 3px;
}
.ring {
  fill: none;
  stroke: currentColor;
  stroke-width: 0.16;
}
.halo {
  fill: var(--chalk-soft);
  stroke: var(--chalk);
  stroke-width: 0.8;
}
/* What is there already is drawn thin, so that the work stands out on paper too. */
.existing {
  color: var(--muted);
}
.existing path,
.existing .face {
  stroke-width: 0.11;
}
.existing .letter,
.existing .mark {
  font-weight: 500;
}
.selected {
  color: var(--chalk);
}
.provisional :deep(path),
.provisional :deep(circle) {
  stroke-dasharray: 0.4 0.35;
}
.query {
  fill: var(--caution);
}
.ghost {
  color: var(--chalk);
}
.ghost :deep(*) {
  stroke-dasharray: 0.45 0.3;
}
</style>
