<script setup lang="ts">
import { computed, ref } from 'vue';
import { keepDay, removeEntities, type DayItem } from '@winculum/core';
import MenuButton from '../../fields/MenuButton.vue';
import { usePerson } from '../../frame/person';
import { newId } from '../../new-id';
import { useHouse } from '../../stores/house';

/** Days that are kept with the house under a name: to be played again, given to the people who live there, or forgotten. */
const props = defineProps<{
  items: readonly DayItem[];
  off: ReadonlySet<string>;
  remember: readonly string[];
  /** The kept day that is played, or null. */
  open: string | null;
}>();
const emit = defineEmits<{ open: [id: string] }>();
const store = useHouse();
const person = usePerson();
const days = computed(() => Object.values(store.current.days));
const name = ref('');
const problem = ref('');
function keep(): void {
  const { by, date } = person.me();
  const { items, off, remember } = props;
  const done = store.apply(keepDay(store.current, name.value, { items, off, remember }, { name: by, date }, newId));
  problem.value = done ? '' : store.takeProblem();
  const kept = days.value.find((one) => one.name === name.value.trim());
  if (done && kept) emit('open', kept.id);
  if (done) name.value = '';
}
const act = (id: string, what: string) =>
  what === 'play' ? emit('open', id) : store.apply(removeEntities(store.current, [{ collection: 'days', id }]));
const acts = computed(() => [
  { value: 'play', word: 'Play it' },
  ...(store.canEdit ? [{ value: 'remove', word: 'Remove it' }] : []),
]);
</script>

<template>
  <section class="stack kept" aria-label="Kept days">
    <b>Kept days</b>
    <p v-if="!days.length" class="muted small">None yet. A day is kept with the house and comes along in its file.</p>
    <MenuButton
      v-for="one in days"
      :key="one.id"
      :label="open === one.id ? `${one.name} (played)` : one.name"
      :entries="acts"
      @choose="act(one.id, $event)"
    />
    <v-form v-if="store.canEdit" class="row" @submit.prevent="keep">
      <v-text-field v-model="name" label="Keep this day as" maxlength="80" :error-messages="problem" />
      <v-btn type="submit">Keep</v-btn>
    </v-form>
  </section>
</template>

<style scoped>
.kept {
  margin-top: 10px;
  font-size: 14px;
}
.kept .row {
  flex-wrap: nowrap;
  align-items: start;
}
</style>
