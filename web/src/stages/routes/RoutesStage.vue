<script setup lang="ts">
import { computed, ref, watch } from 'vue';
import {
  boundsOf,
  holesOf,
  joinEdits,
  keepFeeds,
  keepRoutes,
  keptCables,
  keptRoutes,
  isInTheWalls,
  keyOf,
  keyOfRoute,
  laidCables,
  leadRoute,
  lowVoltagePlan,
  succeed,
  wireHouse,
  type LaidCable,
  type RoutePlace,
  type RouteWay,
  spaceMark,
} from '@winculum/core';
import PlanSheet from '../../drawing/PlanSheet.vue';
import { inkOf } from '../../drawing/circuit-colors';
import SearchField from '../../fields/SearchField.vue';
import PaperPage from '../../frame/PaperPage.vue';
import StagePart from '../../frame/StagePart.vue';
import { newId } from '../../new-id';
import { useHouse } from '../../stores/house';
import { useView } from '../../stores/view';
import ProgressBar from '../../work/ProgressBar.vue';
import type { Hit } from '../../drawing/tools/machine';
import BoreSheet from './BoreSheet.vue';
import LowVoltageMarks from './LowVoltageMarks.vue';
import LowVoltageSheet from './LowVoltageSheet.vue';
import PullSheet from './PullSheet.vue';
import RouteMarks from './RouteMarks.vue';
import { routeLines } from './route-lines';
import RoutesPanel from './RoutesPanel.vue';
import RouteStrip from '../../drawing/RouteStrip.vue';
import SleeveSheet from './SleeveSheet.vue';
import SpoolSheet from './SpoolSheet.vue';
import { useRouting } from './use-routing';

/** Where every cable lies: proposed through the framing, kept, led by hand, and the sheets by which it is bored, pulled and cut. */
const store = useHouse();
const view = useView();
const PARTS = {
  routes: 'Routes',
  bore: 'Bore',
  pull: 'Pull',
  spools: 'Spools',
  low: 'Low voltage',
  sleeves: 'Sleeves',
} as const;
const part = ref<keyof typeof PARTS>('routes');
const only = ref('all');
const picked = ref('');

const { plans, work, find } = useRouting();
const shownWay = ref<RouteWay>('quickest');
const plan = computed(() => plans.value.find((one) => one.plan.way === shownWay.value) ?? plans.value[0]);

const runs = computed(() =>
  wireHouse(store.current).units.flatMap((one) => one.runs.filter((run) => !isInTheWalls(run))),
);
const kept = computed(() => keptRoutes(store.current));
/** The house as the proposal has it: with its feed orders, where those change too. */
const proposed = computed(() => {
  if (!plan.value?.feeds.length) return undefined;
  const fed = keepFeeds(store.current, plan.value.feeds);
  return fed.ok ? fed.value : undefined;
});
/** What is drawn: the proposal that is looked at, over what is kept. */
const laid = computed<readonly LaidCable[]>(() => {
  if (!plan.value) return keptCables(store.current);
  const laidOut = laidCables(proposed.value?.house ?? store.current, plan.value.plan.routes);
  const ids = new Set(laidOut.map((one) => one.run.id));
  const others = proposed.value ? [] : keptCables(store.current);
  return [...others.filter((one) => !ids.has(one.run.id)), ...laidOut];
});
const circuits = computed(() =>
  Object.values(store.current.circuits).sort((a, b) => (a.space ?? 999) - (b.space ?? 999)),
);
const choices = computed(() => [
  { value: 'all', title: 'all circuits' },
  ...circuits.value.map((one) => ({ value: one.id, title: `${spaceMark(one) ?? '–'} ${one.name}` })),
]);
watch(
  () => view.only('circuit'),
  (id) => id && (only.value = id),
  { immediate: true },
);
/** A circuit that is chosen is brought into sight. */
watch(only, (circuit) => {
  const points = routeLines(store.current, view.level, shown.value).lines.flatMap((one) => one.points);
  if (circuit !== 'all' && points.length > 1) view.target = { bounds: boundsOf(points) };
});
/** What is drawn of the cables: an attic or a crawl space is read by itself. */
const LAYERS = {
  wall: 'in the walls',
  over: 'over the ceiling: attic, joists',
  under: 'below the floor',
  low: 'low voltage',
} as const;
const layers = ref({ wall: true, over: true, under: true, low: false });
/** Low voltage is led only while somebody looks at it. */
const low = computed(() => (part.value === 'low' || layers.value.low ? lowVoltagePlan(store.current) : undefined));
const isOf = ({ run }: LaidCable, circuit: string) => run.unit.circuits.some((one) => one.id === circuit);
/** Looked at: the circuit that is chosen; all of them in their inks where none is, unless low voltage is looked at. */
const ink = (cable: LaidCable): string | undefined =>
  (only.value === 'all' && !layers.value.low) || isOf(cable, only.value)
    ? inkOf(cable.circuit, circuits.value)
    : undefined;
const shown = computed(() => (only.value === 'all' ? laid.value : laid.value.filter((one) => isOf(one, only.value))));

