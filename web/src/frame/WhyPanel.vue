<script setup lang="ts">
import { computed } from 'vue';
import {
  cableNameOf,
  decideAfci,
  decideGfci,
  formatLength,
  indexOutlets,
  removeDevice,
  removeEntities,
  spacesOf,
  assignToCircuit,
  changeEntity,
  parseLength,
  type Device,
} from '@winculum/core';
import { useHouse } from '../stores/house';
import { useView } from '../stores/view';
import ArrangeTools from './ArrangeTools.vue';
import BoxDetails from './BoxDetails.vue';
import BoxDevices from './BoxDevices.vue';
import CopyLayout from './CopyLayout.vue';
import DeviceForm from './DeviceForm.vue';
import FindingCard from './FindingCard.vue';

const store = useHouse();
const view = useView();
const house = computed(() => store.house!);
const show = (lengthIn: number) => formatLength(lengthIn, house.value.standards.lengths);

const box = computed(() => house.value.boxes[view.only('box') ?? '']);
const room = computed(() => house.value.rooms[view.only('room') ?? '']);
const outlets = computed(() =>
  box.value ? indexOutlets(house.value).all.filter((outlet) => outlet.box === box.value) : [],
);
/** Devices that are on no circuit by their nature: low voltage, blanks. */
const others = computed(() =>
  Object.values(box.value?.devices ?? {}).filter((one) => !outlets.value.some(({ device }) => device === one)),
);
const deviceCount = computed(() => Object.keys(box.value?.devices ?? {}).length);
const circuits = computed(() => Object.values(house.value.circuits).sort((a, b) => (a.space ?? 99) - (b.space ?? 99)));
const findings = computed(() =>
  (store.check?.findings ?? []).filter(
    (one) =>
      one.key !== view.finding?.key &&
      ((box.value && one.where.box === box.value.id) ||
        (room.value && one.where.room === room.value.id && one.stage === 'boxes')),
  ),
);

const describe = (device: Device) => {
  if (device.kind === 'receptacle')
    return `${device.style} receptacle, ${device.volts} V ${device.ratingA} A${device.gfci ? ', GFCI' : ''}${device.switched === 'no' ? '' : `, ${device.switched} switched`}`;
  return device.kind === 'connection' ? `hard-wired, ${device.volts} V` : device.kind;
};
const circuitOf = (device: Device) => (device.circuit === null ? undefined : house.value.circuits[device.circuit]);

function setWall(field: 'alongIn' | 'heightIn', text: string): void {
  const read = parseLength(text, field === 'alongIn' ? 'Along the wall' : 'Height');
  if (!read.ok) store.problem = read.problems[0]!.message;
  else if (box.value?.at.kind === 'wall')
    store.apply(changeEntity(house.value, 'boxes', box.value.id, { at: { ...box.value.at, [field]: read.value } }));
}

function remove(): void {
  if (
    store.apply(
      removeEntities(
        house.value,
        view.selection.filter((one) => one.kind === 'box').map(({ id }) => ({ collection: 'boxes' as const, id })),
      ),
    )
  )
    view.select([]);
}
const value = (event: Event) => (event.target as HTMLInputElement).value;
</script>

