<script setup lang="ts">
import { computed, ref } from 'vue';
import { removeEntities, type Finding } from '@winculum/core';
import { useHouse } from '../stores/house';
import { STOPS, TITLES } from '../stops';
import { ruleSummary } from './decision-words';
import FindingList from './FindingList.vue';

const store = useHouse();
const showPasses = ref(false);

function placeOf(finding: Finding): string {
  const { rooms, boxes, circuits, panels } = store.current;
  const { room, box, circuit, panel } = finding.where;
  return (
    rooms[room ?? boxes[box ?? '']?.room ?? '']?.name ??
    circuits[circuit ?? '']?.name ??
    panels[panel ?? '']?.name ??
    'House'
  );
}

/** By stop in the order of work, then by room. */
const groups = computed(() => {
  const all = showPasses.value ? store.check!.passes : store.check!.findings;
  return STOPS.map((stop) => {
    const byPlace = new Map<string, Finding[]>();
    for (const finding of all)
      if (finding.stage === stop) byPlace.set(placeOf(finding), [...(byPlace.get(placeOf(finding)) ?? []), finding]);
    return { stop, places: [...byPlace].map(([place, findings]) => ({ place, findings })) };
  }).filter((group) => group.places.length > 0);
});
const switchedOff = computed(() => store.check!.statuses.filter((one) => one.status === 'switched off'));

const reopen = (id: string) => store.apply(removeEntities(store.current, [{ collection: 'decisions', id }]));
</script>

<template>
  <div class="stack">
    <p v-if="!groups.length" class="ok">
      Nothing open under NEC {{ store.check!.edition }}, as far as the rules here reach.
    </p>
    <section v-for="group in groups" :key="group.stop">
      <h2 class="small-caps">{{ TITLES[group.stop] }}</h2>
      <FindingList
        v-for="{ place, findings } in group.places"
        :key="place"
        heading
        :label="place"
        :findings="findings"
      />
    </section>
    <section v-if="store.check!.accepted.length">
      <h2 class="small-caps">Accepted as they stand</h2>
      <v-list density="compact" bg-color="transparent">
        <v-list-item v-for="{ finding, decision } in store.check!.accepted" :key="decision.id" class="item">
          {{ finding.message }} <span class="muted num">{{ finding.section }}</span>
          <p class="muted">{{ decision.by }}, {{ decision.date }}: {{ decision.note }}</p>
          <template v-if="store.canEdit" #append
            ><v-btn size="small" :aria-label="`Reopen: ${finding.message}`" @click="reopen(decision.id)"
              >Reopen</v-btn
            ></template
          >
        </v-list-item>
      </v-list>
    </section>
    <p v-for="one in switchedOff" :key="one.ruleId" class="muted">
      Switched off: {{ ruleSummary(one.ruleId) }}, {{ one.amendment?.by }}, {{ one.amendment?.date }}
    </p>
    <v-btn block @click="showPasses = !showPasses">
      {{ showPasses ? 'Show what is open' : 'Show what is met, and why' }}
    </v-btn>
  </div>
</template>

<style scoped>
.item {
  font: 400 13.5px/1.35 var(--words);
}
.ok {
  font-size: 16px;
}
</style>
