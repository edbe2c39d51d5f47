<script setup lang="ts">
import { computed, ref, watch } from 'vue';
import {
  count,
  inspectionItems,
  recordInspection,
  removeEntities,
  settleTask,
  visitsOf,
  type Inspection,
  type InspectionItem,
  type Task,
} from '@winculum/core';
import ChoiceField from '../../fields/ChoiceField.vue';
import SearchField from '../../fields/SearchField.vue';
import ItemList from './ItemList.vue';
import { usePerson } from '../../frame/person';
import { newId } from '../../new-id';
import { useHouse } from '../../stores/house';
import { today } from '../../today';

/** What the inspector said, visit by visit; every correction is a line of the punch list, and of the sheet for the next visit. */
const store = useHouse();
const person = usePerson();
const visits = computed(() => visitsOf(store.current));
const roomItems = computed(() => [
  { value: '', title: 'the house' },
  ...Object.values(store.current.rooms).map((one) => ({ value: one.id, title: one.name })),
]);
const KINDS = [
  { value: 'rough', word: 'Rough' },
  { value: 'final', word: 'Final' },
] as const;
const RESULTS = { passed: 'Passed', corrections: 'Corrections', 'not-done': 'Not done' } as const;

/** Rough or final: the packet that the visit belongs to. */
const kind = defineModel<Inspection['kind']>('kind', { required: true });
const date = ref(today());
const inspector = ref('');
const part = ref<string[]>([]);
const note = ref('');
interface Draft {
  what: string;
  room: string;
  for: string;
  until: string;
  item?: string;
}
const corrections = ref<Draft[]>([]);
const unseen = ref(new Set<string>());
const problem = ref('');
const items = computed(() =>
  inspectionItems(store.current, kind.value, part.value.length > 0 ? part.value : undefined),
);
watch(kind, () => {
  unseen.value = new Set();
  corrections.value = corrections.value.map(({ item: _, ...one }) => one);
});
const isToCorrect = ({ id }: InspectionItem) => corrections.value.some((one) => one.item === id);
function correct({ id, asks }: InspectionItem): void {
  if (corrections.value.some((one) => one.item === id))
    corrections.value = corrections.value.filter((one) => one.item !== id);
  else corrections.value.push({ what: asks, room: '', for: '', until: '', item: id });
}
function miss({ id }: InspectionItem): void {
  if (!unseen.value.delete(id)) unseen.value.add(id);
}
const saidOf = (item: InspectionItem): 'correct' | 'not-seen' | 'passed' =>
  isToCorrect(item) ? 'correct' : unseen.value.has(item.id) ? 'not-seen' : 'passed';
function record(result: Inspection['result']): void {
  const visit = {
    kind: kind.value,
    date: date.value,
    inspector: inspector.value,
    note: note.value,
    result,
    ...(part.value.length > 0 ? { rooms: part.value } : {}),
    // Where nobody looked nothing was said of any line.
    ...(result === 'not-done' ? {} : { items: Object.fromEntries(items.value.map((one) => [one.id, saidOf(one)])) }),
  };
  const asked = corrections.value.map((one) => ({ ...one, room: one.room || undefined }));
  const done = store.apply(recordInspection(store.current, visit, asked, person.me().by, newId));
  problem.value = done ? '' : store.takeProblem();
  if (done) [corrections.value, note.value, part.value, unseen.value] = [[], '', [], new Set()];
}
const settle = (task: Task) => {
  const { by, date: on } = person.me();
  store.apply(settleTask(store.current, task.id, task.state === 'open' ? 'done' : 'open', { name: by, date: on }));
};
const remove = (visit: Inspection) =>
  store.apply(removeEntities(store.current, [{ collection: 'inspections', id: visit.id }]));
const passedIn = ({ items: said }: Inspection) => Object.values(said ?? {}).filter((one) => one === 'passed').length;
const roomName = (id: string) => store.current.rooms[id]?.name ?? '';
</script>

