<script setup lang="ts">
import { computed } from 'vue';
import {
  edit,
  makeUpOf,
  planningOf,
  SCHOOLS,
  switchingOf,
  SWITCHING_SCHOOLS,
  type MakeUp,
  type Planning,
  type Switching,
} from '@winculum/core';
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
const switching = computed(() => switchingOf(store.house!));
const setSwitching = (changes: Partial<Switching>) =>
  store.apply(
    edit(
      store.house!,
      'Change schools',
      (draft) => void (draft.standards.switching = { ...switching.value, ...changes }),
    ),
  );
const whySwitch = (field: (typeof SWITCHING_SCHOOLS)[number]) =>
  field.answers.find((one) => one.value === switching.value[field.field])?.why ?? '';
const makeUp = computed(() => makeUpOf(store.house!));
const setMakeUp = (changes: Partial<MakeUp>) =>
  store.apply(
    edit(store.house!, 'Change schools', (draft) => void (draft.standards.makeUp = { ...makeUp.value, ...changes })),
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
  <h2 class="small-caps">Schools of switching</h2>
  <p class="muted">
    <b>Switch the house</b> follows them; <b>Compare with the schools</b> on the stop Switching shows what is drawn
    otherwise.
  </p>
  <fieldset :disabled="!store.canEdit" class="schools">
    <template v-for="one in SWITCHING_SCHOOLS" :key="one.field">
      <label :for="`switching-${one.field}`">{{ one.question }}</label>
      <select
        :id="`switching-${one.field}`"
        class="plain"
        :value="switching[one.field]"
        @change="setSwitching({ [one.field]: value($event) })"
      >
        <option v-for="answer in one.answers" :key="answer.value" :value="answer.value">{{ answer.word }}</option>
      </select>
      <span class="muted why">{{ whySwitch(one) }}</span>
    </template>
  </fieldset>
  <h2 class="small-caps">Schools for making up boxes</h2>
  <fieldset :disabled="!store.canEdit" class="schools">
    <label for="school-feed">Devices</label>
    <select
      id="school-feed"
      class="plain"
      :value="makeUp.feed"
      @change="setMakeUp({ feed: value($event) as MakeUp['feed'] })"
    >
      <option value="pigtail">every one on a pigtail</option>
      <option value="through">through its screws where two cables meet</option>
    </select>
    <span class="muted why"
      >A pigtail keeps the next receptacle live when this one fails; shared neutrals always take one (300.13(B)).</span
    >
    <label for="school-clamps">Clamps in plastic boxes</label>
    <select
      id="school-clamps"
      class="plain"
      :value="makeUp.clamps"
      @change="setMakeUp({ clamps: value($event) as MakeUp['clamps'] })"
    >
      <option value="multi-gang">count from two gangs on</option>
      <option value="always">always count</option>
      <option value="never">never count</option>
    </select>
    <span class="muted why">Whether moulded tabs are internal clamps (314.16(B)(2)) is read both ways.</span>
    <label for="school-free">Free conductor, in</label>
    <input
      id="school-free"
      class="plain num"
      type="number"
      min="6"
      max="24"
      :value="makeUp.freeIn"
      @change="setMakeUp({ freeIn: Number(value($event)) })"
    />
    <span class="muted why">At least 6 by 300.14; most leave 8.</span>
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
