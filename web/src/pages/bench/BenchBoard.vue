<script setup lang="ts">
import { computed } from 'vue';
import type { Board } from '@winculum/core';
import { jointPath, layOutBench, pinWords, screwName } from './bench-layout';

/** The board as it lies on the bench: boxes, sheaths, devices, joints, and every screw to touch or to drag from. */
const props = defineProps<{
  board: Board;
  lit: ReadonlySet<string>;
  held: string | null;
  probes: readonly string[];
  isHot: (pin: string) => boolean;
  canDrag: boolean;
}>();
const emit = defineEmits<{ touch: [pin: string]; join: [from: string, to: string] }>();
const layout = computed(() => layOutBench(props.board));
const at = (pin: string) => layout.value.spots.get(pin)!;

/** A joint is also drawn by dragging from pin to pin; the click that ends a drag is not one more touch. */
let dragged: string | null = null;
let justJoined = false;
function grab(pin: string, event: PointerEvent): void {
  dragged = pin;
  (event.target as Element).releasePointerCapture?.(event.pointerId);
}
function release(event: PointerEvent): void {
  const target = document.elementFromPoint(event.clientX, event.clientY)?.closest<SVGElement>('[data-pin]');
  const [from, to] = [dragged, target?.dataset['pin']];
  dragged = null;
  if (!props.canDrag || !from || !to || from === to) return;
  emit('join', from, to);
  justJoined = true;
  setTimeout(() => (justJoined = false));
}
function press(pin: string): void {
  if (!justJoined) emit('touch', pin);
}
</script>

<template>
  <div class="board">
    <svg
      :viewBox="`0 0 ${layout.width} ${layout.height}`"
      :style="{ minWidth: `${layout.width * 0.75}px`, maxHeight: `${Math.max(480, layout.height * 0.85)}px` }"
    >
      <path v-for="one in layout.jackets" :key="one.id" class="jacket" :d="one.path" />
      <g v-for="(box, i) in layout.boxes" :key="i">
        <rect class="box" :x="box.x" :y="box.y" :width="box.width" :height="box.high" rx="8" />
        <text class="box-name" :x="box.x + box.width / 2" :y="box.y + 22 + box.high" text-anchor="middle">
          {{ box.name }}
        </text>
      </g>
      <g v-for="one in layout.jackets" :key="one.id">
        <rect
          v-for="(end, i) in one.ends"
          :key="i"
          class="sheath"
          :x="end.x"
          :y="end.y"
          width="20"
          :height="end.high"
          rx="4"
        />
        <text class="kind num" :x="one.x" :y="one.y" text-anchor="middle">{{ one.kind }}</text>
      </g>
      <g v-for="one in layout.devices" :key="one.part.id">
        <rect
          class="device"
          :class="{ lit: lit.has(one.part.id) }"
          :x="one.x"
          :y="one.y"
          :width="one.width"
          height="62"
          rx="4"
        />
        <text class="device-name num" :x="one.x + one.width / 2" :y="one.y + 56" text-anchor="middle">
          {{ one.name }}{{ lit.has(one.part.id) ? ' ☀' : '' }}
        </text>
      </g>
      <path
        v-for="(wire, i) in board.wires"
        :key="i"
        class="wire"
        :class="{ live: isHot(wire[0]) }"
        :d="jointPath(at(wire[0]), at(wire[1]), i)"
      />
      <g
        v-for="[pin, spot] in layout.spots"
        :key="pin"
        class="pin"
        :class="[spot.pin.name, { held: held === pin, probed: probes.includes(pin), live: isHot(pin) }]"
        role="button"
        tabindex="0"
        :aria-label="pinWords(board, spot.pin)"
        :data-pin="pin"
        @pointerdown="grab(pin, $event)"
        @pointerup="release"
        @click="press(pin)"
        @keydown.enter.prevent="emit('touch', pin)"
        @keydown.space.prevent="emit('touch', pin)"
      >
        <circle class="finger" :cx="spot.x" :cy="spot.y" r="17" />
        <circle class="screw" :cx="spot.x" :cy="spot.y" r="9" />
        <text
          class="pin-name num"
          :x="spot.x"
          :y="spot.pin.of === 'feed' ? spot.y - 12 : spot.y + 22"
          text-anchor="middle"
        >
          {{ screwName(spot.pin) }}
        </text>
      </g>
    </svg>
  </div>
</template>

<style scoped>
.board {
  overflow-x: auto;
}
.board svg {
  width: 100%;
}
.box {
  fill: var(--card);
  stroke: var(--ink);
  stroke-width: 1.6;
}
.box-name {
  font: 600 15px var(--words);
  fill: var(--ink);
}
.jacket {
  fill: none;
  stroke: var(--rail);
  stroke-width: 22;
  stroke-linejoin: round;
}
.sheath {
  fill: var(--rail);
  stroke: var(--rule);
}
.kind,
.pin-name {
  font: 600 12px var(--numbers);
  fill: var(--ink);
  pointer-events: none;
}
.device {
  fill: var(--paper);
  stroke: var(--ink);
}
.device.lit {
  fill: var(--tape);
}
.device-name {
  font: 700 16px var(--numbers);
  fill: var(--ink);
}
.device.lit + .device-name {
  fill: #22302f;
}
.wire {
  fill: none;
  stroke: var(--muted);
  stroke-width: 4;
}
.wire.live {
  stroke: var(--caution);
  stroke-dasharray: 12 3;
}
.pin {
  cursor: pointer;
}
.finger {
  touch-action: none;
  fill: transparent;
}
.screw {
  fill: var(--tape);
  stroke: #22302f;
  stroke-width: 1.4;
}
.pin.black .screw,
.pin.common .screw {
  fill: #22302f;
  stroke: var(--muted);
}
.pin.red .screw {
  fill: #b3261e;
}
.pin.blue .screw {
  fill: #1f5c7a;
}
.pin.white .screw,
.pin.neutral .screw {
  fill: #fff;
}
.pin.live .screw {
  stroke: var(--caution);
  stroke-width: 3;
}
.pin.held .finger,
.pin:focus-visible .finger {
  fill: var(--chalk-soft);
  stroke: var(--chalk);
  stroke-width: 2;
}
.pin.probed .finger {
  stroke: var(--violation);
  stroke-width: 3;
}
</style>
