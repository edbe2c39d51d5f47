<script setup lang="ts">
import { computed } from 'vue';
import { edit, planningOf, SCHOOLS, type Planning } from '@winculum/core';
import { useHouse } from '../stores/house';

/** What the code leaves to the firm when circuits are planned. */
const store = useHouse();
const planning = computed(() => planningOf(store.house!));
const set = (changes: Partial<Planning>) =>
  store.apply(
    edit(
      store.house!,
      'Change schools',
      (draft) => void (draft.standards.planning = { ...planning.value, ...changes }),
    ),
  );
const value = (event: Event) => (event.target as HTMLSelectElement).value;
const why = (field: (typeof SCHOOLS)[number]) =>
  field.answers.find((one) => one.value === planning.value[field.field])?.why ?? '';
</script>

<template>
  <h2 class="small-caps">Schools for planning circuits</h2>
  <p class="muted">The code leaves these to you. <b>Plan the circuits</b> follows them and shows what would change.</p>
  <fieldset :disabled="!store.canEdit" class="schools">
    <template v-for="one in SCHOOLS" :key="one.field">
      <label :for="`school-${one.field}`">{{ one.question }}</label>
      <select
        :id="`school-${one.field}`"
        class="plain"
        :value="planning[one.field]"
        @change="set({ [one.field]: value($event) })"
      >
        <option v-for="answer in one.answers" :key="answer.value" :value="answer.value">{{ answer.word }}</option>
      </select>
      <span class="muted why">{{ why(one) }}</span>
    </template>
    <label for="school-spare">Spare spaces</label>
    <input
      id="school-spare"
      class="plain num"
      type="number"
      min="0"
      max="20"
      :value="planning.spareSpaces"
      @change="set({ spareSpaces: Number(value($event)) })"
    />
    <span class="muted why">Somebody always adds a circuit.</span>
  </fieldset>
</template>

<style scoped>
.schools {
  border: 0;
  padding: 0;
  margin: 0;
  display: grid;
  grid-template-columns: 150px 230px 1fr;
  gap: 6px 12px;
  align-items: center;
  font-size: 14px;
}
.why {
  font-size: 13px;
}
@media (max-width: 640px) {
  .schools {
    grid-template-columns: 1fr;
  }
}
</style>
