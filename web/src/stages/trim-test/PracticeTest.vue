<script setup lang="ts">
import type { Bench } from '@winculum/contract';
import { computed, onMounted, ref, shallowRef } from 'vue';
import {
  count,
  countMistake,
  plantMistake,
  testedUnits,
  unitOf,
  weighMissed,
  type PlantedMistake,
  type TestStep,
} from '@winculum/core';
import { api, ApiError } from '../../api';
import SearchField from '../../fields/SearchField.vue';
import { useHouse } from '../../stores/house';
import { wordOf } from './readings';
import SuspectList from './SuspectList.vue';

/** A mistake is planted on one circuit of this house: carry the tester through it, and find the mistake. Nothing is kept. */
const props = defineProps<{ script: readonly TestStep[] }>();
const store = useHouse();

/** Circuits on which more than one step can be tried, each with its steps. */
const circuits = computed(() =>
  testedUnits(store.current)
    .map((unit) => ({ unit, steps: props.script.filter((step) => unitOf([unit], step)) }))
    .filter((one) => one.steps.length > 1),
);
const items = computed(() =>
  circuits.value.map(({ unit: { id }, steps }) => {
    const names = id.split('+').map((one) => store.current.circuits[one]?.name ?? one);
    return { value: id, title: `${names.join(' and ')}, ${count(steps.length, 'step')}` };
  }),
);
const chosen = ref('');
const circuit = computed(() => circuits.value.find((one) => one.unit.id === chosen.value) ?? circuits.value[0]);
const steps = computed(() => circuit.value?.steps ?? []);

/** What this person has found and missed so far, by kind; kept with the account. */
type Practice = NonNullable<Bench['practice']>;
const record = shallowRef<Practice>({});
onMounted(async () => {
  try {
    record.value = (await api.bench()).practice ?? {};
  } catch (error) {
    if (!(error instanceof ApiError)) throw error;
  }
});
const kinds = computed(() =>
  Object.entries(record.value).toSorted(([, a], [, b]) => b.wrong - b.right - a.wrong + a.right),
);
async function note(isRight: boolean): Promise<void> {
  const { kind } = exercise.value!;
  isNoted.value = true;
  try {
    // What the bench holds is read at this moment: it may have been at work on another device.
    const bench = await api.bench();
    const practice = countMistake(bench.practice ?? {}, kind, isRight);
    await api.keepBench({ ...bench, practice });
    record.value = practice;
  } catch (error) {
    if (!(error instanceof ApiError)) throw error;
    record.value = countMistake(record.value, kind, isRight);
    store.problem = 'What you found could not be kept: the server cannot be reached.';
  }
}

const exercise = shallowRef<PlantedMistake>();
const tried = ref<ReadonlySet<string>>(new Set());
const isShown = ref(false);
const isNoted = ref(false);
function plant(): void {
  const { unit } = circuit.value!;
  exercise.value = plantMistake(unit, steps.value, weighMissed(record.value), Math.random);
  isNoted.value = false;
  tried.value = new Set();
  isShown.value = false;
}
const read = computed(() => new Map([...(exercise.value?.readings ?? [])].filter(([id]) => tried.value.has(id))));
const firstWrong = computed(() => steps.value.find((one) => (read.value.get(one.id) ?? 'right') !== 'right'));
</script>

<template>
  <section class="leaf">
    <h2>Find a planted mistake</h2>
    <p class="muted">
      The wiring of this house with one mistake in it. Try a step and read the tester; then say what it is before you
      look. Nothing of this is kept with the house.
    </p>
    <p v-if="!circuits.length" class="none">No circuit has two steps yet: place boxes and put them on circuits.</p>
    <div v-else class="row">
      <SearchField
        :model-value="circuit?.unit.id ?? ''"
        label="Circuit"
        :items="items"
        @update:model-value="chosen = $event"
      />
      <v-btn color="primary" variant="flat" @click="plant">Plant a mistake</v-btn>
    </div>
  </section>
  <section v-if="exercise" class="leaf" aria-label="Exercise">
    <article v-for="step in steps" :key="step.id" class="leaf-line step" :aria-label="step.what">
      <div class="grow">
        <b>{{ step.what }}</b>
        <p>{{ step.act }}</p>
        <p v-if="tried.has(step.id)" class="expect" :class="{ 'is-violation': read.get(step.id) !== 'right' }">
          {{ wordOf(read.get(step.id)!) }}
        </p>
      </div>
      <div class="do">
        <v-btn :aria-label="`Try: ${step.what}`" @click="tried = new Set([...tried, step.id])">Try</v-btn>
      </div>
    </article>
    <SuspectList v-if="firstWrong" :key="read.size" :step="firstWrong" :readings="read" />
    <div class="row">
      <v-btn @click="isShown = true">Show the mistake</v-btn>
      <template v-if="isShown && !isNoted">
        <v-btn @click="note(true)">I had it</v-btn>
        <v-btn @click="note(false)">I did not</v-btn>
      </template>
      <p v-if="isShown" role="status">
        <b>{{ exercise.words }}</b> <span class="muted">{{ exercise.remedy }}</span>
      </p>
    </div>
  </section>
  <section v-if="kinds.length" class="leaf" aria-label="Found and missed so far">
    <h2>Found and missed so far</h2>
    <p v-for="[kind, { right, wrong }] in kinds" :key="kind">
      {{ kind }}: {{ right }} found, <span :class="{ 'is-caution': wrong > right }">{{ wrong }} missed</span>
    </p>
    <p class="muted small">What you miss comes up more often, until you have found it as many times.</p>
  </section>
</template>

<style scoped src="./script.css"></style>
