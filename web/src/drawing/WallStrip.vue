<script setup lang="ts">
import { computed, ref, shallowRef } from 'vue';
import { useElementSize } from '@vueuse/core';
import {
  formatLength,
  fromLoop,
  moveBox,
  receptaclesOf,
  toLoop,
  usualHeightIn,
  type Box,
  type Edited,
  type House,
  type PlacementLimits,
  type Proposal,
  type Result,
  type TypedBox,
} from '@winculum/core';
import StripGround from './StripGround.vue';
import StripTape from './StripTape.vue';
import { gapLabels } from './gap-labels';
import { cutAt, layOutStrip } from './strip-layout';
import { snapToStud } from './tools/drag-edit';

/** The walls of a room unrolled, walked with a tape from a jamb: openings, studs, boxes at their heights, reach and tape. */
const props = defineProps<{
  house: House;
  roomId: string;
  selected: ReadonlySet<string>;
  cursorIn: number;
  /** What is being typed, where it will stand. */
  typed?: Pick<TypedBox, 'atLoopIn' | 'heightIn' | 'kind'> | null;
  proposal: Proposal | null;
  canEdit: boolean;
  limits: PlacementLimits;
}>();
const emit = defineEmits<{
  cursor: [atLoopIn: number];
  pick: [boxId: string, add: boolean];
  commit: [result: Result<Edited>];
}>();

const WALL_TOP = 24;
const WALL_HEIGHT = 118;
const RIBBON = WALL_TOP + WALL_HEIGHT + 6;
const TAPE = RIBBON + 18;

const frame = ref<HTMLElement>();
const { width } = useElementSize(frame);
const drag = shallowRef<{ box: Box; fromX: number; fromY: number; attempt: Result<Edited> | null } | null>(null);
const shownHouse = computed(() => (drag.value?.attempt?.ok ? drag.value.attempt.value.house : props.house));
const strip = computed(() => layOutStrip(shownHouse.value, props.roomId, props.limits));
const perInch = computed(() => Math.max(0.6, (width.value - 4) / strip.value.lengthIn));
const drawnWidth = computed(() => strip.value.lengthIn * perInch.value + 4);
const x = (along: number) => 2 + along * perInch.value;
const y = (heightIn: number) => WALL_TOP + WALL_HEIGHT * (1 - heightIn / strip.value.ceilingIn);
const show = (lengthIn: number) => formatLength(lengthIn, props.house.standards.lengths);
const cursorX = computed(() => x(cutAt(strip.value, props.cursorIn)));

/** Where a box that is typed without a height will hang. */
const typedHeight = computed(() => {
  const { standards, rooms } = props.house;
  return props.typed?.kind === 'switch' ? standards.switchHeightIn : usualHeightIn(rooms[props.roomId]!, standards);
});
/** Inches between two numbers of the tape, so that they do not touch. */
const feetApart = computed(() => (perInch.value * 24 > 26 ? 24 : perInch.value * 48 > 30 ? 48 : 120));
const ghosts = computed(() => (props.proposal?.boxes ?? []).filter((box) => box.room === props.roomId));

function loopAt(event: PointerEvent | MouseEvent): number {
  const rect = (event.currentTarget as Element).closest('svg')!.getBoundingClientRect();
  return (
    (strip.value.startIn + (event.clientX - rect.left - 2) / perInch.value + strip.value.lengthIn) %
    strip.value.lengthIn
  );
}

function grab(event: PointerEvent, box: Box): void {
  emit('pick', box.id, event.shiftKey);
  if (!props.canEdit || box.at.kind !== 'wall') return;
  (event.target as Element).setPointerCapture(event.pointerId);
  drag.value = { box, fromX: event.clientX, fromY: event.clientY, attempt: null };
}

/** A finger on a box moves it; beside one it scrolls the wall. No style says so inside of a drawing. */
function keepFinger(event: TouchEvent, box: Box): void {
  if (props.canEdit && box.at.kind === 'wall') event.preventDefault();
}

