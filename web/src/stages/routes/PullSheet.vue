<script setup lang="ts">
import { computed, shallowRef } from 'vue';
import { count, keptRoutes, markRoutes, pullSheet, type Route, spaceMark } from '@winculum/core';
import { useHouse } from '../../stores/house';
import StepMenu from './StepMenu.vue';

/** What is pulled, circuit by circuit: kind, from, by way of, to, feet to cut, the labels of both ends; ticked as it is done. */
const props = defineProps<{ only: string }>();
const emit = defineEmits<{ show: [runId: string] }>();
const store = useHouse();
const groups = computed(() =>
  pullSheet(store.current, keptRoutes(store.current).sound.values()).filter(
    (one) => props.only === 'all' || one.lines[0]?.cable.run.unit.circuits.some(({ id }) => id === props.only),
  ),
);
const lines = computed(() => groups.value.flatMap((one) => one.lines));
const cables = computed(() => lines.value.filter((one) => !one.isWire));
const wires = computed(() => lines.value.filter((one) => one.isWire));
const feetOf = (some: readonly { readonly feet: number }[]) =>
  some.reduce((sum, one) => sum + one.feet, 0).toLocaleString('en-US');
const routes = computed(() => [...new Set(lines.value.map((one) => one.cable.route))]);
const STEPS = ['bored', 'pulled', 'stapled', 'plated'] as const;
const doneOf = (step: (typeof STEPS)[number]) => routes.value.filter((one) => one.done?.includes(step)).length;
/** One menu for all rows: the cable that is marked, and the button it hangs on. */
const marking = shallowRef<{ route: Route; at: HTMLElement }>();
const mark = (step: (typeof STEPS)[number]) => {
  const route = marking.value && store.current.routes[marking.value.route.id];
  if (route) store.apply(markRoutes(store.current, [route.id], step, !route.done?.includes(step)));
};
const wordOf = ({ done = [] }: Route) => (done.length === 0 ? 'open' : done.at(-1)!);
</script>

<template>
  <section class="sheet">
    <h2>Pull sheet</h2>
    <p class="sum">
      <b class="num">{{ feetOf(cables) }}</b> ft in <b class="num">{{ cables.length }}</b> cables<template
        v-if="wires.length"
        >, <b class="num">{{ feetOf(wires) }}</b> ft of conductors in conduit</template
      >
      <template v-for="step in STEPS" :key="step"> · {{ doneOf(step) }} {{ step }}</template>
    </p>
    <p class="muted small">
      Feet to cut hold the way, the slack and what is left in box and panel. Staple within 12 in of a box, 8 in of a
      single-gang box without clamps, and every 4½ ft (334.30, 314.17); a bored hole counts as support. Write both
      labels before you cut. Three-conductor first: it runs out soonest.
    </p>
  </section>
  <section v-for="group in groups" :key="group.circuit.id" class="sheet">
    <h3>
      <span class="num">{{ spaceMark(group.circuit) ?? '–' }}</span> {{ group.circuit.name }}
      <span class="muted"
        >{{ count(group.lines.filter((one) => !one.isWire).length, 'cable') }}, {{ group.feet }} ft</span
      >
    </h3>
    <v-table density="compact" :aria-label="group.circuit.name">
      <thead>
        <tr>
          <th>cable</th>
          <th>from</th>
          <th>by way of</th>
          <th>to</th>
          <th class="amount">cut</th>
          <th class="no-print">done</th>
          <th class="only-print">☐ bored ☐ pulled ☐ stapled ☐ plated</th>
        </tr>
      </thead>
      <tbody>
        <tr v-for="(line, i) in group.lines" :key="`${line.cable.run.id} ${i}`">
          <td class="num">{{ line.kind }}</td>
          <td class="num">{{ line.from }}</td>
          <td>
            <v-btn variant="text" size="small" class="via" @click="emit('show', line.cable.run.id)">{{
              line.via
            }}</v-btn>
          </td>
          <td class="num">{{ line.to }}</td>
          <td class="num amount">
            <b>{{ line.feet }} ft</b>
          </td>
          <td class="no-print">
            <v-btn
              class="mark"
              :disabled="!store.canEdit"
              :aria-label="`${line.from} to ${line.to}: ${wordOf(line.cable.route)}`"
              @click="marking = { route: line.cable.route, at: $event.currentTarget as HTMLElement }"
              >{{ wordOf(line.cable.route) }}</v-btn
            >
          </td>
          <td class="only-print">☐ ☐ ☐ ☐</td>
        </tr>
      </tbody>
    </v-table>
  </section>
  <StepMenu
    :at="marking?.at"
    :steps="STEPS"
    :done="(marking && store.current.routes[marking.route.id]?.done) ?? []"
    @mark="mark"
    @close="marking = undefined"
  />
</template>

<style scoped>
.via {
  padding: 0;
  min-width: 0;
}
.mark {
  min-height: 44px;
  min-width: 92px;
}
</style>
