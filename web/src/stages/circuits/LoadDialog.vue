<script setup lang="ts">
import SearchField from '../../fields/SearchField.vue';
import { computed, ref } from 'vue';
import {
  DISCONNECTS,
  addEntity,
  ampsOf,
  changeEntity,
  isRoomHeat,
  LOAD_KINDS,
  LOAD_LIBRARY,
  parsePower,
  removeEntities,
  type Box,
  type Load,
  type LoadKind,
} from '@winculum/core';
import { newId } from '../../new-id';
import LengthField from '../../fields/LengthField.vue';
import NumberField from '../../fields/NumberField.vue';
import { useHouse } from '../../stores/house';

const props = defineProps<{ box: Box }>();
const emit = defineEmits<{ close: [] }>();
const store = useHouse();
const device = computed(() =>
  Object.values(props.box.devices).find((one) => one.kind === 'receptacle' || one.kind === 'connection'),
);
const existing = Object.values(store.current.loads).find((load) => load.box === props.box.id);
const kind = ref<LoadKind>(existing?.kind ?? 'other');
const draft = ref<Omit<Load, 'id' | 'kind' | 'box' | 'device'>>(
  existing ? { ...existing } : { ...LOAD_LIBRARY.other, source: 'typical' },
);
const flags = [
  ['continuous', 'runs 3 hours or more'],
  ['fastened', 'fastened in place'],
  ['cord', 'cord and plug'],
  ['individual', 'its instructions require a circuit of its own'],
  ['motor', 'motor'],
] as const;

/** What is said of heaters alone. */
const ofKind = computed(() => [
  ...(isRoomHeat(kind.value) ? ([['builtInControl', 'thermostat or switch built in']] as const) : []),
  ...(kind.value === 'floor-heat' ? ([['builtInGfci', 'its thermostat has GFCI built in']] as const) : []),
]);

const kinds = LOAD_KINDS.map((value) => ({ value, title: LOAD_LIBRARY[value].name }));
const VOLTS = [
  { value: 120, title: '120 V' },
  { value: 240, title: '240 V' },
];
const MEANS_WORDS: Readonly<Record<(typeof DISCONNECTS)[number], string>> = {
  plug: 'a plug that can be reached',
  'in-sight': 'a disconnect in sight',
  'lockable-breaker': 'its breaker, which can be locked open',
  'thermostat-off': 'a thermostat with a marked off',
  'unit-switch': 'its own switches, with a marked off',
  none: 'its breaker alone',
};
const MEANS = [{ value: '', title: 'not said' }, ...DISCONNECTS.map((value) => ({ value, title: MEANS_WORDS[value] }))];

const COOLING: ReadonlySet<LoadKind> = new Set<LoadKind>(['air-conditioner', 'heat-pump', 'mini-split']);
const typed = ref(String(draft.value.va));
const wrong = ref('');

function setPower(text: string): void {
  const read = parsePower(text, draft.value.volts, 'Volt-amperes', draft.value.powerFactor || 1);
  wrong.value = read.ok ? '' : read.problems[0]!.message;
  typed.value = text;
  if (!read.ok) return;
  draft.value = { ...draft.value, va: read.value.va, hp: read.value.hp, source: 'nameplate' };
}

function choose(next: LoadKind): void {
  kind.value = next;
  draft.value = { ...LOAD_LIBRARY[next], source: 'typical' };
  typed.value = String(draft.value.va);
  wrong.value = '';
}

function save(): void {
  if (!device.value || wrong.value) return;
  const load: Load = {
    ...draft.value,
    id: existing?.id ?? newId('load'),
    kind: kind.value,
    box: props.box.id,
    device: device.value.id,
  };
  if (
    store.apply(
      existing ? changeEntity(store.current, 'loads', existing.id, load) : addEntity(store.current, 'loads', load),
    )
  )
    emit('close');
}

function remove(): void {
  if (existing && store.apply(removeEntities(store.current, [{ collection: 'loads', id: existing.id }]))) emit('close');
}
</script>

