<script setup lang="ts">
import { computed, ref, shallowRef } from 'vue';
import { count, mistakesOn, readingsWith, testedUnits, unitOf, type TestResult, type TestStep } from '@winculum/core';
import SearchField from '../../fields/SearchField.vue';
import { useHouse } from '../../stores/house';
import { wordOf } from './readings';
import SuspectList from './SuspectList.vue';

/** A mistake is planted on one circuit of this house: carry the tester through it, and find the mistake. Nothing is kept. */
const props = defineProps<{ script: readonly TestStep[] }>();
const store = useHouse();

const units = computed(() => testedUnits(store.current).filter((one) => stepsOf(one.id).length > 1));
const stepsOf = (unitId: string) => {
  const unit = testedUnits(store.current).find((one) => one.id === unitId);
  return unit ? props.script.filter((step) => unitOf([unit], step)) : [];
};
const items = computed(() =>
  units.value.map((one) => ({
    value: one.id,
    title: `${one.id
      .split('+')
      .map((id) => store.current.circuits[id]?.name ?? id)
      .join(' and ')}, ${count(stepsOf(one.id).length, 'step')}`,
  })),
);
const chosen = ref('');
const unit = computed(() => units.value.find((one) => one.id === chosen.value) ?? units.value[0]);
const steps = computed(() => (unit.value ? stepsOf(unit.value.id) : []));

interface Exercise {
  readonly readings: ReadonlyMap<string, TestResult['reading']>;
  readonly words: string;
  readonly remedy: string;
}
const exercise = shallowRef<Exercise>();
const tried = ref<ReadonlySet<string>>(new Set());
const isShown = ref(false);
function plant(): void {
  if (!unit.value) return;
  const seen = mistakesOn(unit.value).flatMap((fault): Exercise[] => {
    const readings = readingsWith(unit.value!, fault, steps.value);
    const shows = [...readings.values()].some((one) => one !== 'right');
    return shows ? [{ readings, words: fault.words, remedy: fault.remedy }] : [];
  });
  exercise.value = seen[Math.floor(Math.random() * seen.length)];
  tried.value = new Set();
  isShown.value = false;
}
const read = computed(() => new Map([...(exercise.value?.readings ?? [])].filter(([id]) => tried.value.has(id))));
const firstWrong = computed(() => steps.value.find((one) => (read.value.get(one.id) ?? 'right') !== 'right'));
</script>

<template>
  <section class="room">
    <h2>Find a planted mistake</h2>
    <p class="muted">
      The wiring of this house with one mistake in it. Try a step and read the tester; then say what it is before you
      look. Nothing of this is kept with the house.
    </p>
    <p v-if="!units.length" class="none">No circuit has two steps yet: place boxes and put them on circuits.</p>
    <div v-else class="row">
      <SearchField :model-value="unit?.id ?? ''" label="Circuit" :items="items" @update:model-value="chosen = $event" />
      <v-btn color="primary" variant="flat" @click="plant">Plant a mistake</v-btn>
    </div>
  </section>
  <section v-if="exercise" class="room" aria-label="Exercise">
    <article v-for="step in steps" :key="step.id" class="step" :aria-label="step.what">
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
      <p v-if="isShown" role="status">
        <b>{{ exercise.words }}</b> <span class="muted">{{ exercise.remedy }}</span>
      </p>
    </div>
  </section>
</template>

<style scoped src="./script.css"></style>
