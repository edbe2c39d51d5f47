<script setup lang="ts">
import { computed, ref } from 'vue';
import { useElementSize } from '@vueuse/core';
import {
  count,
  formatLength,
  holesSeenFrom,
  legsSeenFrom,
  viaOf,
  type Hole,
  type House,
  type LaidCable,
  type PlacementLimits,
} from '@winculum/core';
import StripGround from './StripGround.vue';
import StripTape from './StripTape.vue';
import { cutAt, layOutStrip } from './strip-layout';

/** The walls of a room unrolled, with the cables in their bays, the holes that they need and the plates they go through. */
const props = defineProps<{
  house: House;
  roomId: string;
  laid: readonly LaidCable[];
  /** The holes that these cables need. */
  holes: readonly Hole[];
  inkOf: (cable: LaidCable) => string | undefined;
  picked: string;
}>();
const emit = defineEmits<{ pick: [runId: string] }>();

const TOP = 26;
const HEIGHT = 128;
const TAPE = TOP + HEIGHT + 8;
const NO_LIMITS: PlacementLimits = {
  wall: { reachIn: 0, minWallIn: Infinity },
  counter: { reachIn: 0, minWidthIn: Infinity, maxAboveIn: 0 },
};
const frame = ref<HTMLElement>();
const { width } = useElementSize(frame);
const strip = computed(() => layOutStrip(props.house, props.roomId, NO_LIMITS));
const perInch = computed(() => Math.max(0.6, (width.value - 4) / strip.value.lengthIn));
const drawnWidth = computed(() => strip.value.lengthIn * perInch.value + 4);
const x = (along: number) => 2 + along * perInch.value;
const y = (heightIn: number) => TOP + HEIGHT * (1 - Math.max(-0.08, Math.min(1.06, heightIn / strip.value.ceilingIn)));
const show = (lengthIn: number) => formatLength(lengthIn, props.house.standards.lengths);

const legs = computed(() => legsSeenFrom(props.house, props.roomId, props.laid));
const seenHoles = computed(() => holesSeenFrom(props.house, props.roomId, props.holes));
/** A leg over the cut of the strip is drawn in two pieces. */
const lines = computed(() =>
  legs.value.flatMap((leg, i) => {
    const [from, to] = [Math.min(leg.fromIn, leg.toIn), Math.max(leg.fromIn, leg.toIn)];
    const [a, b] = [cutAt(strip.value, from), cutAt(strip.value, from) + (to - from)];
    const one = { key: `${leg.cable.run.id} ${i}`, leg };
    if (leg.topIn > leg.bottomIn) {
      const at = x(a) + aside(leg.cable);
      return [{ ...one, d: `M${at} ${y(leg.bottomIn)}V${y(leg.topIn)}` }];
    }
    const at = y(leg.bottomIn) + aside(leg.cable);
    if (b <= strip.value.lengthIn) return [{ ...one, d: `M${x(a)} ${at}H${x(b)}` }];
    return [{ ...one, d: `M${x(a)} ${at}H${x(strip.value.lengthIn)}M${x(0)} ${at}H${x(b - strip.value.lengthIn)}` }];
  }),
);
/** Cables that lie together are drawn side by side. */
const order = computed(() => new Map([...new Set(legs.value.map((one) => one.cable.run.id))].map((id, i) => [id, i])));
const aside = (cable: LaidCable) => (((order.value.get(cable.run.id) ?? 0) % 3) - 1) * 2.6;
const rank = (cable: LaidCable) => (cable.run.id === props.picked ? 2 : props.inkOf(cable) ? 1 : 0);
const sorted = computed(() => [...lines.value].sort((a, b) => rank(a.leg.cable) - rank(b.leg.cable)));
const members = computed(() => seenHoles.value.reduce((sum, { hole }) => sum + hole.members, 0));
const nailPlates = computed(() => seenHoles.value.filter(({ hole }) => hole.needsPlate).length);
const spoken = (cable: LaidCable) =>
  `${cable.kinds.join(' and ')}, ${cable.circuit.name}, ${cable.fromLabel} to ${cable.toLabel}, ${viaOf(props.house, cable.route)}`;
