<script setup lang="ts">
import { computed, ref } from 'vue';
import {
  addEntity,
  assignToCircuit,
  circuitForDevices,
  connectAppliances,
  count,
  indexOutlets,
  unconnectedAppliances,
  type Box,
} from '@winculum/core';
import HandOverlay from '../../drawing/HandOverlay.vue';
import HomeRuns from './HomeRuns.vue';
import PlanSheet from '../../drawing/PlanSheet.vue';
import StagePart from '../../frame/StagePart.vue';
import type { Tool } from '../../drawing/tools/machine';
import { useHand, type HandEvent } from '../../drawing/use-hand';
import { newId } from '../../new-id';
import { useHouse } from '../../stores/house';
import { useView } from '../../stores/view';
import { inkOf, numberOf, ringOf } from '../../drawing/circuit-colors';
import AskPanel from './AskPanel.vue';
import ProgressBar from '../../work/ProgressBar.vue';
import CounterPanel from './CounterPanel.vue';
import EditionsPanel from './EditionsPanel.vue';
import TripsPanel from './TripsPanel.vue';
import PlanningPanel from './PlanningPanel.vue';
import CircuitCard from './CircuitCard.vue';
import LoadDialog from './LoadDialog.vue';
import { useCarrying } from './use-carrying';
import { usePlanning } from './use-planning';

const store = useHouse();
const view = useView();
const scale = ref(1);
const isLasso = ref(false);
const showLoad = ref(false);
const SIDES = [
  ['cards', 'Cards'],
  ['ask', 'Ask'],
  ['counter', 'Counter'],
  ['trips', 'Trips'],
  ['editions', 'Editions'],
] as const;
const side = ref<(typeof SIDES)[number][0]>('cards');

const { plan, work: planning, planAll } = usePlanning();
/** While a proposal is looked at, the sheet shows it. */
const shown = computed(() => plan.value?.plan.house ?? store.current);
const { carried, pickUp, leave } = useCarrying(put);

const tool = computed<Tool>(() => ({ kind: 'select', lasso: isLasso.value }));
const hand = useHand(tool, () => 9 / scale.value, { movesThings: false });
const circuits = computed(() =>
  Object.values(shown.value.circuits).sort(
    (a, b) => (a.space ?? 999) - (b.space ?? 999) || a.name.localeCompare(b.name),
  ),
);
const appliances = computed(() => unconnectedAppliances(store.current).length);
const index = computed(() => indexOutlets(store.current));
const selectedCircuit = computed(() => view.only('circuit'));
const selectedBoxes = computed(() =>
  view.selection.flatMap((one) => (one.kind === 'box' ? (store.current.boxes[one.id] ?? []) : [])),
);
const selectedDevices = computed(() =>
  selectedBoxes.value.flatMap((box) =>
    Object.values(box.devices)
      .filter((device) => device.kind !== 'blank')
      .map((device) => device.id),
  ),
);

/** The boxes of the selected circuit light up with what is picked by hand. */
const selected = computed(() => {
  const ids = new Set(view.selection.map((one) => one.id));
  for (const outlet of index.value.byCircuit.get(selectedCircuit.value ?? '') ?? []) ids.add(outlet.box.id);
  return ids;
});
/** Everything but the selected circuit faded. */
const isAlone = ref(false);
const alone = computed(() => (isAlone.value ? store.current.circuits[selectedCircuit.value ?? ''] : undefined));
const isFaded = (box: Box): boolean =>
  isAlone.value &&
  selectedCircuit.value !== undefined &&
  !Object.values(box.devices).some(({ circuit }) => circuit === selectedCircuit.value);
const circuitOf = (box: Box) => {
  const device = Object.values(box.devices).find((one) => one.circuit !== null);
  return device?.circuit ? shown.value.circuits[device.circuit] : undefined;
};
/** Boxes of low voltage are on no circuit, and wait for none. */
const isPower = (box: Box): boolean =>
  Object.values(box.devices).some(({ kind }) => kind !== 'low-voltage' && kind !== 'blank');
