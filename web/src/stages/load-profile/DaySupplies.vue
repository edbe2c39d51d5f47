<script setup lang="ts">
import { computed } from 'vue';
import { clock, type FittedDay, type SupplyDay } from '@winculum/core';

/** What main, cord, feeders and sources are asked for in a day; which of them is asked for too much; and the day that was fitted to one. */
const props = defineProps<{
  supplies: readonly SupplyDay[];
  fitted: { readonly name: string; readonly day: FittedDay } | null;
  isDay: boolean;
}>();
const emit = defineEmits<{ fit: [id: string]; usual: [] }>();
const strained = computed(() => props.supplies.filter((one) => one.overAtS !== undefined));
</script>

<template>
  <article v-if="fitted" class="fitted" aria-label="The fitted day">
    <h3>A day that {{ fitted.name.charAt(0).toLowerCase() + fitted.name.slice(1) }} carries</h3>
    <p v-if="!fitted.day.rules.length">Everything runs at its usual hour.</p>
    <ul v-else>
      <li v-for="rule in fitted.day.rules" :key="rule">{{ rule }}</li>
    </ul>
    <v-btn size="small" @click="emit('usual')">Back to the usual day</v-btn>
  </article>
  <article v-for="one in strained" :key="one.id" class="trip">
    <h3>
      {{ one.name }} {{ one.kind === 'breaker' ? 'trips' : 'is asked for more than it gives'
      }}<template v-if="isDay"> at {{ clock(one.overAtS!) }}</template>
    </h3>
    <p>
      <b class="num">{{ Math.round(100 * one.most) }} %</b> of it at most:
      {{
        one.running
          .slice(0, 4)
          .map((item) => item.what)
          .join('; ')
      }}
    </p>
    <v-btn size="small" @click="emit('fit', one.id)">Fit the day to it</v-btn>
  </article>
  <p v-if="supplies.length" class="supplies">
    <span v-for="one in supplies" :key="one.id"
      >{{ one.name }}:
      <b class="num" :class="{ 'is-violation': one.overAtS !== undefined }">{{
        one.kind === 'breaker' ? `${one.peak.toFixed(0)} A` : `${Math.round(one.peak)} W`
      }}</b>
      at most, {{ Math.round(100 * one.most) }} %</span
    >
  </p>
</template>

<style scoped>
h3 {
  font: 600 16px var(--words);
}
.fitted {
  border: 1px solid var(--chalk);
  border-left-width: 5px;
  border-radius: 4px;
  padding: 8px 12px;
  margin: 8px 0;
  font-size: 14px;
  line-height: 1.5;
}
.trip {
  border: 1px solid var(--violation);
  border-left-width: 5px;
  border-radius: 4px;
  padding: 8px 12px;
  margin: 8px 0;
  font-size: 14px;
  line-height: 1.45;
}
.supplies {
  display: flex;
  flex-wrap: wrap;
  gap: 4px 18px;
  font-size: 14px;
}
</style>