</script>

<template>
  <section class="strip" aria-label="Wall strip with cables">
    <header>
      <b>Wall strip</b
      ><span class="muted start" :title="strip.startsAt">{{ strip.roomName }}, {{ strip.startsAt }}</span
      ><span class="grow" />
      <span class="num"
        ><b>{{ count(members, 'member') }}</b> to bore<template v-if="nailPlates">
          · <b>{{ count(nailPlates, 'hole') }}</b> with nail plates</template
        ></span
      >
    </header>
    <div ref="frame" class="frame">
      <svg :width="drawnWidth" height="192" role="group" :aria-label="`Cables in the walls of ${strip.roomName}`">
        <rect :x="2" :y="TOP" :width="drawnWidth - 4" :height="HEIGHT" class="wall" />
        <StripGround :strip="strip" :x="x" :y="y" :per-inch="perInch" :top="TOP" :height="HEIGHT" />
        <path
          v-for="line in sorted"
          :key="line.key"
          :d="line.d"
          class="cable"
          :class="{ quiet: !inkOf(line.leg.cable) && line.leg.cable.run.id !== picked }"
          :style="{ stroke: line.leg.cable.run.id === picked ? 'var(--chalk)' : inkOf(line.leg.cable) }"
          :stroke-width="line.leg.cable.run.id === picked ? 3.4 : 2"
          tabindex="0"
          role="button"
          :aria-label="spoken(line.leg.cable)"
          @click="emit('pick', line.leg.cable.run.id)"
          @keydown.enter="emit('pick', line.leg.cable.run.id)"
        >
          <title>{{ spoken(line.leg.cable) }}</title>
        </path>
        <g
          v-for="{ hole, atIn } in seenHoles"
          :key="`${hole.key} ${atIn}`"
          class="hole"
          :class="{ plated: hole.needsPlate }"
        >
          <circle :cx="x(cutAt(strip, atIn))" :cy="y(hole.heightIn)" :r="hole.needsPlate ? 4 : 3" />
          <title>
            Bore {{ show(hole.bitIn) }} at {{ show(hole.heightIn)
            }}{{ hole.members > 1 ? `, ${hole.members} members` : '' }}{{ hole.needsPlate ? ', nail plate' : '' }}:
            {{ hole.cables.map((one) => one.toLabel).join(', ') }}
          </title>
        </g>
        <g v-for="{ box, at, heightIn } in strip.boxes" :key="box.id" class="box" pointer-events="none">
          <rect :x="x(at) - 5" :y="y(heightIn) - 8" width="10" height="16" rx="2" />
          <text :x="x(at)" :y="y(heightIn) - 12">{{ box.tag }}</text>
        </g>
        <StripTape :length-in="strip.lengthIn" :x="x" :top="TAPE" :width="drawnWidth - 4" :every="48" />
      </svg>
    </div>
  </section>
</template>

<style scoped>
.strip {
  background: var(--card);
  border: 1px solid var(--rule);
  border-radius: 6px;
  padding: 8px 12px 4px;
}
header {
  display: flex;
  gap: 12px;
  align-items: baseline;
  font-size: 13px;
  white-space: nowrap;
}
header > .start {
  overflow: hidden;
  text-overflow: ellipsis;
}
.frame {
  overflow-x: auto;
  overflow-y: hidden;
}
svg {
  display: block;
}
.wall {
  fill: var(--room);
  stroke: var(--wall);
}
.cable {
  fill: none;
  stroke: var(--ink);
  cursor: pointer;
}
.cable.quiet {
  stroke: var(--muted);
  opacity: 0.6;
}
.hole circle {
  fill: var(--card);
  stroke: var(--ink);
  stroke-width: 1.3;
}
.hole.plated circle {
  fill: var(--tape);
  stroke-width: 1.8;
}
.box rect {
  fill: var(--card);
  stroke: var(--ink);
  stroke-width: 1.3;
}
.box text {
  font: 700 11px var(--numbers);
  text-anchor: middle;
  fill: var(--ink);
  paint-order: stroke;
  stroke: var(--room);
  stroke-width: 3px;
}
</style>
