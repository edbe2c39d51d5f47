<script setup lang="ts">
import { computed } from 'vue';
import { compareCounterSplits, type CounterSplit } from '@winculum/core';
import { useHouse } from '../../stores/house';

/** The counter receptacles of a kitchen divided in several ways, by what runs at once at breakfast. */
const store = useHouse();
const kitchens = computed(() => compareCounterSplits(store.current));
const WAYS: Readonly<Record<CounterSplit['way'], string>> = {
  'as-it-is': 'As it is',
  'by-turns': 'By turns along the counter',
  halves: 'One half each',
  'by-counter': 'Counter by counter',
};
</script>

<template>
  <section class="counters" aria-label="Counter receptacles">
    <p v-if="!kitchens.length" class="muted">
      Two small-appliance circuits and three or more receptacles over the counters of a kitchen: then the ways to divide
      them are compared here.
    </p>
    <template v-for="{ room, splits } in kitchens" :key="room.id">
      <h3 class="small-caps">{{ room.name }}</h3>
      <article v-for="one in splits" :key="one.way" class="way">
        <header class="row">
          <b class="grow">{{ WAYS[one.way] }}</b>
          <b class="num peak" :class="{ 'is-caution': one.circuits.some((c) => c.peakA > c.circuit.ratingA) }"
            >{{ one.peakA.toFixed(1) }} A</b
          >
        </header>
        <p v-for="c in one.circuits" :key="c.circuit.id" class="line">
          <span class="num amps" :class="{ 'is-caution': c.peakA > c.circuit.ratingA }"
            >{{ c.peakA.toFixed(1) }} of {{ c.circuit.ratingA }} A</span
          >
          <span class="grow">
            {{ c.circuit.name }}: <span class="num">{{ c.boxes.map((box) => box.tag).join(', ') }}</span>{{ ' ' }}
            <span class="muted">{{ c.running.join(', ') || 'nothing known' }}</span>
          </span>
        </p>
        <p class="row foot">
          <span class="muted grow num">{{ Math.round(one.cableFt) }} ft of cable</span>
          <v-btn
            v-if="one.way !== 'as-it-is' && store.canEdit"
            size="small"
            @click="store.apply({ ok: true, value: one.edited })"
          >
            Divide it so
          </v-btn>
        </p>
      </article>
    </template>
    <p v-if="kitchens.length" class="muted fine">
      Kettle, toaster and coffee maker run together, plugged in side by side where it is worst, at typical amperes
      (common practice). Every division is lawful: 210.52(B).
    </p>
  </section>
</template>

<style scoped>
.counters {
  flex: 1;
  overflow-y: auto;
  padding: 10px 12px;
}
.way {
  border-top: 1px solid var(--rule);
  padding: 8px 0;
}
.peak {
  font-size: 20px;
}
.line {
  display: flex;
  gap: 10px;
  padding: 3px 0;
  line-height: 1.4;
}
.amps {
  min-width: 84px;
}
.foot {
  align-items: center;
  padding-top: 4px;
}
</style>
