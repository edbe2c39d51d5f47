<script setup lang="ts">
import type { DeletedHouse } from '@winculum/contract';
import { onMounted, shallowRef } from 'vue';
import { api } from '../../api';
import AccountSection from './AccountSection.vue';
import { useSection } from './use-section';

const { message, said, run } = useSection();
const houses = shallowRef<readonly DeletedHouse[]>([]);
const load = async (): Promise<void> => void (houses.value = await api.deletedHouses());
const bringBack = (house: DeletedHouse) =>
  run(async () => {
    await api.bringBack(house.id);
    await load();
    return `${house.name} is back.`;
  });
const day = (text: string) => new Date(text).toLocaleDateString();
onMounted(() => run(load));
</script>

<template>
  <AccountSection title="Deleted houses" hint="Kept for 30 days." :message="message" :said="said">
    <p v-if="!houses.length" class="muted">None.</p>
    <ul class="list">
      <li v-for="house in houses" :key="house.id" class="row">
        <span class="grow">
          {{ house.name }}<br />
          <span class="muted"
            >deleted {{ day(house.deletedAt) }} by {{ house.by }}, kept until {{ day(house.keptUntil) }}</span
          >
        </span>
        <v-btn size="small" :aria-label="`Bring back ${house.name}`" @click="bringBack(house)">Bring back</v-btn>
      </li>
    </ul>
  </AccountSection>
</template>

<style scoped>
.list {
  display: grid;
  gap: 8px;
}
</style>
