<script setup lang="ts">
import { computed, onMounted, ref, watch } from 'vue';
import { useElementSize } from '@vueuse/core';
import { boundsOf, provisionalBoxes, viewRoom, type Bounds, type Box, type House, type Point } from '@winculum/core';
import PlanGround from './PlanGround.vue';
import PlanLabels from './PlanLabels.vue';
import RoomBoxes from './RoomBoxes.vue';
import type { Hit } from './tools/machine';
import type { HandEvent } from './use-hand';
import { useCamera } from './use-camera';

/** The one sheet: the plan of a level. Stages lay their overlay on it and decide what the hand does. */
const props = defineProps<{
  house: House;
  level: string;
  /** What is looked at first where the whole level would be too small to read. */
  near?: Bounds | undefined;
  target: { readonly bounds: Bounds } | null;
  /** Whether a drag on bare ground pans. */
  pans: boolean;
  selected: ReadonlySet<string>;
  showBoxes?: boolean;
  showTags?: boolean;
  markOf?: (box: Box) => string;
  colorOf?: (box: Box) => string | undefined;
  ringOf?: (box: Box) => string | undefined;
  cursor?: string;
}>();
const emit = defineEmits<{
  hand: [event: { type: HandEvent['type']; point: Point; hit: Hit | null; shift: boolean; alt: boolean }];
  scale: [scale: number];
}>();
defineSlots<{ default?(props: { scale: number }): unknown; over?(props: { scale: number }): unknown }>();

const svg = ref<SVGSVGElement>();
const { width, height } = useElementSize(svg);
const { transform, flyTo, fitAgain } = useCamera(svg, () => props.pans);

const rooms = computed(() => Object.values(props.house.rooms).filter((room) => room.level === props.level));
const scale = computed(() => transform.value.k);
/** Symbols and words are sized by steps of the scale, so that most frames of a zoom draw none of them again. */
const STEP = Math.log(1.06);
const drawnScale = computed(() => Math.exp(STEP * Math.round(Math.log(scale.value) / STEP)));
const textSize = computed(() => Math.max(5, Math.min(20, 12 / drawnScale.value)));

/** The house as the ground reads it: the same object as long as nothing of the ground has changed. */
const ground = computed<House>((last) => {
  const now = props.house;
  const same =
    last &&
    last.rooms === now.rooms &&
    last.openings === now.openings &&
    last.features === now.features &&
    last.levels === now.levels &&
    last.standards === now.standards;
  return same ? last : now;
});

/** Rooms of which something may be seen; a margin keeps symbols that stand out of their room. */
const inSight = computed(() => {
  const { x, y, k } = transform.value;
  const margin = 60 / k;
  const [left, top] = [-x / k - margin, -y / k - margin];
  const [right, bottom] = [(width.value - x) / k + margin, (height.value - y) / k + margin];
  return rooms.value.filter((room) => {
    const { minX, minY, maxX, maxY } = boundsOf(room.corners);
    return maxX > left && minX < right && maxY > top && minY < bottom;
  });
});
/** Boxes that rest on an open question of the brief; the same set until others do, so that no room is drawn again for nothing. */
const waiting = computed<ReadonlySet<string>>((before) => {
  const now = provisionalBoxes(props.house);
  return before?.size === now.size && [...now.keys()].every((id) => before.has(id)) ? before : new Set(now.keys());
});
const views = computed(() => (props.showBoxes ? inSight.value.map((room) => viewRoom(props.house, room.id)) : []));

function toPlan(event: PointerEvent): Point {
  const rect = svg.value!.getBoundingClientRect();
  const { x, y, k } = transform.value;
  return { x: (event.clientX - rect.left - x) / k, y: (event.clientY - rect.top - y) / k };
}

function hitOf(event: PointerEvent): Hit | null {
  const element = (event.target as Element).closest<SVGElement>('[data-hit]');
  if (!element) return null;
  const { hit, id, room } = element.dataset;
  return { kind: hit!, id: id!, room };
}

