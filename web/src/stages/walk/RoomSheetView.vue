<script setup lang="ts">
import { formatLength, type Box, type House, type RoomSheet } from '@winculum/core';
import CeilingPlan from './CeilingPlan.vue';
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
                <button
                  class="tick"
                  :class="line.box.progress"
                  :disabled="!canTick"
                  :aria-label="`${line.tag}: ${line.box.progress ?? 'to do'}`"
                  @click="emit('tick', line.box)"
                >
                  {{ line.box.progress === 'nailed' ? '✓✓' : line.box.progress === 'marked' ? '✓' : '' }}
                </button>
              </td>
              <td>
                <button class="tag num" @click="emit('pick', line.box)">{{ line.tag }}</button>
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
    <div v-if="sheet.ceiling.length" class="wall ceiling">
      <h3>Ceiling <span class="muted">mark on the floor, from the two walls</span></h3>
      <CeilingPlan :room="sheet.room" :marks="sheet.ceiling" />
      <table>
        <thead>
          <tr>
            <th class="done">Done</th>
            <th>Tag</th>
            <th>From</th>
            <th>And from</th>
            <th>What</th>
            <th>Box</th>
            <th class="notes">Notes</th>
          </tr>
        </thead>
        <tbody>
          <tr v-for="mark in sheet.ceiling" :key="mark.tag">
            <td class="done">
              <button
                class="tick"
                :class="mark.box.progress"
                :disabled="!canTick"
                :aria-label="`${mark.tag}: ${mark.box.progress ?? 'to do'}`"
                @click="emit('tick', mark.box)"
              >
                {{ mark.box.progress === 'nailed' ? '✓✓' : mark.box.progress === 'marked' ? '✓' : '' }}
              </button>
            </td>
            <td>
              <button class="tag num" @click="emit('pick', mark.box)">{{ mark.tag }}</button>
            </td>
            <td class="num run">{{ show(mark.fromFirst.inches) }} {{ mark.fromFirst.wall }}</td>
            <td class="num run">{{ show(mark.fromSecond.inches) }} {{ mark.fromSecond.wall }}</td>
            <td>{{ mark.what }}</td>
            <td>{{ mark.type }}</td>
            <td class="notes">{{ mark.notes.join('; ') }}</td>
          </tr>
        </tbody>
      </table>
    </div>
    <div v-if="sheet.elsewhere.length" class="wall">
      <h3>Floor, island, cabinet</h3>
      <p v-for="line in sheet.elsewhere" :key="line.tag">
        <button class="tag num" @click="emit('pick', line.box)">{{ line.tag }}</button> {{ line.what }}, {{ line.type
        }}<template v-if="line.heightIn !== undefined">, {{ show(line.heightIn) }} high</template
        ><template v-if="line.notes.length">, {{ line.notes.join('; ') }}</template>
      </p>
    </div>
  </section>
</template>

<style scoped>
.room {
  background: var(--card);
  border: 1px solid var(--rule);
  border-radius: 4px;
  padding: 12px 16px;
}
h2 {
  font: 700 24px var(--numbers);
}
h2 span {
  font-size: 15px;
  font-weight: 500;
}
h3 {
  font: 600 15px var(--words);
  margin: 10px 0 2px;
}
h3::first-letter {
  text-transform: uppercase;
}
h3 .muted {
  font-weight: 400;
  font-size: 13px;
}
table {
  width: 100%;
  border-collapse: collapse;
  font-size: 13.5px;
}
th {
  text-align: left;
  font: 600 12px var(--numbers);
  letter-spacing: 0.06em;
  text-transform: uppercase;
  color: var(--muted);
  padding: 2px 6px;
}
td {
  border-top: 1px solid var(--rule);
  padding: 2px 6px;
  vertical-align: middle;
}
.run {
  font-size: 18px;
  font-weight: 700;
  white-space: nowrap;
}
td.num {
  font-size: 16px;
  white-space: nowrap;
}
td.num.run {
  font-size: 19px;
}
.notes {
  min-width: 90px;
}
.tag {
  border: 0;
  background: none;
  color: var(--ink);
  font-size: 17px;
  font-weight: 700;
  min-height: 40px;
  cursor: pointer;
  white-space: nowrap;
}
.done {
  width: 52px;
}
.tick {
  width: 44px;
  height: 44px;
  border: 2px solid var(--rule);
  border-radius: 6px;
  background: none;
  font-size: 18px;
  color: var(--ink);
  cursor: pointer;
}
.tick.marked {
  border-color: var(--chalk);
  background: var(--chalk-soft);
}
.tick.nailed {
  border-color: var(--reached-ink);
  background: var(--reached);
}
tr.selected {
  background: var(--chalk-soft);
}
.ceiling {
  display: grid;
  grid-template-columns: auto 1fr;
  column-gap: 16px;
  align-items: start;
}
.ceiling h3 {
  grid-column: 1 / -1;
}
@media (max-width: 900px) {
  .ceiling {
    grid-template-columns: 1fr;
  }
  th:nth-child(6),
  .wall:not(.ceiling) td:nth-child(6),
  th:nth-child(8),
  td:nth-child(8) {
    display: none;
  }
}
@media print {
  .room {
    border: 0;
    padding: 0 0 8px;
    background: none;
  }
  .wall {
    break-inside: avoid;
  }
  h2 {
    break-after: avoid;
  }
  .tick {
    width: 16px;
    height: 16px;
    border: 1px solid #000;
    border-radius: 0;
  }
  .tag {
    min-height: 0;
  }
  td {
    padding: 1px 5px;
  }
  th:nth-child(6),
  td:nth-child(6),
  th:nth-child(8),
  td:nth-child(8) {
    display: table-cell !important;
  }
}
</style>
