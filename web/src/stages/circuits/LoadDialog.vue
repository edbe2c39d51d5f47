<script setup lang="ts">
import { computed, ref } from 'vue';
import {
  addEntity,
  ampsOf,
  changeEntity,
  LOAD_KINDS,
  LOAD_LIBRARY,
  parsePower,
  removeEntities,
  type Box,
  type Load,
  type LoadKind,
} from '@winculum/core';
import { newId } from '../../new-id';
import { useHouse } from '../../stores/house';

const props = defineProps<{ box: Box }>();
const emit = defineEmits<{ close: [] }>();
const store = useHouse();
const device = computed(() =>
  Object.values(props.box.devices).find((one) => one.kind === 'receptacle' || one.kind === 'connection'),
);
const existing = Object.values(store.house!.loads).find((load) => load.box === props.box.id);
const kind = ref<LoadKind>(existing?.kind ?? 'other');
const draft = ref<Omit<Load, 'id' | 'kind' | 'box' | 'device'>>(
  existing ? { ...existing } : { ...LOAD_LIBRARY.other, source: 'typical' },
);
const flags = [
  ['continuous', 'runs 3 hours or more'],
  ['fastened', 'fastened in place'],
  ['cord', 'cord and plug'],
  ['individual', 'its instructions ask for a circuit of its own'],
  ['motor', 'motor'],
] as const;

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
  const { mcaA, mocpA, powerFactor, dutyPercent } = draft.value;
  const load: Load = {
    ...draft.value,
    mcaA: mcaA || undefined,
    mocpA: mocpA || undefined,
    powerFactor: powerFactor || undefined,
    dutyPercent: dutyPercent || undefined,
    id: existing?.id ?? newId('load'),
    kind: kind.value,
    box: props.box.id,
    device: device.value.id,
  };
  if (
    store.apply(
      existing ? changeEntity(store.house!, 'loads', existing.id, load) : addEntity(store.house!, 'loads', load),
    )
  )
    emit('close');
}

function remove(): void {
  if (existing && store.apply(removeEntities(store.house!, [{ collection: 'loads', id: existing.id }]))) emit('close');
}
</script>

<template>
  <v-dialog :model-value="true" max-width="460" @update:model-value="emit('close')">
    <v-card class="pa-5" :title="`What connects at ${box.tag}`">
      <p v-if="!device" class="is-caution">
        {{ box.tag }} has no receptacle and no hard-wired connection. Place one first.
      </p>
      <form v-else class="stack" @submit.prevent="save">
        <label class="field"
          >Kind
          <select class="plain" :value="kind" @change="choose(($event.target as HTMLSelectElement).value as LoadKind)">
            <option v-for="one in LOAD_KINDS" :key="one" :value="one">{{ LOAD_LIBRARY[one].name }}</option>
          </select></label
        >
        <label class="field">Name <input v-model="draft.name" class="plain" maxlength="80" required /></label>
        <label class="field"
          >Volt-amperes
          <input
            class="plain num"
            :value="typed"
            placeholder="1500, 1.5 kW, 12.5 A, 3/4 hp, 6 ft of baseboard"
            @input="setPower(($event.target as HTMLInputElement).value)"
        /></label>
        <p v-if="wrong" class="is-violation" role="alert">{{ wrong }}</p>
        <label class="field"
          >Volts
          <select v-model="draft.volts" class="plain">
            <option :value="120">120 V</option>
            <option :value="240">240 V</option>
          </select></label
        >
        <p class="num big">
          {{ ampsOf(draft).toFixed(1) }} A
          <span class="muted"
            >{{ draft.source }} value{{ draft.source === 'typical' ? ', from memory: read the nameplate' : '' }}</span
          >
        </p>
        <div v-if="COOLING.has(kind)" class="row">
          <label class="field"
            >MCA, A <input v-model.number="draft.mcaA" class="plain num" type="number" min="1" max="200" step="0.1"
          /></label>
          <label class="field"
            >MOCP, A <input v-model.number="draft.mocpA" class="plain num" type="number" min="1" max="300"
          /></label>
        </div>
        <label v-if="draft.motor || draft.powerFactor" class="field"
          >Power factor, for watts
          <input
            v-model.number="draft.powerFactor"
            class="plain num"
            type="number"
            min="0.1"
            max="1"
            step="0.01"
            placeholder="1"
        /></label>
        <label v-if="/welder$/.test(kind)" class="field"
          >Duty cycle, %
          <input
            v-model.number="draft.dutyPercent"
            class="plain num"
            type="number"
            min="1"
            max="100"
            placeholder="off its plate"
        /></label>
        <p v-if="draft.hp" class="muted">{{ draft.hp }} hp: full-load current of Table 430.248, not of the plate.</p>
        <label v-for="[flag, label] in flags" :key="flag" class="row"
          ><input v-model="draft[flag]" type="checkbox" /> {{ label }}</label
        >
        <div class="row">
          <button class="plain-button main" type="submit">Connect it</button
          ><button v-if="existing" class="plain-button" type="button" @click="remove">Nothing connects here</button
          ><button class="plain-button" type="button" @click="emit('close')">Cancel</button>
        </div>
      </form>
    </v-card>
  </v-dialog>
</template>

<style scoped>
.big {
  font-size: 24px;
}
.big span {
  font: 400 13px var(--words);
}
</style>
