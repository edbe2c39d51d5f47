<script setup lang="ts">
import { computed } from 'vue';
import type { NightFlaw, NightWalk } from '@winculum/core';
import { useHouse } from '../../stores/house';

/** The walk on the plan: rooms that are lit, the way gone so far, and where somebody stands; each flaw with its sign. */
const props = defineProps<{
  level: string;
  scale: number;
  walk: NightWalk | null;
  step: number;
  flaws: readonly NightFlaw[];
  chosen: NightFlaw | null;
}>();
const store = useHouse();
const now = computed(() => props.walk?.steps[props.step]);
const lit = computed(() => new Set(now.value?.lit));
const rooms = computed(() => Object.values(store.current.rooms).filter((room) => room.level === props.level));
const outline = (corners: readonly { x: number; y: number }[]) => corners.map((one) => `${one.x},${one.y}`).join(' ');
const gone = computed(() =>
  (props.walk?.steps ?? []).slice(0, props.step + 1).filter((one) => one.level === props.level),
);
/** One sign a place: of two at one doorway the graver, and the one that is picked before all. */
const signs = computed(() => {
  const gravity = (one: NightFlaw) =>
    one === props.chosen ? -1 : ['dark', 'no-light', 'behind-door', 'turn-back'].indexOf(one.kind);
  const byPlace = new Map<string, NightFlaw>();
  for (const one of [...props.flaws]
    .filter((flaw) => flaw.level === props.level)
    .sort((a, b) => gravity(a) - gravity(b))) {
    const place = `${Math.round(one.at.x / 10)} ${Math.round(one.at.y / 10)}`;
    if (!byPlace.has(place)) byPlace.set(place, one);
  }
  return [...byPlace.values()];
});
const SIGNS: Record<NightFlaw['kind'], string> = { dark: '!', 'no-light': '!', 'turn-back': '↩', 'behind-door': '⊣' };
</script>

<template>
  <g class="night">
    <template v-if="walk">
      <polygon
        v-for="room in rooms"
        :key="room.id"
        :points="outline(room.corners)"
        :class="lit.has(room.id) ? 'lamplit' : 'unlit'"
      />
      <polyline :points="outline(gone.map((one) => one.at))" class="way" :stroke-width="3 / scale" />
      <circle
        v-if="now && now.level === level"
        :cx="now.at.x"
        :cy="now.at.y"
        :r="9 / scale"
        class="who"
        :class="{ bad: now.flaw }"
      />
    </template>
    <g
      v-for="flaw in signs"
      :key="`${flaw.kind} ${flaw.passage} ${flaw.room}`"
      class="flaw"
      :class="[flaw.kind, { chosen: flaw === chosen }]"
    >
      <circle :cx="flaw.at.x" :cy="flaw.at.y" :r="(flaw === chosen ? 15 : 11) / scale" />
      <text :x="flaw.at.x" :y="flaw.at.y + 5 / scale" :font-size="15 / scale" text-anchor="middle">{{
        SIGNS[flaw.kind]
      }}</text>
    </g>
  </g>
</template>

<style scoped>
.night {
  pointer-events: none;
}
.unlit {
  fill: #14201f;
  opacity: 0.5;
}
.lamplit {
  fill: var(--tape);
  opacity: 0.32;
}
.way {
  fill: none;
  stroke: var(--chalk);
  stroke-linejoin: round;
}
.who {
  fill: var(--chalk);
  stroke: #fff;
  vector-effect: non-scaling-stroke;
  transition: all 0.35s;
}
.who.bad {
  fill: var(--violation);
}
.flaw circle {
  fill: var(--card);
  stroke: var(--caution);
  stroke-width: 2;
  vector-effect: non-scaling-stroke;
}
.flaw text {
  fill: var(--caution);
  font-family: var(--numbers);
  font-weight: 700;
}
.flaw.dark circle,
.flaw.no-light circle {
  fill: var(--violation);
  stroke: var(--violation);
  opacity: 1;
}
.flaw.dark text,
.flaw.no-light text {
  fill: var(--card);
}
</style>
