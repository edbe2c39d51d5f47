<script setup lang="ts">
import { shallowRef, toRaw, watch } from 'vue';
import { count, formatLength, takeLineUp, type LineUp, type RouteWay } from '@winculum/core';
import { newId } from '../../new-id';
import { useHouse } from '../../stores/house';
import { useLongWork } from '../../work/long-work';
import ProgressBar from '../../work/ProgressBar.vue';
import type { LineUpQuestion } from './line-up.worker';

/** Boxes that would save holes by standing in one bay with a box that they are wired to; each was tried and checked. */
const props = defineProps<{ way: RouteWay }>();
const store = useHouse();
const found = shallowRef<readonly LineUp[]>();
const work = useLongWork<LineUpQuestion, readonly LineUp[]>(
  () => new Worker(new URL('./line-up.worker.ts', import.meta.url), { type: 'module' }),
  (message) => (store.problem = message),
);
watch(
  () => store.house,
  () => {
    work.cancel();
    found.value = undefined;
  },
);
async function look(): Promise<void> {
  found.value = await work.ask({ house: toRaw(store.current), way: props.way });
}
const show = (lengthIn: number) => formatLength(Math.abs(lengthIn), store.current.standards.lengths);
const take = (one: LineUp) => void store.apply(takeLineUp(store.current, one, props.way, newId));
</script>

<template>
  <section class="line-ups" aria-label="Boxes in one bay">
    <v-btn :disabled="!!work.progress.value" @click="look">Boxes that would share a bay</v-btn>
    <ProgressBar
      v-if="work.progress.value"
      title="Trying boxes"
      :progress="work.progress.value"
      @cancel="work.cancel()"
    />
    <template v-if="found">
      <p v-if="!found.length" class="muted small">
        None: no box can move into the bay of one that it is wired to without breaking a rule.
      </p>
      <ul>
        <li v-for="one in found" :key="one.box">
          <span
            >Move <b class="num">{{ one.tag }}</b> {{ show(one.byIn) }} to the {{ one.byIn > 0 ? 'right' : 'left' }},
            beside <b class="num">{{ one.beside }}</b>: <b>{{ count(one.savesHoles, 'hole') }}</b> fewer</span
          >
          <v-btn size="small" :aria-label="`Move ${one.tag}`" @click="take(one)">Move</v-btn>
        </li>
      </ul>
    </template>
  </section>
</template>

<style scoped>
.line-ups {
  display: grid;
  gap: 6px;
  justify-items: start;
}
ul {
  list-style: none;
  padding: 0;
  display: grid;
  gap: 4px;
  width: 100%;
}
li {
  display: flex;
  gap: 8px;
  justify-content: space-between;
  align-items: center;
}
.small {
  font-size: 13px;
}
</style>
