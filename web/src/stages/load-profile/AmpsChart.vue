<script setup lang="ts">
import { CategoryScale, Chart, LinearScale, LineController, LineElement, PointElement, Filler } from 'chart.js';
import { computed } from 'vue';
import { Line } from 'vue-chartjs';
import { useTheme } from 'vuetify';

Chart.register(LineController, LineElement, PointElement, LinearScale, CategoryScale, Filler);
Chart.defaults.font.family = "'Barlow', sans-serif";

/** Amperes by quarter of an hour, with the rating as a dashed line and the moment of a trip. */
const props = defineProps<{
  quarters: readonly number[];
  ratingA?: number | undefined;
  tripS?: number | undefined;
  title: string;
}>();
const theme = useTheme();
const ink = computed(() => (theme.global.name.value === 'dark' ? '#e9e4d8' : '#22302f'));
const labels = Array.from({ length: 96 }, (_, q) => `${Math.floor(q / 4)}:${String((q % 4) * 15).padStart(2, '0')}`);
const data = computed(() => ({
  labels,
  datasets: [
    {
      data: [...props.quarters],
      borderColor: '#1F5C7A',
      backgroundColor: 'rgba(31, 92, 122, 0.18)',
      borderWidth: 2,
      fill: true,
      stepped: 'middle' as const,
      pointRadius: props.quarters.map((_, q) => (q === Math.floor((props.tripS ?? -1) / 900) ? 7 : 0)),
      pointStyle: 'crossRot' as const,
      pointBorderColor: '#B3261E',
      pointBorderWidth: 3,
    },
    ...(props.ratingA === undefined
      ? []
      : [
          {
            data: props.quarters.map(() => props.ratingA!),
            borderColor: '#B3261E',
            borderDash: [6, 4],
            borderWidth: 1.5,
            pointRadius: 0,
          },
        ]),
  ],
}));
const options = computed(() => ({
  responsive: true,
  maintainAspectRatio: false,
  animation: false as const,
  scales: {
    x: { ticks: { color: ink.value, maxTicksLimit: 13, maxRotation: 0 }, grid: { display: false } },
    y: { beginAtZero: true, ticks: { color: ink.value, callback: (value: string | number) => `${value} A` } },
  },
}));
</script>

<template>
  <div class="chart"><Line :data="data" :options="options" role="img" :aria-label="title" /></div>
</template>

<style scoped>
.chart {
  height: 230px;
  position: relative;
}
</style>
