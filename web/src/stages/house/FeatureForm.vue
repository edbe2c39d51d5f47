<script setup lang="ts">
import { computed } from 'vue';
import { addEntity, changeEntity, removeEntities, type Feature } from '@winculum/core';
import { newId } from '../../new-id';
import { useHouse } from '../../stores/house';
import { useView } from '../../stores/view';
import LengthField from './LengthField.vue';

const props = defineProps<{ feature: Feature }>();
const store = useHouse();
const view = useView();
const change = (changes: Partial<Feature>) =>
  store.apply(changeEntity(store.house!, 'features', props.feature.id, changes));
const move = (changes: object) => change({ at: { ...props.feature.at, ...changes } as Feature['at'] });
const UNDERSIDE = new Set(['cabinet', 'tall-cabinet', 'tile', 'no-device', 'beam', 'brace', 'tv', 'closet-shelf']);
const CORNERED = new Set(['sink', 'basin', 'range', 'cooktop', 'fireplace', 'tv', 'tub', 'shower']);
const BURNS = new Set(['furnace', 'water-heater', 'fireplace', 'range', 'cooktop', 'dryer']);
const panel = computed(() => Object.values(store.house!.panels).find((one) => one.feature === props.feature.id));

function addPanel(): void {
  const n = Object.keys(store.house!.panels).length;
  const name = n === 0 ? 'Main panel' : `Panel ${n + 1}`;
  store.apply(
    addEntity(store.house!, 'panels', {
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
  if (store.apply(removeEntities(store.house!, [{ collection: 'features', id: props.feature.id }]))) view.select([]);
}
</script>

<template>
  <section class="stack">
    <h2 class="title num">{{ feature.name || feature.kind.replaceAll('-', ' ') }}</h2>
    <label class="field"
      >Name
      <input
        class="plain"
        :value="feature.name"
        maxlength="80"
        :readonly="!store.canEdit"
        @change="change({ name: ($event.target as HTMLInputElement).value })"
    /></label>
    <LengthField
      v-if="feature.at.kind === 'wall' && !feature.at.acrossCorner"
      label="From left"
      :value="feature.at.alongIn"
      @change="move({ alongIn: $event })"
    />
    <LengthField label="Width" :value="feature.at.widthIn" @change="move({ widthIn: $event })" />
    <LengthField label="Depth" :value="feature.at.depthIn" @change="move({ depthIn: $event })" />
    <LengthField
      v-if="feature.at.kind === 'wall'"
      :label="feature.at.acrossCorner ? 'Corner to its back' : 'Gap behind'"
      :value="feature.at.behindIn"
      @change="move({ behindIn: $event })"
    />
    <label v-if="feature.at.kind === 'wall' && CORNERED.has(feature.kind)" class="row"
      ><input
        type="checkbox"
        :checked="feature.at.acrossCorner ?? false"
        :disabled="!store.canEdit"
        @change="move({ acrossCorner: ($event.target as HTMLInputElement).checked || undefined, alongIn: 0 })"
      />
      across the corner on its left</label
    >
    <LengthField label="Height" :value="feature.heightIn" @change="change({ heightIn: $event })" />
    <LengthField
      v-if="UNDERSIDE.has(feature.kind)"
      label="Underside"
      :value="feature.bottomIn ?? 0"
      @change="change({ bottomIn: $event })"
    />
    <label v-if="feature.kind === 'stair'" class="field"
      >Risers between floors
      <input
        class="plain num"
        type="number"
        min="1"
        max="40"
        :value="feature.risers"
        :readonly="!store.canEdit"
        @change="change({ risers: Number(($event.target as HTMLInputElement).value) || undefined })"
    /></label>
    <label v-if="feature.kind === 'baseboard-heater'" class="row"
      ><input
        type="checkbox"
        :checked="feature.receptacle ?? false"
        :disabled="!store.canEdit"
        @change="change({ receptacle: ($event.target as HTMLInputElement).checked || undefined })"
      />
      a receptacle is built in</label
    >
    <label v-if="BURNS.has(feature.kind)" class="row"
      ><input
        type="checkbox"
        :checked="feature.fuel ?? false"
        :disabled="!store.canEdit"
        @change="change({ fuel: ($event.target as HTMLInputElement).checked || undefined })"
      />
      burns fuel</label
    >
    <LengthField
      v-if="feature.kind === 'island' || feature.kind === 'peninsula'"
      label="Overhang of the top"
      :value="feature.overhangIn"
      @change="change({ overhangIn: $event })"
    />
    <label v-if="feature.kind === 'island' || feature.kind === 'peninsula'" class="row"
      ><input
        type="checkbox"
        :checked="feature.provision ?? false"
        :disabled="!store.canEdit"
        @change="change({ provision: ($event.target as HTMLInputElement).checked })"
      />
      provision for a later receptacle</label
    >
    <template v-if="feature.kind === 'panel'">
      <p v-if="panel" class="muted">{{ panel.name }}: {{ panel.spaces }} spaces, {{ panel.mainA }} A main.</p>
      <button v-else-if="store.canEdit" class="plain-button main" @click="addPanel">Make it a panel</button>
    </template>
    <button v-if="store.canEdit" class="plain-button" @click="remove">Delete</button>
  </section>
</template>

<style scoped>
.title {
  font-size: 24px;
  font-weight: 700;
  text-transform: capitalize;
}
</style>
