<script setup lang="ts">
import { computed } from 'vue';
import { measureCircuitLoad, showSum, type CableRun, type Circuit } from '@winculum/core';
import { useHouse } from '../../stores/house';

/** How full a circuit is, and the sum behind its sizes. */
const props = defineProps<{ circuit: Circuit; run: CableRun | undefined }>();
const store = useHouse();
const house = computed(() => store.current);
const load = computed(() => measureCircuitLoad(house.value, props.circuit));
const isByArea = computed(() => house.value.standards.receptacleCount === 'area');
</script>

<template>
  <p class="figures">
    <b class="num percent" :class="{ 'is-violation': load.used > 1 }">{{ Math.round(load.used * 100) }} %</b
    ><span
      >{{ Math.round(load.va) }} VA, {{ load.amps.toFixed(1) }} A<br /><span class="muted"
        >of {{ load.allowedA.toFixed(0) }} A by the firm's standard</span
      ></span
    >
  </p>
  <v-expansion-panels :model-value="0">
    <v-expansion-panel title="Show the sum">
      <v-expansion-panel-text>
        <table>
          <tbody>
            <tr v-if="load.generalReceptacles > 0">
              <td>
                {{ load.generalReceptacles }} × general receptacles<span class="muted source">{{
                  isByArea
                    ? 'in the area load of the house: no VA of their own'
                    : 'shop standard: 180 VA a yoke, for the percentage alone'
                }}</span>
              </td>
              <td class="num">{{ isByArea ? 0 : load.generalReceptacles * 180 }} VA</td>
            </tr>
            <tr v-for="(step, i) in showSum(house, circuit, run)" :key="i" :class="{ 'is-violation': step.wrong }">
              <td>
                {{ step.what }}<span class="muted source">{{ step.section }}</span>
              </td>
              <td class="num sum">{{ step.sum }}</td>
            </tr>
          </tbody>
        </table>
      </v-expansion-panel-text>
    </v-expansion-panel>
  </v-expansion-panels>
</template>

<style scoped>
.figures {
  display: flex;
  gap: 14px;
  align-items: center;
  font-size: 14px;
}
.percent {
  white-space: nowrap;
  font-size: 42px;
  line-height: 1;
  font-weight: 700;
}
table {
  width: 100%;
  border-collapse: collapse;
  font-size: 13px;
}
td {
  padding: 3px 0;
  vertical-align: top;
}
td.num {
  text-align: right;
  font-size: 15px;
  padding-left: 10px;
  text-wrap: balance;
}
tr + tr td {
  border-top: 1px solid var(--rule);
}
.source {
  display: block;
  font-size: 12px;
}
</style>
