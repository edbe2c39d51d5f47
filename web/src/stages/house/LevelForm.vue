<script setup lang="ts">
import { computed } from 'vue';
import { areaFt2, changeEntity, count } from '@winculum/core';
import { useHouse } from '../../stores/house';
import { useView } from '../../stores/view';
import LengthField from './LengthField.vue';

const store = useHouse();
const view = useView();
const level = computed(() => store.house!.levels[view.level]!);
const rooms = computed(() => Object.values(store.house!.rooms).filter((room) => room.level === view.level));
function setJoists(event: Event): void {
  const run = (event.target as HTMLSelectElement).value;
  change({
    joists: run
      ? { run, spacingIn: level.value.joists?.spacingIn ?? 16, offsetIn: level.value.joists?.offsetIn ?? 0 }
      : undefined,
  });
}
const change = (changes: object) => store.apply(changeEntity(store.house!, 'levels', level.value.id, changes));
</script>

<template>
  <section v-if="level" class="stack">
    <h2 class="title num">{{ level.name }}</h2>
    <p class="muted">
      {{ count(rooms.length, 'room') }},
      {{ rooms.reduce((sum, room) => sum + areaFt2(room.corners), 0).toFixed(0) }} ft² inside
    </p>
    <LengthField label="Ceiling" :value="level.ceilingIn" @change="change({ ceilingIn: $event })" />
    <LengthField label="Studs o.c." :value="level.studSpacingIn" @change="change({ studSpacingIn: $event })" />
    <LengthField label="Walls" :value="level.wallThicknessIn" @change="change({ wallThicknessIn: $event })" />
    <label class="field"
      >Ceiling joists run
      <select class="plain" :value="level.joists?.run ?? ''" :disabled="!store.canEdit" @change="setJoists($event)">
        <option value="">not known</option>
        <option value="east-west">east–west</option>
        <option value="north-south">north–south</option>
      </select></label
    >
    <template v-if="level.joists">
      <LengthField
        label="Joists o.c."
        :value="level.joists.spacingIn"
        @change="change({ joists: { ...level.joists, spacingIn: $event } })"
      />
      <LengthField
        label="First joist at"
        :value="level.joists.offsetIn"
        @change="change({ joists: { ...level.joists, offsetIn: $event } })"
      />
    </template>
    <h2 class="small-caps">Rooms</h2>
    <ul>
      <li v-for="room in rooms" :key="room.id">
        <button class="room" @click="view.select([{ kind: 'room', id: room.id }])">
          {{ room.name }} <span class="muted">{{ room.kind.replaceAll('-', ' ') }}</span>
        </button>
      </li>
    </ul>
  </section>
</template>

<style scoped>
.title {
  font-size: 24px;
  font-weight: 700;
}
.room {
  width: 100%;
  text-align: left;
  border: 0;
  background: none;
  color: var(--ink);
  font: 500 14px var(--words);
  min-height: 34px;
  cursor: pointer;
}
.room:hover {
  color: var(--chalk);
}
</style>