const markOf = (box: Box) => {
  if (isFaded(box) || !isPower(box)) return '';
  const circuit = circuitOf(box);
  return circuit ? numberOf(circuit, circuits.value) : Object.values(box.devices)[0]?.kind === 'switch' ? '' : '?';
};
const colorOf = (box: Box) => {
  if (isFaded(box)) return 'var(--rule)';
  if (!isPower(box)) return 'var(--muted)';
  const circuit = circuitOf(box);
  return circuit ? inkOf(circuit, circuits.value) : 'var(--caution)';
};
const ringAt = (box: Box) => {
  const circuit = isFaded(box) ? undefined : circuitOf(box);
  return circuit && ringOf(circuit, circuits.value);
};

function put(circuitId: string): void {
  if (selectedDevices.value.length > 0 && store.apply(assignToCircuit(store.current, selectedDevices.value, circuitId)))
    view.select([{ kind: 'circuit', id: circuitId }]);
}

/** Selects a circuit, and goes to a level of it where the sheet shows none of its boxes. */
function choose(id: string): void {
  view.select([{ kind: 'circuit', id }]);
  const levels = (index.value.byCircuit.get(id) ?? []).map(({ room }) => room.level);
  if (levels[0] !== undefined && !levels.includes(view.level)) view.level = levels[0];
}

function addCircuit(): void {
  const before = new Set(Object.keys(store.current.circuits));
  const result =
    selectedDevices.value.length > 0
      ? circuitForDevices(store.current, selectedDevices.value, newId)
      : addEntity(store.current, 'circuits', {
          id: newId('circuit'),
          name: `Circuit ${circuits.value.length + 1}`,
          purpose: 'general',
          poles: 1,
          ratingA: 15,
          awg: '14',
          breaker: 'auto',
          gfciFirst: null,
          panel: null,
          space: null,
        });
  if (!store.apply(result)) return;
  const added = Object.keys(store.current.circuits).find((id) => !before.has(id));
  if (added) view.select([{ kind: 'circuit', id: added }]);
}

/** A box is picked up on a card, to be dropped on another. */
function carryChip(box: string, event: PointerEvent): void {
  if (!store.canEdit) return;
  (event.target as Element).releasePointerCapture?.(event.pointerId);
  view.select([{ kind: 'box', id: box }]);
  pickUp();
}

function send(event: HandEvent): void {
  hand.send(event);
  if (event.type === 'leave') leave();
  if (event.type !== 'down' || event.hit?.kind !== 'box' || event.shift || !store.canEdit) return;
  pickUp();
}

function selectUnassigned(): void {
  view.select([...new Set(index.value.unassigned.map((outlet) => outlet.box.id))].map((id) => ({ kind: 'box', id })));
}
</script>

