<script setup lang="ts">
import { computed, shallowRef } from 'vue';
import {
  edit,
  readingsOf,
  removeEntities,
  saidBy,
  stateOf,
  testedUnits,
  unitOf,
  type TestResult,
  type TestStep,
} from '@winculum/core';
import { usePerson } from '../../frame/person';
import { useHouse } from '../../stores/house';
import { READINGS, wordOf } from './readings';
import SuspectList from './SuspectList.vue';

/** The steps of the script by place, each with what to do, what to see and what was seen. */
const props = defineProps<{
  groups: readonly { readonly name: string; readonly id: string; readonly steps: readonly TestStep[] }[];
  script: readonly TestStep[];
}>();
const store = useHouse();
const person = usePerson();

const state = (step: TestStep) => stateOf(step, store.current.results[step.id]);
const readings = computed(() => readingsOf(store.current, props.script));
/** Steps whose circuit can be searched for the mistake. */
const units = computed(() => testedUnits(store.current));
const canFind = (step: TestStep) => state(step) === 'wrong' && unitOf(units.value, step) !== undefined;
/** One menu for all rows: the step whose reading is asked, and the button it hangs on. */
const asking = shallowRef<{ step: TestStep; at: HTMLElement }>();

function record(step: TestStep, reading: TestResult['reading']): void {
  asking.value = undefined;
  const result: TestResult = { id: step.id, reading, said: saidBy(step), note: '', ...person.me() };
  store.apply(edit(store.current, `Test ${step.what}`.slice(0, 80), (draft) => void (draft.results[step.id] = result)));
}
const clear = (step: TestStep) =>
  void store.apply(removeEntities(store.current, [{ collection: 'results', id: step.id }]));
/** The fault finder opens on the switch group that was tried, where it was one. */
const faultQuery = ({ group }: TestStep): Record<string, string> => (group ? { faults: group } : {});
const MARKS = { open: '☐', right: '✓', wrong: '▨', again: '↻' } as const;
</script>

<template>
  <section v-for="(group, g) in groups" :key="`${group.id} ${g}`" class="leaf">
    <h2>{{ group.name }}</h2>
    <article
      v-for="step in group.steps"
      :key="step.id"
      class="leaf-line step"
      :class="state(step)"
      :aria-label="step.what"
    >
      <span class="mark num" aria-hidden="true">{{ MARKS[state(step)] }}</span>
      <div class="grow">
        <b>{{ step.what }}</b> <span class="muted num">{{ step.section }}</span>
        <p>{{ step.act }}</p>
        <p class="expect">{{ step.expect }}</p>
        <p v-if="store.current.results[step.id]" class="small">
          <span :class="{ 'is-violation': state(step) === 'wrong' }"
            >{{ wordOf(store.current.results[step.id]!.reading)
            }}{{ state(step) === 'again' ? ', before this changed: do it again' : '' }}</span
          >, {{ store.current.results[step.id]!.by }}, {{ store.current.results[step.id]!.date }}
          <router-link
            v-if="state(step) === 'wrong' && step.group"
            :to="{ path: `/houses/${store.id}/make-up`, query: faultQuery(step) }"
            >Look at the lamps under Make-up</router-link
          >
        </p>
        <SuspectList v-if="canFind(step)" :step="step" :readings="readings" />
      </div>
      <div v-if="store.canEdit" class="do">
        <v-btn
          :aria-label="`Right: ${step.what}`"
          :aria-pressed="state(step) === 'right'"
          @click="record(step, 'right')"
          >Right</v-btn
        >
        <v-btn :aria-label="`Wrong: ${step.what}`" @click="asking = { step, at: $event.currentTarget as HTMLElement }"
          >Wrong …</v-btn
        >
        <v-btn
          v-if="store.current.results[step.id]"
          variant="text"
          :aria-label="`Clear: ${step.what}`"
          @click="clear(step)"
          >Clear</v-btn
        >
      </div>
    </article>
  </section>
  <v-menu
    v-if="asking"
    :model-value="true"
    :target="asking.at"
    :open-on-click="false"
    @update:model-value="asking = undefined"
  >
    <v-list role="menu" aria-label="What was seen" density="compact">
      <v-list-item
        v-for="one in READINGS.filter((each) => !each.kinds || each.kinds.includes(asking!.step.kind))"
        :key="one.value"
        role="menuitem"
        @click="record(asking.step, one.value)"
        >{{ one.word }}</v-list-item
      >
    </v-list>
  </v-menu>
</template>

<style scoped src="./script.css"></style>
