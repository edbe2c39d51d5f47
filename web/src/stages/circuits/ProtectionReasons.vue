<script setup lang="ts">
import { computed } from 'vue';
import { guardOf, protectionOf, type Circuit, type Outlet } from '@winculum/core';
import { useHouse } from '../../stores/house';

/** Outlet by outlet, why a circuit has the protection it has. */
const props = defineProps<{ circuit: Circuit }>();
const store = useHouse();
const protection = computed(() => protectionOf(store.current, props.circuit.id));
/** Where it is protected, if not at the breaker alone. */
function guardWords(outlet: Outlet): string {
  const guard = guardOf(protection.value, outlet);
  if (!guard) return '';
  return guard.device.id === outlet.device.id ? 'A GFCI itself.' : `Behind the GFCI at ${guard.box.tag}.`;
}
</script>

<template>
  <v-expansion-panels>
    <v-expansion-panel title="Why this protection">
      <v-expansion-panel-text>
        <ul>
          <li v-for="{ outlet, gfci, afci } in protection.outlets" :key="outlet.device.id" class="why">
            <b class="num">{{ outlet.box.tag }}</b> {{ outlet.load?.name ?? outlet.device.kind }}, {{ outlet.room.name
            }}<br />
            <span v-for="(decision, word) in { GFCI: gfci, AFCI: afci }" :key="word" class="muted"
              ><template v-if="decision.kind !== 'not-required'"
                >{{ word }}: {{ decision.reason }} {{ decision.section }}
                <template v-if="'basis' in decision"
                  >({{ decision.basis.source }}, {{ decision.basis.confidence }})</template
                >
              </template></span
            >
            <span class="muted">{{ guardWords(outlet) }}</span>
          </li>
        </ul>
      </v-expansion-panel-text>
    </v-expansion-panel>
  </v-expansion-panels>
</template>

<style scoped>
.why {
  font-size: 13px;
  padding: 4px 0;
  border-top: 1px solid var(--rule);
}
</style>