/** A second finger came down: both pinch until the first is lifted, and what one of them had begun is left. */
let isPinching = false;
function send(type: HandEvent['type'], event: PointerEvent): void {
  if (type === 'down' && event.button !== 0) return;
  if (!event.isPrimary) {
    if (type !== 'down' || isPinching) return;
    isPinching = true;
    return void emit('hand', { type: 'leave', point: toPlan(event), hit: null, shift: false, alt: false });
  }
  const wasPinching = isPinching;
  if (type !== 'move') isPinching = false;
  if (wasPinching && type !== 'down') return;
  const hit = hitOf(event);
  if (type === 'down' && (!props.pans || (hit && hit.kind !== 'room'))) svg.value!.setPointerCapture(event.pointerId);
  emit('hand', { type, point: toPlan(event), hit, shift: event.shiftKey, alt: event.altKey });
}

/** Names of rooms are read from here up: pixels an inch. */
const READABLE = 0.75;

function fit(): void {
  if (rooms.value.length === 0) return;
  const whole = boundsOf(rooms.value.flatMap((room) => room.corners));
  const scaleOfWhole = Math.min(width.value / (whole.maxX - whole.minX), height.value / (whole.maxY - whole.minY));
  const { near } = props;
  flyTo(near && scaleOfWhole < READABLE ? around(near, whole) : whole, width.value, height.value, false);
}
/** What comes up beside or below the sheet hides nothing of the level, as long as nobody has chosen or moved anything. */
watch([width, height], () => {
  if (props.selected.size === 0) fitAgain(width.value, height.value);
});

/** As much of the level around a part of it as is read well, without showing more bare ground than there must be. */
function around(part: Bounds, whole: Bounds): Bounds {
  const along = (from: number, to: number, least: number, most: number, px: number): [number, number] => {
    const span = Math.min(most - least, Math.max(to - from, px / READABLE));
    const start = Math.min(Math.max(least, (from + to - span) / 2), most - span);
    return [start, start + span];
  };
  const [minX, maxX] = along(part.minX, part.maxX, whole.minX, whole.maxX, width.value);
  const [minY, maxY] = along(part.minY, part.maxY, whole.minY, whole.maxY, height.value);
  return { minX, maxX, minY, maxY };
}

watch(
  () => props.target,
  (next) => next && flyTo(next.bounds, width.value, height.value, true),
);
watch([() => props.level, () => width.value > 0], fit);
watch(scale, (now) => emit('scale', now), { immediate: true });
onMounted(fit);
defineExpose({ fit });
</script>

<template>
  <svg
    ref="svg"
    class="sheet"
    :style="{ cursor: cursor ?? 'default' }"
    role="application"
    aria-label="Plan of the level"
    @pointerdown="send('down', $event)"
    @pointermove="send('move', $event)"
    @pointerup="send('up', $event)"
    @pointercancel="send('leave', $event)"
  >
    <defs>
      <pattern id="grid" width="12" height="12" patternUnits="userSpaceOnUse">
        <path d="M12,0H0V12" class="grid" />
      </pattern>
      <pattern id="hatch" width="5" height="5" patternUnits="userSpaceOnUse" patternTransform="rotate(45)">
        <path d="M0,0V5" class="hatch" />
      </pattern>
    </defs>
    <g :transform="`translate(${transform.x} ${transform.y}) scale(${transform.k})`">
      <rect v-if="scale > 0.6" x="-2400" y="-2400" width="6000" height="6000" fill="url(#grid)" pointer-events="none" />
      <PlanGround :house="ground" :level="level" :selected="selected" />
      <PlanLabels
        v-if="!showBoxes"
        :house="ground"
        :level="level"
        :scale="drawnScale"
        :text-size="textSize"
        :selected="selected"
      />
      <slot :scale="scale" />
      <RoomBoxes
        v-for="view in views"
        :key="view.room.id"
        :view="view"
        :scale="drawnScale"
        :text-size="textSize"
        :lengths="house.standards.lengths"
        :selected="selected"
        :show-tags="showTags"
        :mark-of="markOf"
        :color-of="colorOf"
        :ring-of="ringOf"
        :waiting="waiting"
      />
      <slot name="over" :scale="scale" />
    </g>
  </svg>
</template>

<style scoped>
.sheet {
  width: 100%;
  height: 100%;
  display: block;
  touch-action: none;
  background: var(--paper);
  user-select: none;
}
.grid {
  stroke: var(--rule);
  stroke-width: 0.25;
  fill: none;
  opacity: 0.55;
}
.hatch {
  stroke: var(--violation);
  stroke-width: 2.4;
}
</style>
