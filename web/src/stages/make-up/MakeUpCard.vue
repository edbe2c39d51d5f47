<script setup lang="ts">
import { computed } from 'vue';
import { fillLines, fillNote, fillOf, makeUpOf, type BoxMakeUp, type Proof } from '@winculum/core';
import { useHouse } from '../../stores/house';
import { CARD, layoutCard, linePath } from './card-layout';

/** One box as a helper makes it up: cables in, every splice, every screw, the fill and what is proved of it. */
const props = defineProps<{ makeUp: BoxMakeUp; n: number; of: number; proofs: ReadonlyMap<string, Proof> }>();
const store = useHouse();
const house = computed(() => store.house!);
const units = computed(() => props.makeUp.units);
const layout = computed(() => layoutCard(props.makeUp));
const fill = computed(() => fillOf(house.value, props.makeUp.box)!);
const room = computed(() => house.value.rooms[props.makeUp.box.room]!);
const circuits = computed(() =>
  units.value.flatMap(({ unit }) => unit.circuits.map((one) => `${one.space ?? one.name} · ${one.ratingA} A`)),
);
const share = computed(() => Math.min(1, fill.value.usedIn3 / (fill.value.allowedIn3 ?? 1)));
const proved = computed(() =>
  units.value
    .flatMap(({ unit, plan }) => {
      const proof = props.proofs.get(unit.id);
      const here = plan.chains.filter((chain) =>
        [...chain.order, ...chain.group.controls].some((one) => one.box.id === props.makeUp.box.id),
      );
      const rows = here.map(({ group }) => {
        const found = proof?.groups.find((one) => one.group.id === group.group.id);
        return {
          id: group.group.id,
          ok: found !== undefined && found.flaws.length === 0,
          text: found
            ? (found.flaws[0]?.message ?? `${group.letter}: ${found.positions} of ${found.positions} positions`)
            : `${group.letter}: not proved yet`,
        };
      });
      const flaws = proof?.flaws ?? [];
      const always = {
        id: unit.id,
        ok: proof !== undefined && flaws.length === 0,
        text: !proof ? 'not proved yet' : (flaws[0]?.message ?? 'no hot to neutral or ground in any; all grounded'),
      };
      return [...rows, always];
    })
    .filter((one, i, all) => all.findIndex((other) => other.text === one.text) === i),
);
const colours = computed(() => [
  ...new Set(layout.value.cables.flatMap((one) => one.wires.map((wire) => wire.colour))),
]);
const hasRemarked = computed(() => layout.value.cables.some((one) => one.wires.some((wire) => wire.remarked)));
const words: Record<string, string> = {
  black: 'black: hot, traveler, switched',
  red: 'red: second traveler, switched, second hot',
  blue: 'blue: traveler, switched',
  white: 'white: neutral',
  bare: 'bare: ground',
};
</script>

