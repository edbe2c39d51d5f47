<script setup lang="ts">
import { computed, ref } from 'vue';

/** A box to sign in with a finger, a pen or the mouse. Strokes are kept in a frame of 1000 by 300. */
type Stroke = [number, number][];
const emit = defineEmits<{ change: [strokes: Stroke[]] }>();
const strokes = ref<Stroke[]>([]);
const pad = ref<SVGSVGElement>();
let drawing = false;

function at(event: PointerEvent): [number, number] {
  const box = pad.value!.getBoundingClientRect();
  const clamp = (value: number, most: number) => Math.round(Math.min(most, Math.max(0, value)));
  return [
    clamp(((event.clientX - box.left) / box.width) * 1000, 1000),
    clamp(((event.clientY - box.top) / box.height) * 300, 300),
  ];
}
function down(event: PointerEvent): void {
  drawing = true;
  pad.value!.setPointerCapture(event.pointerId);
  strokes.value = [...strokes.value, [at(event)]];
}
function move(event: PointerEvent): void {
  if (!drawing) return;
  const last = strokes.value.at(-1)!;
  if (last.length < 2000) last.push(at(event));
  strokes.value = [...strokes.value];
}
function up(): void {
  if (drawing) emit('change', strokes.value);
  drawing = false;
}
function clear(): void {
  strokes.value = [];
  emit('change', []);
}
const path = computed(() =>
  strokes.value.map((stroke) => `M${stroke.map(([x, y]) => `${x} ${y}`).join('L')}`).join(''),
);
</script>

<template>
  <div class="pad">
    <svg
      ref="pad"
      viewBox="0 0 1000 300"
      role="img"
      aria-label="Sign here"
      @pointerdown.prevent="down"
      @pointermove="move"
      @pointerup="up"
      @pointercancel="up"
    >
      <path d="M60 235H940" class="line" />
      <path :d="path" class="ink" />
    </svg>
    <v-btn v-if="strokes.length" @click="clear">Clear</v-btn>
  </div>
</template>

<style scoped>
.pad {
  display: grid;
  gap: 4px;
  justify-items: end;
}
svg {
  width: 100%;
  border: 1.5px solid var(--rule);
  border-radius: 6px;
  background: var(--paper);
  touch-action: none;
  cursor: crosshair;
}
.line {
  stroke: var(--rule);
  stroke-width: 3;
}
.ink {
  fill: none;
  stroke: var(--ink);
  stroke-width: 7;
  stroke-linecap: round;
  stroke-linejoin: round;
}
</style>
