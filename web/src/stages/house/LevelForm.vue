<script setup lang="ts">
import { computed } from 'vue';
import { areaFt2, changeEntity, count } from '@winculum/core';
import { useHouse } from '../../stores/house';
import { useView } from '../../stores/view';
import ChoiceField from '../../fields/ChoiceField.vue';
import LengthField from '../../fields/LengthField.vue';

const store = useHouse();
const view = useView();
const level = computed(() => store.current.levels[view.level]!);
const rooms = computed(() => Object.values(store.current.rooms).filter((room) => room.level === view.level));
const RUNS = [
  { value: '', word: 'not known' },
  { value: 'east-west', word: 'east–west' },
  { value: 'north-south', word: 'north–south' },
] as const;
function setJoists(run: (typeof RUNS)[number]['value']): void {
  change({
    joists: run ? { spacingIn: 16, offsetIn: 0, ...level.value.joists, run } : undefined,
  });
}
const KINDS = [
  { value: '', word: 'not known' },
  { value: 'sawn', word: 'solid lumber' },
  { value: 'i-joist', word: 'I-joists' },
  { value: 'truss', word: 'trusses' },
] as const;
const setKind = (kind: (typeof KINDS)[number]['value']) =>
  change({ joists: { ...level.value.joists, kind: kind || undefined, ...(kind === 'sawn' ? { depthIn: 9.25 } : {}) } });
const change = (changes: object) => store.apply(changeEntity(store.current, 'levels', level.value.id, changes));
</script>

<template>
  <section v-if="level" class="stack">
    <h2 class="title num">{{ level.name }}</h2>
    <p class="muted">
      {{ count(rooms.length, 'room') }},
      {{ rooms.reduce((sum, room) => sum + areaFt2(room.corners), 0).toFixed(0) }} ft² inside
    </p>
    <LengthField label="Ceiling" :model-value="level.ceilingIn" @update:model-value="change({ ceilingIn: $event })" />
    <LengthField
      label="Studs o.c."
      :model-value="level.studSpacingIn"
      @update:model-value="change({ studSpacingIn: $event })"
    />
    <LengthField
      label="Walls"
      :model-value="level.wallThicknessIn"
      @update:model-value="change({ wallThicknessIn: $event })"
    />
    <ChoiceField
      label="Ceiling joists run"
      :model-value="level.joists?.run ?? ''"
      :answers="RUNS"
      @update:model-value="setJoists"
    />
    <template v-if="level.joists">
      <LengthField
        label="Joists o.c."
        :model-value="level.joists.spacingIn"
        @update:model-value="change({ joists: { ...level.joists, spacingIn: $event } })"
      />
      <LengthField
        label="First joist at"
        :model-value="level.joists.offsetIn"
        @update:model-value="change({ joists: { ...level.joists, offsetIn: $event } })"
      />
      <ChoiceField
        label="Joists are"
        :model-value="level.joists.kind ?? ''"
        :answers="KINDS"
        @update:model-value="setKind"
      />
      <LengthField
        v-if="level.joists.kind === 'sawn'"
        label="Joist depth"
        :model-value="level.joists.depthIn ?? 9.25"
        @update:model-value="change({ joists: { ...level.joists, depthIn: $event } })"
      />
    </template>
    <h2 class="small-caps">Rooms</h2>
    <v-list density="compact" bg-color="transparent" role="group" aria-label="Rooms of this level">
      <v-list-item
        v-for="room in rooms"
        :key="room.id"
        role="button"
        @click="view.select([{ kind: 'room', id: room.id }])"
      >
        {{ room.name }} <span class="muted">{{ room.kind.replaceAll('-', ' ') }}</span>
      </v-list-item>
    </v-list>
  </section>
</template>

<style scoped>
.title {
  font-size: 24px;
  font-weight: 700;
}
</style>
