<script setup lang="ts">
import { computed, shallowRef } from 'vue';
import {
  count,
  DROP_STEPS,
  LOW_VOLTAGE_SYSTEMS,
  markDrop,
  type DropStep,
  type LowVoltagePlan,
  type LowVoltageRun,
} from '@winculum/core';
import { useHouse } from '../../stores/house';
import StepMenu from './StepMenu.vue';

/** Low voltage as it is pulled: by system, each cable from its box home, feet to cut, and what is missing. */
const props = defineProps<{ plan: LowVoltagePlan }>();
const store = useHouse();
const NAMES: Readonly<Record<(typeof LOW_VOLTAGE_SYSTEMS)[number], string>> = {
  data: 'Data',
  coax: 'Coax',
  speaker: 'Speakers',
  alarm: 'Alarm',
  thermostat: 'Thermostats',
  doorbell: 'Doorbell',
};
const groups = computed(() =>
  LOW_VOLTAGE_SYSTEMS.map((system) => ({
    system,
    runs: props.plan.runs.filter((one) => one.system === system),
  })).filter((one) => one.runs.length > 0),
);
const roomOf = (id: string) => store.current.rooms[id]!.name;
/** What is done of a cable, as the house has it now: the plan may be older. */
function doneOf({ id, box }: LowVoltageRun): readonly DropStep[] {
  const device = store.current.boxes[box.id]?.devices[id];
  return (device?.kind === 'low-voltage' && device.done) || [];
}
const marking = shallowRef<{ run: LowVoltageRun; at: HTMLElement }>();
const mark = (step: DropStep) => {
  const run = marking.value?.run;
  if (run) store.apply(markDrop(store.current, run.id, step, !doneOf(run).includes(step)));
};
const beside = (lengthIn: number) => `${Math.round(lengthIn / 12)} ft`;
</script>

<template>
  <section class="sheet">
    <h2>Low voltage</h2>
    <p class="sum">
      <template v-for="(one, i) in plan.totals" :key="one.cable"
        ><template v-if="i"> · </template><b class="num">{{ one.feet.toLocaleString('en-US') }}</b> ft
        {{ one.cable }} in {{ one.runs }}</template
      >
      <template v-for="step in DROP_STEPS" :key="step">
        · {{ plan.runs.filter((one) => doneOf(one).includes(step)).length }} {{ step }}</template
      >
      <template v-if="!plan.runs.length">No cable is led yet.</template>
    </p>
    <p class="muted small">
      By the shortest way home in holes of its own, a foot over those of power where the stud allows it. The way is not
      kept: who ends these cables may lead them otherwise. NM cable is excepted from the 2 in of 800.133 and 725.136;
      more than 6 in from it over a long parallel is common practice. Not in one hole, box or raceway with power.
    </p>
    <ul v-if="plan.problems.length" aria-label="What is missing">
      <li v-for="problem in plan.problems" :key="problem">{{ problem }}</li>
    </ul>
  </section>
  <section v-for="group in groups" :key="group.system" class="sheet">
    <h3>
      {{ NAMES[group.system] }} <span class="muted">{{ count(group.runs.length, 'cable') }}</span>
    </h3>
    <v-table density="compact" :aria-label="NAMES[group.system]">
      <thead>
        <tr>
          <th>from</th>
          <th>room</th>
          <th>by way of</th>
          <th>to</th>
          <th>beside power</th>
          <th class="amount">cut</th>
          <th class="no-print">done</th>
          <th class="only-print">☐ pulled ☐ labeled</th>
        </tr>
      </thead>
      <tbody>
        <tr v-for="run in group.runs" :key="run.id">
          <td class="num">{{ run.box.tag }}</td>
          <td>{{ roomOf(run.box.room) }}</td>
          <td>{{ run.via }}</td>
          <td>{{ run.home.label }}, {{ roomOf(run.home.room) }}</td>
          <td class="num">{{ run.besideIn >= 12 ? beside(run.besideIn) : '–' }}</td>
          <td class="num amount">
            <b>{{ run.feet }} ft</b>
          </td>
          <td class="no-print">
            <v-btn
              class="mark"
              :disabled="!store.canEdit"
              :aria-label="`${run.box.tag} to ${run.home.label}: ${doneOf(run).at(-1) ?? 'open'}`"
              @click="marking = { run, at: $event.currentTarget as HTMLElement }"
              >{{ doneOf(run).at(-1) ?? 'open' }}</v-btn
            >
          </td>
          <td class="only-print">☐ ☐</td>
        </tr>
      </tbody>
    </v-table>
  </section>
  <StepMenu
    :at="marking?.at"
    :steps="DROP_STEPS"
    :done="marking ? doneOf(marking.run) : []"
    @mark="mark"
    @close="marking = undefined"
  />
</template>

<style scoped>
.mark {
  min-height: 44px;
  min-width: 92px;
}
</style>
