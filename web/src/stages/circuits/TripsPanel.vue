<script setup lang="ts">
import { computed, ref } from 'vue';
import { count, outagesIn, type Outage } from '@winculum/core';
import { useHouse } from '../../stores/house';
import { useView } from '../../stores/view';
import { numberOf } from '../../drawing/circuit-colors';

/** For every breaker and GFCI: what goes dead when it trips. */
const store = useHouse();
const view = useView();
const onlyGrave = ref(false);
const circuits = computed(() => Object.values(store.current.circuits));
const isGrave = (one: Outage) => one.waysDark.length + one.thaws.length + one.stops.length > 0;
const outages = computed(() => outagesIn(store.current).filter((one) => !onlyGrave.value || isGrave(one)));
const names = (rooms: readonly { name: string }[]) => rooms.map((one) => one.name).join(', ');

/** The boxes that would be dead are picked on the plan. */
function show(one: Outage): void {
  view.select([...new Set(one.outlets.map((outlet) => outlet.box.id))].map((id) => ({ kind: 'box', id })));
}
</script>

<template>
  <section aria-label="What goes dead on each trip">
    <v-checkbox
      v-model="onlyGrave"
      class="pad"
      density="compact"
      hide-details
      label="only those that darken a way, thaw or stop something"
    />
    <ol>
      <li v-for="(one, i) in outages" :key="i" :class="{ grave: isGrave(one) }">
        <v-btn class="face wraps leads" variant="text" block @click="show(one)">
          <b class="num">{{ numberOf(one.circuit, circuits) }}</b>
          <span class="grow">{{
            one.by.kind === 'breaker' ? one.circuit.name : `GFCI ${one.by.outlet.box.tag}, ${one.circuit.name}`
          }}</span>
          <span class="muted dead">{{ count(one.outlets.length, 'outlet') }}</span>
        </v-btn>
        <p v-if="one.dark.length">dark: {{ names(one.dark) }}</p>
        <p v-if="one.waysDark.length" class="is-caution">a way without light: {{ names(one.waysDark) }}</p>
        <p v-if="one.thaws.length" class="is-caution">
          thaws: {{ one.thaws.map((outlet) => outlet.load!.name).join(', ') }}
        </p>
        <p v-if="one.stops.length" class="is-caution">
          stops: {{ one.stops.map((outlet) => outlet.load?.name ?? `alarm ${outlet.box.tag}`).join(', ') }}
        </p>
      </li>
    </ol>
    <p v-if="!outages.length" class="muted pad">Nothing is on a circuit yet.</p>
  </section>
</template>

<style scoped>
.pad {
  flex-wrap: nowrap;
  padding: 8px 12px;
  font-size: 13.5px;
}
ol {
  list-style: none;
  padding: 0;
  margin: 0;
  font-size: 13.5px;
}
li {
  border-top: 1px solid var(--rule);
  border-left: 5px solid var(--rule);
  padding: 2px 12px;
}
li.grave {
  border-left-color: var(--caution);
}
.face {
  width: 100%;
  display: flex;
  gap: 8px;
  align-items: center;
  border: 0;
  background: none;
  color: var(--ink);
  font-size: 14.5px;
  font-weight: 600;
  text-align: left;
  min-height: 44px;
  cursor: pointer;
}
.dead {
  font-weight: 400;
}
li p {
  margin: 0 0 6px;
}
</style>
