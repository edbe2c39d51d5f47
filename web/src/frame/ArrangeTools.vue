<script setup lang="ts">
import { computed, ref } from 'vue';
import {
  alignBoxes,
  boxPoint,
  distance,
  distributeBoxes,
  duplicateAlong,
  formatLength,
  parseLength,
  type Edited,
  type Result,
} from '@winculum/core';
import { newId } from '../new-id';
import CountField from '../fields/CountField.vue';
import { useHouse } from '../stores/house';
import { useView } from '../stores/view';

/** Lines several boxes up, spreads them, measures between two, or repeats one along its wall. */
const store = useHouse();
const view = useView();
const ids = computed(() => view.selection.filter((one) => one.kind === 'box').map((one) => one.id));
const boxes = computed(() => ids.value.flatMap((id) => store.current.boxes[id] ?? []));
const count = ref(2);
const step = ref("4'");
const show = (inches: number) => formatLength(inches, store.current.standards.lengths);
const apply = (result: Result<Edited>) => void store.apply(result);
const between = computed(() => {
  const [a, b] = boxes.value;
  if (boxes.value.length !== 2 || !a || !b || store.current.rooms[a.room]!.level !== store.current.rooms[b.room]!.level)
    return null;
  const [p, q] = [boxPoint(store.current, a), boxPoint(store.current, b)];
  return { straight: distance(p, q), across: Math.abs(p.x - q.x), down: Math.abs(p.y - q.y) };
});

function duplicate(): void {
  const read = parseLength(step.value, 'Step');
  if (read.ok) apply(duplicateAlong(store.current, ids.value[0]!, Math.max(1, count.value || 1), read.value, newId));
  else store.problem = read.problems[0]!.message;
}
</script>

<template>
  <div class="stack arrange">
    <p v-if="between" class="between">
      <b class="num">{{ show(between.straight) }}</b> straight between them; {{ show(between.across) }} east–west,
      {{ show(between.down) }} north–south
    </p>
    <div v-if="store.canEdit && boxes.length > 1" class="row" role="group" aria-label="Line up">
      <v-btn @click="apply(alignBoxes(store.current, ids, 'height'))">Same height</v-btn>
      <v-btn @click="apply(alignBoxes(store.current, ids, 'row'))">One row</v-btn>
      <v-btn @click="apply(alignBoxes(store.current, ids, 'column'))">One column</v-btn>
      <v-btn :disabled="boxes.length < 3" @click="apply(distributeBoxes(store.current, ids))"> Spread evenly </v-btn>
    </div>
    <v-form
      v-if="store.canEdit && boxes.length === 1"
      class="row"
      aria-label="Duplicate along"
      @submit.prevent="duplicate"
    >
      <v-btn type="submit">Duplicate</v-btn>
      <CountField v-model="count" class="short" label="How many" :min="1" :max="40" />
      <v-text-field v-model="step" class="num short" label="Step" />
    </v-form>
  </div>
</template>

<style scoped>
.arrange {
  border-top: 1px solid var(--rule);
  padding-top: 10px;
}
.between b {
  font-size: 22px;
}
.short {
  flex: 0 0 118px;
}
</style>
