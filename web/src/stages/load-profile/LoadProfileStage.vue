<script setup lang="ts">
import { computed, onBeforeUnmount, ref, shallowRef, toRaw, watch } from 'vue';
import {
  clock,
  fitDay,
  readDay,
  supplyLimits,
  typicalDay,
  wordFor,
  type CircuitDay,
  type CurveName,
  type DayItem,
  type DayResult,
  type KeptDay,
  spaceMark,
} from '@winculum/core';
import { storeToRefs } from 'pinia';
import MenuButton from '../../fields/MenuButton.vue';
import StagePart from '../../frame/StagePart.vue';
import { useHouse } from '../../stores/house';
import { useView } from '../../stores/view';
import AddItem from './AddItem.vue';
import AmpsChart from './AmpsChart.vue';
import DaySupplies, { type PlannedDay } from './DaySupplies.vue';
import KeptDays from './KeptDays.vue';
import type { DayAnswer, DayJob } from './day.worker';

/** A day in the house: what people run, and which breaker trips. */
const store = useHouse();
const view = useView();
const mode = ref<'day' | 'now'>('day');
const curve = ref<CurveName>('usual');
const off = ref(new Set<string>());
const now = ref(new Set<string>());
const added = ref<DayItem[]>([]);
const chosen = ref<string | null>(null);
const filter = ref('');

const usual = computed(() => typicalDay(store.current));
/** A day other than the usual one: fitted to a supply, or kept. It holds until what runs in the house changes. */
const planned = shallowRef<PlannedDay | null>(null);
const limits = computed(() => supplyLimits(store.current));
const all = computed(() => [...(planned.value?.items ?? usual.value), ...added.value]);
const { current } = storeToRefs(store);
watch(
  [() => current.value.boxes, () => current.value.loads, () => current.value.circuits, () => current.value.panels],
  () => {
    const kept = current.value.days[planned.value?.kept ?? ''];
    if (kept) play(kept);
    else planned.value = null;
  },
);
function play(kept: KeptDay): void {
  const { items, off: none, remember, lost } = readDay(store.current, kept);
  planned.value = { title: kept.name, items, remember, lost, kept: kept.id };
  [off.value, added.value, mode.value] = [new Set(none), [], 'day'];
}
function openKept(id: string): void {
  const kept = store.current.days[id];
  if (kept) play(kept);
}
function backToUsual(): void {
  planned.value = null;
  off.value = new Set();
}
function fit(id: string): void {
  const limit = limits.value.find((one) => one.id === id);
  if (!limit) return;
  const wanted = [...usual.value, ...added.value].filter((one) => !off.value.has(one.id));
  const { items, rules } = fitDay(store.current, wanted, limit);
  const name = limit.name.charAt(0).toLowerCase() + limit.name.slice(1);
  planned.value = { title: `A day that ${name} carries`, items, remember: rules, lost: [], kept: null };
  added.value = [];
  mode.value = 'day';
}
const listed = computed(() =>
  all.value.filter((one) => one.what.toLowerCase().includes(filter.value.trim().toLowerCase())),
);
/** What runs now runs for an hour, from midnight on. */
const items = computed(() =>
  mode.value === 'day'
    ? all.value.filter((one) => !off.value.has(one.id))
    : all.value.filter((one) => now.value.has(one.id)).map((one) => ({ ...one, runs: [[0, 60] as const] })),
);

const day = shallowRef<DayResult | null>(null);
let worker: Worker | undefined;
let job = 0;
watch(
  [items, curve, () => store.house],
  () => {
    worker ??= new Worker(new URL('./day.worker.ts', import.meta.url), { type: 'module' });
    worker.onmessage = (event: MessageEvent<DayAnswer>) => {
      if (event.data.n === job) day.value = event.data.day;
    };
    worker.onerror = () => (store.problem = 'The day could not be played: its worker stopped.');
    worker.postMessage({
      n: ++job,
      house: toRaw(store.current),
      items: items.value.map((one) => ({ ...one, runs: one.runs.map(([from, to]) => [from, to] as const) })),
      curve: curve.value,
    } satisfies DayJob);
  },
  { immediate: true },
);
onBeforeUnmount(() => worker?.terminate());

const opening = computed(() => trips.value.length + strained.value.filter((one) => one.kind === 'breaker').length);
const trips = computed(() => day.value?.circuits.filter((one) => one.trip) ?? []);
/** The house on one leg of 120 V carries twice the amperes that it would on two. */
const volts = computed(() => (store.current.supply.volts === '120' ? 120 : 240));
const wholeA = (amps: number) => (amps * 240) / volts.value;
const strained = computed(() => day.value?.supplies.filter((one) => one.overAtS !== undefined) ?? []);
const shown = computed(() => day.value?.circuits.find((one) => one.circuit.id === chosen.value));
const share = (one: CircuitDay) => one.peakA / one.circuit.ratingA;
const busy = computed(() => day.value?.circuits.filter((one) => one.peakA > 0) ?? []);

