<script setup lang="ts">
import { computed, defineAsyncComponent } from 'vue';
import { useHouse } from '../stores/house';
import { useView } from '../stores/view';
import type { Stop } from '../stops';
import OpenItems from './OpenItems.vue';
import FindingCard from './FindingCard.vue';
import WhyPanel from './WhyPanel.vue';

const props = defineProps<{ stop: Stop }>();
const store = useHouse();
const view = useView();
const RoomForm = defineAsyncComponent(() => import('../stages/house/HousePanel.vue'));
const CircuitForm = defineAsyncComponent(() => import('../stages/circuits/CircuitPanel.vue'));

const count = computed(() => store.check?.findings.length ?? 0);
const form = computed(() =>
  props.stop === 'house'
    ? RoomForm
    : (props.stop === 'circuits' || props.stop === 'load-profile') && view.only('circuit')
      ? CircuitForm
      : WhyPanel,
);
</script>

<template>
  <aside class="side" aria-label="What is selected, and why">
    <v-tabs v-model="view.side" grow aria-label="Side panel">
      <v-tab value="why" aria-controls="side-body">Why</v-tab>
      <v-tab value="open-items" aria-controls="side-body"
        >Open items <b class="num n">{{ count }}</b></v-tab
      >
    </v-tabs>
    <div id="side-body" class="body" role="tabpanel" :aria-label="view.side === 'why' ? 'Why' : 'Open items'">
      <OpenItems v-if="view.side === 'open-items'" />
      <template v-else>
        <FindingCard v-if="view.finding" :finding="view.finding" is-main />
        <component :is="form" :stop="stop" />
      </template>
    </div>
    <p class="foot muted">Local code and the inspector decide.</p>
  </aside>
</template>

<style scoped>
.n {
  margin-left: 6px;
}
.side {
  background: var(--card);
  border-left: 1px solid var(--rule);
  display: flex;
  flex-direction: column;
  min-height: 0;
}
.body {
  flex: 1;
  overflow-y: auto;
  padding: 14px 18px;
  display: flex;
  flex-direction: column;
  gap: 14px;
}
.foot {
  padding: 8px 18px;
  font-size: 12.5px;
  border-top: 1px solid var(--rule);
}
</style>
