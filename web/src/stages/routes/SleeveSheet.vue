<script setup lang="ts">
import { computed, ref } from 'vue';
import {
  addEntity,
  applyRemedy,
  count,
  fits,
  placeOfEnd,
  slabConduits,
  slabConduitsRemedy,
  sleeveFill,
  sleeveSchema,
  SLEEVE_NAMES,
  type Sleeve,
} from '@winculum/core';
import { newId } from '../../new-id';
import { useHouse } from '../../stores/house';
import SleeveForm from './SleeveForm.vue';
import { CONTENT_NAMES, PLACE_WORDS } from './sleeve-words';

/** Sleeves and conduits that are laid for cables of today or later, with how full they are; the one that is open is edited. */
const store = useHouse();
const open = ref('');
const sleeves = computed(() =>
  Object.values(store.current.sleeves).map((one) => {
    const fill = sleeveFill(one);
    return { sleeve: one, fill, isFull: fill !== undefined && !fits(fill), ends: endsOf(one) };
  }),
);
const endsOf = ({ from, to }: Sleeve) =>
  [from, to].map((end) => `${placeOfEnd(store.current, end)}${end.capped ? ' (capped)' : ''}`).join(' → ');
/** Conduits that routes need under a floor on the ground and that nobody has set. */
const missing = computed(() => slabConduits(store.current).filter((one) => !one.sleeve));
const setThem = () => store.apply(applyRemedy(store.current, slabConduitsRemedy(missing.value.length), newId));
const said = computed(() => (store.check?.findings ?? []).filter((one) => one.ruleId.startsWith('sleeve-')));
function add(): void {
  const id = newId('sleeve');
  const name = `Sleeve ${sleeves.value.length + 1}`;
  if (store.apply(addEntity(store.current, 'sleeves', sleeveSchema.parse({ id, name })))) open.value = id;
}
</script>

<template>
  <section class="sheet">
    <h2>Sleeves and conduits</h2>
    <p class="muted small">
      Laid before the slab is poured and before walls close, for cables of today and of later. Fill by Chapter 9, Table
      1 (53, 31 and 40 %); widths of cables are typical ones: the reel says what they are.
    </p>
    <p v-if="!sleeves.length">None yet. A sleeve to the attic and one to the yard cost little now.</p>
    <ul v-if="said.length" aria-label="What the code says of them">
      <li v-for="one in said" :key="one.key" :class="one.kind === 'fail' ? 'is-violation' : 'is-caution'">
        {{ one.message }} <span class="muted num">{{ one.section }}</span>
      </li>
    </ul>
    <p v-if="missing.length" class="is-caution">
      The routes to {{ missing.map((one) => one.box.tag).join(', ') }} lie under a floor on the ground, and no conduit
      is set for them. It goes in before the pour.
    </p>
    <div v-if="store.canEdit" class="row no-print">
      <v-btn v-if="missing.length" color="primary" variant="flat" @click="setThem"
        >Set {{ count(missing.length, 'conduit') }}</v-btn
      >
      <v-btn @click="add">Add a sleeve</v-btn>
    </div>
  </section>
  <article v-for="{ sleeve, fill, isFull, ends } in sleeves" :key="sleeve.id" class="sheet" :aria-label="sleeve.name">
    <div class="row">
      <h3 class="grow">
        {{ sleeve.name }}
        <span class="muted num"
          >{{ sleeve.kind === 'piece' ? '' : `${sleeve.trade} in ` }}{{ SLEEVE_NAMES[sleeve.kind] }}</span
        >
      </h3>
      <b v-if="fill" class="num fill" :class="{ 'is-violation': isFull }"
        >{{ fill.percent.toFixed(0) }} %<span class="muted small"> of {{ fill.most }} %</span></b
      >
      <v-btn
        v-if="store.canEdit"
        class="no-print"
        :aria-expanded="open === sleeve.id"
        :aria-label="`${open === sleeve.id ? 'Close' : 'Change'} ${sleeve.name}`"
        @click="open = open === sleeve.id ? '' : sleeve.id"
        >{{ open === sleeve.id ? 'Close' : 'Change' }}</v-btn
      >
    </div>
    <p>
      {{ ends }}, {{ PLACE_WORDS[sleeve.place]
      }}<template v-if="sleeve.lengthFt !== undefined">, {{ sleeve.lengthFt }} ft</template
      ><template v-if="sleeve.bendsDeg">, {{ sleeve.bendsDeg }}° of bends</template
      ><template v-if="sleeve.pullString">, pull string in it</template>
    </p>
    <p v-if="sleeve.holds.length" class="muted">
      <template v-for="(one, i) in sleeve.holds" :key="one.what"
        >{{ i ? ', ' : '' }}{{ one.count }} {{ CONTENT_NAMES[one.what] }}</template
      >
    </p>
    <p v-else class="muted">empty</p>
    <SleeveForm v-if="open === sleeve.id" class="no-print" :sleeve="sleeve" />
  </article>
</template>

<style scoped>
.fill {
  font-size: 22px;
}
</style>
