<script setup lang="ts">
import { count, openOnly, type Room } from '@winculum/core';
import { useHouse } from '../../stores/house';

/** Work in a house that stands: what is opened up, and that the rest stays. */
defineProps<{ rooms: readonly Room[] }>();
const store = useHouse();
</script>

<template>
  <section class="stack" aria-label="In a house that stands">
    <h3 class="small-caps">In a house that stands</h3>
    <p class="muted small">
      Boxes of the other rooms and the panels were there before, and finished walls stay closed: nothing is bored,
      bought or asked there.
    </p>
    <v-btn @click="store.apply(openOnly(store.current, new Set(rooms.map((one) => one.id))))">
      Open {{ rooms.length === 1 ? 'this room' : count(rooms.length, 'room') }}, the rest stays
    </v-btn>
  </section>
</template>
