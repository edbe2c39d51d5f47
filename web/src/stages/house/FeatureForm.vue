<script setup lang="ts">
import { computed } from 'vue';
import {
  addEntity,
  burnsFuel,
  changeEntity,
  removeEntities,
  setFuel,
  setFunctions,
  type Feature,
} from '@winculum/core';
import { newId } from '../../new-id';
import { useHouse } from '../../stores/house';
import { useView } from '../../stores/view';
import LengthField from '../../fields/LengthField.vue';
import LineField from '../../fields/LineField.vue';
import NumberField from '../../fields/NumberField.vue';
import TickField from '../../fields/TickField.vue';

const props = defineProps<{ feature: Feature }>();
const store = useHouse();
const view = useView();
const change = (changes: Partial<Feature>) =>
  store.apply(changeEntity(store.current, 'features', props.feature.id, changes));
const move = (changes: object) => change({ at: { ...props.feature.at, ...changes } as Feature['at'] });
const UNDERSIDE = new Set([
  ...['cabinet', 'tall-cabinet', 'tile', 'no-device', 'beam', 'brace', 'tv', 'closet-shelf'],
  ...['range-hood', 'microwave', 'mirror', 'ev-charger'],
]);
const CORNERED = new Set(['sink', 'basin', 'range', 'cooktop', 'fireplace', 'tv', 'tub', 'shower']);
const BURNS = new Set(['furnace', 'water-heater', 'fireplace', 'range', 'cooktop', 'dryer']);
const panel = computed(() => Object.values(store.current.panels).find((one) => one.feature === props.feature.id));

/** Ticks or unticks what an exhaust fan does besides. */
function setFunction(one: 'light' | 'heat', isDone: boolean): void {
  const others = (props.feature.functions ?? []).filter((other) => other !== one);
  store.apply(setFunctions(store.current, props.feature.id, isDone ? [...others, one] : others, newId));
}

function addPanel(): void {
  const n = Object.keys(store.current.panels).length;
  const name = n === 0 ? 'Main panel' : `Panel ${n + 1}`;
  store.apply(
    addEntity(store.current, 'panels', {
      id: newId('panel'),
      name,
      room: props.feature.room,
      feature: props.feature.id,
      spaces: 40,
      mainA: 200,
    }),
  );
}

function remove(): void {
  if (store.apply(removeEntities(store.current, [{ collection: 'features', id: props.feature.id }]))) view.select([]);
}
</script>

<template>
  <section class="stack">
    <h2 class="title num">{{ feature.name || feature.kind.replaceAll('-', ' ') }}</h2>
    <LineField label="Name" :model-value="feature.name" @update:model-value="change({ name: $event })" />
    <LengthField
      v-if="feature.at.kind === 'wall' && !feature.at.acrossCorner"
      label="From left"
      :model-value="feature.at.alongIn"
      @update:model-value="move({ alongIn: $event })"
    />
    <LengthField label="Width" :model-value="feature.at.widthIn" @update:model-value="move({ widthIn: $event })" />
    <LengthField label="Depth" :model-value="feature.at.depthIn" @update:model-value="move({ depthIn: $event })" />
    <LengthField
      v-if="feature.at.kind === 'wall'"
      :label="feature.at.acrossCorner ? 'Corner to its back' : 'Gap behind'"
      :model-value="feature.at.behindIn"
      @update:model-value="move({ behindIn: $event })"
    />
    <TickField
      v-if="feature.at.kind === 'wall' && CORNERED.has(feature.kind)"
      label="across the corner on its left"
      :model-value="feature.at.acrossCorner ?? false"
      @update:model-value="move({ acrossCorner: $event || undefined, alongIn: 0 })"
    />
    <LengthField label="Height" :model-value="feature.heightIn" @update:model-value="change({ heightIn: $event })" />
    <LengthField
      v-if="UNDERSIDE.has(feature.kind)"
      label="Underside"
      :model-value="feature.bottomIn ?? 0"
      @update:model-value="change({ bottomIn: $event })"
    />
    <NumberField
      v-if="feature.kind === 'stair'"
      label="Risers between floors"
      whole
      optional
      :min="1"
      :max="40"
      hint="not said"
      :model-value="feature.risers"
      @update:model-value="change({ risers: $event })"
      @clear="change({ risers: undefined })"
    />
    <TickField
      v-if="feature.kind === 'baseboard-heater'"
      label="a receptacle is built in"
      :model-value="feature.receptacle ?? false"
      @update:model-value="change({ receptacle: $event || undefined })"
    />
    <TickField
      v-if="BURNS.has(feature.kind)"
      label="burns fuel"
      :model-value="burnsFuel(feature)"
      @update:model-value="store.apply(setFuel(store.current, feature.id, $event, newId))"
    />
    <template v-if="feature.kind === 'bath-fan'">
      <TickField
        label="lights as well"
        :model-value="feature.functions?.includes('light') ?? false"
        @update:model-value="setFunction('light', $event)"
      />
      <TickField
        label="heats as well"
        :model-value="feature.functions?.includes('heat') ?? false"
        @update:model-value="setFunction('heat', $event)"
      />
    </template>
    <LengthField
      v-if="feature.kind === 'island' || feature.kind === 'peninsula'"
      label="Overhang of the top"
      :model-value="feature.overhangIn"
      @update:model-value="change({ overhangIn: $event })"
    />
    <TickField
      v-if="feature.kind === 'island' || feature.kind === 'peninsula'"
      label="provision for a later receptacle"
      :model-value="feature.provision ?? false"
      @update:model-value="change({ provision: $event || undefined })"
    />
    <template v-if="feature.kind === 'panel'">
      <p v-if="panel" class="muted">{{ panel.name }}: {{ panel.spaces }} spaces, {{ panel.mainA }} A main.</p>
      <v-btn v-else-if="store.canEdit" color="primary" variant="flat" @click="addPanel">Make it a panel</v-btn>
    </template>
    <v-btn v-if="store.canEdit" @click="remove">Delete</v-btn>
  </section>
</template>

<style scoped>
.title {
  font-size: 24px;
  font-weight: 700;
  text-transform: capitalize;
}
</style>
