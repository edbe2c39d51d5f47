<script setup lang="ts">
import { computed, ref, watch } from 'vue';
import { compareFeeds, feedFrom, freeFeed, keepFeed, wireHouse, type FeedOption } from '@winculum/core';
import { useHouse } from '../../stores/house';
import { useView } from '../../stores/view';

/** Which box feeds which, by hand or by scheme, and what each scheme costs in wire. */
const store = useHouse();
const view = useView();
const units = computed(() => wireHouse(store.house!).units.filter((one) => one.runs.length > 0));
const chosen = ref('');
watch(
  [units, () => view.only('circuit')],
  ([now, circuit]) => {
    const wanted = now.find((one) => one.unit.circuits.some((each) => each.id === circuit));
    if (wanted) chosen.value = wanted.unit.id;
    else if (!now.some((one) => one.unit.id === chosen.value))
      chosen.value = now.find((one) => one.unit.groups.length > 0)?.unit.id ?? now[0]?.unit.id ?? '';
  },
  { immediate: true },
);
const wiring = computed(() => units.value.find((one) => one.unit.id === chosen.value));
const options = computed(() => (wiring.value ? compareFeeds(store.house!, wiring.value.unit) : []));
const names: Record<FeedOption['name'], string> = {
  'switch-first': 'Power to the switches first',
  'light-first': 'Power at the lights, switches hang on them',
  shortest: 'Shortest cable',
  'as drawn': 'As drawn by hand',
};
const kinds = (one: FeedOption) =>
  Object.entries(one.byKind)
    .sort(([a], [b]) => a.localeCompare(b))
    .map(([kind, feet]) => `${Math.round(feet)} ft of ${kind}`)
    .join(', ');
const trouble = (one: FeedOption) =>
  [
    one.doubled ? `${one.doubled} run${one.doubled === 1 ? '' : 's'} of two cables` : '',
    one.overfull.length ? `too full: ${one.overfull.slice(0, 4).join(', ')}${one.overfull.length > 4 ? ' …' : ''}` : '',
  ]
    .filter(Boolean)
    .join('; ');
const carried = (index: number) =>
  wiring
    .value!.runs[index]!.cables.map((cable) =>
      cable.conductors.flatMap((one) => (one.colour === 'bare' ? [] : (one.signal?.words ?? 'spare'))).join(', '),
    )
    .join(' | ');
const value = (event: Event) => (event.target as HTMLSelectElement).value;
</script>

<template>
  <section v-if="wiring" class="feed" aria-label="Feed order">
    <label class="field pick"
      >Circuit
      <select v-model="chosen" class="plain">
        <option v-for="one in units" :key="one.unit.id" :value="one.unit.id">
          {{ one.unit.circuits.map((c) => c.name).join(' and ') }}
        </option>
      </select></label
    >
    <table class="schemes">
      <thead>
        <tr>
          <th>Scheme</th>
          <th>Cable</th>
          <th>Conductor-feet</th>
          <th>Trouble</th>
          <th></th>
        </tr>
      </thead>
      <tbody>
        <tr v-for="one in options" :key="one.name">
          <td>{{ names[one.name] }}</td>
          <td>{{ kinds(one) }}</td>
          <td class="num big">{{ Math.round(one.conductorFt) }}</td>
          <td :class="{ 'is-caution': trouble(one) }">{{ trouble(one) || 'none' }}</td>
          <td>
            <button
              v-if="one.name === 'as drawn'"
              class="plain-button"
              :disabled="!store.canEdit"
              @click="store.apply(freeFeed(store.house!, wiring.unit))"
            >
              Leave it to the tool
            </button>
            <button
              v-else
              class="plain-button"
              :disabled="!store.canEdit"
              @click="store.apply(keepFeed(store.house!, one))"
            >
              Take this
            </button>
          </td>
        </tr>
      </tbody>
    </table>
    <p class="muted">
      {{
        wiring.tree.stored
          ? 'Drawn by hand: it stays as it is.'
          : 'Found by the tool, switches first; it follows the boxes until somebody changes it.'
      }}
      Lengths are estimates until the route is known.
    </p>
    <table class="runs">
      <thead>
        <tr>
          <th>Box</th>
          <th>takes its power from</th>
          <th>Cable</th>
          <th>Feet</th>
          <th>Conductors</th>
        </tr>
      </thead>
      <tbody>
        <tr v-for="(run, i) in wiring.runs" :key="run.id">
          <td class="num tag">
            <button class="tag-button" @click="view.select([{ kind: 'box', id: run.to.id }])">{{ run.to.tag }}</button>
          </td>
          <td>
            <select
              class="plain"
              :aria-label="`${run.to.tag} takes its power from`"
              :value="run.from?.id ?? ''"
              :disabled="!store.canEdit"
              @change="
                store.apply(feedFrom(store.house!, wiring, run.to.id, value($event) || null));
                ($event.target as HTMLSelectElement).value = run.from?.id ?? '';
              "
            >
              <option value="">the panel</option>
              <option
                v-for="node in wiring.tree.nodes.filter((one) => one.box !== run.to)"
                :key="node.box.id"
                :value="node.box.id"
              >
                {{ node.box.tag }}
              </option>
            </select>
          </td>
          <td class="num">{{ run.cables.map((one) => `${run.awg}-${one.kind.slice(1)}`).join(' + ') }}</td>
          <td class="num">{{ Math.round(run.lengthIn / 12) }}</td>
          <td>{{ carried(i) }}</td>
        </tr>
      </tbody>
    </table>
    <p v-for="one in wiring.problems" :key="one.message" class="is-caution">{{ one.message }}</p>
  </section>
</template>

<style scoped>
.feed {
  background: var(--card);
  border: 1px solid var(--rule);
  border-radius: 4px;
  padding: 12px 16px;
  display: grid;
  gap: 10px;
}
.pick {
  max-width: 340px;
}
table {
  border-collapse: collapse;
  width: 100%;
}
th {
  text-align: left;
  font: 600 12px var(--numbers);
  letter-spacing: 0.06em;
  text-transform: uppercase;
  color: var(--muted);
  padding: 2px 8px 2px 0;
}
td {
  border-top: 1px solid var(--rule);
  padding: 3px 8px 3px 0;
}
.big {
  font-size: 20px;
  font-weight: 700;
}
.runs td.num {
  font-size: 16px;
}
.runs select {
  min-width: 110px;
}
.tag-button {
  border: 0;
  background: none;
  font: inherit;
  font-weight: 700;
  color: var(--chalk);
  min-height: 32px;
  cursor: pointer;
}
</style>
