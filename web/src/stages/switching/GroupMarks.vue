<script setup lang="ts">
import { computed } from 'vue';
import { boxPoint, indexOutlets, type SwitchGroup } from '@winculum/core';
import { useHouse } from '../../stores/house';

/** The curved lines of a plan from each switch to what it controls, and the letters of the groups. */
const props = defineProps<{
  level: string;
  scale: number;
  chosen: string | null;
  letters: ReadonlyMap<string, string>;
}>();
const store = useHouse();
const groups = computed(() => {
  const house = store.current;
  const { byDevice } = indexOutlets(house);
  const here = (group: SwitchGroup, ids: readonly string[]) =>
    ids
      .flatMap((id) => byDevice.get(id) ?? [])
      .filter((one) => one.room.level === props.level)
      .map((one) => ({ ...boxPoint(house, one.box), id: one.device.id, group: group.id }));
  return Object.values(house.switchGroups).map((group) => {
    const [switches, controls] = [here(group, group.switches), here(group, group.controls)];
    // Each switch to the nearest light, the lights one to the next: a web would hide the plan.
    const lines = switches.flatMap((from) => {
      const to = controls.reduce<(typeof controls)[number] | undefined>(
        (best, one) =>
          !best || Math.hypot(one.x - from.x, one.y - from.y) < Math.hypot(best.x - from.x, best.y - from.y)
            ? one
            : best,
        undefined,
      );
      return to ? [{ from, to }] : [];
    });
    controls.slice(1).forEach((to, i) => lines.push({ from: controls[i]!, to }));
    return { id: group.id, letter: props.letters.get(group.id) ?? '', lines, switches, controls };
  });
});
function curve({ from, to }: { from: { x: number; y: number }; to: { x: number; y: number } }): string {
  const [mx, my] = [(from.x + to.x) / 2, (from.y + to.y) / 2];
  const [dx, dy] = [to.x - from.x, to.y - from.y];
  return `M ${from.x} ${from.y} Q ${mx - dy * 0.18} ${my + dx * 0.18} ${to.x} ${to.y}`;
}
</script>

<template>
  <g class="groups" :class="{ picked: chosen !== null }">
    <g v-for="group in groups" :key="group.id" :class="{ chosen: group.id === chosen }">
      <path
        v-for="(line, i) in group.lines"
        :key="i"
        :d="curve(line)"
        :stroke-width="(group.id === chosen ? 3 : 1.6) / scale"
        :stroke-dasharray="`${7 / scale} ${4 / scale}`"
      />
      <g v-for="spot in [...group.switches, ...group.controls]" :key="spot.id">
        <circle :cx="spot.x + 11 / scale" :cy="spot.y - 11 / scale" :r="8.5 / scale" />
        <text :x="spot.x + 11 / scale" :y="spot.y - 6.8 / scale" :font-size="13 / scale" text-anchor="middle">{{
          group.letter
        }}</text>
      </g>
    </g>
  </g>
</template>

<style scoped>
.groups {
  pointer-events: none;
}
path {
  fill: none;
  stroke: var(--chalk);
  opacity: 0.75;
}
circle {
  fill: var(--card);
  stroke: var(--chalk);
  vector-effect: non-scaling-stroke;
}
text {
  fill: var(--chalk);
  font-family: var(--numbers);
  font-weight: 700;
}
.picked > g:not(.chosen) {
  opacity: 0.25;
}
.chosen path {
  opacity: 1;
}
</style>
