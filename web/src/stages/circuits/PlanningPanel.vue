<script setup lang="ts">
import { computed } from 'vue';
import {
  BREAKER_NAMES,
  acceptCircuitPlan,
  count,
  planningOf,
  type CircuitPlan,
  type House,
  type LockConflict,
  spaceMark,
} from '@winculum/core';
import { useHouse } from '../../stores/house';

/** A circuit plan beside today's: in numbers, circuit by circuit; taken whole or refused. */
const props = defineProps<{ plan: CircuitPlan; conflict: LockConflict | undefined; made: House }>();
const emit = defineEmits<{ close: [] }>();
const store = useHouse();

const percent = (share: number) => `${Math.round(share * 100)} %`;
const whole = (n: number) => Math.round(n).toLocaleString('en-US');
const rows = computed(() => {
  const { before, after } = props.plan;
  const row = (what: string, was: string, is: string, better?: boolean, worse?: boolean) => {
    return { what, was, is, better, worse };
  };
  return [
    row('circuits', `${before.circuits}`, `${after.circuits}`, after.circuits < before.circuits),
    row('unassigned outlets', `${before.unassigned}`, `${after.unassigned}`, after.unassigned < before.unassigned),
    row('cable, ft', whole(before.cableFt), whole(after.cableFt), after.cableFt < before.cableFt),
    ...Object.entries(BREAKER_NAMES).map(([kind, word]) =>
      row(`breakers, ${word}`, `${before.breakers[kind] ?? 0}`, `${after.breakers[kind] ?? 0}`),
    ),
    row('material, $ typical', whole(before.cost), whole(after.cost), after.cost < before.cost),
    row('mean load', percent(before.meanUsed), percent(after.meanUsed)),
    row('highest load', percent(before.mostUsed), percent(after.mostUsed)),
    row('legs apart', percent(before.legsApart), percent(after.legsApart), after.legsApart < before.legsApart),
    row('violations', `${before.violations}`, `${after.violations}`, after.violations < before.violations),
    row(
      'boxes too full',
      `${before.tooFull}`,
      `${after.tooFull}`,
      after.tooFull < before.tooFull,
      after.tooFull > before.tooFull,
    ),
  ];
});
const free = computed(() => {
  const [panel] = Object.values(props.plan.house.panels);
  if (!panel) return undefined;
  const taken = Object.values(props.plan.house.circuits).reduce(
    (sum, one) => sum + (one.space === null ? 0 : one.poles),
    0,
  );
  const left = panel.spaces - taken;
  const waiting = Object.values(props.plan.house.circuits).filter((one) => one.space === null).length;
  return { left, wanted: planningOf(props.made).spareSpaces, waiting };
});
/** How near the division is to the least that is proven possible. */
const quality = computed(() => {
  const { costIn, boundIn } = props.plan.worth;
  if (costIn <= 0) return '';
  const more = ((costIn - boundIn) / costIn) * 100;
  return more < 0.05
    ? 'Places are divided into circuits with the least cable that is possible, proven.'
    : `Places are divided into circuits with cable within ${more.toFixed(1)} % of the least that is possible, proven.`;
});
const moved = computed(() => props.plan.planned.reduce((sum, one) => sum + one.moved, 0));

function accept(): void {
  if (store.apply(acceptCircuitPlan(store.current, props.plan, props.made))) emit('close');
}
</script>

