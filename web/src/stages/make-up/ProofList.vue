<script setup lang="ts">
import { computed } from 'vue';
import { count, isUnseenUnit, netlistOf, toSpice, wireHouse, type Proof } from '@winculum/core';
import { download } from '../../frame/download';
import { useHouse } from '../../stores/house';
import { useView } from '../../stores/view';

/** What the simulation of every position found, circuit by circuit; each can be taken along as a netlist. */
const props = defineProps<{ proofs: ReadonlyMap<string, Proof> }>();
const store = useHouse();
const view = useView();
const rows = computed(() =>
  wireHouse(store.current)
    .units.filter((one) => one.runs.length > 0)
    .map((one) => ({
      one,
      proof: props.proofs.get(one.unit.id)!,
      name: one.unit.circuits.map((c) => c.name).join(' and '),
    })),
);
function exportSpice(row: (typeof rows.value)[number]): void {
  const net = netlistOf(row.one, wireHouse(store.current).boxes);
  download(`${row.name}.cir`, 'text/plain', toSpice(net, new Map(), `${store.current.name}: ${row.name}`));
}
const show = (positions: readonly number[]) => positions.map((one) => (one === 1 ? 'up' : 'down')).join(', ');
const pick = (id: string) => view.select([{ kind: 'circuit', id }]);
</script>

<template>
  <section class="proofs" aria-label="Proof">
    <p class="muted lead">
      Made from the cards, not from the intention: every conductor, splice and screw is followed in every position of
      every switch. It proves the plan, not the work: test before you energize.
    </p>
    <article v-for="row in rows" :key="row.one.unit.id" class="circuit">
      <header>
        <v-btn class="name" variant="text" size="small" @click="pick(row.one.unit.id)">{{ row.name }}</v-btn>
        <span v-if="isUnseenUnit(row.one)" class="muted">exists, and nobody has seen how it runs: not proved</span>
        <b v-else :class="row.proof.ok ? 'good' : 'is-violation'">{{ row.proof.ok ? '✓ proved' : '✗ not sound' }}</b>
        <span class="grow" />
        <v-btn @click="exportSpice(row)">SPICE netlist</v-btn>
      </header>
      <template v-if="!isUnseenUnit(row.one)">
        <p v-for="group in row.proof.groups" :key="group.group.id" class="group">
          <b>{{ group.flaws.length === 0 ? '✓' : '✗' }}</b> {{ group.group.name }}:
          <template v-if="group.flaws.length === 0"
            >{{ group.positions }} of {{ group.positions }} positions of
            {{ count(group.group.switches.length, 'switch', 'switches') }}</template
          >
          <template v-else>
            <span v-for="flaw in group.flaws" :key="flaw.message" class="flaw is-violation"
              >{{ flaw.message }}
              <template v-if="flaw.positions.length"> Switches {{ show(flaw.positions) }}.</template>
              <template v-if="flaw.path.length"> By {{ flaw.path.join(' → ') }}.</template></span
            >
          </template>
        </p>
        <p v-for="flaw in row.proof.flaws" :key="flaw.message" class="is-violation">{{ flaw.message }}</p>
        <p v-if="row.proof.ok && !row.proof.groups.length" class="muted">
          always live, grounded, no hot to neutral or ground
        </p>
      </template>
    </article>
  </section>
</template>

<style scoped>
.proofs {
  display: grid;
  gap: 10px;
}
.lead {
  max-width: 76ch;
}
.circuit {
  background: var(--card);
  border: 1px solid var(--rule);
  border-radius: 4px;
  padding: 6px 14px 8px;
}
header {
  display: flex;
  align-items: center;
  gap: 12px;
}
.name {
  border: 0;
  background: none;
  font: 600 16px var(--words);
  color: var(--ink);
  min-height: 44px;
  cursor: pointer;
}
.good,
.group b {
  color: var(--reached-ink);
}
.flaw {
  display: block;
}
</style>
