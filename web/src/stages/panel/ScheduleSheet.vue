<script setup lang="ts">
import { computed, shallowRef } from 'vue';
import { breakerMark, circuitVolts, count, type PanelSchedule, type ScheduleRow } from '@winculum/core';
import { decisionWords, ruleSummary } from '../../frame/decision-words';
import { useHouse } from '../../stores/house';
import { useView } from '../../stores/view';

const props = defineProps<{ schedule: PanelSchedule }>();
const emit = defineEmits<{
  move: [circuitId: string, space: number | null];
  share: [circuitId: string, space: number];
}>();
const store = useHouse();
const view = useView();
/** Odd spaces stand left, even ones right, as in the panel itself. */
const pairs = computed(() =>
  Array.from({ length: Math.ceil(props.schedule.panel.spaces / 2) }, (_, i) => {
    const sides = [2 * i + 1, 2 * i + 2].map((space) => props.schedule.rows.filter((row) => row.space === space));
    // A tandem breaker takes two lines; what stands across from it takes the first.
    return Array.from({ length: Math.max(...sides.map((rows) => rows.length)) }, (_, line) => ({
      key: `${i} ${line}`,
      cells: sides.filter((rows) => rows.length > 0).map((rows) => rows[line]),
    }));
  }).flat(),
);
const nameOf = ({ space, half }: ScheduleRow) => `${space}${half?.toUpperCase() ?? ''}`;
const amendments = computed(() =>
  Object.values(store.current.decisions).filter(({ change }) => change.kind === 'off' || change.kind === 'limit'),
);
const violations = computed(
  () => (store.check?.findings ?? []).filter((one) => one.kind === 'fail' && one.severity === 'violation').length,
);
const questions = computed(() => (store.check?.findings ?? []).filter((one) => one.kind === 'cannot-tell').length);
/** The breaker of a row: of a circuit, or of a feeder to another panel. */
function describe({ circuit, feeder }: ScheduleRow): string {
  const one = circuit ?? feeder;
  return one ? `${one.ratingA}/${one.poles}` : '';
}
function wireOf({ circuit, feeder }: ScheduleRow): string {
  if (circuit?.unread) return 'not read';
  if (circuit) return `${circuit.awg} ${circuit.metal ? 'Al' : 'Cu'}`;
  return feeder ? `${feeder.conductor.size} ${feeder.conductor.metal === 'copper' ? 'Cu' : 'Al'}` : '';
}
const legs = computed(() =>
  (['A', 'B'] as const).map((leg) => `${leg} ${Math.round(props.schedule.legVa[leg])} VA`).join(', '),
);

/** One menu for all rows: the circuit that is moved, and the button it hangs on. */
const moving = shallowRef<{ circuit: string; at: HTMLElement }>();
const askSpace = (circuit: string, event: Event) =>
  void (moving.value = { circuit, at: event.currentTarget as HTMLElement });
/** Spaces in which one other one-pole breaker stands alone: a tandem breaker there takes both. */
const shareable = computed(() => {
  const circuit = moving.value && store.current.circuits[moving.value.circuit];
  if (circuit?.poles !== 1) return new Map<number, string>();
  const alone = props.schedule.rows.filter(
    (row) => row.circuit && row.circuit !== circuit && row.circuit.poles === 1 && row.half === undefined,
  );
  return new Map(alone.map((row) => [row.space, row.circuit!.name] as const));
});
function shareWith(space: number): void {
  if (moving.value) emit('share', moving.value.circuit, space);
  moving.value = undefined;
}
function moveTo(space: number | null): void {
  if (moving.value) emit('move', moving.value.circuit, space);
  moving.value = undefined;
}
</script>

