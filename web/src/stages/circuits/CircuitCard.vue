<script setup lang="ts">
import { computed } from 'vue';
import { count, measureCircuitLoad, outletsOn, protectionOf, type Circuit } from '@winculum/core';
import { useHouse } from '../../stores/house';

const props = defineProps<{
  circuit: Circuit;
  ink: string;
  ring: string;
  number: string;
  isSelected: boolean;
  takes: number;
}>();
const emit = defineEmits<{ choose: []; put: []; carry: [box: string, event: PointerEvent] }>();
const store = useHouse();
const load = computed(() => measureCircuitLoad(store.current, props.circuit));
const outlets = computed(() => outletsOn(store.current, props.circuit).length);
const boxes = computed(() => [...new Set(outletsOn(store.current, props.circuit).map((one) => one.box))]);
const percent = computed(() => Math.round(load.value.used * 100));
const protection = computed(() => protectionOf(store.current, props.circuit.id));
const findings = computed(
  () =>
    (store.check?.findings ?? []).filter(
      (one) => one.where.circuit === props.circuit.id && one.kind === 'fail' && one.severity === 'violation',
    ).length,
);
const words = { plain: 'plain', afci: 'AFCI', gfci: 'GFCI', dual: 'AFCI + GFCI' } as const;
</script>

<template>
  <article class="card" :class="{ selected: isSelected }" :data-circuit="circuit.id" :style="{ borderLeftColor: ink }">
    <v-card
      class="face"
      role="button"
      :aria-pressed="isSelected"
      variant="flat"
      tabindex="0"
      @keydown.enter.self="emit('choose')"
      @keydown.space.self.prevent="emit('choose')"
      @click="emit('choose')"
    >
      <span class="top"
        ><svg class="sign" viewBox="-2 -2 4 4" aria-hidden="true" :style="{ color: ink }">
          <circle r="1.75" :stroke-dasharray="ring" /></svg
        ><b class="num number" :style="{ color: ink }">{{ number }}</b
        ><span class="name">{{ circuit.name }}</span
        ><span v-if="findings" class="bad num" :title="count(findings, 'violation')">▨ {{ findings }}</span></span
      >
      <span class="middle"
        ><b class="num rating">{{ circuit.ratingA }} A<template v-if="circuit.poles === 2"> 2p</template></b
        ><span>{{ circuit.unread ? 'conductors not read' : `No. ${circuit.awg}` }}</span
        ><span>{{ words[protection.fitted] }}</span
        ><span class="muted">{{ count(outlets, 'outlet') }}</span></span
      >
      <span
        class="bar"
        role="meter"
        :aria-valuenow="percent"
        aria-valuemin="0"
        aria-valuemax="100"
        :aria-label="`${percent} % of the standard used`"
        ><span :class="{ over: percent > 100 }" :style="{ width: `${Math.min(100, percent)}%` }"
      /></span>
      <span class="foot muted num">{{ Math.round(load.va) }} VA · {{ load.amps.toFixed(1) }} A · {{ percent }} %</span>
    </v-card>
    <p v-if="isSelected" class="chips">
      <v-btn
        v-for="box in boxes"
        :key="box.id"
        class="chip num"
        size="x-small"
        title="Drag it to another card"
        @pointerdown.prevent="emit('carry', box.id, $event)"
      >
        {{ box.tag }}
      </v-btn>
    </p>
    <v-btn v-if="takes" class="put" block size="small" @click="emit('put')">Put {{ takes }} here</v-btn>
  </article>
</template>

<style scoped>
.card {
  position: relative;
  background: var(--card);
  border: 1px solid var(--rule);
  border-left: 5px solid;
  border-radius: 5px;
  display: flex;
  flex-direction: column;
}
.chips {
  display: flex;
  flex-wrap: wrap;
  gap: 4px;
  padding: 0 10px 8px;
}
.chip {
  border: 1px solid var(--rule);
  border-radius: 4px;
  background: var(--paper);
  color: var(--ink);
  font-size: 14px;
  min-height: 32px;
  padding: 0 6px;
  cursor: grab;
  touch-action: none;
}
.card.selected {
  outline: 2px solid var(--chalk);
}
.face {
  border: 0;
  background: none;
  color: var(--ink);
  text-align: left;
  display: flex;
  flex-direction: column;
  gap: 3px;
  padding: 7px 10px;
  font: 400 13px var(--words);
  cursor: pointer;
}
.top {
  display: flex;
  gap: 8px;
  align-items: baseline;
}
.sign {
  width: 20px;
  height: 20px;
  align-self: center;
  fill: none;
  stroke: currentColor;
  stroke-width: 0.34;
}
.number {
  font-size: 19px;
}
.name {
  font-weight: 600;
  font-size: 14px;
  flex: 1;
  overflow: hidden;
  text-overflow: ellipsis;
  white-space: nowrap;
}
.bad {
  color: var(--violation);
}
.middle {
  display: flex;
  gap: 8px;
  align-items: baseline;
  white-space: nowrap;
}
.rating {
  font-size: 16px;
}
.bar {
  height: 6px;
  background: var(--rail);
  border-radius: 3px;
  overflow: hidden;
}
.bar span {
  display: block;
  height: 100%;
  background: var(--reached);
}
.bar .over {
  background: repeating-linear-gradient(45deg, var(--violation) 0 4px, var(--card) 4px 6px);
}
.put {
  /* Over the card, so that picking a box never moves the cards under a hand that is on its way to one. */
  position: absolute;
  right: 6px;
  bottom: 5px;
  border: 0;
  background: var(--chalk);
  color: var(--card);
  font: 600 13px var(--words);
  min-height: 32px;
  padding: 0 12px;
  border-radius: 4px;
  cursor: pointer;
}
</style>
