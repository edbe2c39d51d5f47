<script setup lang="ts">
import { computed } from 'vue';
import {
  changeEntity,
  count,
  cutFeet,
  dropRoutes,
  isFixed,
  viaOf,
  type Hole,
  type LaidCable,
  type RoutePlace,
  type RouteWay,
} from '@winculum/core';
import MenuButton from '../../fields/MenuButton.vue';
import LineUps from './LineUps.vue';
import { useHouse } from '../../stores/house';
import type { ComparedPlan } from './routing.worker';

/** What routes take: the three ways side by side while they are proposed; afterwards the cables circuit by circuit, and the one that is picked. */
const props = defineProps<{
  plans: readonly ComparedPlan[];
  way: RouteWay;
  laid: readonly LaidCable[];
  holes: readonly Hole[];
  picked: string;
  open: number;
  of: number;
}>();
const emit = defineEmits<{
  way: [way: RouteWay];
  keep: [];
  discard: [];
  /** Feed orders are to be sought with the routes. */
  feeds: [];
  pick: [runId: string];
  place: [cable: LaidCable, where: RoutePlace];
}>();
const store = useHouse();
const NAMES: Readonly<Record<RouteWay, string>> = {
  'least-wire': 'Least wire',
  'fewest-holes': 'Fewest holes',
  quickest: 'Quickest to pull',
};
const hours = (minutes: number) => `${(minutes / 60).toFixed(1)} h`;
const gap = ({ plan }: ComparedPlan) =>
  plan.bound > 0 ? `${Math.max(0, (100 * (plan.cost - plan.bound)) / plan.bound).toFixed(0)} %` : '–';
const rows = [
  { what: 'through plates', of: ({ totals }: ComparedPlan) => `${totals.plateHoles}` },
  {
    what: 'joists crossed',
    of: ({ totals }: ComparedPlan) => (totals.joistHoles === undefined ? 'not known' : `${totals.joistHoles}`),
  },
  { what: 'nail plates', of: ({ totals }: ComparedPlan) => `${totals.nailPlates}` },
  { what: 'from the best at most', of: gap },
];
const now = computed(() => props.plans.find((one) => one.plan.way === props.way) ?? props.plans[0]);
const unrouted = computed(() => props.plans[0]?.plan.unrouted ?? []);
const feet = computed(() =>
  props.laid.reduce((sum, one) => sum + cutFeet(store.current, one) * Math.max(1, one.kinds.length), 0),
);
const members = computed(() => props.holes.reduce((sum, one) => sum + one.members, 0));
const cable = computed(() => props.laid.find((one) => one.run.id === props.picked));
const PLACES = [
  { value: 'over', word: 'over the ceiling', group: 'As far as a way leads there' },
  { value: 'walls', word: 'in the walls, through the studs' },
  { value: 'under', word: 'below the floor' },
] as const;
const routeOf = ({ route }: LaidCable) => store.current.routes[route.id];
const release = (one: LaidCable) =>
  void store.apply(changeEntity(store.current, 'routes', one.route.id, { byHand: undefined }));
</script>

