<script setup lang="ts">
import SearchField from '../../fields/SearchField.vue';
import { computed, ref, watch } from 'vue';
import { useRoute } from 'vue-router';
import { count, fillOf, isUnseenUnit, proveUnit, unseenIn, wireHouse } from '@winculum/core';
import PaperPage from '../../frame/PaperPage.vue';
import { useHouse } from '../../stores/house';
import { useView } from '../../stores/view';
import FaultFinder from './FaultFinder.vue';
import FeedOrder from './FeedOrder.vue';
import LabelSheet from './LabelSheet.vue';
import MakeUpCard from './MakeUpCard.vue';
import ProofList from './ProofList.vue';

/** The boxes as they are made up: cards, cable labels, feed order, proof, and what to look for when a light misbehaves. */
const store = useHouse();
const view = useView();
const PARTS = { cards: 'Cards', labels: 'Labels', feed: 'Feed order', proof: 'Proof', faults: 'Fault finder' } as const;
const part = ref<keyof typeof PARTS>('cards');
const only = ref('');
/** The group that misbehaved at its test, where one comes from there. */
const route = useRoute();
const faulty = computed(() => String(route.query['faults'] ?? ''));
watch(faulty, (group) => group && (part.value = 'faults'), { immediate: true });

const wiring = computed(() => wireHouse(store.current));
const cards = computed(() => {
  const order = new Map(Object.keys(store.current.rooms).map((id, i) => [id, i]));
  return [...wiring.value.boxes.values()]
    .filter((one) => one.cables.length > 0 && unseenIn(one) !== 'all')
    .sort(
      (a, b) =>
        order.get(a.box.room)! - order.get(b.box.room)! ||
        Number(a.box.tag.split('-')[1]) - Number(b.box.tag.split('-')[1]),
    );
});
const rooms = computed(() =>
  [...new Set(cards.value.map((one) => one.box.room))].map((id) => store.current.rooms[id]!),
);
const shown = computed(() => cards.value.filter((one) => only.value === 'all' || one.box.room === only.value));
watch(
  rooms,
  (now) => {
    if (only.value !== 'all' && !now.some((room) => room.id === only.value)) only.value = now[0]?.id ?? '';
  },
  { immediate: true },
);
/** A box picked anywhere shows its room's cards and its own first. */
watch(
  () => view.only('box'),
  (id) => {
    const room = id && store.current.boxes[id]?.room;
    if (room && only.value !== 'all' && wiring.value.boxes.has(id)) only.value = room;
    if (id) requestAnimationFrame(() => document.getElementById(`card-${id}`)?.scrollIntoView({ block: 'start' }));
  },
  { immediate: true },
);
const proofs = computed(
  () => new Map(wiring.value.units.map((one) => [one.unit.id, proveUnit(store.current, one, wiring.value.boxes)])),
);
/** Boxes that were there before and get no new cable: what is in them nobody has seen, so that no card is made of it. */
const unseen = computed(() => [...wiring.value.boxes.values()].filter((one) => unseenIn(one) === 'all'));
const groups = computed(() =>
  wiring.value.units.flatMap((one) => (isUnseenUnit(one) ? [] : proofs.value.get(one.unit.id)!.groups)),
);
const sound = computed(() => groups.value.filter((one) => one.flaws.length === 0).length);
const full = computed(() => cards.value.filter((one) => fillOf(store.current, one.box)?.fits === false).length);
const print = () => window.print();
</script>

<template>
  <PaperPage class="make-up-page" label="Make-up tools" :part="part">
    <template #tools>
      <v-btn v-for="(name, id) in PARTS" :key="id" :aria-pressed="part === id" @click="part = id">
        {{ name }}
      </v-btn>
      <SearchField
        v-if="part === 'cards' || part === 'labels'"
        v-model="only"
        class="pick"
        label="Room"
        :items="[{ value: 'all', title: 'all rooms' }, ...rooms.map(({ id, name }) => ({ value: id, title: name }))]"
      />
      <span class="grow" />
      <span class="progress" role="status"
        ><b class="num">{{ sound }}</b> of <b class="num">{{ groups.length }}</b>{{ full ? '' : ' groups' }} proved
        <template v-if="full">
          · <b class="num is-violation">{{ full }}</b> too full</template
        ></span
      >
      <v-btn color="primary" variant="flat" v-if="part === 'cards' || part === 'labels'" @click="print">Print</v-btn>
    </template>
    <p v-if="unseen.length && (part === 'cards' || part === 'proof')" class="muted">
      {{ count(unseen.length, 'box', 'boxes') }} that stood here before and get no new cable have no card: nobody has
      seen what is in them. Where you open one, test first and go by what is there.
    </p>
    <p v-if="!cards.length && !unseen.length" class="none">
      No circuit comes to a box yet. Put boxes on circuits under
      <router-link :to="`/houses/${store.id}/circuits`">Circuits</router-link>; the cards follow by themselves.
    </p>
    <template v-else-if="cards.length">
      <template v-if="part === 'cards'">
        <MakeUpCard
          v-for="one in shown"
          :id="`card-${one.box.id}`"
          :key="one.box.id"
          :make-up="one"
          :n="cards.indexOf(one) + 1"
          :of="cards.length"
          :proofs="proofs"
        />
      </template>
      <LabelSheet v-else-if="part === 'labels'" :room="only" />
      <FeedOrder v-else-if="part === 'feed'" />
      <ProofList v-else-if="part === 'proof'" :proofs="proofs" />
      <FaultFinder v-else :group="faulty" />
    </template>
  </PaperPage>
</template>

<style scoped>
/* One line of tools, whatever the room is called. */
.make-up-page select.pick {
  max-width: 130px;
}
@page make-up {
  size: letter portrait;
  margin: 0.4in;
}
@media print {
  .make-up-page {
    page: make-up;
  }
  .make-up-page :deep(.scroll) {
    display: grid;
    grid-template-columns: 1fr 1fr;
    gap: 4mm;
    align-items: start;
  }
  .make-up-page :deep(.scroll:has(.sheet)) {
    display: block;
  }
}
</style>