<template>
  <v-dialog :model-value="true" max-width="520" @update:model-value="emit('close')">
    <v-card class="pa-5" :title="`What connects at ${box.tag}`">
      <p v-if="!device" class="is-caution">
        {{ box.tag }} has no receptacle and no hard-wired connection. Place one first.
      </p>
      <v-form v-else class="stack" @submit.prevent="save">
        <SearchField label="Kind" :model-value="kind" :items="kinds" @update:model-value="choose($event)" />
        <v-text-field v-model="draft.name" label="Name" maxlength="80" required />
        <div class="pair">
          <v-text-field
            :model-value="typed"
            class="num"
            label="Volt-amperes"
            placeholder="1500, 1.5 kW, 12.5 A, 3/4 hp"
            :error-messages="wrong"
            @update:model-value="setPower"
          />
          <v-select v-model="draft.volts" label="Volts" :items="VOLTS" />
        </div>
        <p class="num big">
          {{ ampsOf(draft).toFixed(1) }} A
          <span class="muted"
            >{{ draft.source }} value{{ draft.source === 'typical' ? ', from memory: read the nameplate' : '' }}</span
          >
        </p>
        <v-checkbox
          :model-value="draft.source === 'nameplate'"
          density="compact"
          hide-details
          label="read off the nameplate"
          @update:model-value="draft.source = $event ? 'nameplate' : 'typical'"
        />
        <div v-if="COOLING.has(kind)" class="pair">
          <NumberField
            v-model="draft.mcaA"
            label="MCA"
            unit="A"
            optional
            :min="1"
            :max="200"
            @clear="draft.mcaA = undefined"
          />
          <NumberField
            v-model="draft.mocpA"
            label="MOCP"
            unit="A"
            optional
            :min="1"
            :max="300"
            @clear="draft.mocpA = undefined"
          />
        </div>
        <div v-if="draft.volts === 240 || draft.managed" class="pair">
          <NumberField
            :model-value="draft.managed?.limitA"
            label="Energy management limits it to"
            unit="A"
            optional
            :min="1"
            :max="400"
            hint="no limit"
            @update:model-value="draft.managed = { limitA: $event, group: draft.managed?.group ?? '' }"
            @clear="draft.managed = undefined"
          />
          <v-text-field
            v-if="draft.managed"
            v-model="draft.managed.group"
            label="Shares that limit under the name"
            maxlength="40"
          />
        </div>
        <p v-if="draft.managed" class="muted">
          Counted at the service and feeders (625.42; from 2023 on any load, 220.70), never at its own circuit.
        </p>
        <NumberField
          v-if="draft.motor || draft.powerFactor"
          v-model="draft.powerFactor"
          label="Power factor, for watts"
          optional
          :min="0.1"
          :max="1"
          hint="1"
          @clear="draft.powerFactor = undefined"
        />
        <NumberField
          v-if="/welder$/.test(kind)"
          v-model="draft.dutyPercent"
          label="Duty cycle"
          unit="%"
          optional
          :min="1"
          :max="100"
          hint="off its plate"
          @clear="draft.dutyPercent = undefined"
        />
        <p v-if="draft.hp" class="muted">{{ draft.hp }} hp: full-load current of Table 430.248, not of the plate.</p>
        <div class="ticks">
          <v-checkbox
            v-for="[flag, label] in [...flags, ...ofKind]"
            :key="flag"
            v-model="draft[flag]"
            density="compact"
            hide-details
            :label="label"
          />
        </div>
        <LengthField
          v-if="draft.cord"
          v-model="draft.cordIn"
          label="Length of the cord"
          optional
          @clear="draft.cordIn = undefined"
        />
        <v-select
          v-else
          label="Cut off by"
          :model-value="draft.disconnect ?? ''"
          :items="MEANS"
          @update:model-value="draft.disconnect = ($event || undefined) as Load['disconnect']"
        />
        <div class="row">
          <v-btn color="primary" variant="flat" type="submit">Connect it</v-btn>
          <v-btn v-if="existing" @click="remove">Nothing connects here</v-btn>
          <v-btn @click="emit('close')">Cancel</v-btn>
        </div>
      </v-form>
    </v-card>
  </v-dialog>
</template>

<style scoped>
.ticks {
  display: grid;
  grid-template-columns: 1fr 1fr;
}
.big {
  font-size: 24px;
}
.big span {
  font: 400 13px var(--words);
}
</style>
