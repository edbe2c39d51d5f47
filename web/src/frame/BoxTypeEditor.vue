<script setup lang="ts">
import { computed, ref } from 'vue';
import { BOX_TYPES, boxTypes, edit, findBoxType, type BoxType } from '@winculum/core';
import { newId } from '../new-id';
import CountField from '../fields/CountField.vue';
import NumberField from '../fields/NumberField.vue';
import { useHouse } from '../stores/house';

/** The boxes to choose from: sizes of the catalogue can be given another volume, and a firm adds what it buys. */
const store = useHouse();
const types = computed(() => boxTypes(store.current));
const own = computed(() => store.current.standards.boxTypes ?? []);
const isOwn = (one: BoxType) => own.value.includes(one);
const SHAPES: BoxType['shape'][] = ['device', 'octagon', 'round', 'square', 'weatherproof', 'floor'];
const fresh = () => ({
  name: '',
  gangs: 1,
  shape: 'device' as BoxType['shape'],
  volumeIn3: '',
  for: 'new' as BoxType['for'],
});
const next = ref(fresh());

const save = (list: readonly BoxType[], label: string): boolean =>
  store.apply(
    edit(
      store.current,
      label,
      (draft) => void (draft.standards.boxTypes = list.length ? list.map((one) => ({ ...one })) : undefined),
    ),
  );

function setVolume(type: BoxType, volumeIn3: number): void {
  const name = type.name.replace(/[\d.]+ in³$/, `${volumeIn3} in³`);
  save([...own.value.filter((one) => one.id !== type.id), { ...type, name, volumeIn3 }], `Volume of ${type.name}`);
}

function add(): void {
  const { name, gangs, shape, for: work } = next.value;
  const volumeIn3 = Number(next.value.volumeIn3);
  const type: BoxType = {
    id: newId('type'),
    name: `${name.trim()}, ${volumeIn3} in³`,
    gangs,
    shape,
    volumeIn3,
    depthIn: 3,
    for: work,
  };
  if (!name.trim()) store.problem = 'Name: say what the box is called.';
  else if (!(volumeIn3 > 0)) store.problem = 'Volume: type the cubic inches marked in the box.';
  else if (save([...own.value, type], `Add ${type.name}`)) next.value = fresh();
}

function remove(type: BoxType): void {
  const used = Object.values(store.current.boxes).filter((box) => box.type === type.id);
  const standard = BOX_TYPES.some((one) => one.id === type.id);
  if (used.length > 0 && !standard)
    store.problem = `${type.name} is chosen for ${used.map((box) => box.tag).join(', ')}. Choose another there first.`;
  else
    save(
      own.value.filter((one) => one !== type),
      standard ? `Usual ${type.name}` : `Remove ${type.name}`,
    );
}
const usual = (type: BoxType) => BOX_TYPES.some((one) => one.id === type.id);
const known = (type: BoxType) => findBoxType(store.current, type.id) === type;
</script>

<template>
  <h2 class="small-caps">Boxes to choose from ({{ types.length }})</h2>
  <p class="muted">
    Volumes are common practice. The number marked in the box counts: type it here, or for a single box.
  </p>
  <v-expansion-panels>
    <v-expansion-panel v-for="one in types.filter(known)" :key="one.id">
      <v-expansion-panel-title :class="{ own: isOwn(one) }">{{ one.name }}</v-expansion-panel-title>
      <v-expansion-panel-text>
        <div class="row">
          <NumberField
            v-if="one.shape !== 'low-voltage'"
            class="grow"
            :label="`Cubic inches of ${one.name}`"
            unit="in³"
            :min="1"
            :max="400"
            :model-value="one.volumeIn3"
            @update:model-value="setVolume(one, $event)"
          />
          <v-btn v-if="isOwn(one) && store.canEdit" @click="remove(one)">{{
            usual(one) ? 'As usual' : 'Remove'
          }}</v-btn>
        </div>
      </v-expansion-panel-text>
    </v-expansion-panel>
  </v-expansion-panels>
  <v-form v-if="store.canEdit" class="another" aria-label="Another box" @submit.prevent="add">
    <v-text-field v-model="next.name" class="wide" label="Name of another box" maxlength="60" />
    <v-select v-model="next.shape" label="Its shape" :items="SHAPES" />
    <v-select
      v-model="next.for"
      label="New or old work"
      :items="[
        { value: 'new', title: 'new work' },
        { value: 'old-work', title: 'old work' },
      ]"
    />
    <CountField v-model="next.gangs" label="Its gangs" :min="1" :max="6" />
    <v-text-field v-model="next.volumeIn3" class="num" label="Its cubic inches" suffix="in³" inputmode="decimal" />
    <v-btn class="wide" color="primary" variant="flat" type="submit">Add</v-btn>
  </v-form>
</template>

<style scoped>
.own {
  font-weight: 700;
}
.another {
  display: grid;
  grid-template-columns: 1fr 1fr;
  gap: 8px;
}
.wide {
  grid-column: 1 / -1;
}
</style>
