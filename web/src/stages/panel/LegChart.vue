<script setup lang="ts">
import { BarController, BarElement, CategoryScale, Chart, LinearScale } from 'chart.js';
import { computed } from 'vue';
import { Bar } from 'vue-chartjs';
import { useTheme } from 'vuetify';
import type { PanelSchedule } from '@winculum/core';

Chart.register(BarController, BarElement, CategoryScale, LinearScale);
Chart.defaults.font.family = "'Barlow', sans-serif";
const props = defineProps<{ schedule: PanelSchedule }>();
const theme = useTheme();
const ink = computed(() => (theme.global.name.value === 'dark' ? '#e9e4d8' : '#22302f'));
const data = computed(() => ({
  labels: ['leg A', 'leg B'],
  datasets: [
    {
      data: [props.schedule.legVa.A, props.schedule.legVa.B],
      backgroundColor: ['#1F5C7A', '#D9B785'],
      borderColor: ink.value,
      borderWidth: 1,
      barThickness: 18,
    },
  ],
}));
const options = computed(() => ({
  indexAxis: 'y' as const,
  responsive: true,
  maintainAspectRatio: false,
  animation: false as const,
  scales: {
    x: {
      beginAtZero: true,
      // An empty panel has a scale too.
      suggestedMax: 1000,
      ticks: { color: ink.value, callback: (value: string | number) => `${Number(value) / 1000} kVA` },
      grid: { display: false },
    },
    y: { ticks: { color: ink.value }, grid: { display: false } },
  },
}));
</script>

<template>
  <section class="legs">
    <p>
      <b class="num big">{{ Math.round(schedule.imbalance * 100) }} %</b><br /><span class="muted"
        >apart, leg A to leg B</span
      >
    </p>
    <div class="chart">
      <Bar
        :data="data"
        :options="options"
        role="img"
        :aria-label="`Leg A ${Math.round(schedule.legVa.A)} VA, leg B ${Math.round(schedule.legVa.B)} VA`"
      />
    </div>
    <p>
      <b class="num big">{{ schedule.freeSpaces }}</b><br /><span class="muted">spaces free</span>
    </p>
  </section>
</template>

<style scoped>
.legs {
  display: flex;
  gap: 24px;
  align-items: center;
  background: var(--card);
  border: 1px solid var(--rule);
  border-radius: 6px;
  padding: 10px 18px;
}
.chart {
  flex: 1;
  height: 92px;
  min-width: 0;
  position: relative;
}
.big {
  font-size: 32px;
  line-height: 1;
}
p {
  white-space: nowrap;
}
</style>