<template>
  <div class="tools" role="toolbar" aria-label="Circuit tools">
    <v-btn :aria-pressed="!isLasso" @click="isLasso = false">Select</v-btn>
    <v-btn :aria-pressed="isLasso" title="or Shift and drag" @click="isLasso = true"> Lasso </v-btn>
    <v-btn :disabled="!index.unassigned.length" @click="selectUnassigned">
      <b class="num" :class="{ 'is-caution': index.unassigned.length }">{{ index.unassigned.length }}</b> on no circuit
    </v-btn>
    <v-btn
      v-if="selectedCircuit"
      :aria-pressed="isAlone"
      @click="isAlone = !isAlone"
      title="With its feed order and where it leaves for the panel"
      >This circuit alone</v-btn
    >
    <span class="grow" />
    <span v-if="selectedBoxes.length" class="muted"
      ><b class="num">{{ selectedBoxes.length }}</b> picked</span
    >
    <v-btn v-if="store.canEdit && selectedBoxes.length === 1" @click="showLoad = true"> Connect … </v-btn>
    <v-btn
      v-if="store.canEdit && selectedDevices.length"
      @click="store.apply(assignToCircuit(store.current, selectedDevices, null))"
    >
      Remove from circuit
    </v-btn>
    <v-btn
      v-if="store.canEdit && appliances"
      title="A box with the usual connection and load, where each stands"
      @click="store.apply(connectAppliances(store.current, newId))"
    >
      Connect {{ count(appliances, 'appliance') }}
    </v-btn>
    <v-btn :disabled="!!planning.progress.value" @click="planAll">Plan the circuits</v-btn>
    <v-btn color="primary" variant="flat" v-if="store.canEdit" @click="addCircuit">
      {{ selectedDevices.length ? 'New circuit for these' : 'New circuit' }}
    </v-btn>
  </div>
  <ProgressBar
    v-if="planning.progress.value"
    title="Planning the circuits"
    :progress="planning.progress.value"
    @cancel="planning.cancel()"
  />
  <div class="stage-sheet">
    <PlanSheet
      :house="shown"
      :level="view.level"
      :target="view.target"
      :pans="!isLasso"
      :selected="selected"
      show-boxes
      :mark-of="markOf"
      :color-of="colorOf"
      :ring-of="ringAt"
      @hand="send"
      @scale="scale = $event"
    >
      <template #over="{ scale: now }"
        ><HomeRuns
          v-if="alone"
          :house="store.current"
          :level="view.level"
          :scale="now"
          :circuit="alone.id"
          :ink="inkOf(alone, circuits)"
          :number="numberOf(alone, circuits)" />
        <HandOverlay :state="hand.state.value" :house="store.current" :scale="now"
      /></template>
    </PlanSheet>
  </div>
  <StagePart :title="plan ? 'Proposal' : 'Circuits'" :tall="!!plan">
    <PlanningPanel v-if="plan" :plan="plan.plan" :conflict="plan.conflict" :made="plan.made" @close="plan = null" />
    <div v-else class="stage-list">
      <v-tabs v-model="side" grow>
        <v-tab v-for="[id, word] in SIDES" :key="id" :value="id" class="tab">{{ word }}</v-tab>
      </v-tabs>
      <AskPanel
        v-if="side === 'ask'"
        :box="selectedBoxes[0]"
        @show="
          side = 'cards';
          view.select([{ kind: 'circuit', id: $event }]);
        "
      />
      <CounterPanel v-else-if="side === 'counter'" />
      <TripsPanel v-else-if="side === 'trips'" />
      <EditionsPanel v-else-if="side === 'editions'" />
      <section v-else class="cards" aria-label="Circuits">
        <p v-if="!circuits.length" class="muted empty">
          No circuit yet. Pick boxes on the plan (click, Shift click, or lasso), then <b>New circuit for these</b>.
        </p>
        <CircuitCard
          v-for="circuit in circuits"
          :key="circuit.id"
          :circuit="circuit"
          :ink="inkOf(circuit, circuits)"
          :ring="ringOf(circuit, circuits)"
          :number="numberOf(circuit, circuits)"
          :is-selected="selectedCircuit === circuit.id"
          :takes="store.canEdit ? selectedDevices.length : 0"
          @choose="choose(circuit.id)"
          @put="put(circuit.id)"
          @carry="carryChip"
        />
      </section>
    </div>
  </StagePart>
  <p v-if="carried" class="carried num" :style="{ left: `${carried.x + 12}px`, top: `${carried.y + 8}px` }">
    {{ selectedBoxes.length }} to a card
  </p>
  <LoadDialog v-if="showLoad && selectedBoxes.length === 1" :box="selectedBoxes[0]!" @close="showLoad = false" />
</template>

<style scoped>
.tools {
  /* One line, always: a second one would push the cards away from a hand on its way to them. */
  display: flex;
  align-items: center;
  gap: 6px;
  padding: 8px 12px;
  white-space: nowrap;
  overflow-x: auto;
  flex: none;
}
section.cards {
  flex: 1;
  overflow-y: auto;
  display: grid;
  grid-template-columns: repeat(auto-fill, minmax(220px, 1fr));
  gap: 8px;
  padding: 10px;
  align-content: start;
}
.tab {
  min-width: 0;
  padding-inline: 7px;
}
.empty {
  grid-column: 1 / -1;
  font-size: 15px;
  padding: 12px;
}
.carried {
  position: fixed;
  z-index: 50;
  background: var(--chalk);
  color: var(--card);
  border-radius: 4px;
  padding: 4px 10px;
  font-size: 16px;
  pointer-events: none;
}
</style>
