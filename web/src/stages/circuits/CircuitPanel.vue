<script setup lang="ts">
import { computed } from 'vue';
import {
  changeDevice,
  changeEntity,
  inTurn,
  mergeCircuits,
  outletsOn,
  removeEntities,
  runOf,
  shareNeutral,
  spaceMark,
  spaceWord,
  splitCircuit,
  type Circuit,
} from '@winculum/core';
import { newId } from '../../new-id';
import FindingCard from '../../frame/FindingCard.vue';
import CircuitForm from './CircuitForm.vue';
import CircuitSum from './CircuitSum.vue';
import ProtectionReasons from './ProtectionReasons.vue';
import ProtectionWays from './ProtectionWays.vue';
import ChoiceField from '../../fields/ChoiceField.vue';
import LineField from '../../fields/LineField.vue';
import MenuButton from '../../fields/MenuButton.vue';
import TickField from '../../fields/TickField.vue';
import { useHouse } from '../../stores/house';
import { useView } from '../../stores/view';

const store = useHouse();
const view = useView();
const circuit = computed(() => store.current.circuits[view.only('circuit') ?? '']);
const house = computed(() => store.current);
const run = computed(() => (circuit.value ? runOf(house.value, circuit.value) : undefined));
const findings = computed(() =>
  (store.check?.findings ?? []).filter(
    (one) => one.where.circuit === circuit.value?.id && one.key !== view.finding?.key,
  ),
);
const change = (changes: Partial<Circuit>) =>
  store.apply(changeEntity(store.current, 'circuits', circuit.value!.id, changes));

/** The receptacle becomes a GFCI and stands first in line; both as one edit. */
function protectFrom(deviceId: string): void {
  const house = store.current;
  if (deviceId === '') return void change({ gfciFirst: null });
  const outlet = outlets.value.find((one) => one.device.id === deviceId)!;
  store.apply(
    inTurn('GFCI first in line', house, [
      (now) => changeDevice(now, outlet.box.id, deviceId, { gfci: true }),
      (now) => changeEntity(now, 'circuits', circuit.value!.id, { gfciFirst: deviceId }),
    ]),
  );
}

const outlets = computed(() => (circuit.value ? outletsOn(store.current, circuit.value) : []));
const others = computed(() =>
  Object.values(store.current.circuits)
    .filter((one) => one.id !== circuit.value?.id && one.poles === circuit.value?.poles)
    .sort((a, b) => (a.space ?? 99) - (b.space ?? 99)),
);

function merge(into: string): void {
  if (store.apply(mergeCircuits(house.value, circuit.value!.id, into))) view.select([{ kind: 'circuit', id: into }]);
}

function remove(): void {
  if (store.apply(removeEntities(store.current, [{ collection: 'circuits', id: circuit.value!.id }]))) view.select([]);
}
const othersWorded = computed(() =>
  others.value.map((one) => ({ value: one.id, word: `${spaceMark(one) ?? '–'} ${one.name}` })),
);
</script>

<template>
  <section v-if="circuit" class="stack">
    <LineField label="Name of the circuit" :model-value="circuit.name" @update:model-value="change({ name: $event })" />
    <CircuitSum :circuit="circuit" :run="run" />
    <CircuitForm :circuit="circuit" :run="run" @protect-from="protectFrom" />
    <TickField
      label="locked: the planner leaves it as it is"
      :model-value="circuit.locked ?? false"
      @update:model-value="change({ locked: $event || undefined })"
    />
    <ChoiceField
      v-if="store.canEdit && circuit.poles === 1"
      label="Shares its neutral with"
      many
      :model-value="circuit.sharesNeutralWith ?? ''"
      :answers="[{ value: '', word: 'none: its own neutral' }, ...othersWorded]"
      @update:model-value="store.apply(shareNeutral(house, circuit.id, $event || null))"
    />
    <p v-if="circuit.sharesNeutralWith" class="muted fine">
      A multiwire circuit (210.4): both halves trip together by a two-pole breaker or a handle tie, on opposite legs;
      its neutrals are pigtailed (300.13(B)). Use a two-pole AFCI or GFCI breaker, or GFCI receptacles beyond the point
      where the neutral parts.
    </p>
    <MenuButton
      v-if="store.canEdit && outlets.length"
      label="Merge into"
      shown="Merge into …"
      :entries="othersWorded"
      @choose="merge"
    />
    <p class="muted fine">
      Space {{ spaceWord(circuit).replace('-', ' and ') || 'not placed yet' }}.<template v-if="run">
        About {{ run.cableFt.toFixed(0) }} ft of cable along its feed order.</template
      >
    </p>
    <ProtectionWays :circuit="circuit" @choose="protectFrom" />
    <ProtectionReasons :circuit="circuit" />
    <div v-if="store.canEdit" class="row">
      <v-btn @click="store.apply(splitCircuit(house, circuit.id, newId))">Split in two</v-btn>
      <v-btn @click="remove">Delete the circuit</v-btn>
    </div>
    <FindingCard v-for="finding in findings" :key="finding.key" :finding="finding" />
  </section>
</template>

<style scoped>
.name {
  font-weight: 600;
  font-size: 16px;
}
.fine {
  font-size: 12.5px;
}
</style>
