<script setup lang="ts">
import { formatLength, type Box, type House, type RoomSheet } from '@winculum/core';
import FloorMarks from './FloorMarks.vue';
import TickBox from './TickBox.vue';
import WallElevation from './WallElevation.vue';

/** The sheet of one room: what to mark, where, and the ticks. */
const props = defineProps<{ house: House; sheet: RoomSheet; canTick: boolean; selected: string | null }>();
const emit = defineEmits<{ tick: [box: Box]; pick: [box: Box] }>();
const show = (inches: number) => formatLength(inches, props.house.standards.lengths);
const sideWords = { left: 'left face', right: 'right face', bracket: 'bracket' } as const;
const run = (inches: number) => `${show(Math.abs(inches))}${inches < 0 ? ' left' : ''}`;
</script>

<template>
  <section class="room">
    <h2>
      {{ sheet.room.name }} <span class="muted">{{ house.levels[sheet.room.level]!.name }}</span>
    </h2>
    <template v-for="wall in sheet.walls" :key="wall.wall">
      <div class="wall">
        <h3>
          {{ wall.name }}
          <span class="muted">tape from the {{ wall.start.name }}, wall {{ show(wall.lengthIn) }}</span>
        </h3>
        <WallElevation :house="house" :room="sheet.room" :sheet="wall" />
        <table>
          <thead>
            <tr>
              <th class="done">Done</th>
              <th>Tag</th>
              <th>Tape</th>
              <th>Height</th>
              <th>What</th>
              <th>Box</th>
              <th>Stud</th>
              <th>Out</th>
              <th class="notes">Notes</th>
            </tr>
          </thead>
          <tbody>
            <tr v-for="line in wall.lines" :key="line.tag" :class="{ selected: selected === line.box.id }">
              <td class="done">
                <TickBox :box="line.box" :disabled="!canTick" @tick="emit('tick', line.box)" />
              </td>
              <td>
                <v-btn class="tag num" size="x-small" @click="emit('pick', line.box)">{{ line.tag }}</v-btn>
              </td>
              <td class="num run">{{ run(line.runIn ?? 0) }}</td>
              <td class="num">{{ line.heightIn === undefined ? '' : show(line.heightIn) }}</td>
              <td>{{ line.what }}</td>
              <td>{{ line.type }}</td>
              <td>{{ line.side ? sideWords[line.side] : '' }}</td>
              <td class="num">{{ line.standsOutIn === undefined ? '' : show(line.standsOutIn) }}</td>
              <td class="notes">{{ line.notes.join('; ') }}</td>
            </tr>
          </tbody>
        </table>
      </div>
    </template>
    <FloorMarks
      v-if="sheet.ceiling.length"
      :house="house"
      :room="sheet.room"
      :marks="sheet.ceiling"
      title="Ceiling"
      hint="mark on the floor, from the two walls"
      :can-tick="canTick"
      :selected="selected"
      @tick="emit('tick', $event)"
      @pick="emit('pick', $event)"
    />
    <FloorMarks
      v-if="sheet.elsewhere.length"
      :house="house"
      :room="sheet.room"
      :marks="sheet.elsewhere"
      title="Floor, island, cabinet"
      hint="from the two walls to the middle of the box"
      :can-tick="canTick"
      :selected="selected"
      @tick="emit('tick', $event)"
      @pick="emit('pick', $event)"
    />
  </section>
</template>

<style scoped src="./sheet.css"></style>