<template>
  <article class="card" :aria-label="`Make-up of ${makeUp.box.tag}`">
    <header>
      <h2 class="num">{{ makeUp.box.tag }}</h2>
      <p>{{ fill.type.name }}, {{ room.name }}</p>
      <p class="off">Circuit {{ circuits.join(' and ') }} · turn off and test before opening</p>
    </header>
    <div class="body" :class="{ wide: layout.width > 620 }">
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
            <line :class="['wire', drop.colour]" :x1="drop.x" :x2="drop.x" :y1="row.y" :y2="drop.toY" />
            <line
              v-if="drop.colour === 'white' || drop.colour === 'bare'"
              :class="['core', drop.colour]"
              :x1="drop.x"
              :x2="drop.x"
              :y1="row.y"
              :y2="drop.toY"
            />
            <rect v-if="drop.remarked" class="mark" :x="drop.x - 5" :y="drop.toY + 6" width="10" height="9" />
          </g>
        </g>
        <g v-for="row in layout.rows" :key="`${row.id} line`">
          <path :class="['wire', row.colour]" :d="linePath(row)" />
          <path
            v-if="row.colour === 'white' || row.colour === 'bare'"
            :class="['core', row.colour]"
            :d="linePath(row)"
          />
          <g v-for="(drop, i) in row.drops" :key="i">
            <circle
              v-if="row.drops.length > 1 && drop.x > row.from && drop.x < row.to"
              :class="['dot', row.colour]"
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
            <circle :class="['pin', pin.colour]" :cx="pin.x" :cy="layout.deviceTop" r="6.5" />
            <text class="pin-name num" :x="pin.x" :y="layout.deviceTop + 21" text-anchor="middle">{{ pin.name }}</text>
          </g>
        </g>
      </svg>
      <div class="numbers">
        <section class="fill">
          <h3 class="small-caps">Box fill 314.16</h3>
          <table>
            <tbody>
              <tr v-for="line in fillLines(fill)" :key="line.what" :title="line.section">
                <td class="num">{{ line.count }}</td>
                <td>{{ line.what }}</td>
                <td class="num value">{{ line.in3.toFixed(2) }}</td>
              </tr>
              <tr class="sum">
                <td></td>
                <td>used of {{ fill.allowedIn3 ?? '?' }} in³</td>
                <td class="num value big" :class="{ over: fill.fits === false }">{{ fill.usedIn3.toFixed(2) }}</td>
              </tr>
            </tbody>
          </table>
          <div class="bar" aria-hidden="true">
            <span :class="{ over: fill.fits === false }" :style="{ width: `${share * 100}%` }" />
          </div>
          <p v-if="fill.fits === false" class="is-violation">
            Too full.
            {{
              fill.remedy
                ? `Take the ${fill.remedy.name}.`
                : 'No box of the catalogue holds it: bring fewer cables, or set a second box.'
            }}
          </p>
        </section>
        <section class="note">
          <h3 class="small-caps">Write in the box</h3>
          <p class="write num">{{ fillNote(fill) || 'open back' }}</p>
        </section>
        <section class="proved">
          <h3 class="small-caps">Proved</h3>
          <p v-for="one in proved" :key="one.id" class="proof" :class="{ bad: !one.ok }">
            <b>{{ one.ok ? '✓' : '✗' }}</b> {{ one.text }}
          </p>
        </section>
        <section class="legend">
          <h3 class="small-caps">Conductors</h3>
          <p v-for="one in colours" :key="one" class="swatch">
            <svg width="34" height="10" aria-hidden="true">
              <line :class="['wire', one]" x1="2" x2="32" y1="5" y2="5" />
              <line v-if="one === 'white' || one === 'bare'" :class="['core', one]" x1="2" x2="32" y1="5" y2="5" />
            </svg>
            {{ words[one] }}
          </p>
          <p v-if="hasRemarked" class="swatch">
            <svg width="34" height="10" aria-hidden="true">
              <line class="wire white" x1="2" x2="32" y1="5" y2="5" />
              <line class="core white" x1="2" x2="32" y1="5" y2="5" />
              <rect class="mark" x="12" y="0" width="10" height="10" />
            </svg>
            white with a band: no neutral, mark it for good (200.7(C))
          </p>
        </section>
      </div>
    </div>
    <footer class="muted">
      Card {{ n }} of {{ of }} · leave {{ makeUpOf(house).freeIn }} in free from where the conductor leaves its sheath,
      6 at least (300.14) · plans are not permission: the adopted code, the inspector and a licensed electrician decide
    </footer>
  </article>
</template>

