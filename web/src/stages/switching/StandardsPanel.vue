<script setup lang="ts">
import { computed, ref, watch } from 'vue';
import {
  applyStandards,
  compareWithStandards,
  SWITCHING_STANDARDS,
  switchingOf,
  type StandardChange,
} from '@winculum/core';
import { newId } from '../../new-id';
import { useHouse } from '../../stores/house';
import { useView } from '../../stores/view';

/** What is drawn otherwise than the shop standards of switching would have it, to be taken one by one. */
const emit = defineEmits<{ close: [] }>();
const store = useHouse();
const view = useView();
const changes = computed(() => compareWithStandards(store.current));
const left = ref(new Set<string>());
watch(changes, (now) => {
  left.value = new Set([...left.value].filter((id) => now.some((one) => one.id === id)));
});
const taken = computed(() => changes.value.filter((one) => !left.value.has(one.id)));
const standardOf = (one: StandardChange) => {
  const standard = SWITCHING_STANDARDS.find((each) => each.field === one.standard)!;
  const answer = standard.answers.find((each) => each.value === switchingOf(store.current)[one.standard])!;
  return `${standard.question}: ${answer.word}`;
};
function tick(one: StandardChange): void {
  const next = new Set(left.value);
  if (!next.delete(one.id)) next.add(one.id);
  left.value = next;
}
function show(one: StandardChange): void {
  view.level = store.current.rooms[one.room]!.level;
  view.select([{ kind: 'box', id: one.box }]);
}
function take(): void {
  if (store.apply(applyStandards(store.current, taken.value, newId))) emit('close');
}
</script>

<template>
  <section class="standards" aria-label="Compared with your practice">
    <header class="row">
      <p v-if="changes.length">
        <b class="num count">{{ changes.length }}</b> {{ changes.length === 1 ? 'thing is' : 'things are' }} drawn
        otherwise than your shop standards of switching.
      </p>
      <p v-else>
        Everything is drawn as your shop standards of switching have it. They are set under the job’s name, above.
      </p>
      <span class="grow" />
      <v-btn
        color="primary"
        variant="flat"
        v-if="changes.length && store.canEdit"
        :disabled="!taken.length"
        @click="take"
      >
        Change {{ taken.length }}
      </v-btn>
      <v-btn @click="emit('close')">{{ changes.length ? 'Discard' : 'Close' }}</v-btn>
    </header>
    <ul v-if="changes.length">
      <li v-for="one in changes" :key="one.id" class="row">
        <v-checkbox
          class="grow"
          density="compact"
          hide-details
          :model-value="!left.has(one.id)"
          :disabled="!store.canEdit"
          @update:model-value="tick(one)"
        >
          <template #label
            >{{ one.words }}. <span class="muted">{{ standardOf(one) }}.</span></template
          >
        </v-checkbox>
        <v-btn :aria-label="`Show ${one.words}`" @click="show(one)">Show</v-btn>
      </li>
    </ul>
  </section>
</template>

<style scoped>
.standards {
  padding: 8px 12px;
  background: var(--chalk-soft);
  max-height: 40%;
  overflow-y: auto;
}
.standards p {
  margin: 0;
}
.count {
  font-size: 20px;
}
ul {
  list-style: none;
  margin: 6px 0 0;
  padding: 0;
}
li {
  flex-wrap: nowrap;
}
li label {
  flex-wrap: nowrap;
  min-height: 44px;
  gap: 10px;
  cursor: pointer;
}
</style>
