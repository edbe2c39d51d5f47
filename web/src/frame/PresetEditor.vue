<script setup lang="ts">
import { computed } from 'vue';
import { edit, readPreset, PRESETS, type Preset } from '@winculum/core';
import { useHouse } from '../stores/house';

/** Presets: boxes that are set down by one key, each as a line of text. */
const store = useHouse();
const presets = computed<readonly Preset[]>(() => store.house!.standards.presets ?? PRESETS);
const value = (event: Event) => (event.target as HTMLInputElement).value;

function set(i: number, changes: Partial<Preset>): void {
  const next = presets.value.map((one, j) => ({ ...(i === j ? { ...one, ...changes } : one) }));
  const read = readPreset(next[i]!.text);
  if (!read.ok) store.problem = `${next[i]!.name}: ${read.problems[0]!.message}`;
  else store.apply(edit(store.house!, 'Change groups', (draft) => void (draft.standards.presets = next)));
}
</script>

<template>
  <h2 class="small-caps">Presets set down by one key</h2>
  <p class="muted">
    A letter, inches to the right of the cursor, inches high: R -36 16. R receptacle, R2 two in a box, S switch, L wall
    luminaire, D data, X coax, V sleeve.
  </p>
  <fieldset :disabled="!store.canEdit" class="groups">
    <template v-for="(one, i) in presets" :key="i">
      <b class="num">{{ i + 1 }}</b>
      <input
        class="plain"
        :value="one.name"
        maxlength="80"
        :aria-label="`Name of preset ${i + 1}`"
        @change="set(i, { name: value($event) })"
      />
      <input
        class="plain num"
        :value="one.text"
        maxlength="400"
        :aria-label="`Boxes of group ${i + 1}`"
        @change="set(i, { text: value($event) })"
      />
    </template>
  </fieldset>
</template>

<style scoped>
.groups {
  border: 0;
  padding: 0;
  margin: 0;
  display: grid;
  grid-template-columns: 20px 160px 1fr;
  gap: 6px 10px;
  align-items: center;
}
</style>
