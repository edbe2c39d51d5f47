<script setup lang="ts">
import { computed, shallowRef, toRaw, watch } from 'vue';
import { feederTo, hangPanelAt, type House, type PanelPlace } from '@winculum/core';
import { useHouse } from '../../stores/house';
import { useLongWork } from '../../work/long-work';
import ProgressBar from '../../work/ProgressBar.vue';
import type { PlacesAnswer } from './panel-places.worker';

/** Where the panel goes: the places that are drawn for it, each with a full plan, side by side. */
const store = useHouse();
const places = shallowRef<readonly PanelPlace[]>([]);
const work = useLongWork<House, PlacesAnswer>(
  () => new Worker(new URL('./panel-places.worker.ts', import.meta.url), { type: 'module' }),
  (message) => (store.problem = message),
);
watch(
  () => store.house,
  () => {
    work.cancel();
    places.value = [];
  },
);
const unfed = computed(() => Object.values(store.current.panels).filter((one) => !feederTo(store.current, one.id)));
async function compare(): Promise<void> {
  const answer = await work.ask(toRaw(store.current));
  if (answer?.ok) places.value = answer.places;
  else if (answer) store.problem = answer.problems[0]!.message;
}
const whole = (n: number) => Math.round(n).toLocaleString('en-US');
const rows = computed(() => [
  { what: 'cable, ft', of: (one: PanelPlace) => whole(one.cableFt) },
  { what: 'material, $ typical', of: (one: PanelPlace) => whole(one.cost) },
  { what: 'circuits', of: (one: PanelPlace) => `${one.circuits}` },
  { what: 'worst voltage drop', of: (one: PanelPlace) => `${(100 * one.worstDrop).toFixed(1)} %, ${one.worstCircuit}` },
  { what: 'holes, labor, the longer service', of: () => 'not known yet' },
]);
</script>

<template>
  <div v-if="unfed.length > 1" class="places">
    <p>
      {{ unfed.length }} panels are drawn that nothing feeds: feed the second one under
      <router-link :to="`/houses/${store.id}/service`">Service</router-link>, or take them for places and
      <v-btn size="small" :disabled="!!work.progress.value" @click="compare">Compare the places</v-btn>
    </p>
    <ProgressBar
      v-if="work.progress.value"
      title="Planning for each place"
      :progress="work.progress.value"
      @cancel="work.cancel()"
    />
    <v-table v-if="places.length" density="compact" aria-label="Places for the panel">
      <thead>
        <tr>
          <th><span class="visually-hidden">what</span></th>
          <th v-for="one in places" :key="one.panel">{{ one.room }}{{ one.isNow ? ', as drawn' : '' }}</th>
        </tr>
      </thead>
      <tbody>
        <tr v-for="row in rows" :key="row.what">
          <td>{{ row.what }}</td>
          <td v-for="one in places" :key="one.panel" class="num">{{ row.of(one) }}</td>
        </tr>
        <tr>
          <td>the place itself</td>
          <td v-for="one in places" :key="one.panel">
            <p v-for="text in one.objections" :key="text" class="is-violation">{{ text }}</p>
            <template v-if="!one.objections.length">nothing against it, as far as the rules reach</template>
          </td>
        </tr>
        <tr v-if="store.canEdit">
          <td />
          <td v-for="one in places" :key="one.panel">
            <v-btn
              size="small"
              :aria-label="`Hang it in ${one.room}`"
              @click="store.apply(hangPanelAt(store.current, one.panel))"
              >{{ one.isNow ? 'Leave it here, drop the others' : 'Hang it here' }}</v-btn
            >
          </td>
        </tr>
      </tbody>
    </v-table>
  </div>
</template>

<style scoped>
.places {
  background: var(--card);
  border: 1px solid var(--chalk);
  border-radius: 6px;
  padding: 10px 14px;
}
@media print {
  .places {
    display: none;
  }
}
</style>
