<script setup lang="ts">
import { computed } from 'vue';
import { fillLines, type BoxFill } from '@winculum/core';

/** The sum of 314.16(B) for a box, line by line. */
const props = defineProps<{ fill: BoxFill }>();
const share = computed(() => Math.min(1, props.fill.usedIn3 / (props.fill.allowedIn3 ?? 1)));
</script>

<template>
  <section class="fill">
    <h3 class="small-caps">Box fill 314.16</h3>
    <table>
      <tbody>
        <tr v-for="line in fillLines(fill)" :key="line.what" :title="line.section">
          <td class="num">{{ line.count }}</td>
          <td>{{ line.what }}</td>
          <td class="num value">{{ line.in3.toFixed(2) }}</td>
        </tr>
        <tr class="sum">
          <td></td>
          <td>used of {{ fill.allowedIn3 ?? '?' }} in³</td>
          <td class="num value big" :class="{ over: fill.fits === false }">{{ fill.usedIn3.toFixed(2) }}</td>
        </tr>
      </tbody>
    </table>
    <div class="bar" aria-hidden="true">
      <span :class="{ over: fill.fits === false }" :style="{ width: `${share * 100}%` }" />
    </div>
    <p v-if="fill.fits === false" class="is-violation">
      Too full.
      {{
        fill.remedy
          ? `Take the ${fill.remedy.name}.`
          : 'No box of the catalogue holds it: bring fewer cables, or set a second box.'
      }}
    </p>
  </section>
</template>

<style scoped>
.fill h3 {
  margin-top: 0;
}
table {
  width: 100%;
  border-collapse: collapse;
}
td {
  padding: 1px 4px 1px 0;
  vertical-align: baseline;
}
td.num {
  font-weight: 700;
  font-size: 16px;
}
.value {
  text-align: right;
}
.sum td {
  border-top: 1px solid var(--ink);
}
td.big {
  font-size: 24px;
  color: var(--reached-ink);
}
td.over {
  color: var(--violation);
}
.bar {
  height: 9px;
  border-radius: 5px;
  background: var(--rail);
  overflow: hidden;
}
.bar span {
  display: block;
  height: 100%;
  background: var(--reached);
}
.bar .over {
  background: var(--violation);
}
@media print {
  .bar {
    display: none;
  }
  td.num {
    font-size: 12.5px;
  }
  td.big {
    font-size: 17px;
  }
}
</style>
