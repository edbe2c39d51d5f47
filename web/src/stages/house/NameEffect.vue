<script setup lang="ts">
import SearchField from '../../fields/SearchField.vue';
import { computed, ref } from 'vue';
import { effectOfKind, ROOM_KINDS, type Room, type RoomKind } from '@winculum/core';
import { useHouse } from '../../stores/house';

/** What another name for the room would ask for, before it is chosen. */
const props = defineProps<{ room: Room }>();
const store = useHouse();
const kind = ref<RoomKind | ''>('');
const kinds = computed(() =>
  ROOM_KINDS.filter((one) => one !== props.room.kind).map((value) => ({ value, title: value.replaceAll('-', ' ') })),
);
const effect = computed(() => (kind.value ? effectOfKind(store.current, props.room.id, kind.value) : null));
</script>

<template>
  <v-expansion-panels>
    <v-expansion-panel title="What would another kind require?">
      <v-expansion-panel-text>
        <SearchField v-model="kind" label="If it were" :items="kinds" />
        <div v-if="effect" class="effect">
          <p v-for="text in effect.adds" :key="text" class="is-caution">+ {{ text }}</p>
          <p v-for="text in effect.drops" :key="text" class="muted">− {{ text }}</p>
          <p v-if="!effect.adds.length && !effect.drops.length">Nothing would change.</p>
        </div>
      </v-expansion-panel-text>
    </v-expansion-panel>
  </v-expansion-panels>
</template>

<style scoped>
.effect {
  font-size: 13px;
  line-height: 1.4;
  display: grid;
  gap: 4px;
  padding-top: 6px;
}
</style>
