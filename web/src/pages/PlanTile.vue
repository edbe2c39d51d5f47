<script setup lang="ts">
import { computed } from 'vue';
import type { Box, House, LaidCable, LowVoltageRun } from '@winculum/core';
import PlanDrawing from '../drawing/PlanDrawing.vue';
import LowVoltageMarks from '../stages/routes/LowVoltageMarks.vue';
import SleeveMarks from '../stages/routes/SleeveMarks.vue';
import RouteMarks from '../stages/routes/RouteMarks.vue';
import { MARGIN_IN, TITLE_IN, type Lens, type Paper, type Scale, type Tile } from './plan-paper';

/** One sheet of a plan: the drawing to scale, and below it scale, north, legend and title. Symbols have sizes in inches of paper. */
const props = defineProps<{
  tile: Tile;
  count: number;
  house: House;
  level: string;
  paper: Paper;
  scale: Scale;
  lens: Lens;
  lensWord: string;
  markOf: (box: Box) => string;
  /** Cables and low voltage where they lie, for the lenses that show them. */
  cables: readonly LaidCable[];
  lowRuns: readonly LowVoltageRun[];
  firm: string;
  date: string;
}>();
/** Pixels of the screen an inch of the house takes: 96 to an inch of paper. */
const pixels = computed(() => props.scale.paperIn * 96);
/** Lenses that look into the walls. */
const isOpen = computed(() => props.lens === 'routes' || props.lens === 'low-voltage');
const textSize = computed(() => 0.1 / props.scale.paperIn);
const size = computed(() => ({
  width: `${props.paper.widthIn}in`,
  height: `${props.paper.heightIn}in`,
  padding: `${MARGIN_IN}in`,
  page: props.paper.page,
}));
const drawing = computed(() => ({
  width: `${props.tile.widthIn * props.scale.paperIn}in`,
  height: `${props.tile.heightIn * props.scale.paperIn}in`,
}));
const MATCH = computed(() => {
  const { x, y, widthIn, heightIn } = props.tile;
  return {
    left: `M${x} ${y}V${y + heightIn}`,
    right: `M${x + widthIn} ${y}V${y + heightIn}`,
    top: `M${x} ${y}H${x + widthIn}`,
    bottom: `M${x} ${y + heightIn}H${x + widthIn}`,
  };
});
/** Ten feet of the scale bar, inches of paper. */
const barIn = computed(() => 120 * props.scale.paperIn);
</script>

<template>
  <section class="paper" :style="size" :aria-label="`Sheet ${tile.number} of ${count}`">
    <svg
      class="drawing"
      :class="{ open: isOpen }"
      :style="drawing"
      :viewBox="`${tile.x} ${tile.y} ${tile.widthIn} ${tile.heightIn}`"
      role="img"
      :aria-label="`Plan of ${house.levels[level]!.name}, ${lensWord.toLowerCase()}`"
    >
      <PlanDrawing
        :house="house"
        :level="level"
        :scale="pixels"
        :text-size="textSize"
        :mark-of="lens === 'switching' || lens === 'circuits' ? markOf : undefined"
      >
        <RouteMarks
          v-if="cables.length"
          :house="house"
          :level="level"
          :scale="pixels"
          :laid="cables"
          :ink-of="() => 'var(--ink)'"
          picked=""
          :is-all="false"
          :layers="{ wall: true, over: true, under: true }"
        />
        <SleeveMarks
          v-if="isOpen && Object.keys(house.sleeves).length"
          :house="house"
          :level="level"
          :scale="pixels"
          :text-size="textSize"
        />
        <LowVoltageMarks v-if="lowRuns.length" :house="house" :level="level" :scale="pixels" :runs="lowRuns" />
      </PlanDrawing>
      <path
        v-for="side in tile.match"
        :key="side"
        :d="MATCH[side]"
        class="match"
        :stroke-width="0.03 / scale.paperIn"
      />
    </svg>
    <footer :style="{ height: `${TITLE_IN}in` }">
      <div>
        <svg class="bar" :style="{ width: `${barIn + 0.5}in`, height: '0.32in' }" :viewBox="`0 0 ${barIn + 0.5} 0.32`">
          <path
            :d="`M0.02 0.12H${barIn + 0.02}M0.02 0.05V0.19M${barIn / 2 + 0.02} 0.05V0.19M${barIn + 0.02} 0.05V0.19`"
          />
          <text x="0" y="0.3">0</text>
          <text :x="barIn / 2 - 0.02" y="0.3">5'</text>
          <text :x="barIn - 0.06" y="0.3">10'</text>
        </svg>
        <p>
          <b>{{ scale.word }}</b> when printed at 100 %
        </p>
        <p v-if="tile.match.length">- - - match line: goes on at the next sheet</p>
      </div>
      <svg class="north" viewBox="0 0 40 52" aria-label="North is up">
        <path d="M20 4 L28 34 L20 28 L12 34 z" />
        <text x="20" y="50">N</text>
      </svg>
      <ul class="legend">
        <li>
          <svg class="sign" viewBox="-5 -5 10 10">
            <circle r="3" />
            <path d="M-4 -1H4M-4 1H4" />
          </svg>
          receptacle
          <svg class="sign" viewBox="-5 -5 10 10">
            <circle r="2.6" />
            <path d="M2 2l2 2M-2 2l-2 2M2-2l2-2M-2-2l-2-2" />
          </svg>
          light
        </li>
        <li><b>S</b> switch, 3 three-way, 4 four-way, D dimmer</li>
        <li>dashed: undecided, future or held; thin: existing</li>
        <li v-if="lens === 'circuits'">numbers: spaces in the panel</li>
        <li v-if="lens === 'switching'">letters: switch groups</li>
        <template v-if="lens === 'routes'">
          <li>lines: cables in the walls; – – over the ceiling; · · below the floor</li>
          <li>▲ goes up, ▼ goes down through a plate; a number: cables together</li>
        </template>
        <li v-if="lens === 'low-voltage'">– · – low voltage, to its home</li>
        <li v-if="isOpen && Object.keys(house.sleeves).length">═ sleeve, from room to room: ● capped, ○ open</li>
      </ul>
      <div class="title">
        <p class="name">{{ house.name }}</p>
        <p>{{ house.levels[level]!.name }} · {{ lensWord }}</p>
        <p>
          {{ firm }} · {{ date }} · NEC {{ house.job.edition
          }}<template v-if="house.job.authority">, {{ house.job.authority }}</template>
        </p>
        <p class="small">
          Plans only: the adopted code, the authority having jurisdiction and a licensed electrician decide.
        </p>
      </div>
      <p class="number num">
        {{ tile.number }}<span>of {{ count }}</span>
      </p>
    </footer>
  </section>
