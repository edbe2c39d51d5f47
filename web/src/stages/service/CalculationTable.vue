<script setup lang="ts">
import type { LoadCalculation } from '@winculum/core';

/** A load calculation as it is written on the form: every line with its sum and its section. */
defineProps<{ title: string; calculation: LoadCalculation; decides?: boolean }>();
const va = (value: number) => (value === 0 ? '' : Math.round(value).toLocaleString('en-US'));
</script>

<template>
  <section class="calculation" :class="{ decides }">
    <header>
      <h2>{{ title }}</h2>
      <b class="num amps">{{ calculation.amps.toFixed(0) }} A</b>
    </header>
    <v-table density="compact" class="lines">
      <thead>
        <tr>
          <th>Load</th>
          <th>Sum</th>
          <th class="amount">VA</th>
          <th>Section</th>
        </tr>
      </thead>
      <tbody>
        <tr v-for="line in calculation.lines" :key="line.what" :class="{ part: line.va === 0 }">
          <td>{{ line.what }}</td>
          <td class="num">{{ line.sum }}</td>
          <td class="num amount">{{ va(line.va) }}</td>
          <td class="num muted">{{ line.section }}</td>
        </tr>
        <tr class="total">
          <td colspan="2">Total ÷ {{ calculation.volts }} V</td>
          <td class="num amount">{{ va(calculation.va) }}</td>
          <td class="num">{{ calculation.amps.toFixed(1) }} A</td>
        </tr>
      </tbody>
    </v-table>
    <p v-for="text in calculation.assumed" :key="text" class="is-caution">{{ text }}</p>
  </section>
</template>

<style scoped>
.calculation {
  background: var(--card);
  border: 1px solid var(--rule);
  border-radius: 6px;
  padding: 12px 14px;
}
.calculation.decides {
  border-color: var(--chalk);
}
header {
  display: flex;
  justify-content: space-between;
  align-items: baseline;
  gap: 12px;
}
h2 {
  font-size: 17px;
  font-weight: 700;
}
.amps {
  font-size: 28px;
}
.lines {
  background: transparent;
  font-size: 13px;
}
.lines :deep(td),
.lines :deep(th) {
  padding: 3px 8px 3px 0 !important;
  height: auto !important;
  vertical-align: top;
}
.right {
  text-align: right !important;
  white-space: nowrap;
}
.part td {
  color: var(--muted);
}
.total td {
  font-weight: 700;
  border-top: 2px solid var(--ink) !important;
}
@media print {
  .calculation {
    break-inside: avoid;
  }
}
</style>
