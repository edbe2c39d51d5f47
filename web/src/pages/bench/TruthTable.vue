<script setup lang="ts">
import { computed } from 'vue';
import { positionsOf, sightsOf, type Netlist } from '@winculum/core';

/** What the lamps of a group do in every position of its switches; the row as they stand is marked. */
const props = defineProps<{ net: Netlist; letter: string; up: Readonly<Record<string, number>> }>();
const MOST_ROWS = 32;
const group = computed(() => props.net.groups.find((one) => one.id === props.letter)!);
const switches = computed(() => props.net.switches.filter((one) => group.value.switches.includes(one.id)));
const all = computed(() => positionsOf(switches.value.length));
const rows = computed(() => {
  const sights = sightsOf(props.net, props.letter);
  return all.value.slice(0, MOST_ROWS).map((row, i) => ({ row, sights: sights[i]! }));
});
const hasLampsAlone = computed(() => props.net.loads.every((one) => one.group !== props.letter || one.kind === 'lamp'));
/** A lamp is lit or dark; a heater or a fan is on or off. */
const OTHERWISE: Readonly<Record<string, string>> = { lit: 'on', dark: 'off' };
const inWords = (sight: string) => (hasLampsAlone.value ? sight : (OTHERWISE[sight] ?? sight));
/** Several that do the same need one word. */
const wordsOf = (all: readonly string[]) => saidOf(all.map(inWords));
const saidOf = (sights: readonly string[]) =>
  new Set(sights).size === 1 ? `${sights.length > 1 ? 'all ' : ''}${sights[0]}` : sights.join(', ') || '–';
const stands = (row: readonly number[]) => row.every((p, i) => p === (props.up[switches.value[i]!.id] ?? 0));
</script>

<template>
  <section class="truth">
    <h2 class="small-caps">Truth table{{ net.groups.length > 1 ? ` of ${letter}` : '' }}</h2>
    <table>
      <thead>
        <tr>
          <th v-for="one in switches" :key="one.id">{{ one.label }}</th>
          <th>{{ hasLampsAlone ? 'lamp' : 'loads' }}</th>
        </tr>
      </thead>
      <tbody>
        <tr v-for="one in rows" :key="one.row.join()" :class="{ here: stands(one.row) }">
          <td v-for="(p, i) in one.row" :key="i">{{ p ? 'up' : 'down' }}</td>
          <td>
            <b>{{ wordsOf(one.sights) }}</b>
          </td>
        </tr>
      </tbody>
    </table>
    <p v-if="all.length > rows.length" class="muted">and {{ all.length - rows.length }} more positions</p>
  </section>
</template>

<style scoped>
.truth {
  overflow-x: auto;
}
table {
  border-collapse: collapse;
}
th,
td {
  text-align: left;
  padding: 2px 12px 2px 0;
  border-bottom: 1px solid var(--rule);
}
th {
  font: 600 12px var(--numbers);
  color: var(--muted);
}
.here {
  background: var(--chalk-soft);
}
</style>
