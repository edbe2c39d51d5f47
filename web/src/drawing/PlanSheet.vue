<script setup lang="ts">
import { computed, onMounted, ref, watch } from 'vue';
import { useElementSize } from '@vueuse/core';
import {
  boundsOf,
  boxPoint,
  formatLength,
  innerPoint,
  roomSpan,
  wallLoop,
  type Box,
  type Bounds,
  type House,
  type Point,
  type Room,
} from '@winculum/core';
import BoxSymbol from './BoxSymbol.vue';
import { drawFeature, drawOpening, toPath } from './plan-shapes';
import type { Hit } from './tools/machine';
import { useCamera } from './use-camera';

/** The one sheet: the plan of a level. Stages lay their overlay on it and decide what the hand does. */
const props = defineProps<{
  house: House;
  level: string;
  target: { readonly bounds: Bounds } | null;
  /** What to show first; the whole level where nothing is said. */
  home?: Bounds | null;
  /** Whether a drag on bare ground pans. */
  pans: boolean;
  selected: ReadonlySet<string>;
  showBoxes?: boolean;
  showTags?: boolean;
  markOf?: (box: Box) => string;
  colorOf?: (box: Box) => string | undefined;
  cursor?: string;
}>();
const emit = defineEmits<{
  hand: [event: { type: 'down' | 'move' | 'up'; point: Point; hit: Hit | null; shift: boolean; alt: boolean }];
  scale: [scale: number];
}>();
defineSlots<{ default?(props: { scale: number }): unknown; over?(props: { scale: number }): unknown }>();

const svg = ref<SVGSVGElement>();
const { width, height } = useElementSize(svg);
const { transform, flyTo } = useCamera(svg, () => props.pans);

const rooms = computed(() => Object.values(props.house.rooms).filter((room) => room.level === props.level));
const roomIds = computed(() => new Set(rooms.value.map((room) => room.id)));
const thickness = computed(() => props.house.levels[props.level]?.wallThicknessIn ?? 4.5);
const openings = computed(() =>
  Object.values(props.house.openings)
    .filter((one) => roomIds.value.has(one.room))
    .flatMap((one) => drawOpening(props.house, one, thickness.value) ?? []),
);
const features = computed(() =>
  Object.values(props.house.features)
    .filter((one) => roomIds.value.has(one.room))
    .map((one) => ({
      feature: one,
      path: drawFeature(props.house.rooms[one.room]!, one),
      at: labelPoint(props.house.rooms[one.room]!, one.id),
    })),
);
const boxes = computed(() =>
  props.showBoxes ? Object.values(props.house.boxes).filter((box) => roomIds.value.has(box.room)) : [],
);
const solidWalls = computed(() =>
  rooms.value
    .flatMap((room) => wallLoop(room).walls.filter((wall) => wall.boundary === 'solid'))
    .map((wall) => toPath([wall.from, wall.to], false))
    .join(''),
);
const railings = computed(() =>
  rooms.value
    .flatMap((room) => wallLoop(room).walls.filter((wall) => wall.boundary !== 'solid'))
    .map((wall) => toPath([wall.from, wall.to], false))
    .join(''),
);
const scale = computed(() => transform.value.k);
/** Symbols keep a readable size on the screen, and never swell over the room. */
const symbolSize = computed(() => Math.max(3, Math.min(8, 7 / scale.value)));
const textSize = computed(() => Math.max(5, Math.min(20, 12 / scale.value)));

const OUTDOORS = new Set(['porch', 'deck', 'balcony', 'outdoors']);
const fits = (room: Room, text: string) =>
  roomSpan(room).widthIn * scale.value > text.length * textSize.value * scale.value * 0.5 &&
  roomSpan(room).depthIn * scale.value > 30;
/** Where there is room for it the name stands above the middle, which is where luminaires hang. */
const lift = (room: Room) => (props.showBoxes && roomSpan(room).depthIn * scale.value > 56 ? textSize.value * 1.9 : 0);
const dimensions = (room: Room) =>
  `${formatLength(roomSpan(room).widthIn, props.house.standards.lengths)} × ${formatLength(roomSpan(room).depthIn, props.house.standards.lengths)}`;

function labelPoint(room: Room, featureId: string): Point {
  const path = drawFeature(room, props.house.features[featureId]!);
  const points = [...path.matchAll(/(-?[\d.]+),(-?[\d.]+)/g)].map((match) => ({
    x: Number(match[1]),
    y: Number(match[2]),
  }));
  return { x: (points[0]!.x + points[2]!.x) / 2, y: (points[0]!.y + points[2]!.y) / 2 };
}

/** A box on a wall is drawn just inside the room, turned with its wall. */
function place(box: Box): { x: number; y: number; angle: number } {
  const point = boxPoint(props.house, box);
  if (box.at.kind !== 'wall') return { ...point, angle: 0 };
  const on = box.at.wall;
  const wall = wallLoop(props.house.rooms[box.room]!).walls.find((one) => one.id === on)!;
  const [ux, uy] = [(wall.to.x - wall.from.x) / wall.lengthIn, (wall.to.y - wall.from.y) / wall.lengthIn];
  const off = symbolSize.value * 1.25;
  return { x: point.x - uy * off, y: point.y + ux * off, angle: (Math.atan2(uy, ux) * 180) / Math.PI };
}

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

