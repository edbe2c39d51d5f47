<script setup lang="ts">
import { computed } from 'vue';
import { futuresOf, type originsOf } from '@winculum/core';
import { useHouse } from '../../stores/house';

/** Every end that waits in the walls, and who asked for what. */
defineProps<{ origins: ReturnType<typeof originsOf> }>();
const store = useHouse();
const futures = computed(() => futuresOf(store.current));
</script>

<template>
  <section class="leaf">
    <h2>Prepared for later</h2>
    <p v-if="!futures.length" class="muted">
      Nothing yet: a box with the state “future”, a sleeve, a spare gang or a free breaker is listed here with its
      place.
    </p>
    <v-table v-else density="compact">
      <thead>
        <tr>
          <th>What</th>
          <th>Where it ends</th>
          <th>For</th>
        </tr>
      </thead>
      <tbody>
        <tr v-for="(one, i) in futures" :key="i">
          <td>{{ one.what }}</td>
          <td class="num">{{ one.where }}</td>
          <td>{{ one.note }}</td>
        </tr>
      </tbody>
    </v-table>
  </section>
  <section class="leaf">
    <h2>Who requested the boxes</h2>
    <p>
      <b class="num">{{ origins.code }}</b> are required by the code, <b class="num">{{ origins.requested }}</b> by
      people. Compare bids by the first number.
    </p>
    <ul>
      <li v-for="one in origins.byWhom" :key="one.by">
        <b class="num">{{ one.n }}</b> {{ one.by }}
      </li>
    </ul>
  </section>
</template>

<style scoped>
.leaf {
  background: var(--card);
  border: 1px solid var(--rule);
  border-radius: 6px;
  padding: 10px 14px;
  display: grid;
  gap: 6px;
}
</style>
