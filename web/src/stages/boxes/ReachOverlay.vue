<script setup lang="ts">
import { computed } from 'vue';
import {
  Memory,
  fromLoop,
  pointOnWall,
  reachInRoom,
  viewRoom,
  wallLoop,
  type House,
  type PlacementLimits,
  type Proposal,
  type RoomView,
} from '@winculum/core';
import { alongLoop } from '../../drawing/plan-shapes';

/** The reach ribbon on the plan: floor line green where a cord gets to, hatched red where not; the proposal's ghosts; the cursor. */
const props = defineProps<{
  house: House;
  level: string;
  scale: number;
  limits: PlacementLimits;
  proposal: Proposal | null;
  stripRoom: string;
  cursorIn: number;
}>();

interface Ribbon {
  readonly id: string;
  readonly served: string;
  readonly gaps: string;
}
/** Remembered by the room's view: while one box is dragged, the other rooms keep their ribbons. */
const memory = new Memory<RoomView, { readonly limits: PlacementLimits; readonly ribbon: Ribbon }>();

function ribbonOf(view: RoomView, limits: PlacementLimits): Ribbon {
  const known = memory.get(view);
  if (known?.limits.wall === limits.wall && known.limits.counter === limits.counter) return known.ribbon;
  const { walls } = wallLoop(view.room);
  const reaches = reachInRoom(view, limits);
  const ribbon = {
    id: view.room.id,
    served: reaches.map(({ space }) => alongLoop(walls, space.fromIn, space.toIn, 3)).join(''),
    gaps: reaches.flatMap(({ reach }) => reach.gaps.map((gap) => alongLoop(walls, gap.fromIn, gap.toIn, 3))).join(''),
  };
  memory.set(view, { limits, ribbon });
  return ribbon;
}

const ribbons = computed(() =>
  Object.values(props.house.rooms)
    .filter((room) => room.level === props.level && !room.closed)
    .map((room) => ribbonOf(viewRoom(props.house, room.id), props.limits)),
);
const onPlan = (roomId: string, atIn: number, insetIn: number) => {
  const { wall, alongIn } = fromLoop(wallLoop(props.house.rooms[roomId]!), atIn);
  return pointOnWall(wall, alongIn, insetIn);
};
const ghosts = computed(() =>
  (props.proposal?.boxes ?? [])
    .filter((box) => props.house.rooms[box.room]!.level === props.level)
    .map((box) => onPlan(box.room, box.atLoopIn, 8 / props.scale)),
);
const cursor = computed(() =>
  props.house.rooms[props.stripRoom]?.level === props.level ? onPlan(props.stripRoom, props.cursorIn, 0) : null,
);
</script>

<template>
  <g pointer-events="none">
    <template v-for="ribbon in ribbons" :key="ribbon.id">
      <path :d="ribbon.served" class="served" />
      <path :d="ribbon.gaps" class="gap back" /><path :d="ribbon.gaps" class="gap" />
    </template>
    <circle
      v-for="(at, i) in ghosts"
      :key="i"
      :cx="at.x"
      :cy="at.y"
      :r="8 / scale"
      class="ghost"
      :stroke-width="2 / scale"
      :stroke-dasharray="`${4 / scale} ${2.5 / scale}`"
    />
    <circle v-if="cursor" :cx="cursor.x" :cy="cursor.y" :r="4.5 / scale" class="cursor" />
  </g>
</template>

<style scoped>
.served {
  stroke: var(--reached);
  stroke-width: 4.5;
  fill: none;
}
.gap {
  stroke: var(--violation);
  stroke-width: 5;
  stroke-dasharray: 3 2;
  fill: none;
}
.gap.back {
  stroke: var(--room);
  stroke-dasharray: none;
}
.ghost {
  fill: var(--chalk-soft);
  stroke: var(--chalk);
}
.cursor {
  fill: var(--chalk);
}
</style>