/** The holes of what is looked at, found once for the strip and the numbers. */
const holes = computed(() => holesOf(store.current, shown.value));

/** Strip of the room that is pointed at; of the first with cables in its walls otherwise. */
const strip = computed(() => {
  const inHand = store.current.rooms[view.stripRoom];
  if (inHand?.level === view.level) return inHand.id;
  return Object.values(store.current.rooms).find((one) => one.level === view.level)?.id;
});
function pointAt(event: { type: string; hit: Hit | null }): void {
  if (event.type !== 'down' || !event.hit) return;
  if (event.hit.kind === 'room') view.stripRoom = event.hit.id;
  if (event.hit.kind !== 'box') return;
  view.stripRoom = store.current.boxes[event.hit.id]!.room;
  view.select([{ kind: 'box', id: event.hit.id }]);
}
const selected = computed(() => new Set(view.selection.map((one) => one.id)));

/** Shows a cable: its circuit, its level and a room that it passes. */
function pick(run: string): void {
  picked.value = picked.value === run ? '' : run;
  const cable = laid.value.find((one) => one.run.id === picked.value);
  if (!cable) return;
  // The strip of the room that one of its boxes stands in: what lies in a wall that the next room has drawn is seen there as well.
  const rooms = [cable.run.to.room, ...(cable.run.from ? [cable.run.from.room] : [])];
  const here = rooms.find((room) => store.current.rooms[room]!.level === view.level) ?? rooms[0]!;
  view.level = store.current.rooms[here]!.level;
  view.stripRoom = here;
  view.side = 'stage';
}

/** A cable dragged aside is led through the wall or the space where it is let go. */
function lead(run: string, at: { x: number; y: number }): void {
  const cable = laid.value.find((one) => one.run.id === run);
  if (!cable || !store.canEdit) return;
  const route = (['wall', 'space'] as const)
    .map((through) =>
      leadRoute(store.current, keyOfRoute(cable.route), { at, level: view.level, through }, shownWay.value),
    )
    .find(Boolean);
  if (!route) {
    store.problem = `No bay and no space above is near enough to lead the cable to ${cable.toLabel} through. Let go nearer to a wall.`;
    return;
  }
  picked.value = run;
  store.apply(keepRoutes(store.current, [route], newId, 'Lead cable by hand'));
}
function keep(): void {
  if (!plan.value) return;
  const fed = proposed.value;
  const kept = keepRoutes(fed?.house ?? store.current, plan.value.plan.routes, newId);
  const both = (): typeof kept =>
    fed && kept.ok
      ? succeed({
          house: kept.value.house,
          edit: joinEdits('Keep routes and feed orders', [fed.edit, kept.value.edit]),
        })
      : kept;
  store.apply(both());
}
/** Cables whose route does not hold, or that have none. */
const loose = computed(() => {
  const sound = kept.value.sound;
  return runs.value.map(keyOf).filter((key) => !sound.has(key));
});
function place(cable: LaidCable, where: RoutePlace): void {
  const route = leadRoute(store.current, keyOfRoute(cable.route), { place: where }, shownWay.value);
  if (route) store.apply(keepRoutes(store.current, [route], newId, 'Lead cable by hand'));
  else store.problem = `No way leads to ${cable.toLabel} there. Say what lies above and below its level.`;
}
const print = () => window.print();
</script>

