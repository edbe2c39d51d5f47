<script setup lang="ts">
import { computed } from 'vue';
import {
  BREAKER_NAMES,
  count,
  outagesOn,
  nuisancesOn,
  protectionWays,
  type Circuit,
  type ProtectionWay,
} from '@winculum/core';
import { useHouse } from '../../stores/house';

/** How a circuit may be protected, what that costs, and what goes dead when it trips. */
const props = defineProps<{ circuit: Circuit }>();
const emit = defineEmits<{ choose: [device: string] }>();
const store = useHouse();
const ways = computed(() => protectionWays(store.current, props.circuit.id));
const nuisances = computed(() => nuisancesOn(store.current, props.circuit.id));
const outages = computed(() => outagesOn(store.current, props.circuit));
const isChosen = (one: ProtectionWay) => (one.first?.device.id ?? null) === props.circuit.gfciFirst;
</script>

<template>
  <v-expansion-panels v-if="ways.length">
    <v-expansion-panel title="Ways to protect it">
      <v-expansion-panel-text>
        <p v-for="(one, i) in ways" :key="i" class="way">
          <b>{{ BREAKER_NAMES[one.breaker] }} breaker{{ one.first ? ` and GFCI at ${one.first.box.tag}` : '' }}</b>
          <b class="num price">${{ one.cost }}</b
          ><br />
          <span v-if="one.isCheapest && ways.length > 1" class="is-caution">cheapest. </span>{{ one.pros
          }}<template v-if="one.proposed && ways.length > 1">. <b>Proposed:</b> {{ one.proposed }}</template>
          <v-btn
            v-if="store.canEdit && ways.length > 1 && !isChosen(one)"
            @click="emit('choose', one.first?.device.id ?? '')"
          >
            Choose it
          </v-btn>
        </p>
        <p v-for="{ outlet, why } in nuisances" :key="outlet.device.id" class="is-caution">
          {{ outlet.load!.name }} ({{ outlet.box.tag }}): {{ why }}
        </p>
        <p class="muted">Prices are typical, to compare one with another.</p>
      </v-expansion-panel-text>
    </v-expansion-panel>
  </v-expansion-panels>
  <v-expansion-panels v-if="outages.length">
    <v-expansion-panel title="If it trips">
      <v-expansion-panel-text>
        <p v-for="(one, i) in outages" :key="i" class="way">
          <b>{{ one.by.kind === 'breaker' ? 'The breaker' : `The GFCI at ${one.by.outlet.box.tag}` }}:</b>
          {{ count(one.outlets.length, 'outlet')
          }}<template v-if="one.dark.length">; dark: {{ one.dark.map((room) => room.name).join(', ') }}</template
          ><template v-if="one.thaws.length">; thaws: {{ one.thaws.map((o) => o.load!.name).join(', ') }}</template
          ><template v-if="one.stops.length"
            >; stops: {{ one.stops.map((o) => o.load?.name ?? `alarm ${o.box.tag}`).join(', ') }}</template
          >
        </p>
      </v-expansion-panel-text>
    </v-expansion-panel>
  </v-expansion-panels>
</template>

<style scoped>
.way {
  border-top: 1px solid var(--rule);
  padding: 5px 0;
  line-height: 1.45;
}
.price {
  float: right;
  font-size: 16px;
}
</style>
