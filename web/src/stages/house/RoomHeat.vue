<script setup lang="ts">
import { computed, ref } from 'vue';
import {
  estimateHeat,
  heatersToGovern,
  INSULATION,
  placeThermostat,
  proposeHeaters,
  putInHeaters,
  type Insulation,
  type Room,
} from '@winculum/core';
import ChoiceField from '../../fields/ChoiceField.vue';
import { newId } from '../../new-id';
import { useHouse } from '../../stores/house';

/** What a room wants of electric heat, and baseboard heaters that fit along its walls. */
const props = defineProps<{ room: Room }>();
const store = useHouse();
const insulation = ref<Insulation>('usual');
const answers = INSULATION.map((value) => ({ value, word: value }));
const estimate = computed(() => estimateHeat(store.current, props.room.id, insulation.value));
const proposal = computed(() => proposeHeaters(store.current, props.room.id, estimate.value.toW, newId));
const there = computed(() =>
  Object.values(store.current.features).some((one) => one.room === props.room.id && one.kind === 'baseboard-heater'),
);
/** Heaters of the room that no thermostat on the wall governs, and that have none built in. */
const ungoverned = computed(() => heatersToGovern(store.current, props.room.id));
const watts = (n: number) => n.toLocaleString('en-US');
const lengths = computed(() =>
  proposal.value.heaters.map((one) => (one.at.kind === 'wall' ? `${one.at.widthIn / 12} ft` : '')).join(', '),
);
</script>

<template>
  <v-expansion-panels>
    <v-expansion-panel title="Electric heat">
      <v-expansion-panel-text>
        <div class="stack">
          <p class="num big">{{ watts(estimate.fromW) }} to {{ watts(estimate.toW) }} W</p>
          <p class="muted">{{ estimate.why }}. A thumb, common practice: a heat-loss calculation decides.</p>
          <ChoiceField v-model="insulation" label="Insulation" :answers="answers" />
          <p v-if="there" class="muted">It has baseboard heaters.</p>
          <template v-else>
            <p>
              <template v-if="proposal.heaters.length"
                >{{ lengths }} along the walls: {{ watts(proposal.watts) }} W at 250 W a foot.</template
              >
              <span v-if="proposal.missingW" class="is-caution"
                >{{ watts(proposal.missingW) }} W find no room between doors, furniture and receptacles.</span
              >
            </p>
            <v-btn
              v-if="store.canEdit"
              :disabled="!proposal.heaters.length"
              @click="store.apply(putInHeaters(store.current, proposal, newId))"
              >Put them in</v-btn
            >
          </template>
          <v-btn
            v-if="store.canEdit && ungoverned.length"
            @click="store.apply(placeThermostat(store.current, props.room.id, newId))"
            >{{
              ungoverned[0]!.kind === 'floor' ? 'Place the thermostat of the floor heat' : 'Place their thermostat'
            }}</v-btn
          >
        </div>
      </v-expansion-panel-text>
    </v-expansion-panel>
  </v-expansion-panels>
</template>

<style scoped>
.big {
  font-size: 22px;
  font-weight: 700;
}
</style>
