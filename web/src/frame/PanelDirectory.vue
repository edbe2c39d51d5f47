<script setup lang="ts">
import { computed, ref } from 'vue';
import { VBtn } from 'vuetify/components/VBtn';
import { breakerMark, count, outagesOn, scheduleOf, stateOf, testScript, type House } from '@winculum/core';

/** The directory of every panel, for the person who stands before it: which breaker is it, and what goes dead with it. */
const props = defineProps<{ house: House; printed?: boolean }>();
const panels = computed(() => Object.values(props.house.panels).map((one) => scheduleOf(props.house, one.id)));
const sought = ref<string | null>('');
const open = ref('');

const deadOf = (id: string) => {
  const circuit = props.house.circuits[id];
  const [whole] = circuit ? outagesOn(props.house, circuit) : [];
  return (whole?.outlets ?? []).map((one) => `${one.load?.name ?? one.device.kind}, ${one.room.name} (${one.box.tag})`);
};
/** What was found when each breaker was switched off; nothing is said of it before the first was tried. */
const tested = computed(() => {
  const steps = testScript(props.house).filter((one) => one.id.startsWith('off-'));
  const states = steps.map((one) => [one.id, stateOf(one, props.house.results[one.id])] as const);
  return states.every(([, state]) => state === 'open') ? undefined : new Map(states);
});
function triedOf(id: string): { readonly word: string; readonly isWrong: boolean } | undefined {
  const state = tested.value?.get(`off-${id}`.slice(0, 64));
  if (!state) return undefined;
  const result = props.house.results[`off-${id}`.slice(0, 64)];
  if (state === 'right') return { word: `tried on ${result!.date}: this and nothing else goes dead`, isWrong: false };
  if (state === 'wrong')
    return { word: `tried on ${result!.date}: not so, ${result!.note || 'look again'}`, isWrong: true };
  return { word: state === 'again' ? 'changed since it was tried' : 'not tried yet', isWrong: true };
}
const shown = computed(() =>
  panels.value.map((schedule) => ({
    schedule,
    rows: schedule.rows
      .filter((row) => !row.continued && (row.circuit || row.feeder))
      .map((row) => ({
        ...row,
        id: row.circuit?.id ?? row.feeder!.id,
        ratingA: (row.circuit ?? row.feeder)!.ratingA,
        dead: row.circuit ? deadOf(row.circuit.id) : [],
        tried: row.circuit ? triedOf(row.circuit.id) : undefined,
      }))
      .filter((row) => {
        const words = (sought.value ?? '').toLowerCase().split(/\s+/).filter(Boolean);
        const text = `${row.directory} ${row.dead.join(' ')}`.toLowerCase();
        return words.every((one) => text.includes(one));
      }),
  })),
);
</script>

<template>
  <v-text-field
    v-if="!printed"
    v-model="sought"
    label="Which breaker is it?"
    placeholder="a room, a thing, a box tag"
    persistent-placeholder
    clearable
  />
  <section v-for="{ schedule, rows } in shown" :key="schedule.panel.id" class="leaf" :aria-label="schedule.panel.name">
    <h2>
      {{ schedule.panel.name }}
      <span class="muted">{{ house.rooms[schedule.panel.room]?.name }}, {{ schedule.panel.mainA }} A</span>
    </h2>
    <p v-if="!rows.length" class="muted">Nothing here by that name.</p>
    <p v-if="schedule.unplaced.length" class="is-caution">
      Not in a space yet: {{ schedule.unplaced.map((one) => one.name).join(', ') }}
    </p>
    <ul>
      <li v-for="row in rows" :key="`${row.space}${row.half ?? ''}`">
        <component
          :is="printed ? 'div' : VBtn"
          class="line"
          v-bind="printed ? {} : { variant: 'text', block: true, 'aria-expanded': open === row.id }"
          @click="open = open === row.id ? '' : row.id"
        >
          <b class="num space">{{ row.space }}{{ row.half?.toUpperCase() }}</b>
          <span class="grow words">{{ row.directory }}</span>
          <span class="num muted">{{ row.ratingA }} A {{ row.breaker ? breakerMark(row.breaker) : '' }}</span>
        </component>
        <p v-if="printed || open === row.id" class="dead muted">
          {{ row.dead.length ? `Goes dead: ${row.dead.slice(0, 40).join('; ')}` : 'Feeds another panel.' }}
          <span v-if="row.tried" :class="{ 'is-caution': row.tried.isWrong }">· {{ row.tried.word }}</span>
          <template v-if="row.dead.length > 40">and {{ count(row.dead.length - 40, 'more outlet') }}</template>
        </p>
      </li>
    </ul>
  </section>
</template>

<style scoped>
h2 .muted {
  font-size: 13px;
  font-weight: 400;
}
li {
  border-top: 1px solid var(--rule);
  break-inside: avoid;
}
.line {
  display: flex;
  min-height: 44px;
  height: auto !important;
  padding: 4px 0 !important;
  align-items: center;
  gap: 10px;
}
.line :deep(.v-btn__content) {
  display: flex;
  gap: 10px;
  width: 100%;
  white-space: normal;
  text-align: left;
}
.space {
  font-size: 20px;
  min-width: 30px;
}
.dead {
  padding: 0 0 6px 40px;
  font-size: 12.5px;
}
@media print {
  .line {
    min-height: 0;
  }
}
</style>
