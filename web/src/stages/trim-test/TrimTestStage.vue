<script setup lang="ts">
import { computed, ref } from 'vue';
import { count, stateOf, testScript, walkSheets, type StepState, type TestStep } from '@winculum/core';
import SearchField from '../../fields/SearchField.vue';
import PaperPage from '../../frame/PaperPage.vue';
import { useHouse } from '../../stores/house';
import PracticeTest from './PracticeTest.vue';
import TestScript from './TestScript.vue';
import TrimList from './TrimList.vue';

/** What goes into the boxes once the walls are closed, and what is tried before the house is handed over. */
const store = useHouse();
const PARTS = { script: 'Test script', trim: 'Trim list', bring: 'What to bring', practice: 'Practice' } as const;
const part = ref<keyof typeof PARTS>('script');
const only = ref('all');
const onlyOpen = ref(false);

const script = computed(() => testScript(store.current));
const state = (step: TestStep) => stateOf(step, store.current.results[step.id]);
const tally = computed(() => {
  const states = script.value.map(state);
  const of = (one: StepState) => states.filter((each) => each === one).length;
  return { right: of('right'), wrong: of('wrong'), again: of('again') };
});
const trimmed = computed(() => {
  const boxes = Object.values(store.current.boxes).filter((one) => one.state !== 'existing' && one.state !== 'future');
  return { done: boxes.filter((one) => one.progress === 'trimmed').length, of: boxes.length };
});
const PANEL = 'At the panel';
const groups = computed(() => {
  const all: { name: string; id: string; steps: TestStep[] }[] = [];
  for (const step of script.value) {
    const atPanel = step.kind === 'panel' || step.kind === 'breaker';
    const [id, name] =
      atPanel || !step.room
        ? [step.kind, step.kind === 'breaker' ? 'Breaker by breaker' : PANEL]
        : [step.room.id, step.room.name];
    const last = all.at(-1);
    if (last?.id === id) last.steps.push(step);
    else all.push({ id, name, steps: [step] });
  }
  return all;
});
const shown = computed(() =>
  groups.value
    .filter((one) => only.value === 'all' || one.id === only.value)
    .map((one) => ({ ...one, steps: one.steps.filter((step) => !onlyOpen.value || state(step) !== 'right') }))
    .filter((one) => one.steps.length > 0),
);
const places = computed(() => [
  { value: 'all', title: 'everywhere' },
  ...groups.value.map(({ id, name }) => ({ value: id, title: name })),
]);

const bring = computed(() => walkSheets(store.current).devices);
/** Plates by their gangs: what is in a box decides its plate. */
const plates = computed(() => {
  const counts = new Map<number, number>();
  for (const box of Object.values(store.current.boxes))
    if (box.at.kind === 'wall' && box.state !== 'existing') counts.set(box.gangs, (counts.get(box.gangs) ?? 0) + 1);
  return [...counts].sort((a, b) => a[0] - b[0]);
});
const print = () => window.print();
</script>

<template>
  <PaperPage class="script-page" label="Trim and test tools" :part="part">
    <template #tools>
      <v-btn v-for="(name, id) in PARTS" :key="id" :aria-pressed="part === id" @click="part = id">{{ name }}</v-btn>
      <template v-if="part === 'script' || part === 'trim'">
        <SearchField v-model="only" class="pick" label="Where" :items="places" />
        <v-btn :aria-pressed="onlyOpen" @click="onlyOpen = !onlyOpen">Only what is open</v-btn>
      </template>
      <span class="grow" />
      <span v-if="part === 'script'" class="progress" role="status"
        ><b class="num">{{ tally.right }}</b> of <b class="num">{{ script.length }}</b> right<template
          v-if="tally.wrong"
        >
          · <b class="num is-violation">{{ tally.wrong }}</b> wrong</template
        ><template v-if="tally.again">
          · <b class="num">{{ tally.again }}</b> to be done again</template
        ></span
      >
      <span v-else-if="part === 'trim'" class="progress" role="status"
        ><b class="num">{{ trimmed.done }}</b> of <b class="num">{{ trimmed.of }}</b> in</span
      >
      <v-btn v-if="part !== 'practice'" color="primary" variant="flat" @click="print">Print</v-btn>
    </template>
    <template v-if="part === 'script'">
      <p class="muted small">
        Live work is for qualified people with tested meters and eye protection; make dead, lock and prove dead before a
        box is opened. A three-lamp tester cannot tell a ground taken from the neutral: test to an independent ground
        too.
      </p>
      <p v-if="!script.length" class="none">Nothing to try yet: place boxes and put them on circuits.</p>
      <TestScript :groups="shown" :script="script" />
    </template>
    <TrimList v-else-if="part === 'trim'" :only="only" :only-open="onlyOpen" />
    <PracticeTest v-else-if="part === 'practice'" :script="script" />
    <section v-else class="leaf">
      <h2>Devices</h2>
      <ul class="counts">
        <li v-for="one in bring" :key="one.what">
          <b class="num">{{ one.n }}</b> {{ one.what }}
        </li>
      </ul>
      <h2>Plates by gangs</h2>
      <ul class="counts">
        <li v-for="[gangs, n] in plates" :key="gangs">
          <b class="num">{{ n }}</b> of {{ count(gangs, 'gang') }}
        </li>
      </ul>
      <p class="muted small">
        As drawn, existing boxes left out. Bring spares, and a few jumbo plates for the cut that went wide.
      </p>
    </section>
  </PaperPage>
</template>

<style scoped src="./script.css"></style>
<style scoped>
.counts {
  columns: 3 220px;
  padding: 4px 0 10px;
}
@page script {
  size: letter portrait;
  margin: 0.5in;
}
@media print {
  .script-page {
    page: script;
  }
}
</style>