</template>

<style scoped>
/* Ink on white, whatever the theme: black and white must lose nothing. */
.paper {
  --paper: #fff;
  --card: #fff;
  --room: #fff;
  --ink: #000;
  --muted: #333;
  --wall: #000;
  --rule: #999;
  --chalk: #000;
  --glass: #fff;
  --outdoors: #fff;
  --feature: #fff;
  --violation: #000;
  --reached-ink: #000;
  box-sizing: border-box;
  background: #fff;
  color: #000;
  border: 1px solid var(--rule);
  overflow: hidden;
}
.drawing {
  display: block;
}
/* What lies in a wall is seen in it. */
.drawing.open {
  --wall: #c4c4c4;
}
/* Nothing is picked on paper. */
.drawing :deep(.target) {
  display: none;
}
.match {
  fill: none;
  stroke: #000;
  stroke-dasharray: 8 5;
}
footer {
  box-sizing: border-box;
  display: flex;
  gap: 0.25in;
  align-items: center;
  border-top: 2px solid #000;
  padding-top: 0.06in;
  font-size: 9.5pt;
  line-height: 1.25;
  overflow: hidden;
}
.bar path {
  stroke: #000;
  stroke-width: 0.015;
  fill: none;
}
.bar text {
  font: 0.11px var(--words);
}
.north {
  width: 0.45in;
  height: 0.6in;
}
.north text {
  font: 700 14px var(--numbers);
  text-anchor: middle;
}
.legend {
  font-size: 8.5pt;
}
.sign {
  width: 0.16in;
  height: 0.16in;
  vertical-align: middle;
}
.sign circle,
.sign path {
  fill: none;
  stroke: #000;
  stroke-width: 0.8;
}
.title {
  margin-left: auto;
  text-align: right;
}
.name {
  font-size: 13pt;
  font-weight: 700;
}
.small {
  font-size: 7.5pt;
}
.number {
  font-size: 22pt;
  font-weight: 700;
  border-left: 1px solid #000;
  padding-left: 0.2in;
}
.number span {
  display: block;
  font-size: 8pt;
  font-weight: 400;
}
@media print {
  .paper {
    border: 0;
    break-after: page;
    padding: 0 !important;
    width: auto !important;
    height: auto !important;
  }
}
</style>

<style>
@page plan-letter {
  size: 11in 8.5in;
  margin: 0.4in;
}
@page plan-letter-tall {
  size: 8.5in 11in;
  margin: 0.4in;
}
@page plan-tabloid {
  size: 17in 11in;
  margin: 0.4in;
}
@page plan-tabloid-tall {
  size: 11in 17in;
  margin: 0.4in;
}
@page plan-arch-c {
  size: 24in 18in;
  margin: 0.4in;
}
@page plan-arch-c-tall {
  size: 18in 24in;
  margin: 0.4in;
}
@page plan-arch-d {
  size: 36in 24in;
  margin: 0.4in;
}
@page plan-arch-d-tall {
  size: 24in 36in;
  margin: 0.4in;
}
</style>
