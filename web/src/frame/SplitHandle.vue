<script setup lang="ts">
/** The edge between two parts of the page: dragged, or moved by arrow keys while it has the focus. */
const props = defineProps<{
  label: string;
  /** Size of the part behind the edge, pixels. */
  modelValue: number;
  min: number;
  max: number;
  /** `x` moves a vertical edge, `y` a horizontal one. */
  axis: 'x' | 'y';
}>();
const emit = defineEmits<{ 'update:modelValue': [size: number]; letGo: [] }>();
const STEP = 24;

const within = (size: number) => Math.round(Math.min(props.max, Math.max(props.min, size)));
let held: { readonly at: number; readonly size: number } | null = null;
const along = (event: PointerEvent) => (props.axis === 'x' ? event.clientX : event.clientY);

function grab(event: PointerEvent): void {
  (event.currentTarget as Element).setPointerCapture(event.pointerId);
  held = { at: along(event), size: props.modelValue };
}
function drag(event: PointerEvent): void {
  if (held) emit('update:modelValue', within(held.size + held.at - along(event)));
}
function drop(): void {
  if (!held) return;
  held = null;
  emit('letGo');
}
function onKey(event: KeyboardEvent): void {
  const more = props.axis === 'x' ? 'ArrowLeft' : 'ArrowUp';
  const less = props.axis === 'x' ? 'ArrowRight' : 'ArrowDown';
  if (event.key !== more && event.key !== less) return;
  event.preventDefault();
  emit('update:modelValue', within(props.modelValue + (event.key === more ? STEP : -STEP)));
  emit('letGo');
}
</script>

<template>
  <div
    class="edge"
    :class="axis"
    role="separator"
    tabindex="0"
    :aria-label="label"
    :aria-orientation="axis === 'x' ? 'vertical' : 'horizontal'"
    :aria-valuenow="modelValue"
    :aria-valuemin="min"
    :aria-valuemax="max"
    @pointerdown="grab"
    @pointermove="drag"
    @pointerup="drop"
    @pointercancel="drop"
    @keydown="onKey"
  />
</template>

<style scoped>
.edge {
  flex: none;
  touch-action: none;
  position: relative;
}
.edge::after {
  content: '';
  position: absolute;
  background: var(--rule);
  border-radius: 2px;
}
.x {
  cursor: col-resize;
  width: 10px;
}
.x::after {
  inset: calc(50% - 18px) 3px auto;
  height: 36px;
}
.y {
  cursor: row-resize;
  height: 14px;
}
.y::after {
  inset: 5px calc(50% - 24px) auto;
  height: 4px;
}
.edge:hover::after,
.edge:focus-visible::after {
  background: var(--chalk);
}
</style>
