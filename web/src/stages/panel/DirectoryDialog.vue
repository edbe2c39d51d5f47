<script setup lang="ts">
import { computed, ref } from 'vue';
import { addDirectory, count, readDirectory, type Panel } from '@winculum/core';
import { newId } from '../../new-id';
import { useHouse } from '../../stores/house';

/** What is written inside the door of an old panel, typed line by line: each becomes a circuit in its space. */
const props = defineProps<{ panel: Panel }>();
const emit = defineEmits<{ close: [] }>();
const store = useHouse();
const text = ref('');
const isTried = ref(false);
const read = computed(() => readDirectory(store.current, props.panel.id, text.value));
const said = computed(() => {
  if (text.value.trim() === '') return '';
  return read.value.ok ? count(read.value.value.length, 'circuit') : '';
});
/** What is wrong is told when somebody wants to go on, and kept up to date from then. */
const problems = computed(() => (isTried.value && !read.value.ok ? read.value.problems : []));
function add(): void {
  isTried.value = true;
  if (store.apply(addDirectory(store.current, props.panel.id, text.value, newId))) emit('close');
  else store.takeProblem();
}
</script>

<template>
  <v-dialog :model-value="true" max-width="520" @update:model-value="emit('close')">
    <v-card class="pa-5" :title="`The directory of ${panel.name}`">
      <v-form class="stack" @submit.prevent="add">
        <p>
          A line for each breaker: its space, its amperes, what it feeds. <b class="num">5 20 Kitchen counter</b>,
          <b class="num">1-3 50 Range</b>, <b class="num">7A 15 Bath</b>, <b class="num">9 spare</b>.
        </p>
        <v-textarea v-model="text" class="num" label="Breakers" rows="10" auto-grow max-rows="18" autofocus />
        <p class="muted small">
          They stay as they are when circuits are planned. Their conductors are taken as the least for each breaker
          until somebody reads them, under Circuits. Directories are often wrong: try each breaker.
        </p>
        <ul v-if="problems.length" class="is-violation" role="alert">
          <li v-for="one in problems" :key="one.path">{{ one.message }}</li>
        </ul>
        <div class="row">
          <v-btn type="submit" color="primary" variant="flat">Add {{ said }}</v-btn>
          <v-btn @click="emit('close')">Cancel</v-btn>
        </div>
      </v-form>
    </v-card>
  </v-dialog>
</template>