function pull(event: PointerEvent): void {
  const now = drag.value;
  if (!now || now.box.at.kind !== 'wall') return;
  const [dx, dy] = [event.clientX - now.fromX, event.clientY - now.fromY];
  if (!now.attempt && Math.hypot(dx, dy) < 4) return;
  const before = toLoop(strip.value.loop, now.box.at.wall, now.box.at.alongIn);
  const heightIn = Math.max(0, Math.round(now.box.at.heightIn - (dy / WALL_HEIGHT) * strip.value.ceilingIn));
  const atLoopIn = (before + dx / perInch.value + strip.value.lengthIn) % strip.value.lengthIn;
  drag.value = {
    ...now,
    attempt: moveBox(
      props.house,
      now.box.id,
      snapToStud(props.house, props.roomId, atLoopIn, heightIn, event.altKey ? 0 : 4, now.box.gangs),
    ),
  };
}

function letGo(): void {
  const attempt = drag.value?.attempt;
  drag.value = null;
  if (attempt) emit('commit', attempt);
}
const labels = computed(() =>
  gapLabels(
    strip.value.ribbon
      .filter((one) => !one.reached)
      .map(({ fromIn, toIn }) => ({
        fromX: x(fromIn),
        toX: x(toIn),
        long: `${show(toIn - fromIn)} out of reach`,
        short: show(toIn - fromIn),
      })),
    drawnWidth.value,
  ),
);
const isReceptacle = (box: Box) => receptaclesOf(box).length > 0;
const wallAtCursor = computed(() => fromLoop(strip.value.loop, props.cursorIn));
</script>

<template>
  <section class="strip" aria-label="Wall strip">
    <header>
      <b>Wall strip</b
      ><span class="muted start" :title="`${strip.roomName}, ${strip.startsAt}`"
        >{{ strip.roomName }}, {{ strip.startsAt }}</span
      ><span class="grow" />
      <span class="muted"
        >cursor <b class="num">{{ show(wallAtCursor.alongIn) }}</b> along the {{ wallAtCursor.wall.name }} wall</span
      >
      <span v-if="strip.behind.length" class="muted legend"><i class="swatch" /> next room's</span>
      <span class="muted legend">studs {{ strip.studSpacingIn }}" o.c.</span>
    </header>
    <div ref="frame" class="frame">
      <svg
        :width="drawnWidth"
        height="202"
        role="group"
        :aria-label="`Walls of ${strip.roomName}, unrolled`"
        @pointermove="pull"
        @pointerup="letGo"
        @pointercancel="drag = null"
      >
        <rect
          :x="2"
          :y="WALL_TOP"
          :width="drawnWidth - 4"
          :height="WALL_HEIGHT"
          class="wall"
          @click="emit('cursor', loopAt($event))"
        />
        <StripGround :strip="strip" :x="x" :y="y" :per-inch="perInch" :top="WALL_TOP" :height="WALL_HEIGHT" />
        <g v-for="stretch in strip.ribbon" :key="`r${stretch.fromIn}`" pointer-events="none">
          <rect
            :x="x(stretch.fromIn)"
            :y="RIBBON"
            :width="(stretch.toIn - stretch.fromIn) * perInch"
            height="12"
            :class="stretch.reached ? 'reached' : 'gap'"
          />
        </g>
        <text
          v-for="(label, i) in labels"
          :key="`gap${i}`"
          :x="label.x"
          :y="WALL_TOP + 14 + 14 * label.row"
          class="gap-text"
          pointer-events="none"
        >
          {{ label.text }}
        </text>
        <StripTape :length-in="strip.lengthIn" :x="x" :top="TAPE" :width="drawnWidth - 4" :every="feetApart" />
        <g v-for="ghost in ghosts" :key="`g${ghost.atLoopIn}`" pointer-events="none">
          <rect
            :x="x(cutAt(strip, ghost.atLoopIn)) - 5"
            :y="y(ghost.heightIn) - 8"
            width="10"
            height="16"
            rx="2"
            class="ghost"
          />
        </g>
        <g v-for="one in strip.behind" :key="`behind-${one.box.id}`" class="behind">
          <rect :x="x(one.at) - 5.5" :y="y(one.heightIn) - 8.5" width="11" height="17" rx="2.5" />
          <title>{{ one.box.tag }} of {{ one.room }} is in this wall</title>
        </g>
        <g
          v-for="{ box, at, heightIn, meets } in strip.boxes"
          :key="box.id"
          class="box"
          :class="{ selected: selected.has(box.id), meets }"
          tabindex="0"
          role="button"
          :aria-label="`${box.tag}, ${show(at)} from the start, ${show(heightIn)} high`"
          @pointerdown="grab($event, box)"
          @touchstart="keepFinger($event, box)"
          @keydown.enter="emit('pick', box.id, false)"
        >
          <rect :x="x(at) - 14" :y="y(heightIn) - 18" width="28" height="36" class="target" />
          <rect :x="x(at) - 5.5" :y="y(heightIn) - 8.5" width="11" height="17" rx="2.5" class="face" />
          <path
            v-if="isReceptacle(box)"
            :d="`M${x(at) - 1.8},${y(heightIn) - 3.5}v7M${x(at) + 1.8},${y(heightIn) - 3.5}v7`"
            class="slots"
          />
          <text v-else :x="x(at)" :y="y(heightIn) + 0.5" class="letter">
            {{ Object.values(box.devices)[0]?.kind === 'switch' ? 'S' : '·' }}
          </text>
          <text v-if="selected.has(box.id) || perInch > 0.95" :x="x(at)" :y="y(heightIn) - 14" class="tag">
            {{ box.tag }}
          </text>
        </g>
        <g v-if="typed" class="typed" pointer-events="none">
          <path :d="`M${x(cutAt(strip, typed.atLoopIn))},${WALL_TOP - 4}V${TAPE + 22}`" />
          <rect
            v-if="typed.kind === 'receptacle' || typed.kind === 'switch'"
            :x="x(cutAt(strip, typed.atLoopIn)) - 7"
            :y="y(typed.heightIn ?? typedHeight) - 9"
            width="14"
            height="18"
            rx="3"
          />
        </g>
        <path :d="`M${cursorX},${WALL_TOP - 4}V${TAPE + 22}`" class="cursor" pointer-events="none" />
        <path :d="`M${cursorX - 5},${TAPE + 28}h10l-5,-7z`" class="cursor-foot" pointer-events="none" />
      </svg>
    </div>
  </section>
