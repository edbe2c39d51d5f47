<script setup lang="ts">
import { ref } from 'vue';
import {
  changeEntity,
  copyLevel,
  count,
  formatLength,
  gradeOf,
  heldByLevel,
  parseLength,
  removeLevel,
  type Grade,
  type Level,
} from '@winculum/core';
import ChoiceField from '../fields/ChoiceField.vue';
import { newId } from '../new-id';
import { useHouse } from '../stores/house';
import { useView } from '../stores/view';

const props = defineProps<{ level: Level }>();
const emit = defineEmits<{ close: [] }>();
const store = useHouse();
const name = ref(props.level.name);
const elevation = ref(formatLength(props.level.elevationIn));
const ceiling = ref(formatLength(props.level.ceilingIn));
const grade = ref<Grade>(props.level.grade);
const GRADES = [
  { value: 'below', word: 'Below grade: a basement' },
  { value: 'above', word: 'At or above grade' },
  { value: 'not-known', word: 'Not said yet' },
] as const;
const isAsked = gradeOf(store.current, props.level) === 'not-known';
const message = ref('');
const view = useView();
const held = heldByLevel(store.current, props.level.id);
const isOnly = Object.keys(store.current.levels).length === 1;
/** What goes with the level when it is deleted. */
const takesAlong = [
  count(held.rooms, 'room'),
  ...(held.boxes > 0 ? [count(held.boxes, 'box', 'boxes')] : []),
  ...(held.panels > 0 ? [count(held.panels, 'panel')] : []),
].join(', ');
const isDeleting = ref(false);

function copy(contents: 'walls' | 'all'): void {
  const id = newId('level');
  if (!store.apply(copyLevel(store.current, props.level.id, id, contents, newId)))
    return void (message.value = store.takeProblem());
  view.level = id;
  emit('close');
}
function remove(): void {
  const next = Object.values(store.current.levels).find((one) => one.id !== props.level.id)!;
  if (!store.apply(removeLevel(store.current, props.level.id))) return void (message.value = store.takeProblem());
  if (view.level === props.level.id) view.level = next.id;
  emit('close');
}

/** A height over grade, or under it with a minus. */
function readHeight(text: string): ReturnType<typeof parseLength> {
  const isUnder = text.trim().startsWith('-');
  const read = parseLength(isUnder ? text.trim().slice(1) : text);
  return read.ok && isUnder ? { ok: true, value: -read.value } : read;
}

function save(): void {
  const [floor, top] = [readHeight(elevation.value), parseLength(ceiling.value)];
  if (!floor.ok) message.value = `Floor above grade: ${floor.problems[0]!.message}`;
  else if (!top.ok) message.value = `Ceiling height: ${top.problems[0]!.message}`;
  else if (
    store.apply(
      changeEntity(store.current, 'levels', props.level.id, {
        name: name.value,
        elevationIn: floor.value,
        ceilingIn: top.value,
        grade: grade.value,
      }),
    )
  )
    emit('close');
  else message.value = store.takeProblem();
}
</script>

<template>
  <v-dialog :model-value="true" max-width="460" @update:model-value="emit('close')">
    <v-card class="pa-5" :title="level.name">
      <v-form class="stack" @submit.prevent="save">
        <v-text-field v-model="name" label="Name" maxlength="80" />
        <v-text-field v-model="elevation" label="Floor above grade, below it with a minus" />
        <v-text-field v-model="ceiling" label="Ceiling height" />
        <ChoiceField v-model="grade" label="Grade" :answers="GRADES" />
        <p :class="isAsked ? 'is-caution' : 'muted'">
          In a basement every receptacle needs GFCI since 2020, whatever its rooms are called (NEC 210.8(A)(5)).
          <template v-if="isAsked">Whether this level is one has not been said yet.</template>
          A room of a walk-out or a split level that lies otherwise is marked in the room's own form.
        </p>
        <p v-if="message" class="is-violation" role="alert">{{ message }}</p>
        <div class="row">
          <v-btn type="submit" color="primary" variant="flat">Save</v-btn>
          <v-btn @click="emit('close')">Cancel</v-btn>
        </div>
        <v-divider />
        <div class="row">
          <v-btn :disabled="!held.rooms" @click="copy('walls')">Copy its walls as a new level</v-btn>
          <v-btn :disabled="!held.boxes" @click="copy('all')">Copy it with boxes and fixtures</v-btn>
        </div>
        <div class="row">
          <v-btn v-if="!isDeleting" :disabled="isOnly" color="error" @click="isDeleting = true"
            >Delete this level …</v-btn
          >
          <template v-else>
            <span class="grow">It takes {{ takesAlong }} with it. Undo brings all back.</span>
            <v-btn color="error" variant="flat" @click="remove">Delete {{ level.name }}</v-btn>
          </template>
        </div>
      </v-form>
    </v-card>
  </v-dialog>
</template>