<template>
  <section class="stage-list planned" aria-label="Proposed circuits">
    <header class="row">
      <span class="grow"
        ><b class="num count">{{ plan.after.circuits }}</b> circuits, {{ count(moved, 'outlet') }} moved</span
      >
      <v-btn @click="emit('close')">Discard</v-btn>
      <v-btn color="primary" variant="flat" v-if="store.canEdit" @click="accept">Accept</v-btn>
    </header>
    <div class="body">
      <div v-if="conflict" class="conflict" role="status">
        <p class="is-violation">
          <template v-if="conflict.locks.length === 1"
            ><b>{{ conflict.locks[0]!.name }}</b> is locked and cannot stay as it is. Free it, or change it.</template
          ><template v-else
            >These locks cannot be kept together: <b>{{ conflict.locks.map((one) => one.name).join(', ') }}</b>. Free
            any one of them.</template
          >
        </p>
        <p v-for="one in conflict.objections" :key="one.key" class="small">
          <span class="num is-violation">{{ one.section }}</span> {{ one.message }}
        </p>
      </div>
      <table>
        <thead>
          <tr>
            <th><span class="visually-hidden">what</span></th>
            <th>today</th>
            <th>planned</th>
          </tr>
        </thead>
        <tbody>
          <tr v-for="one in rows" :key="one.what">
            <td>{{ one.what }}</td>
            <td class="num">{{ one.was }}</td>
            <td class="num is" :class="{ better: one.better, 'is-violation': one.worse }">{{ one.is }}</td>
          </tr>
        </tbody>
      </table>
      <p v-if="plan.settled.length" class="small">
        Fed in an order of its own, since a box would hold too much by the usual one:
        {{ plan.settled.join(', ') }}.
      </p>
      <p class="muted small">
        Cable along the feed orders, not the real route.<template v-if="plan.after.tooFull">
          Boxes that are still too full take a second box, or fewer circuits, under Make-up.</template
        >
        {{ quality }} Prices are typical, for comparing only. Shop standards are under Job.
      </p>
      <p v-if="free && free.waiting" class="is-violation">
        The panel has no space for {{ free.waiting }} of the circuits: take a larger one, or a subpanel.
      </p>
      <p v-else-if="free && free.left < free.wanted" class="is-caution">
        {{ free.left }} spaces stay free; the shop standard is {{ free.wanted }}.
      </p>
      <template v-if="plan.objections.length && plan.objections.length !== conflict?.objections.length">
        <p class="is-violation">The rules still object, to what is locked or cannot be shared out otherwise:</p>
        <p v-for="one in plan.objections" :key="one.key" class="small">
          <span class="num is-violation">{{ one.section }}</span> {{ one.message }}
        </p>
      </template>
      <v-expansion-panels>
        <v-expansion-panel v-for="one in plan.planned" :key="one.circuit.id">
          <v-expansion-panel-title>
            <b class="num space">{{ spaceMark(one.circuit) ?? '–' }}</b>
            <span class="grow name">{{ one.circuit.name }}</span>
            <span class="num">{{ one.circuit.ratingA }} A</span>
            <b v-if="!one.before" class="new">new</b>
            <b v-else-if="one.moved" class="num moved">+{{ one.moved }}</b>
          </v-expansion-panel-title>
          <v-expansion-panel-text>
            <p class="small">
              {{ count(one.devices.length, 'outlet') }} on No. {{ one.circuit.awg }}: {{ one.why }}
              <span class="muted num">{{ one.section }}</span>
            </p>
          </v-expansion-panel-text>
        </v-expansion-panel>
      </v-expansion-panels>
      <p v-if="plan.removed.length" class="small">
        No longer needed: {{ plan.removed.map((one) => one.name).join(', ') }}
      </p>
    </div>
  </section>
</template>

<style scoped>
.planned {
  border-color: var(--chalk);
  background: var(--card);
}
header {
  flex-wrap: nowrap;
  font-size: 14px;
  padding: 10px 40px 10px 12px;
  border-bottom: 1px solid var(--rule);
}
.count {
  font-size: 28px;
}
.body {
  flex: 1;
  overflow-y: auto;
  padding: 8px 12px;
}
table {
  width: 100%;
  border-collapse: collapse;
  font-size: 13.5px;
}
th {
  text-align: right;
  font: 600 12px var(--numbers);
  letter-spacing: 0.06em;
  text-transform: uppercase;
  color: var(--muted);
}
td {
  border-top: 1px solid var(--rule);
  padding: 2px 0;
}
td.num {
  text-align: right;
  font-size: 16px;
}
td.is {
  font-weight: 700;
}
td.better {
  color: var(--reached-ink);
}
.conflict {
  border-left: 4px solid var(--violation);
  padding-left: 10px;
  margin: 6px 0;
}
.small {
  font-size: 12.5px;
  line-height: 1.4;
}
.space {
  width: 24px;
  font-size: 17px;
}
.name {
  overflow: hidden;
  text-overflow: ellipsis;
  white-space: nowrap;
}
.new,
.moved {
  color: var(--chalk);
}
</style>
