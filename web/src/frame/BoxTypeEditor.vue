<script setup lang="ts">
import { computed, ref } from 'vue';
import { BOX_TYPES, boxTypes, edit, findBoxType, type BoxType } from '@winculum/core';
import { newId } from '../new-id';
import { useHouse } from '../stores/house';

/** The boxes to choose from: sizes of the catalogue can be given another volume, and a firm adds what it buys. */
const store = useHouse();
const types = computed(() => boxTypes(store.house!));
const own = computed(() => store.house!.standards.boxTypes ?? []);
const isOwn = (one: BoxType) => own.value.includes(one);
const value = (event: Event) => (event.target as HTMLInputElement).value;
const SHAPES = ['device', 'octagon', 'round', 'square', 'weatherproof', 'floor'] as const;
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
      store.house!,
      label,
      (draft) => void (draft.standards.boxTypes = list.length ? list.map((one) => ({ ...one })) : undefined),
    ),
  );

function setVolume(type: BoxType, text: string): void {
  const volumeIn3 = Number(text);
  if (!(volumeIn3 > 0)) {
    store.problem = `Volume of ${type.name}: type the cubic inches marked in the box.`;
    return;
  }
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
  const used = Object.values(store.house!.boxes).filter((box) => box.type === type.id);
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
const known = (type: BoxType) => findBoxType(store.house!, type.id) === type;
</script>

<template>
  <details>
    <summary class="small-caps">Boxes to choose from ({{ types.length }})</summary>
    <p class="muted">
      Volumes are common practice. The number marked in the box counts: type it here, or for a single box.
    </p>
    <fieldset :disabled="!store.canEdit" class="types">
      <template v-for="one in types.filter(known)" :key="one.id">
        <span :class="{ own: isOwn(one) }">{{ one.name }}</span>
        <label class="row"
          ><input
            class="plain num"
            type="number"
            min="1"
            max="400"
            step="0.1"
            :value="one.volumeIn3"
            :disabled="one.shape === 'low-voltage'"
            :aria-label="`Cubic inches of ${one.name}`"
            @change="setVolume(one, value($event))"
          />
          in³</label
        >
        <button v-if="isOwn(one)" type="button" class="plain-button" @click="remove(one)">
          {{ usual(one) ? 'As usual' : 'Remove' }}
        </button>
        <span v-else />
      </template>
    </fieldset>
    <form v-if="store.canEdit" class="row" @submit.prevent="add">
      <input
        v-model="next.name"
        class="plain grow"
        maxlength="60"
        placeholder="another box"
        aria-label="Name of another box"
      />
      <select v-model="next.shape" class="plain" aria-label="Its shape">
        <option v-for="one in SHAPES" :key="one" :value="one">{{ one === 'device' ? 'device box' : one }}</option>
      </select>
      <select v-model="next.for" class="plain" aria-label="New or old work">
        <option value="new">new work</option>
        <option value="old-work">old work</option>
      </select>
      <label class="row"
        ><input
          v-model.number="next.gangs"
          class="plain num short"
          type="number"
          min="1"
          max="6"
          aria-label="Its gangs"
        />
        gangs</label
      >
      <label class="row"
        ><input v-model="next.volumeIn3" class="plain num short" inputmode="decimal" aria-label="Its cubic inches" />
        in³</label
      >
      <button class="plain-button main" type="submit">Add</button>
    </form>
  </details>
</template>

<style scoped>
summary {
  cursor: pointer;
  padding: 6px 0;
}
.types {
  border: 0;
  padding: 0;
  margin: 0 0 8px;
  display: grid;
  grid-template-columns: minmax(0, 420px) 130px 90px;
  gap: 4px 10px;
  font-size: 14px;
  letter-spacing: 0;
  align-items: center;
}
.types input {
  width: 84px;
}
.short {
  width: 72px;
}
.own {
  font-weight: 600;
}
</style>
