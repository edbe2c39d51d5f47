<script setup lang="ts">
import { computed } from 'vue';
import { edit, readPreset, PRESETS, type Preset } from '@winculum/core';
import LineField from '../fields/LineField.vue';
import { useHouse } from '../stores/house';

/** Presets: boxes that are set down by one key, each as a line of text. */
const store = useHouse();
const presets = computed<readonly Preset[]>(() => store.current.standards.presets ?? PRESETS);

function set(i: number, changes: Partial<Preset>): void {
  const next = presets.value.map((one, j) => ({ ...(i === j ? { ...one, ...changes } : one) }));
  const read = readPreset(next[i]!.text);
  if (!read.ok) store.problem = `${next[i]!.name}: ${read.problems[0]!.message}`;
  else store.apply(edit(store.current, 'Change presets', (draft) => void (draft.standards.presets = next)));
}
</script>

<template>
  <h2 class="small-caps">Presets set down by one key</h2>
  <p class="muted">
    A letter, inches to the right of the cursor, inches high: R -36 16. R receptacle, R2 two in a box, S switch, L wall
    luminaire, D data, X coax, V sleeve.
  </p>
  <v-expansion-panels>
    <v-expansion-panel v-for="(one, i) in presets" :key="i">
      <v-expansion-panel-title
        ><b class="num n">{{ i + 1 }}</b> {{ one.name }} <span class="num muted text">{{ one.text }}</span>
      </v-expansion-panel-title>
      <v-expansion-panel-text>
        <div class="stack">
          <LineField
            :label="`Name of preset ${i + 1}`"
            :model-value="one.name"
            @update:model-value="set(i, { name: $event })"
          />
          <LineField
            :label="`Boxes of preset ${i + 1}`"
            :most="400"
            :model-value="one.text"
            @update:model-value="set(i, { text: $event })"
          />
        </div>
      </v-expansion-panel-text>
    </v-expansion-panel>
  </v-expansion-panels>
</template>

<style scoped>
.n {
  margin-right: 10px;
}
.text {
  margin-left: 12px;
}
</style>