</template>

<style scoped>
.strip {
  background: var(--card);
  border: 1px solid var(--rule);
  border-radius: 6px;
  padding: 8px 12px 4px;
}
header {
  display: flex;
  gap: 12px;
  align-items: baseline;
  font-size: 13px;
  white-space: nowrap;
}
header > * {
  flex: none;
}
header > .start {
  flex: 0 1 auto;
  overflow: hidden;
  text-overflow: ellipsis;
}
.frame {
  overflow-x: auto;
  overflow-y: hidden;
}
svg {
  display: block;
  touch-action: pan-x;
  user-select: none;
}
.wall {
  fill: var(--room);
  stroke: var(--wall);
}
.reached {
  fill: var(--reached);
}
.gap {
  fill: url(#hatch);
  stroke: var(--violation);
  stroke-width: 1;
}
.gap-text {
  font: 700 13px var(--numbers);
  fill: var(--violation);
  text-anchor: middle;
  paint-order: stroke;
  stroke: var(--room);
  stroke-width: 4px;
}
.box {
  cursor: grab;
}
.target {
  fill: transparent;
}
.face {
  fill: var(--card);
  stroke: var(--ink);
  stroke-width: 1.4;
}
.slots {
  stroke: var(--ink);
  stroke-width: 1.4;
}
.letter {
  font: 700 11px var(--numbers);
  text-anchor: middle;
  dominant-baseline: central;
  fill: var(--ink);
}
.tag {
  font: 700 11px var(--numbers);
  text-anchor: middle;
  fill: var(--ink);
  paint-order: stroke;
  stroke: var(--room);
  stroke-width: 3px;
}
.behind rect {
  fill: var(--lumber);
  stroke: var(--muted);
  stroke-dasharray: 2 2;
}
.swatch {
  display: inline-block;
  width: 8px;
  height: 12px;
  border: 1px dashed var(--muted);
  border-radius: 2px;
  background: var(--lumber);
  vertical-align: -2px;
}
.selected .face {
  fill: var(--chalk-soft);
  stroke: var(--chalk);
  stroke-width: 2.4;
}
.selected .tag {
  fill: var(--chalk);
}
.meets .face {
  stroke: var(--caution);
  stroke-width: 2.4;
}
.ghost {
  fill: none;
  stroke: var(--chalk);
  stroke-width: 1.8;
  stroke-dasharray: 3 2;
}
.typed path,
.typed rect {
  fill: none;
  stroke: var(--chalk);
  stroke-width: 1.6;
  stroke-dasharray: 3 3;
}
.cursor {
  stroke: var(--chalk);
  stroke-width: 1.2;
  stroke-dasharray: 5 3;
}
.cursor-foot {
  fill: var(--chalk);
}
</style>