<template>
  <section v-if="box" class="stack">
    <h2 class="tag num">
      {{ box.tag }} <span class="muted kind">{{ house.rooms[box.room]!.name }}</span>
    </h2>
    <div v-if="box.at.kind === 'wall'" class="pair">
      <label class="muted"
        >from the wall's start
        <input
          class="plain num big"
          :value="show(box.at.alongIn)"
          :readonly="!store.canEdit"
          @change="setWall('alongIn', value($event))"
      /></label>
      <label class="muted"
        >to center
        <input
          class="plain num big"
          :value="show(box.at.heightIn)"
          :readonly="!store.canEdit"
          @change="setWall('heightIn', value($event))"
      /></label>
    </div>
    <div v-for="{ device, load, room: inRoom } in outlets" :key="device.id" class="device stack">
      <p>
        <b>{{ load?.name ?? describe(device) }}</b>{{ ' ' }}
        <span v-if="load" class="muted">{{ describe(device) }}, {{ load.va }} VA {{ load.source }}</span>
        <v-btn
          v-if="store.canEdit && deviceCount > 1"
          class="take-out"
          size="x-small"
          variant="text"
          :aria-label="`Remove the ${describe(device)}`"
          @click="store.apply(removeDevice(house, box.id, device.id))"
          >Remove</v-btn
        >
      </p>
      <label class="field"
        >circuit
        <select
          class="plain"
          :value="device.circuit ?? ''"
          :disabled="!store.canEdit"
          @change="store.apply(assignToCircuit(house, [device.id], value($event) || null))"
        >
          <option value="">none</option>
          <option v-for="circuit in circuits" :key="circuit.id" :value="circuit.id">
            {{ spacesOf(circuit).join('-') || '–' }} {{ circuit.name }}
          </option>
        </select>
      </label>
      <p v-if="circuitOf(device)" class="num line">
        {{ circuitOf(device)!.ratingA }} A, {{ cableNameOf(circuitOf(device)!) }}
      </p>
      <DeviceForm v-if="store.canEdit" :box="box" :device="device" />
      <template
        v-for="(decision, name) in {
          GFCI: decideGfci(house, { device, load, box, room: inRoom }, house.job.edition),
          AFCI: decideAfci(house, { device, load, box, room: inRoom }, house.job.edition),
        }"
        :key="name"
      >
        <p v-if="device.kind !== 'switch'" class="decision">
          <b :class="{ needed: decision.kind === 'required' }"
            >{{ name }}
            {{
              decision.kind === 'required'
                ? 'required'
                : decision.kind === 'cannot-tell'
                  ? 'cannot tell'
                  : 'not required'
            }}</b
          >
          {{ decision.reason }} <span v-if="'section' in decision" class="muted num">{{ decision.section }}</span>
        </p>
      </template>
    </div>
    <div v-for="device in others" :key="device.id" class="device stack">
      <p>
        <b>{{ device.kind === 'low-voltage' ? `low voltage: ${device.system}` : device.kind }}</b>{{ ' ' }}
        <v-btn
          v-if="store.canEdit && deviceCount > 1"
          class="take-out"
          size="x-small"
          variant="text"
          :aria-label="`Remove the ${device.kind}`"
          @click="store.apply(removeDevice(house, box.id, device.id))"
          >Remove</v-btn
        >
      </p>
      <DeviceForm v-if="store.canEdit" :box="box" :device="device" />
    </div>
    <BoxDevices v-if="store.canEdit" :box="box" />
    <BoxDetails :box="box" />
    <ArrangeTools />
    <button v-if="store.canEdit" class="plain-button" @click="remove">Delete {{ box.tag }}</button>
  </section>
  <section v-else-if="room" class="stack">
    <h2 class="tag num">{{ room.name }}</h2>
    <p class="muted">{{ room.kind.replaceAll('-', ' ') }}</p>
    <CopyLayout v-if="store.canEdit" :room="room" />
  </section>
  <section v-else-if="view.selection.length > 1" class="stack">
    <h2 class="tag num">{{ view.selection.length }} selected</h2>
    <ArrangeTools v-if="view.selection.every((one) => one.kind === 'box')" />
    <button
      v-if="store.canEdit && view.selection.every((one) => one.kind === 'box')"
      class="plain-button"
      @click="remove"
    >
      Delete them
    </button>
  </section>
  <p v-else-if="!view.finding" class="muted hint">
    Click a box, a room or a circuit to see its numbers, what the code says of it and why.
  </p>
  <FindingCard v-for="finding in findings" :key="finding.key" :finding="finding" />
</template>

<style scoped>
.tag {
  font-size: 26px;
  font-weight: 700;
}
.kind {
  font: 400 14px var(--words);
  margin-left: 6px;
}
.pair {
  display: grid;
  grid-template-columns: 1fr 1fr;
  gap: 10px;
  font-size: 12.5px;
}
.big {
  font: 700 20px var(--numbers);
}
.device {
  border-top: 1px solid var(--rule);
  padding-top: 10px;
}
.line {
  font-size: 17px;
}
.decision {
  font-size: 13px;
  line-height: 1.4;
}
.decision b {
  display: block;
  color: var(--muted);
}
.decision b.needed {
  color: var(--chalk);
}
.hint {
  font-size: 15px;
  line-height: 1.45;
}
</style>
