<script setup lang="ts">
import { computed, ref } from 'vue';
import { effectOfKind, ROOM_KINDS, type Room, type RoomKind } from '@winculum/core';
import { useHouse } from '../../stores/house';

/** What another name for the room would ask for, before it is chosen. */
const props = defineProps<{ room: Room }>();
const store = useHouse();
const kind = ref<RoomKind | ''>('');
const effect = computed(() => (kind.value ? effectOfKind(store.house!, props.room.id, kind.value) : null));
</script>

<template>
  <details>
    <summary>What would another name ask?</summary>
    <label class="field"
      >If it were
      <select v-model="kind" class="plain">
        <option value="">choose …</option>
        <option v-for="one in ROOM_KINDS.filter((other) => other !== room.kind)" :key="one" :value="one">
          {{ one.replaceAll('-', ' ') }}
        </option>
      </select></label
    >
    <div v-if="effect" class="effect">
      <p v-for="text in effect.adds" :key="text" class="is-caution">+ {{ text }}</p>
      <p v-for="text in effect.drops" :key="text" class="muted">− {{ text }}</p>
      <p v-if="!effect.adds.length && !effect.drops.length">Nothing would change.</p>
    </div>
  </details>
</template>

<style scoped>
summary {
  cursor: pointer;
  min-height: 32px;
}
.effect {
  font-size: 13px;
  line-height: 1.4;
  display: grid;
  gap: 4px;
  padding-top: 6px;
}
</style>
