<script setup lang="ts">
import { formatLength, type Box, type FloorMark, type House, type Room } from '@winculum/core';
import CeilingPlan from './CeilingPlan.vue';
import TickBox from './TickBox.vue';

/** What is measured from two walls: the ceiling, marked on the floor, and boxes that stand in no wall. */
const props = defineProps<{
  house: House;
  room: Room;
  marks: readonly FloorMark[];
  title: string;
  hint: string;
  canTick: boolean;
  selected: string | null;
}>();
const emit = defineEmits<{ tick: [box: Box]; pick: [box: Box] }>();
const show = (inches: number) => formatLength(inches, props.house.standards.lengths);
</script>

<template>
  <div class="wall marks">
    <h3>
      {{ title }} <span class="muted">{{ hint }}</span>
    </h3>
    <CeilingPlan :room="room" :marks="marks" />
    <table>
      <thead>
        <tr>
          <th class="done">Done</th>
          <th>Tag</th>
          <th>From</th>
          <th>And from</th>
          <th v-if="marks.some((one) => one.heightIn !== undefined)">Height</th>
          <th>What</th>
          <th>Box</th>
          <th class="notes">Notes</th>
        </tr>
      </thead>
      <tbody>
        <tr v-for="mark in marks" :key="mark.tag" :class="{ selected: selected === mark.box.id }">
          <td class="done"><TickBox :box="mark.box" :disabled="!canTick" @tick="emit('tick', mark.box)" /></td>
          <td>
            <v-btn class="tag num" size="x-small" @click="emit('pick', mark.box)">{{ mark.tag }}</v-btn>
          </td>
          <td class="num run">{{ show(mark.fromFirst.inches) }} {{ mark.fromFirst.wall }}</td>
          <td class="num run">{{ show(mark.fromSecond.inches) }} {{ mark.fromSecond.wall }}</td>
          <td v-if="marks.some((one) => one.heightIn !== undefined)" class="num">
            {{ mark.heightIn === undefined ? 'floor' : show(mark.heightIn) }}
          </td>
          <td>{{ mark.what }}</td>
          <td>{{ mark.type }}</td>
          <td class="notes">{{ [mark.on && `on the ${mark.on}`, ...mark.notes].filter(Boolean).join('; ') }}</td>
        </tr>
      </tbody>
    </table>
  </div>
</template>

<style scoped src="./sheet.css"></style>
<style scoped>
.marks {
  display: flex;
  flex-wrap: wrap;
  column-gap: 16px;
  align-items: flex-start;
}
h3 {
  flex: 0 0 100%;
}
/* Beside the drawing where there is room for it, below it elsewhere. */
table {
  flex: 1 1 500px;
  width: auto;
}
@media (max-width: 900px) {
  th,
  td {
    display: table-cell !important;
  }
}
</style>
