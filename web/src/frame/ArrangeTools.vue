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
import { useHouse } from '../stores/house';
import { useView } from '../stores/view';

/** Lines several boxes up, spreads them, measures between two, or repeats one along its wall. */
const store = useHouse();
const view = useView();
const ids = computed(() => view.selection.filter((one) => one.kind === 'box').map((one) => one.id));
const boxes = computed(() => ids.value.flatMap((id) => store.house!.boxes[id] ?? []));
const count = ref(2);
const step = ref("4'");
const show = (inches: number) => formatLength(inches, store.house!.standards.lengths);
const apply = (result: Result<Edited>) => void store.apply(result);
const between = computed(() => {
  const [a, b] = boxes.value;
  if (boxes.value.length !== 2 || !a || !b || store.house!.rooms[a.room]!.level !== store.house!.rooms[b.room]!.level)
    return null;
  const [p, q] = [boxPoint(store.house!, a), boxPoint(store.house!, b)];
  return { straight: distance(p, q), across: Math.abs(p.x - q.x), down: Math.abs(p.y - q.y) };
});

function duplicate(): void {
  const read = parseLength(step.value, 'Step');
  if (read.ok) apply(duplicateAlong(store.house!, ids.value[0]!, Math.max(1, count.value || 1), read.value, newId));
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
      <button class="plain-button" @click="apply(alignBoxes(store.house!, ids, 'height'))">Same height</button>
      <button class="plain-button" @click="apply(alignBoxes(store.house!, ids, 'row'))">One row</button>
      <button class="plain-button" @click="apply(alignBoxes(store.house!, ids, 'column'))">One column</button>
      <button class="plain-button" :disabled="boxes.length < 3" @click="apply(distributeBoxes(store.house!, ids))">
        Spread evenly
      </button>
    </div>
    <form
      v-if="store.canEdit && boxes.length === 1"
      class="row"
      aria-label="Duplicate along"
      @submit.prevent="duplicate"
    >
      <button class="plain-button">Duplicate</button>
      <input v-model.number="count" class="plain num short" type="number" min="1" max="40" aria-label="How many" />
      times, every
      <input v-model="step" class="plain num short" aria-label="Step" />
    </form>
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
  width: 64px;
}
</style>