<style scoped>
.card {
  background: var(--card);
  border: 1px solid var(--rule);
  border-radius: 6px;
  padding: 12px 16px 8px;
  break-inside: avoid;
}
header {
  display: flex;
  align-items: baseline;
  gap: 12px;
  flex-wrap: wrap;
}
h2 {
  font: 700 28px var(--numbers);
}
.off {
  margin-left: auto;
  color: var(--violation);
  font-weight: 600;
}
.body {
  display: grid;
  grid-template-columns: minmax(0, 1fr) 232px;
  gap: 18px;
  align-items: start;
}
.body > svg {
  width: 100%;
  touch-action: pinch-zoom pan-x pan-y;
}
.box {
  fill: var(--paper);
  stroke: var(--ink);
  stroke-width: 2;
}
.wire {
  fill: none;
  stroke-width: 5;
}
.wire.black,
.wire.mixed {
  stroke: #22302f;
}
.wire.red {
  stroke: #b3261e;
  stroke-dasharray: 14 2.5;
}
.wire.blue {
  stroke: #1f5c7a;
  stroke-dasharray: 4 2.5;
}
.wire.white {
  stroke: #22302f;
}
.core {
  fill: none;
}
.core.white {
  stroke: #fff;
  stroke-width: 2.6;
}
.wire.bare {
  stroke: #6b4e12;
}
.core.bare {
  stroke: #f2d36b;
  stroke-width: 3;
  stroke-dasharray: 6 5;
}
.v-theme--dark .wire.black,
.v-theme--dark .wire.mixed,
.v-theme--dark .dot.black {
  stroke: #aab5b1;
}
.mark {
  fill: #22302f;
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
.wide {
  grid-template-columns: minmax(0, 1fr);
}
.wide .numbers {
  display: grid;
  grid-template-columns: repeat(auto-fit, minmax(160px, 1fr));
  gap: 18px;
}
.wide .numbers h3 {
  margin-top: 0;
}
.numbers h3 {
  margin: 8px 0 2px;
}
.fill h3 {
  margin-top: 0;
}
table {
  width: 100%;
  border-collapse: collapse;
}
td {
  padding: 1px 4px 1px 0;
  vertical-align: baseline;
}
td.num {
  font-weight: 700;
  font-size: 16px;
}
.value {
  text-align: right;
}
.sum td {
  border-top: 1px solid var(--ink);
}
td.big {
  font-size: 24px;
  color: var(--reached-ink);
}
td.over {
  color: var(--violation);
}
.bar {
  height: 9px;
  border-radius: 5px;
  background: var(--rail);
  overflow: hidden;
}
.bar span {
  display: block;
  height: 100%;
  background: var(--reached);
}
.bar .over {
  background: var(--violation);
}
.write {
  border: 1px dashed var(--ink);
  border-radius: 3px;
  padding: 5px 10px;
  font-size: 18px;
  font-weight: 700;
}
.proof b {
  color: var(--reached-ink);
}
.proof.bad,
.proof.bad b {
  color: var(--violation);
}
.swatch {
  display: flex;
  gap: 8px;
  align-items: center;
  font-size: 12.5px;
}
.swatch svg {
  flex: none;
}
footer {
  font-size: 12px;
  margin-top: 4px;
}
@media (max-width: 1180px) {
  .body,
  .wide {
    grid-template-columns: minmax(0, 1fr);
  }
  .numbers,
  .wide .numbers {
    display: grid;
    grid-template-columns: repeat(auto-fit, minmax(190px, 1fr));
    gap: 14px;
  }
}
@media print {
  .card {
    border-color: #000;
    padding: 6px 10px;
  }
  h2 {
    font-size: 22px;
  }
  .body,
  .wide {
    grid-template-columns: minmax(0, 1fr);
    gap: 4px;
  }
  .body > svg {
    max-height: 66mm;
  }
  .numbers,
  .wide .numbers {
    display: grid;
    grid-template-columns: 1.2fr 1fr 1.2fr;
    gap: 10px;
    font-size: 11px;
  }
  .numbers h3 {
    margin-top: 0;
  }
  .legend,
  .bar {
    display: none;
  }
  td.num {
    font-size: 12.5px;
  }
  td.big {
    font-size: 17px;
  }
  .write {
    font-size: 14px;
    padding: 2px 6px;
  }
  footer {
    font-size: 8.5px;
  }
}
</style>
