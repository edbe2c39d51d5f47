<script lang="ts">
import type { DayItem } from '@winculum/core';

/** A day other than the usual one, as the screen plays it. */
export interface PlannedDay {
  readonly title: string;
  readonly items: readonly DayItem[];
  readonly remember: readonly string[];
  /** What it once held and the house has no more. */
  readonly lost: readonly string[];
  /** The kept day that it is, or null. */
  readonly kept: string | null;
}
</script>

<script setup lang="ts">
import { computed } from 'vue';
import { clock, type SupplyDay } from '@winculum/core';

/** What main, cord, feeders and sources are asked for in a day; which of them is asked for too much; and the day that is played instead of the usual one. */
const props = defineProps<{
  supplies: readonly SupplyDay[];
  planned: PlannedDay | null;
  isDay: boolean;
}>();
const emit = defineEmits<{ fit: [id: string]; usual: [] }>();
const strained = computed(() => props.supplies.filter((one) => one.overAtS !== undefined));
</script>

<template>
  <article v-if="planned" class="fitted" aria-label="The fitted day">
    <h3>{{ planned.title }}</h3>
    <p v-if="!planned.remember.length">Nothing has to be remembered.</p>
    <ul v-else>
      <li v-for="rule in planned.remember" :key="rule">{{ rule }}</li>
    </ul>
    <p v-if="planned.lost.length" class="is-caution">No longer in the house: {{ planned.lost.join('; ') }}</p>
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
