<script setup lang="ts">
import { computed, ref } from 'vue';
import { copyLayout, type Room } from '@winculum/core';
import { newId } from '../new-id';
import { useHouse } from '../stores/house';

/** Sets the boxes of this room down in another, as they are or mirrored. */
const props = defineProps<{ room: Room }>();
const store = useHouse();
const to = ref('');
const others = computed(() => Object.values(store.house!.rooms).filter((one) => one.id !== props.room.id));
const copy = (mirrored: boolean) => store.apply(copyLayout(store.house!, props.room.id, to.value, mirrored, newId));
</script>

<template>
  <div class="stack">
    <label class="field"
      >Copy layout to
      <select v-model="to" class="plain">
        <option value="">choose a room …</option>
        <option v-for="one in others" :key="one.id" :value="one.id">{{ one.name }}</option>
      </select></label
    >
    <div class="row">
      <button class="plain-button" :disabled="!to" @click="copy(false)">Copy</button>
      <button class="plain-button" :disabled="!to" @click="copy(true)">Mirrored</button>
    </div>
  </div>
</template>