function toggle(id: string): void {
  const set = new Set(mode.value === 'day' ? off.value : now.value);
  if (!set.delete(id)) set.add(id);
  if (mode.value === 'day') off.value = set;
  else now.value = set;
}
const isOn = (id: string) => (mode.value === 'day' ? !off.value.has(id) : now.value.has(id));
const times = (one: DayItem) =>
  one.runs.length > 3 || (one.runs[0]?.[1] ?? 0) - (one.runs[0]?.[0] ?? 0) >= 1440
    ? one.runs.length > 3
      ? `${one.runs.length} times`
      : 'all day'
    : one.runs.map(([from, to]) => `${clock(from * 60)}–${clock(to * 60)}`).join(', ') || 'not today';

function put(item: DayItem): void {
  added.value = [...added.value, item];
  now.value = new Set([...now.value, item.id]);
}

function choose(one: CircuitDay): void {
  chosen.value = chosen.value === one.circuit.id ? null : one.circuit.id;
  if (chosen.value) view.select([{ kind: 'circuit', id: one.circuit.id }]);
}
const after = (seconds: number) =>
  seconds < 90
    ? `${Math.round(seconds)} s`
    : seconds < 5400
      ? `${Math.round(seconds / 60)} min`
      : `${(seconds / 3600).toFixed(1)} h`;
</script>

<template>
  <div class="tools" role="toolbar" aria-label="Load profile tools">
    <v-btn :aria-pressed="mode === 'day'" @click="mode = 'day'">A usual day</v-btn>
    <v-btn :aria-pressed="mode === 'now'" @click="mode = 'now'">What runs now</v-btn>
    <v-select v-model="curve" class="curve" label="Breakers" :items="['quick', 'usual', 'slow']" />
    <MenuButton
      label="Fit the day to"
      :entries="limits.map((one) => ({ value: one.id, word: one.name }))"
      :disabled="!limits.length"
      @choose="fit"
    />
    <span class="grow" />
    <span v-if="day" role="status"
      ><b class="num big">{{ wholeA(day.peakA).toFixed(0) }} A</b> at most<template v-if="mode === 'day'">
        at {{ clock(day.peakAtS) }}, {{ day.kiloWattHours.toFixed(0) }} kWh</template
      >; <b class="num big" :class="{ 'is-violation': opening }">{{ opening }}</b>
      {{ wordFor(opening, 'breaker') }} trip{{ opening === 1 ? 's' : '' }}</span
    >
  </div>
  <StagePart title="Loads">
    <section class="stage-list items" :aria-label="mode === 'day' ? 'What runs in the day' : 'What runs now'">
      <v-text-field v-model="filter" single-line placeholder="find …" aria-label="Find in the list" clearable />
      <v-list density="compact" bg-color="transparent" role="group" aria-label="Loads">
        <v-list-item
          v-for="one in listed"
          :key="one.id"
          class="item"
          role="checkbox"
          :aria-checked="isOn(one.id)"
          @click="toggle(one.id)"
        >
          <template #prepend
            ><span class="mark" aria-hidden="true">{{ isOn(one.id) ? '☑' : '☐' }}</span></template
          >
          {{ one.what }}<br /><span class="muted small">{{ mode === 'day' ? times(one) : '' }}</span>
          <template #append
            ><span class="num">{{ Math.round(one.va) }} VA</span></template
          >
        </v-list-item>
      </v-list>
      <AddItem @add="put" />
      <KeptDays
        v-if="mode === 'day'"
        :items="all"
        :off="off"
        :remember="planned?.remember ?? []"
        :open="planned?.kept ?? null"
        @open="openKept"
      />
    </section>
  </StagePart>
  <section v-if="day" class="result">
    <h2 class="small-caps">
      {{ shown ? `${shown.circuit.name}, ${shown.circuit.ratingA} A` : `The whole house, amperes at ${volts} V` }}
      <v-btn v-if="shown" @click="chosen = null">whole house</v-btn>
    </h2>
    <AmpsChart
      :quarters="shown?.quarters ?? day.quarters.map(wholeA)"
      :rating-a="shown?.circuit.ratingA"
      :trip-s="shown?.trip?.atS"
      :title="shown ? `Amperes of ${shown.circuit.name}` : 'Amperes of the house'"
    />
    <DaySupplies :supplies="day.supplies" :planned="planned" :is-day="mode === 'day'" @fit="fit" @usual="backToUsual" />
    <article v-for="one in trips" :key="one.circuit.id" class="trip">
      <h3>
        <b class="num">{{ spaceMark(one.circuit) ?? '' }}</b> {{ one.circuit.name }} trips<template
          v-if="mode === 'day'"
        >
          at {{ clock(one.trip!.atS) }}</template
        >{{ one.trip!.atOnce ? ', at once' : `, ${after(one.trip!.afterS)} after it was overloaded` }}
      </h3>
      <p>
        <b class="num">{{ one.trip!.amps.toFixed(1) }} A</b> on {{ one.circuit.ratingA }} A:
        {{
          one
            .trip!.running.slice(0, 4)
            .map((item) => item.what)
            .join('; ')
        }}
      </p>
      <p class="muted">
        A quick breaker
        {{
          one.trip!.quickAtS === undefined
            ? 'holds'
            : `trips ${after(Math.abs(one.trip!.atS - one.trip!.quickAtS))} sooner`
        }}, a slow one
        {{ one.trip!.slowAtS === undefined ? 'holds' : `${after(Math.abs(one.trip!.slowAtS - one.trip!.atS))} later` }}.
      </p>
      <p v-if="one.trip!.cures.length">
        It would hold with any one of these left off or fed from another circuit:
        <b>{{
          one
            .trip!.cures.slice(0, 3)
            .map((item) => item.what)
            .join('; ')
        }}</b>
      </p>
      <p v-else>No single thing left off would keep it closed.</p>
    </article>
    <table>
      <thead>
        <tr>
          <th>Space</th>
          <th>Circuit</th>
          <th>Most</th>
          <th>Of</th>
          <th class="wide">Share of the rating</th>
          <th><span class="visually-hidden">trips</span></th>
        </tr>
      </thead>
      <tbody>
        <tr v-for="one in busy" :key="one.circuit.id" :class="{ selected: one.circuit.id === chosen }">
          <td class="num">{{ spaceMark(one.circuit) ?? '–' }}</td>
          <td>
            <v-btn class="link" variant="text" size="small" @click="choose(one)">{{ one.circuit.name }}</v-btn>
          </td>
          <td class="num">{{ one.peakA.toFixed(1) }} A</td>
          <td class="num">{{ one.circuit.ratingA }} A</td>
          <td>
            <span class="bar"
              ><span :class="{ over: share(one) > 1 }" :style="{ width: `${Math.min(100, share(one) * 100)}%` }"
            /></span>
          </td>
          <td :class="one.trip ? 'is-violation' : 'is-caution'">
            {{ one.trip ? 'trips' : one.marginal ? 'a quick one trips' : '' }}
          </td>
        </tr>
      </tbody>
    </table>
    <p v-if="!busy.length" class="muted">
      {{ mode === 'now' ? 'Tick what runs now, on the left.' : 'Nothing runs on a circuit yet.' }}
    </p>
    <p class="muted small">
      Currents are as if breakers held. The breaker is a typical one, fitted to what the product standard asks (100 %
      holds, 200 % trips within two minutes) and to usual curves: from memory, no maker's. Times are a believable
      weekday in winter, common practice.
    </p>
  </section>