<template>
  <section v-if="plans.length" class="stack stage-list" aria-label="Routes compared">
    <p class="muted">
      {{ count(plans[0]!.plan.routes.length, 'cable') }} led through the framing three ways. What is led by hand or
      begun on site stays as it is.
    </p>
    <div class="ways" role="group" aria-label="Ways compared">
      <v-btn
        v-for="one in plans"
        :key="one.plan.way"
        class="way"
        height="auto"
        :aria-pressed="way === one.plan.way"
        @click="emit('way', one.plan.way)"
      >
        <span class="name">{{ NAMES[one.plan.way] }}</span>
        <span class="figures num"
          ><b>{{ one.totals.feet.toLocaleString('en-US') }} ft</b> <b>{{ one.totals.studHoles }} holes</b>
          <span>{{ hours(one.totals.minutes) }}</span></span
        >
      </v-btn>
    </div>
    <dl v-if="now" class="figures-of">
      <template v-for="row in rows" :key="row.what">
        <dt>{{ row.what }}</dt>
        <dd class="num">{{ row.of(now) }}</dd>
      </template>
    </dl>
    <p class="muted small">
      The last line compares each plan with what no plan can do with less: every cable alone on its cheapest way,
      sharing every hole. Times are a guess from common practice.
    </p>
    <p v-if="now?.feeds.length">
      Fed in another order, by real lengths: {{ now.feeds.map((one) => one.name).join(', ') }}.
    </p>
    <p v-else-if="now?.soughtFeeds" class="muted small">
      No better feed order was found. What is drawn by hand or begun on site stays.
    </p>
    <p v-else class="muted small">
      The feed order stands as it is.
      <v-btn v-if="store.canEdit" size="small" @click="emit('feeds')">Let it follow the framing</v-btn>
    </p>
    <p v-for="one in unrouted.slice(0, 4)" :key="one.run.id" class="is-caution">{{ one.message }}</p>
    <div class="row">
      <v-btn v-if="store.canEdit" color="primary" variant="flat" @click="emit('keep')">Keep these routes</v-btn>
      <v-btn @click="emit('discard')">Discard</v-btn>
    </div>
  </section>
  <section v-else class="stack stage-list" aria-label="Cables that lie somewhere">
    <div class="numbers">
      <p>
        <b class="num">{{ feet.toLocaleString('en-US') }}</b> ft to cut
      </p>
      <p>
        <b class="num">{{ members }}</b> members to bore
      </p>
      <p :class="{ 'is-caution': open }">
        <b class="num">{{ of - open }}</b> of {{ of }} cables led
      </p>
    </div>
    <article v-if="cable" class="picked" :aria-label="`Cable to ${cable.toLabel}`">
      <h2 class="num">{{ cable.fromLabel }} → {{ cable.toLabel }}</h2>
      <p class="muted">{{ cable.circuit.name }}</p>
      <p>
        <b class="num">{{ cutFeet(store.current, cable) }} ft</b> of {{ cable.kinds.join(' and ') }},
        {{ viaOf(store.current, cable.route) }}
      </p>
      <template v-if="store.canEdit && routeOf(cable)">
        <p v-if="cable.route.byHand" class="small">Led by hand: it stays when others are found again.</p>
        <div class="row">
          <MenuButton label="Lead it" :entries="PLACES" @choose="emit('place', cable, $event)" />
          <v-btn v-if="cable.route.byHand" @click="release(cable)">Let the tool lead it</v-btn>
          <v-btn @click="store.apply(dropRoutes(store.current, [cable.route.id]))">Remove</v-btn>
        </div>
        <p class="muted small">Or drag it on the plan to the wall or the space that it is to pass.</p>
      </template>
    </article>
    <LineUps v-if="store.canEdit && of > open" :way="way" />
    <v-list v-if="laid.length" density="compact" aria-label="Cables">
      <v-list-item
        v-for="one in laid"
        :key="one.run.id"
        :active="one.run.id === picked"
        @click="emit('pick', one.run.id)"
      >
        <template #title
          ><span class="num">{{ one.fromLabel }} → {{ one.toLabel }}</span></template
        >
        <template #subtitle>{{ one.kinds.join(', ') }} · {{ viaOf(store.current, one.route) }}</template>
        <template #append
          ><span class="num">{{ cutFeet(store.current, one) }}'{{ isFixed(one.route) ? ' ✋' : '' }}</span></template
        >
      </v-list-item>
    </v-list>
  </section>
</template>

<style scoped>
.stack {
  padding: 10px 12px;
  display: grid;
  gap: 8px;
  align-content: start;
  overflow-y: auto;
}
/* The region scrolls as one: a list that scrolled in it would take the keyboard's focus from it. */
.stack > .v-list {
  overflow: visible;
}
.stack :deep(.v-list-item-subtitle) {
  opacity: 1;
  color: var(--ink);
}
.numbers {
  display: flex;
  gap: 18px;
}
.numbers b {
  display: block;
  font-size: 26px;
  line-height: 1.1;
}
.ways {
  display: grid;
  gap: 6px;
}
.way {
  justify-content: start;
  padding: 6px 10px;
  min-height: 48px;
}
.way :deep(.v-btn__content) {
  display: flex;
  flex-wrap: wrap;
  gap: 0 12px;
  justify-content: space-between;
  width: 100%;
}
.figures {
  display: flex;
  gap: 10px;
}
.figures b {
  font-size: 16px;
}
.figures-of {
  display: grid;
  grid-template-columns: 1fr auto;
  gap: 2px 12px;
  font-size: 14px;
}
.figures-of dd {
  font-weight: 700;
}
.row {
  display: flex;
  gap: 8px;
  flex-wrap: wrap;
}
.picked {
  border: 1px solid var(--chalk);
  border-radius: 6px;
  padding: 8px 10px;
  display: grid;
  gap: 4px;
}
.small {
  font-size: 13px;
}
</style>
