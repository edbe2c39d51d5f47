<script setup lang="ts">
import { computed, ref } from 'vue';
import {
  cableNameOf,
  decideAfci,
  decideGfci,
  indexOutlets,
  removeDevice,
  removeEntities,
  spaceWord,
  assignToCircuit,
  changeEntity,
  type Device,
} from '@winculum/core';
import ChoiceField from '../fields/ChoiceField.vue';
import LengthField from '../fields/LengthField.vue';
import { useHouse } from '../stores/house';
import { useView } from '../stores/view';
import ArrangeTools from './ArrangeTools.vue';
import ManyBoxes from './ManyBoxes.vue';
import BoxDetails from './BoxDetails.vue';
import BoxDevices from './BoxDevices.vue';
import CopyLayout from './CopyLayout.vue';
import DeviceForm from './DeviceForm.vue';
import FindingCard from './FindingCard.vue';
import StageNeeds from './StageNeeds.vue';
import type { Stop } from '../stops';

defineProps<{ stop: Stop }>();
const store = useHouse();
const view = useView();
const house = computed(() => store.current);

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
    return `${device.style === 'half' ? `${device.yokeWith === undefined ? 'upper' : 'lower'} half of a split duplex` : `${device.style} receptacle`}, ${device.volts} V ${device.ratingA} A${device.gfci ? ', GFCI' : ''}${device.switched === 'no' ? '' : `, ${device.switched} switched`}`;
  return device.kind === 'connection' ? `hard-wired, ${device.volts} V` : device.kind;
};
const circuitOf = (device: Device) => (device.circuit === null ? undefined : house.value.circuits[device.circuit]);

function setWall(field: 'alongIn' | 'heightIn', lengthIn: number): void {
  if (box.value?.at.kind === 'wall')
    store.apply(changeEntity(house.value, 'boxes', box.value.id, { at: { ...box.value.at, [field]: lengthIn } }));
}

/** The device whose fields are open: a box of six gangs would mount dozens of them otherwise. */
const opened = ref('');
const isOpen = (device: Device) => store.canEdit && (deviceCount.value === 1 || opened.value === device.id);
const toggle = (device: Device) => void (opened.value = isOpen(device) ? '' : device.id);

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
const circuitAnswers = computed(() => [
  { value: '', word: 'none' },
  ...circuits.value.map((one) => ({ value: one.id, word: `${spaceWord(one) || '–'} ${one.name}` })),
]);
</script>

<template>
  <section v-if="box" class="stack">
    <h2 class="tag num">
      {{ box.tag }} <span class="muted kind">{{ house.rooms[box.room]!.name }}</span>
    </h2>
    <div v-if="box.at.kind === 'wall'" class="pair">
      <LengthField
        class="big"
        label="from the wall's start"
        :model-value="box.at.alongIn"
        @update:model-value="setWall('alongIn', $event)"
      />
      <LengthField
        class="big"
        label="to center"
        :model-value="box.at.heightIn"
        @update:model-value="setWall('heightIn', $event)"
      />
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
      <ChoiceField
        label="circuit"
        many
        :model-value="device.circuit ?? ''"
        :answers="circuitAnswers"
        @update:model-value="store.apply(assignToCircuit(house, [device.id], $event || null))"
      />
      <p v-if="circuitOf(device)" class="num line">
        {{ circuitOf(device)!.ratingA }} A, {{ cableNameOf(circuitOf(device)!) }}
      </p>
      <v-btn
        v-if="store.canEdit && deviceCount > 1"
        size="small"
        :aria-expanded="isOpen(device)"
        :aria-label="`Change the ${describe(device)}`"
        @click="toggle(device)"
        >{{ isOpen(device) ? 'Close' : 'Change …' }}</v-btn
      >
      <DeviceForm v-if="isOpen(device)" :box="box" :device="device" />
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
      <v-btn
        v-if="store.canEdit && deviceCount > 1"
        size="small"
        :aria-expanded="isOpen(device)"
        :aria-label="`Change the ${describe(device)}`"
        @click="toggle(device)"
        >{{ isOpen(device) ? 'Close' : 'Change …' }}</v-btn
      >
      <DeviceForm v-if="isOpen(device)" :box="box" :device="device" />
    </div>
    <BoxDevices v-if="store.canEdit" :box="box" />
    <BoxDetails :box="box" />
    <ArrangeTools />
    <v-btn v-if="store.canEdit" @click="remove">Delete {{ box.tag }}</v-btn>
  </section>
  <section v-else-if="room" class="stack">
    <h2 class="tag num">{{ room.name }}</h2>
    <p class="muted">{{ room.kind.replaceAll('-', ' ') }}</p>
    <CopyLayout v-if="store.canEdit" :room="room" />
  </section>
  <section v-else-if="view.selection.length > 1" class="stack">
    <h2 class="tag num">{{ view.selection.length }} selected</h2>
    <template v-if="view.selection.every((one) => one.kind === 'box')">
      <ArrangeTools />
      <ManyBoxes :boxes="view.selection.flatMap((one) => store.current.boxes[one.id] ?? [])" />
    </template>
    <v-btn v-if="store.canEdit && view.selection.every((one) => one.kind === 'box')" @click="remove">
      Delete them
    </v-btn>
  </section>
  <StageNeeds v-else-if="!view.finding" :stop="stop" />
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
.big :deep(input) {
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
</style>