<template>
  <section class="schedule" aria-label="Panel schedule">
    <header>
      <div class="tools"><slot /></div>
      <h1>{{ schedule.panel.name }}</h1>
      <p>
        {{ store.current.name }} · {{ store.current.rooms[schedule.panel.room]?.name }} · {{ schedule.panel.mainA }} A
        main, 120/240 V, {{ schedule.panel.spaces }} spaces
      </p>
      <p class="muted">
        NEC {{ store.current.job.edition }}{{ store.current.job.authority ? `, ${store.current.job.authority}` : ''
        }}{{ store.current.job.permitDate ? `, permit ${store.current.job.permitDate}` : '' }} · legs {{ legs }},
        {{ Math.round(schedule.imbalance * 100) }} % apart
      </p>
    </header>
    <table>
      <thead>
        <tr>
          <template v-for="side in 2" :key="side"
            ><th class="space" :class="{ right: side === 2 }">No.</th>
            <th class="leg">Leg</th>
            <th class="rating">A / poles</th>
            <th class="wire">Wire</th>
            <th>Feeds</th>
            <th class="va">VA</th></template
          >
        </tr>
      </thead>
      <tbody>
        <tr v-for="{ key, cells } in pairs" :key="key">
          <template v-for="(row, side) in cells" :key="side">
            <template v-if="row">
              <td
                class="num space"
                :class="{
                  right: side === 1,
                  selected: row.circuit && view.only('circuit') === row.circuit.id,
                }"
              >
                <v-btn
                  v-if="row.circuit && !row.continued && store.canEdit"
                  class="mover num"
                  size="small"
                  variant="text"
                  :aria-label="`Space of ${row.circuit.name}`"
                  @click="askSpace(row.circuit.id, $event)"
                  >{{ nameOf(row) }}</v-btn
                >
                <span :class="{ printed: row.circuit && !row.continued && store.canEdit }">{{ nameOf(row) }}</span>
              </td>
              <td class="num leg">{{ row.leg }}</td>
              <td class="num rating">
                {{ row.continued ? '│' : describe(row) }}
                <b v-if="!row.continued && row.breaker && row.breaker !== 'plain'" class="kind">{{
                  breakerMark(row.breaker)
                }}</b>
              </td>
              <td class="num wire">
                {{ row.continued ? '' : wireOf(row) }}
              </td>
              <td>
                <v-btn
                  v-if="row.circuit && !row.continued"
                  class="feeds leads wraps"
                  variant="text"
                  @click="view.select([{ kind: 'circuit', id: row.circuit.id }])"
                >
                  {{ row.directory }}</v-btn><span v-else-if="row.continued" class="muted">{{
                  row.circuit ? `${row.circuit.name}, ${circuitVolts(row.circuit)} V` : row.directory
                }}</span>
                <span v-else-if="row.feeder">{{ row.directory }}</span>
              </td>
              <td class="num va">{{ row.circuit || row.feeder ? Math.round(row.va) : '' }}</td>
            </template>
            <td v-else :class="{ right: side === 1 }" colspan="6" />
          </template>
        </tr>
      </tbody>
    </table>
    <div v-if="schedule.unplaced.length" class="waiting">
      <b>Waiting for a space:</b> {{ schedule.unplaced.map((circuit) => circuit.name).join(', ') }}
    </div>
    <footer>
      <p v-if="amendments.length">
        <b>Local amendments:</b>
        <template v-for="one in amendments" :key="one.id"
          >{{ ruleSummary(one.rule) }}: {{ decisionWords(one) }} ({{ one.by }}, {{ one.date }}).
        </template>
      </p>
      <p v-if="store.check!.accepted.length">
        <b>Accepted as they stand:</b>
        <template v-for="{ finding, decision } in store.check!.accepted" :key="decision.id"
          >{{ finding.message }} {{ finding.section }} ({{ decision.by }}, {{ decision.date }}: {{ decision.note }}).
        </template>
      </p>
      <p>
        {{ count(violations, 'violation') }} and {{ count(questions, 'open question') }} stand in the open items. Sizes
        and protection are recalled from memory of the code and checked against it only by the people who build from
        this. Turn off and test before opening. The adopted code, the authority having jurisdiction and a licensed
        electrician decide.
      </p>
    </footer>
    <v-menu
      v-if="moving"
      :model-value="true"
      :target="moving.at"
      :open-on-click="false"
      @update:model-value="moving = undefined"
    >
      <v-list role="menu" aria-label="Space in the panel" density="compact" max-height="360">
        <template v-for="n in schedule.panel.spaces" :key="n">
          <v-list-item role="menuitem" class="num" @click="moveTo(n)">{{ n }}</v-list-item>
          <v-list-item v-if="shareable.has(n)" role="menuitem" class="tandem" @click="shareWith(n)"
            >{{ n }} on a tandem with {{ shareable.get(n) }}</v-list-item
          >
        </template>
        <v-list-item role="menuitem" @click="moveTo(null)">out</v-list-item>
      </v-list>
    </v-menu>
  </section>
</template>

<style scoped>
.schedule {
  background: var(--card);
  border: 1px solid var(--rule);
  border-radius: 6px;
  padding: 16px 18px;
}
.tools {
  float: right;
}
h1 {
  font: 700 26px var(--numbers);
}
table {
  border-collapse: collapse;
  width: 100%;
  font-size: 12.5px;
  table-layout: fixed;
  margin: 12px 0;
}
th {
  text-align: left;
  font: 600 11px var(--numbers);
  letter-spacing: 0.06em;
  color: var(--muted);
  border-bottom: 2px solid var(--ink);
  padding: 2px 4px;
}
td {
  border-bottom: 1px solid var(--rule);
  padding: 2px 4px;
  height: 34px;
  vertical-align: middle;
  line-height: 1.2;
  overflow: hidden;
}
.right {
  border-left: 2px solid var(--ink);
  padding-left: 8px;
}
th.space {
  width: 48px;
}
th.leg {
  width: 28px;
}
th.rating {
  width: 54px;
}
th.wire {
  width: 34px;
}
th.va {
  width: 44px;
}
.va {
  text-align: right;
  padding-right: 8px;
}
.space {
  font-size: 15px;
}
.mover {
  width: 44px;
  border: 1px solid transparent;
  background: none;
  color: var(--ink);
  font-size: 15px;
  min-height: 32px;
}
.mover:hover {
  border-color: var(--rule);
}
.printed {
  display: none;
}
.kind {
  display: block;
  font-size: 11px;
  color: var(--chalk);
  letter-spacing: 0.03em;
}
.feeds {
  border: 0;
  background: none;
  text-align: left;
  color: var(--ink);
  font: 500 12.5px/1.2 var(--words);
  padding: 0;
  cursor: pointer;
  min-height: 30px;
}
td.selected {
  background: var(--chalk-soft);
}
.waiting {
  border: 1.5px dashed var(--caution);
  padding: 8px 12px;
  border-radius: 4px;
  margin-bottom: 10px;
}
footer {
  font-size: 12px;
  color: var(--muted);
  display: grid;
  gap: 4px;
}
@media print {
  .schedule {
    border: 0;
    padding: 0;
    background: #fff;
    color: #000;
  }
  table {
    font-size: 8.5pt;
    margin: 8px 0;
  }
  td {
    height: 0.3in;
    border-color: #777;
  }
  th,
  footer,
  .muted,
  .kind {
    color: #000;
  }
  .mover,
  .tools {
    display: none;
  }
  .printed {
    display: inline;
  }
  .feeds {
    font-size: 8.5pt;
    color: #000;
    min-height: 0;
  }
  td.selected {
    background: none;
  }
}
</style>