<template>
  <v-form v-if="store.canEdit" class="leaf form" aria-label="Enter a visit" @submit.prevent>
    <div class="leaf-fields">
      <ChoiceField v-model="kind" label="Inspection" :answers="KINDS" />
      <v-text-field v-model="date" type="date" label="Day" />
      <v-text-field v-model="inspector" label="Inspector" maxlength="80" />
      <v-autocomplete
        v-model="part"
        class="wide"
        label="Rooms, where it was a part"
        :items="roomItems.slice(1)"
        item-value="value"
        multiple
        chips
        closable-chips
      />
      <v-text-field v-model="note" class="wide" label="Note" maxlength="2000" />
    </div>
    <h3>Line by line</h3>
    <p class="muted small">What is marked neither way has passed when the visit is entered.</p>
    <ItemList :items="items">
      <template #default="{ item }">
        <v-btn :aria-pressed="saidOf(item) === 'correct'" :aria-label="`Correct: ${item.asks}`" @click="correct(item)"
          >Correct</v-btn
        >
        <v-btn
          :aria-pressed="saidOf(item) === 'not-seen'"
          :aria-label="`Not seen: ${item.asks}`"
          :disabled="isToCorrect(item)"
          @click="miss(item)"
          >Not seen</v-btn
        >
      </template>
    </ItemList>
    <fieldset v-for="(one, i) in corrections" :key="i" class="leaf-fields correction">
      <legend class="visually-hidden">Correction {{ i + 1 }}</legend>
      <v-text-field v-model="one.what" class="wide" :label="`Correction ${i + 1}`" maxlength="400" />
      <SearchField v-model="one.room" label="Where" :items="roomItems" />
      <v-text-field v-model="one.for" label="By whom" maxlength="80" />
      <v-text-field v-model="one.until" type="date" label="Until" />
      <v-btn variant="text" :aria-label="`Take out correction ${i + 1}`" @click="corrections.splice(i, 1)"
        >Take out</v-btn
      >
    </fieldset>
    <p v-if="problem" class="is-violation" role="alert">{{ problem }}</p>
    <div class="row">
      <v-btn @click="corrections.push({ what: '', room: '', for: '', until: '' })">Add a correction</v-btn>
      <span class="grow" />
      <v-btn
        v-if="corrections.length"
        color="primary"
        variant="flat"
        :disabled="!inspector.trim()"
        @click="record('corrections')"
        >Corrections are required</v-btn
      >
      <template v-else>
        <v-btn :disabled="!inspector.trim()" @click="record('not-done')">Not done</v-btn>
        <v-btn color="primary" variant="flat" :disabled="!inspector.trim()" @click="record('passed')">Passed</v-btn>
      </template>
    </div>
  </v-form>
  <p v-if="!visits.length" class="none muted">No visit is written down yet.</p>
  <section
    v-for="{ visit, corrections: tasks, open, isForAgain, unseen: left } in visits"
    :key="visit.id"
    class="leaf"
    :aria-label="`Visit of ${visit.date}`"
  >
    <h2>
      {{ visit.kind === 'rough' ? 'Rough' : 'Final' }}, {{ visit.date }}, {{ visit.inspector }}:
      <span :class="{ 'is-violation': visit.result === 'corrections' && open > 0 }">{{ RESULTS[visit.result] }}</span>
    </h2>
    <p v-if="visit.rooms" class="muted">Only {{ visit.rooms.map(roomName).join(', ') }}</p>
    <p v-if="visit.note">{{ visit.note }}</p>
    <p v-if="isForAgain" class="is-caution"><b>Everything is put right: call for the re-inspection.</b></p>
    <p v-if="visit.items && passedIn(visit)">{{ count(passedIn(visit), 'line') }} passed</p>
    <p v-if="left.length" class="is-caution">Not seen, for the next visit: {{ left.join('; ') }}</p>
    <article v-for="task in tasks" :key="task.id" class="leaf-line">
      <span class="mark num" aria-hidden="true">{{ task.state === 'open' ? '☐' : '✓' }}</span>
      <span class="grow"
        ><b>{{ task.what }}</b>
        <span class="muted">{{ task.room ? roomName(task.room) : 'the house' }}</span><br /><span class="muted small"
          ><template v-if="task.for">by {{ task.for }} </template
          ><template v-if="task.until">until {{ task.until }} </template
          ><template v-if="task.settledBy">· put right: {{ task.settledBy }}, {{ task.settledOn }}</template></span
        ></span
      >
      <v-btn
        v-if="store.canEdit"
        :aria-label="`${task.state === 'open' ? 'Put right' : 'Open again'}: ${task.what}`"
        @click="settle(task)"
        >{{ task.state === 'open' ? 'Put right' : 'Open again' }}</v-btn
      >
    </article>
    <v-btn
      v-if="store.canEdit"
      class="remove"
      variant="text"
      :aria-label="`Remove the visit of ${visit.date}`"
      @click="remove(visit)"
      >Remove this visit</v-btn
    >
  </section>
</template>

<style scoped>
.form {
  display: grid;
  gap: 10px;
}
.correction {
  border: 0;
  border-left: 4px solid var(--caution);
  padding: 0 0 0 10px;
  margin: 0;
}
.wide {
  grid-column: span 2;
}
@media (max-width: 700px) {
  .wide {
    grid-column: auto;
  }
}
</style>