function send(type: 'down' | 'move' | 'up', event: PointerEvent): void {
  if (type === 'down' && event.button !== 0) return;
  const hit = hitOf(event);
  if (type === 'down' && (!props.pans || (hit && hit.kind !== 'room'))) svg.value!.setPointerCapture(event.pointerId);
  emit('hand', { type, point: toPlan(event), hit, shift: event.shiftKey, alt: event.altKey });
}

function fit(): void {
  if (rooms.value.length > 0)
    flyTo(props.home ?? boundsOf(rooms.value.flatMap((room) => room.corners)), width.value, height.value, false);
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
      <path :d="solidWalls" class="walls" :stroke-width="thickness * 2" />
      <g v-for="room in rooms" :key="room.id">
        <path
          :d="toPath(room.corners)"
          class="room"
          :class="{ outdoors: OUTDOORS.has(room.kind), selected: selected.has(room.id) }"
          data-hit="room"
          :data-id="room.id"
        />
      </g>
      <path :d="railings" class="railing" />
      <g
        v-for="shape in openings"
        :key="shape.opening.id"
        class="opening"
        :class="{ selected: selected.has(shape.opening.id) }"
        data-hit="opening"
        :data-id="shape.opening.id"
      >
        <path :d="shape.gap" class="gap" />
        <path v-if="shape.glass" :d="shape.glass" class="glass" />
        <path :d="shape.lines" class="lines" />
      </g>
      <g
        v-for="{ feature, path, at } in features"
        :key="feature.id"
        class="feature"
        :class="[feature.kind, { selected: selected.has(feature.id) }]"
        data-hit="feature"
        :data-id="feature.id"
      >
        <path :d="path" />
        <text v-if="scale > 1 && feature.kind !== 'counter'" :x="at.x" :y="at.y" :font-size="textSize * 0.72">
          {{ feature.name || feature.kind.replaceAll('-', ' ') }}
        </text>
      </g>
      <g v-for="room in rooms" :key="`label-${room.id}`" class="label" pointer-events="none">
        <text
          v-if="fits(room, room.name)"
          :x="innerPoint(room.corners).x"
          :y="innerPoint(room.corners).y - lift(room)"
          :font-size="textSize"
        >
          <tspan class="name">{{ room.name }}</tspan>
          <tspan
            v-if="fits(room, dimensions(room)) && scale > (showBoxes ? 1.6 : 0.7)"
            :x="innerPoint(room.corners).x"
            :dy="textSize * 1.05"
            :font-size="textSize * 0.86"
            class="size"
          >
            {{ dimensions(room) }}
          </tspan>
        </text>
      </g>
      <slot :scale="scale" />
      <g
        v-for="box in boxes"
        :key="box.id"
        v-memo="[
          box,
          house.rooms[box.room],
          symbolSize,
          scale,
          selected.has(box.id),
          showTags,
          markOf?.(box),
          colorOf?.(box),
        ]"
        data-hit="box"
        :data-id="box.id"
        class="box"
        :transform="`translate(${place(box).x} ${place(box).y})`"
      >
        <circle :r="Math.max(symbolSize * 1.6, 10 / scale)" class="target" />
        <BoxSymbol
          :box="box"
          :angle="place(box).angle"
          :size="symbolSize"
          :selected="selected.has(box.id)"
          :mark="markOf?.(box) || (showTags && scale > 1.25 ? box.tag : '')"
          :color="colorOf?.(box)"
        />
      </g>
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
.walls {
  stroke: var(--wall);
  stroke-linecap: square;
  fill: none;
}
.room {
  fill: var(--room);
}
.room.outdoors {
  fill: var(--outdoors);
}
.room.selected {
  fill: var(--chalk-soft);
}
.railing {
  stroke: var(--wall);
  stroke-width: 1.4;
  stroke-dasharray: 5 3;
  fill: none;
}
.gap {
  fill: var(--room);
}
.glass {
  fill: var(--glass);
}
.lines {
  stroke: var(--wall);
  stroke-width: 1;
  fill: none;
}
.opening.selected .gap {
  fill: var(--chalk-soft);
}
.opening.selected .lines {
  stroke: var(--chalk);
  stroke-width: 2;
}
.feature path {
  fill: var(--feature);
  stroke: var(--muted);
  stroke-width: 0.8;
}
.feature.counter path {
  fill: var(--feature);
}
.feature.furniture path {
  fill: none;
  stroke-dasharray: 4 3;
  stroke: var(--rule);
}
.feature.selected path {
  stroke: var(--chalk);
  stroke-width: 2;
  fill: var(--chalk-soft);
}
.feature text {
  text-anchor: middle;
  dominant-baseline: central;
  fill: var(--muted);
  font-family: var(--words);
  pointer-events: none;
}
.label text {
  text-anchor: middle;
  fill: var(--ink);
  paint-order: stroke;
  stroke: var(--room);
  stroke-width: 2px;
}
.name {
  font-family: var(--numbers);
  font-weight: 600;
  letter-spacing: 0.08em;
  text-transform: uppercase;
}
.size {
  font-family: var(--words);
  fill: var(--muted);
}
.box {
  cursor: pointer;
}
.target {
  fill: transparent;
}
</style>