</template>

<style scoped>
.tools {
  display: flex;
  align-items: center;
  gap: 8px;
  padding: 8px 12px;
  flex-wrap: wrap;
}
.big {
  font-size: 26px;
}
.items {
  overflow-y: auto;
  padding: 10px;
}
.item {
  min-height: 44px;
  border-bottom: 1px solid var(--rule);
  font-size: 14px;
  line-height: 1.25;
}
.mark {
  width: 24px;
  font-size: 17px;
}
.curve {
  flex: 0 0 130px;
}
.result {
  flex: 1;
  min-width: 0;
  overflow-y: auto;
  padding: 10px 16px 20px;
  background: var(--card);
}
.small {
  font-size: 12.5px;
}
.trip {
  border: 1px solid var(--violation);
  border-left-width: 5px;
  border-radius: 4px;
  padding: 8px 12px;
  margin: 8px 0;
  font-size: 14px;
  line-height: 1.45;
}
h3 {
  font: 600 16px var(--words);
}
table {
  width: 100%;
  border-collapse: collapse;
  font-size: 14px;
  margin-top: 10px;
}
th {
  padding-right: 8px;
  text-align: left;
  font: 600 12px var(--numbers);
  letter-spacing: 0.06em;
  text-transform: uppercase;
  color: var(--muted);
}
td {
  border-top: 1px solid var(--rule);
  padding: 2px 12px 2px 0;
}
td.num {
  font-size: 16px;
  white-space: nowrap;
}
.tools .row {
  flex-wrap: nowrap;
}
.wide {
  width: 30%;
}
.bar {
  min-width: 60px;
}
.link {
  border: 0;
  background: none;
  color: var(--ink);
  font-weight: 600;
  text-align: left;
  min-height: 36px;
  cursor: pointer;
}
.bar {
  display: block;
  height: 9px;
  background: var(--rail);
}
.bar span {
  display: block;
  height: 100%;
  background: var(--reached);
}
.bar span.over {
  background: var(--violation);
}
tr.selected {
  background: var(--chalk-soft);
}
</style>
