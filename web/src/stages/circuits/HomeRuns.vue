<script setup lang="ts">
import { computed } from 'vue';
import { boxPoint, spotOfPanel, wireHouse, type House } from '@winculum/core';

/** The feed order of a circuit on the plan of a level: from box to box, and an arrow where it leaves for the panel, or for a box of another level. */
const props = defineProps<{
  house: House;
  level: string;
  scale: number;
  circuit: string;
  ink: string;
  number: string;
}>();
/** Length of an arrow and of its head, and how far a line keeps from the middle of a symbol, pixels. */
const ARROW_PX = 34;
const HEAD_PX = 7;
const OFF_PX = 15;
const levelOf = (box: { readonly room: string }) => props.house.rooms[box.room]!.level;

const runs = computed(
  () =>
    wireHouse(props.house).units.find(({ unit }) => unit.circuits.some((one) => one.id === props.circuit))?.runs ?? [],
);
const panelAt = computed(() => {
  const panel = props.house.panels[props.house.circuits[props.circuit]?.panel ?? ''];
  return panel && spotOfPanel(props.house, panel);
});
const lines = computed(() =>
  runs.value.flatMap(({ from, to }) => {
    if (!from || levelOf(from) !== props.level || levelOf(to) !== props.level) return [];
    const [a, b] = [boxPoint(props.house, from), boxPoint(props.house, to)];
    const length = Math.hypot(b.x - a.x, b.y - a.y);
    const off = OFF_PX / props.scale;
    if (length < 2.2 * off) return [];
    const [ux, uy] = [(b.x - a.x) / length, (b.y - a.y) / length];
    // A bow to the side, as feed orders are drawn: straight lines would be taken for walls.
    const bow = Math.min(length * 0.12, 40);
    const middle = { x: (a.x + b.x) / 2 - uy * bow, y: (a.y + b.y) / 2 + ux * bow };
    return [
      {
        key: `${from.id} ${to.id}`,
        d: `M${a.x + ux * off} ${a.y + uy * off}Q${middle.x} ${middle.y} ${b.x - ux * off} ${b.y - uy * off}`,
      },
    ];
  }),
);
const arrows = computed(() =>
  runs.value.flatMap(({ from, to }) => {
    const here = [to, ...(from ? [from] : [])].find((box) => levelOf(box) === props.level);
    if (!here || (from && levelOf(from) === levelOf(to))) return [];
    const start = boxPoint(props.house, here);
    const goal = from ? boxPoint(props.house, here === to ? from : to) : panelAt.value;
    const word = from ? (here === to ? 'from' : 'to') : '';
    const other = from && (here === to ? from : to);
    const [dx, dy] = goal ? [goal.x - start.x, goal.y - start.y] : [0, 1];
    const far = Math.hypot(dx, dy) || 1;
    const angle = (Math.atan2(dy / far, dx / far) * 180) / Math.PI;
    return [
      {
        key: `${from?.id ?? 'panel'} ${to.id}`,
        start,
        angle,
        isFlipped: Math.abs(angle) > 90,
        text: other ? `${word} ${props.house.levels[levelOf(other)]!.name}` : `home run ${props.number}`,
      },
    ];
  }),
);
</script>

<template>
  <g class="home-runs" :style="{ color: ink }" pointer-events="none">
    <path v-for="line in lines" :key="line.key" class="feed" :d="line.d" :stroke-width="1.6 / scale" />
    <g
      v-for="arrow in arrows"
      :key="arrow.key"
      :transform="`translate(${arrow.start.x} ${arrow.start.y}) rotate(${arrow.angle}) scale(${1 / scale})`"
    >
      <path class="shaft" :d="`M${OFF_PX} 0H${OFF_PX + ARROW_PX - HEAD_PX}`" />
      <path :d="`M${OFF_PX + ARROW_PX} 0l${-HEAD_PX * 1.6} ${-HEAD_PX}v${2 * HEAD_PX}Z`" class="head" />
      <text
        :transform="
          arrow.isFlipped
            ? `translate(${OFF_PX + ARROW_PX + 6} 0) rotate(180)`
            : `translate(${OFF_PX + ARROW_PX + 6} 0)`
        "
        :text-anchor="arrow.isFlipped ? 'end' : 'start'"
        >{{ arrow.text }}</text
      >
    </g>
  </g>
</template>

<style scoped>
.feed,
.shaft {
  fill: none;
  stroke: currentColor;
}
.shaft {
  stroke-width: 2.4;
}
.head {
  fill: currentColor;
}
text {
  font: 600 11px var(--numbers);
  dominant-baseline: central;
  fill: currentColor;
  paint-order: stroke;
  stroke: var(--room);
  stroke-width: 3px;
}
</style>
