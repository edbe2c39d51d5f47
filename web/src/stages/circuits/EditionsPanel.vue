<script setup lang="ts">
import { computed, ref } from 'vue';
import { BREAKER_NAMES, compareEditions, EDITIONS, type ProtectionDecision, type Edition } from '@winculum/core';
import { useHouse } from '../../stores/house';
import { useView } from '../../stores/view';

/** The same house under two editions of the code. */
const store = useHouse();
const view = useView();
const here = store.current.job.edition;
const before = ref<Edition>(here === '2014' ? '2023' : EDITIONS[EDITIONS.indexOf(here) - 1]!);
const after = ref<Edition>(here);
const lens = computed(() => compareEditions(store.current, before.value, after.value));
const say = (decision: ProtectionDecision) =>
  ({ required: 'required', 'not-required': 'not required', 'cannot-tell': 'cannot tell' })[decision.kind];
const editions = EDITIONS.map((value) => ({ value, title: `NEC ${value}` }));
</script>

<template>
  <section class="stack" aria-label="Two editions side by side">
    <div class="row">
      <v-select v-model="before" single-line aria-label="One edition" :items="editions" />
      <v-select v-model="after" single-line aria-label="The other edition" :items="editions" />
    </div>
    <p class="muted small">
      In force on this job: NEC {{ store.current.job.edition
      }}<template v-if="store.current.job.permitDate"
        >, frozen by the permit of {{ store.current.job.permitDate }}</template
      ><template v-else>; enter the permit date under Job, which freezes it</template>.
    </p>
    <table>
      <thead>
        <tr>
          <th><span class="visually-hidden">what</span></th>
          <th v-for="side in lens.sides" :key="side.edition">{{ side.edition }}</th>
        </tr>
      </thead>
      <tbody>
        <tr v-for="(word, kind) in BREAKER_NAMES" :key="kind">
          <td>breakers, {{ word }}</td>
          <td v-for="(side, i) in lens.sides" :key="i" class="num">{{ side.breakers[kind] }}</td>
        </tr>
        <tr>
          <td>breakers, $ typical</td>
          <td v-for="(side, i) in lens.sides" :key="i" class="num">{{ Math.round(side.cost) }}</td>
        </tr>
        <tr>
          <td>violations</td>
          <td v-for="(side, i) in lens.sides" :key="i" class="num">{{ side.violations }}</td>
        </tr>
      </tbody>
    </table>
    <h2>
      <b class="num">{{ lens.outlets.length }}</b> protections change
    </h2>
    <p v-for="(one, i) in lens.outlets" :key="i" class="small">
      <v-btn class="tag num" size="x-small" @click="view.select([{ kind: 'box', id: one.outlet.box.id }])">
        {{ one.outlet.box.tag }}
      </v-btn>
      {{ one.outlet.load?.name ?? one.outlet.device.kind }}: {{ one.what }} {{ say(one.before) }} →
      <b>{{ say(one.after) }}</b>{{ ' '
      }}<span class="muted">{{ one.after.kind === 'required' ? one.after.reason : '' }}</span>
    </p>
    <template
      v-for="[title, list] in [
        [`only ${after} objects`, lens.fresh],
        [`only ${before} objects`, lens.gone],
      ] as const"
      :key="title"
    >
      <h2 v-if="list.length">{{ title }}</h2>
      <p v-for="one in list" :key="one.key" class="small">
        <span class="num is-violation">{{ one.section }}</span> {{ one.message }}
      </p>
    </template>
  </section>
</template>

<style scoped>
section .row {
  flex-wrap: nowrap;
}
section {
  padding: 10px 12px;
}
table {
  width: 100%;
  border-collapse: collapse;
  font-size: 14px;
}
th {
  text-align: right;
  font: 700 15px var(--numbers);
}
td {
  border-top: 1px solid var(--rule);
}
td.num {
  text-align: right;
  font-size: 16px;
}
h2 {
  font: 600 15px var(--words);
}
.small {
  font-size: 13px;
  line-height: 1.4;
}
.tag {
  border: 0;
  background: none;
  color: var(--chalk);
  font-size: 15px;
  font-weight: 700;
  min-height: 30px;
  cursor: pointer;
}
</style>
