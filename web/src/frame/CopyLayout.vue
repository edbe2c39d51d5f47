<script setup lang="ts">
import { computed, ref } from 'vue';
import { copyLayout, type Room } from '@winculum/core';
import { newId } from '../new-id';
import { useHouse } from '../stores/house';

/** Sets the boxes of this room down in another, as they are or mirrored. */
const props = defineProps<{ room: Room }>();
const store = useHouse();
const to = ref('');
const others = computed(() => Object.values(store.current.rooms).filter((one) => one.id !== props.room.id));
const copy = (mirrored: boolean) => store.apply(copyLayout(store.current, props.room.id, to.value, mirrored, newId));
</script>

<template>
  <div class="stack">
    <v-select v-model="to" label="Copy layout to" :items="others" item-title="name" item-value="id" />
    <div class="row">
      <v-btn :disabled="!to" @click="copy(false)">Copy</v-btn>
      <v-btn :disabled="!to" @click="copy(true)">Mirrored</v-btn>
    </div>
  </div>
</template>
