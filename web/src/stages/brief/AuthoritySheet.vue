<script setup lang="ts">
import { computed } from 'vue';
import { compareEditions, count, EDITIONS } from '@winculum/core';
import RulingLines from '../../frame/RulingLines.vue';
import { rulingsOf } from '../../frame/decision-words';
import { useHouse } from '../../stores/house';
import { useView } from '../../stores/view';

/** Which code holds here and who says so, and what this house would have to change under another edition. */
const store = useHouse();
const view = useView();
const job = computed(() => store.current.job);
const rulings = computed(() => rulingsOf(store.current));
const others = computed(() =>
  EDITIONS.filter((one) => one !== job.value.edition).map((edition) => {
    const { sides, outlets, fresh, gone } = compareEditions(store.current, job.value.edition, edition);
    return { edition, outlets: outlets.length, fresh, gone, dollars: Math.round(sides[1].cost - sides[0].cost) };
  }),
);
const signed = (dollars: number) => `${dollars > 0 ? '+' : dollars < 0 ? '−' : ''}$${Math.abs(dollars)}`;
</script>

<template>
  <section class="leaf">
    <h2>NEC {{ job.edition }}{{ job.authority ? `, ${job.authority}` : '' }}</h2>
    <p v-if="job.permitDate">Fixed by the permit of {{ job.permitDate }}.</p>
    <p v-else class="is-caution">
      No permit date yet: until it is entered the edition may change. Ask the authority which edition and which local
      amendments it holds to.
    </p>
    <v-btn @click="view.job = 'job'">Authority and permit</v-btn>
  </section>
  <section class="leaf">
    <h2>What another edition would change</h2>
    <v-table density="compact" aria-label="Other editions">
      <thead>
        <tr>
          <th>Edition</th>
          <th class="amount">Breakers, typical prices</th>
          <th class="amount">Protections that change</th>
          <th class="amount">Violations that come</th>
          <th class="amount">and go</th>
        </tr>
      </thead>
      <tbody>
        <tr v-for="one in others" :key="one.edition">
          <td class="num">NEC {{ one.edition }}</td>
          <td class="num amount">{{ signed(one.dollars) }}</td>
          <td class="num amount">{{ one.outlets }}</td>
          <td class="num amount" :class="{ 'is-violation': one.fresh.length }">{{ one.fresh.length }}</td>
          <td class="num amount">{{ one.gone.length }}</td>
        </tr>
      </tbody>
    </v-table>
    <template v-for="one in others" :key="one.edition">
      <h3 v-if="one.fresh.length">Under NEC {{ one.edition }}</h3>
      <ul v-if="one.fresh.length" :aria-label="`Violations under NEC ${one.edition}`">
        <li v-for="finding in one.fresh.slice(0, 12)" :key="finding.key">
          {{ finding.message }} <span class="muted num">{{ finding.section }}</span>
        </li>
        <li v-if="one.fresh.length > 12" class="muted">and {{ count(one.fresh.length - 12, 'more') }}</li>
      </ul>
    </template>
    <p class="muted small">
      Of boxes and circuits as they are drawn; prices of breakers are typical, and no labor is in them. Values of the
      code are recalled from memory.
    </p>
  </section>
  <section class="leaf">
    <h2>Amendments and rulings</h2>
    <p v-if="!rulings.length" class="muted">None is written down.</p>
    <ul>
      <RulingLines :house="store.current" />
    </ul>
    <v-btn @click="view.job = 'decisions'">Amendments and rulings</v-btn>
  </section>
</template>
