<script setup lang="ts">
import { computed } from 'vue';
import { count, indexOutlets } from '@winculum/core';
import { useHouse } from '../stores/house';
import { useView } from '../stores/view';
import { TITLES, type Stop } from '../stops';
import FindingList from './FindingList.vue';

/** While nothing is selected: the numbers of this stage, and what it still needs, the gravest first. */
const props = defineProps<{ stop: Stop }>();
const store = useHouse();
const view = useView();
const MOST = 6;

const open = computed(() => (store.check?.findings ?? []).filter((one) => one.stage === props.stop));
const tally = computed(() => {
  const failed = open.value.filter((one) => one.kind === 'fail');
  const of = (severity: string) => failed.filter((one) => one.severity === severity).length;
  return [
    [of('violation'), 'violation'],
    [of('caution'), 'caution'],
    [open.value.filter((one) => one.kind === 'cannot-tell').length, 'question'],
    [of('reminder'), 'reminder'],
  ] as const;
});
const numbers = computed(() => {
  const house = store.current;
  const outlets = indexOutlets(house).all.filter((one) => one.device.kind !== 'switch');
  const unassigned = outlets.filter((one) => one.device.circuit === null).length;
  return [
    count(Object.keys(house.rooms).length, 'room'),
    count(Object.keys(house.boxes).length, 'box', 'boxes'),
    count(Object.keys(house.switchGroups).length, 'switch group'),
    count(Object.keys(house.circuits).length, 'circuit'),
    ...(unassigned > 0 ? [`${count(unassigned, 'outlet')} unassigned`] : []),
  ];
});
</script>

<template>
  <section class="stack" aria-label="What this stage needs">
    <h2 class="title num">{{ TITLES[stop] }}</h2>
    <p class="muted">{{ numbers.join(' · ') }}</p>
    <p v-if="!open.length" class="ok">Nothing is open here, as far as the rules reach.</p>
    <template v-else>
      <p class="tally">
        <template v-for="[n, word] in tally" :key="word"
          ><span v-if="n" :class="{ 'is-violation': word === 'violation' }"
            ><b class="num">{{ n }}</b> {{ n === 1 ? word : `${word}s` }}
          </span></template
        >
      </p>
      <FindingList label="Needed at this stage" :findings="open.slice(0, MOST)" />
      <v-btn v-if="open.length > MOST" @click="view.side = 'open-items'">All open items</v-btn>
    </template>
    <p class="muted hint">Click a box, a room or a circuit to see its numbers, what the code says of it and why.</p>
  </section>
</template>

<style scoped>
.title {
  font-size: 24px;
  font-weight: 700;
}
.tally {
  display: flex;
  flex-wrap: wrap;
  gap: 4px 14px;
}
.tally b {
  font-size: 22px;
}
.hint {
  font-size: 13.5px;
  line-height: 1.45;
}
</style>