<template>
  <template v-if="part === 'routes'">
    <div class="tools" role="toolbar" aria-label="Route tools">
      <v-btn v-for="(name, id) in PARTS" :key="id" :aria-pressed="part === id" @click="part = id">{{ name }}</v-btn>
      <span class="grow" />
      <SearchField v-model="only" class="pick" label="Circuit" :items="choices" />
      <template v-if="store.canEdit && runs.length">
        <v-btn v-if="loose.length && loose.length < runs.length" :disabled="!!work.progress.value" @click="find(loose)"
          >Find {{ loose.length }} open</v-btn
        >
        <v-btn color="primary" variant="flat" :disabled="!!work.progress.value" @click="find()">Find routes</v-btn>
      </template>
    </div>
    <ProgressBar
      v-if="work.progress.value"
      title="Finding routes"
      :progress="work.progress.value"
      @cancel="work.cancel()"
    />
    <div class="sheet only-as-sheet">
      <PlanSheet
        class="plan"
        :house="store.current"
        :level="view.level"
        :target="view.target"
        pans
        :selected="selected"
        show-boxes
        show-tags
        @hand="pointAt"
      >
        <template #over="{ scale }"
          ><RouteMarks
            :house="store.current"
            :level="view.level"
            :scale="scale"
            :laid="laid"
            :ink-of="ink"
            :picked="picked"
            :is-all="only === 'all'"
            :layers="layers"
            @pick="pick"
            @lead="lead" />
          <LowVoltageMarks v-if="low" :house="store.current" :level="view.level" :scale="scale" :runs="low.runs"
        /></template>
      </PlanSheet>
      <v-menu :close-on-content-click="false">
        <template #activator="{ props: opener }"><v-btn v-bind="opener" class="show">Show ▾</v-btn></template>
        <v-card class="pa-3" role="group" aria-label="What is shown of the cables">
          <v-checkbox
            v-for="(word, look) in LAYERS"
            :key="look"
            v-model="layers[look]"
            density="compact"
            hide-details
            :label="word"
          />
        </v-card>
      </v-menu>
      <p class="key-line" aria-label="How cables are drawn">
        <svg width="26" height="8" aria-hidden="true"><path d="M0 4H26" /></svg> in the wall
        <svg width="26" height="8" aria-hidden="true"><path d="M0 4H26" stroke-dasharray="7 4" /></svg> over the ceiling
        <svg width="26" height="8" aria-hidden="true"><path d="M0 4H26" stroke-dasharray="2 4" /></svg> below the floor
        <span aria-hidden="true">▲ ▼</span> through a plate
        <template v-if="low"
          ><svg width="26" height="8" aria-hidden="true">
            <path class="low" d="M0 4H26" stroke-dasharray="9 3 2 3" />
          </svg>
          low voltage</template
        >
      </p>
      <p v-if="!runs.length" class="empty">
        No cable is to be led yet. Put boxes on circuits under
        <router-link :to="`/houses/${store.id}/circuits`">Circuits</router-link> and draw the panel under
        <router-link :to="`/houses/${store.id}/house`">House</router-link>.
      </p>
      <p v-else-if="!laid.length" class="empty">
        {{ runs.length }} cables, and none of them lies anywhere yet. <b>Find routes</b> leads them through studs, attic
        and crawl space, three ways to compare.
      </p>
    </div>
    <div v-if="strip && runs.length" class="under only-as-strip">
      <RouteStrip
        :house="store.current"
        :room-id="strip"
        :laid="shown"
        :holes="holes"
        :ink-of="ink"
        :picked="picked"
        @pick="pick"
      />
    </div>
    <StagePart :title="plans.length ? 'Proposal' : 'Routes'" :tall="plans.length > 0">
      <RoutesPanel
        :plans="plans"
        :way="shownWay"
        :laid="shown"
        :holes="holes"
        :picked="picked"
        :open="loose.length"
        :of="runs.length"
        @way="shownWay = $event"
        @keep="keep"
        @discard="plans = []"
        @feeds="find(undefined, true)"
        @pick="pick"
        @place="place"
      />
    </StagePart>
  </template>
  <PaperPage v-else class="route-page" label="Route tools" :part="part">
    <template #tools>
      <v-btn v-for="(name, id) in PARTS" :key="id" :aria-pressed="part === id" @click="part = id">{{ name }}</v-btn>
      <SearchField v-if="part === 'pull'" v-model="only" class="pick" label="Circuit" :items="choices" />
      <span class="grow" />
      <span v-if="loose.length && part !== 'low' && part !== 'sleeves'" class="progress is-caution" role="status"
        ><b class="num">{{ loose.length }}</b> of {{ runs.length }} cables lie nowhere yet</span
      >
      <v-btn
        color="primary"
        variant="flat"
        :disabled="part !== 'sleeves' && (part === 'low' ? !low?.runs.length : !kept.sound.size)"
        @click="print"
        >Print</v-btn
      >
    </template>
    <LowVoltageSheet v-if="part === 'low' && low" :plan="low" />
    <SleeveSheet v-else-if="part === 'sleeves'" />
    <p v-else-if="!kept.sound.size" class="none">
      No route is kept yet. Find routes and keep them under <v-btn @click="part = 'routes'">Routes</v-btn>; the sheets
      follow by themselves.
    </p>
    <BoreSheet v-else-if="part === 'bore'" />
    <PullSheet v-else-if="part === 'pull'" :only="only" @show="((part = 'routes'), pick($event))" />
    <SpoolSheet v-else />
  </PaperPage>
</template>

<style src="./sheets.css"></style>
<style scoped>
.tools {
  display: flex;
  align-items: center;
  gap: 6px;
  padding: 8px 12px;
  flex-wrap: wrap;
}
.pick {
  max-width: 230px;
  min-width: 170px;
  flex: 0 1 230px;
}
.sheet {
  flex: 1;
  min-height: 0;
  position: relative;
  border-top: 1px solid var(--rule);
}
.under {
  padding: 8px 12px;
}
.show {
  position: absolute;
  left: 10px;
  bottom: 8px;
  z-index: 2;
}
.key-line {
  position: absolute;
  left: 96px;
  bottom: 12px;
  font-size: 12px;
  color: var(--muted);
  background: color-mix(in srgb, var(--card) 88%, transparent);
  padding: 2px 8px;
  border-radius: 4px;
  pointer-events: none;
}
.key-line path {
  stroke: var(--ink);
  stroke-width: 2;
  fill: none;
}
.key-line .low {
  stroke: var(--reached-ink);
}
.empty {
  position: absolute;
  inset: auto 8% 44px;
  text-align: center;
  font-size: 15px;
  background: var(--card);
  border: 1px dashed var(--rule);
  border-radius: 6px;
  padding: 10px 16px;
}
@page routes {
  size: letter portrait;
  margin: 0.5in;
}
@media print {
  .route-page {
    page: routes;
  }
}
</style>
