<script setup lang="ts">
import { CARD, linePath, type CardLayout } from './card-layout';

/** The inside of a box: cables from above, a line for every splice, devices at the foot. */
defineProps<{ layout: CardLayout }>();
</script>

<template>
  <svg
    :viewBox="`0 0 ${layout.width} ${layout.height}`"
    :style="{ maxWidth: `${layout.width * 1.15}px` }"
    role="img"
    :aria-label="layout.rows.map((row) => row.text).join('; ')"
  >
    <rect
      class="box"
      :x="layout.left - 4"
      :y="layout.boxTop - 12"
      :width="layout.width - layout.left - 2"
      :height="layout.height - layout.boxTop + 8"
      rx="8"
    />
    <g v-for="row in layout.rows" :key="row.id">
      <g v-for="(drop, i) in row.drops" :key="i">
        <line :class="['wire', drop.color]" :x1="drop.x" :x2="drop.x" :y1="row.y" :y2="drop.toY" />
        <line
          v-if="drop.color === 'white' || drop.color === 'bare'"
          :class="['core', drop.color]"
          :x1="drop.x"
          :x2="drop.x"
          :y1="row.y"
          :y2="drop.toY"
        />
        <rect v-if="drop.remarked" class="mark" :x="drop.x - 5" :y="drop.toY + 6" width="10" height="9" />
      </g>
    </g>
    <g v-for="row in layout.rows" :key="`${row.id} line`">
      <path :class="['wire', row.color]" :d="linePath(row)" />
      <path v-if="row.color === 'white' || row.color === 'bare'" :class="['core', row.color]" :d="linePath(row)" />
      <g v-for="(drop, i) in row.drops" :key="i">
        <circle
          v-if="row.drops.length > 1 && drop.x > row.from && drop.x < row.to"
          :class="['dot', row.color]"
          :cx="drop.x"
          :cy="row.y"
          r="4.5"
        />
      </g>
      <line class="lead" :x1="layout.left - 10" :x2="row.from - (row.count > 0 ? 8 : 3)" :y1="row.y" :y2="row.y" />
      <text class="net" :x="layout.left - 14" :y="row.y + 4" text-anchor="end">{{ row.text }}</text>
      <g v-if="row.count > 0" :transform="`translate(${row.from}, ${row.y})`">
        <path class="nut" :class="{ capped: row.capped }" d="M -11 10 L -7 -10 L 7 -10 L 11 10 Z" />
        <text class="nut-text num" y="5" text-anchor="middle">{{ row.count }}</text>
      </g>
    </g>
    <g v-for="cable in layout.cables" :key="cable.id">
      <rect class="tag" :x="cable.x" :y="CARD.CABLE_TOP" :width="cable.width" :height="CARD.CABLE_HEIGHT" rx="3" />
      <text class="heading num" :x="cable.x + cable.width / 2" :y="CARD.CABLE_TOP + 20" text-anchor="middle">
        {{ cable.label.heading }}
      </text>
      <text class="detail" :x="cable.x + cable.width / 2" :y="CARD.CABLE_TOP + 38" text-anchor="middle">
        {{ cable.label.detail }}
      </text>
      <rect
        class="jacket"
        :x="cable.wires[0]!.x - 10"
        :y="layout.boxTop - 22"
        :width="cable.wires.at(-1)!.x - cable.wires[0]!.x + 20"
        height="24"
        rx="3"
      />
    </g>
    <g v-for="device in layout.devices" :key="device.id">
      <rect class="device" :x="device.x" :y="layout.deviceTop" :width="device.width" height="68" rx="4" />
      <text class="title num" :x="device.x + device.width / 2" :y="layout.deviceTop + 44" text-anchor="middle">
        {{ device.title }}
      </text>
      <text class="detail" :x="device.x + device.width / 2" :y="layout.deviceTop + 61" text-anchor="middle">
        {{ device.about }}
      </text>
      <g v-for="pin in device.terminals" :key="pin.name">
        <circle :class="['pin', pin.color]" :cx="pin.x" :cy="layout.deviceTop" r="6.5" />
        <text class="pin-name num" :x="pin.x" :y="layout.deviceTop + 21" text-anchor="middle">{{ pin.name }}</text>
      </g>
    </g>
  </svg>
</template>

<style scoped src="./conductors.css"></style>

<style scoped>
.box {
  fill: var(--paper);
  stroke: var(--ink);
  stroke-width: 2;
}
.dot {
  fill: #22302f;
}
.dot.bare {
  fill: #6b4e12;
}
.dot.red {
  fill: #b3261e;
}
.lead {
  stroke: var(--rule);
  stroke-dasharray: 2 3;
}
.net {
  font: 600 13.5px var(--words);
  fill: var(--ink);
}
.nut {
  fill: var(--lumber);
  stroke: var(--ink);
  stroke-width: 1.3;
}
.nut.capped {
  fill: var(--card);
}
.nut-text {
  font: 700 13px var(--numbers);
  fill: #22302f;
}
.nut.capped + .nut-text {
  fill: var(--ink);
}
.tag {
  fill: var(--card);
  stroke: var(--ink);
  stroke-dasharray: 4 3;
}
.heading {
  font: 700 17px var(--numbers);
  fill: var(--chalk);
}
.detail {
  font: 500 12px var(--words);
  fill: var(--muted);
}
.jacket,
.device {
  fill: var(--card);
  stroke: var(--ink);
  stroke-width: 1.6;
}
.title {
  font: 700 18px var(--numbers);
  fill: var(--ink);
}
.pin {
  stroke: #22302f;
  stroke-width: 1.4;
  fill: #f2d36b;
}
.pin.silver {
  fill: #e4e6e6;
}
.pin.dark {
  fill: #7a5a2a;
}
.pin.ground {
  fill: #2f6a3f;
}
.pin-name {
  font: 600 11.5px var(--numbers);
  fill: var(--ink);
}
</style>
