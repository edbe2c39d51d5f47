<script setup lang="ts">
import { computed, nextTick, ref, watch } from 'vue';
import {
  changeEntity,
  addsClimate,
  existingLoad,
  fitsRating,
  leastService,
  LOAD_LIBRARY,
  loadsOfHouse,
  measuredLoad,
  neutralLoad,
  nextServiceRating,
  oneMore,
  isMultifamily,
  multifamilyLoad,
  optionalLoad,
  serviceConductors,
  servicePanel,
  servicePanels,
  SERVICE_RATINGS_A,
  standardLoad,
  twoDwellingsLoad,
  withMore,
  type DwellingLoads,
  type LoadKind,
} from '@winculum/core';
import { PAPERS, type PaperId } from '../../pages/plan-paper';
import PaperPage from '../../frame/PaperPage.vue';
import { useHouse } from '../../stores/house';
import CalculationTable from './CalculationTable.vue';
import StagePart from '../../frame/StagePart.vue';
import OneLine from './OneLine.vue';
import PowerIn from './PowerIn.vue';
import { layOutOneLine, type PartRef } from './one-line-layout';

/** The load that the service must carry, by both methods, and what one more thing would do to it. */
const store = useHouse();
const house = computed(() => store.current);
const panel = computed(() => servicePanel(house.value));

/** A diagram of several columns takes the whole width. */
const WIDE_PX = 560;
const wide = computed(() => layOutOneLine(house.value).width > WIDE_PX);

/** The part that is open in the side region, as its kind and id. */
const part = ref('');
const chosen = computed((): PartRef | null => {
  const [kind, id = ''] = part.value.split(' ');
  return kind === 'supply' || kind === 'panel' || kind === 'feeder' || kind === 'source' ? { kind, id } : null;
});

/** What people add to a house, one by one. */
const ASKED: readonly LoadKind[] = [
  'ev-charger',
  'ev-charger-48',
  'heat-pump',
  'electric-furnace',
  'hot-tub',
  'tankless-water-heater',
  'sauna-heater',
  'range',
  'kiln',
];
const more = ref<readonly LoadKind[]>([]);
const toggle = (kind: LoadKind) =>
  void (more.value = more.value.includes(kind) ? more.value.filter((one) => one !== kind) : [...more.value, kind]);

/** A one-family dwelling's service has 100 A at least, 230.79(C); one of several dwellings 60 A, (D). */
const LEAST_SERVICE_A = 100;
const leastRating = computed(() => (loads.value.dwellings === 1 ? LEAST_SERVICE_A : 60));

const drawn = computed(() => loadsOfHouse(house.value));
const loads = computed(() => withMore(drawn.value, more.value.map(oneMore)));
const standard = computed(() => standardLoad(loads.value));
const optional = computed(() => optionalLoad(loads.value));
const neutral = computed(() => neutralLoad(loads.value));
/** By the methods that a service of this rating may be reckoned with: the same that its rule asks. */
const leastOf = (of: DwellingLoads) => leastService(of, panel.value?.mainA ?? 0);
const least = computed(() => leastOf(loads.value));
const amps = computed(() => least.value.amps);
const METHODS = {
  standard: 'by the standard method',
  optional: 'by the optional method, the less of the two',
  existing: 'by 220.83, for what stands',
  measured: 'by what was measured, 220.87',
  multifamily: 'by the optional method for several dwellings',
} as const;
/** What a new one would have to be: what stands may be reckoned by its own sections, a new service may not. */
const asNew = computed((): DwellingLoads => {
  const { stands: _, peakA: __, ...rest } = loads.value;
  return rest;
});
const rating = computed(() =>
  nextServiceRating(Math.max(leastRating.value, leastService(asNew.value, LEAST_SERVICE_A).amps)),
);
const conductors = computed(
  () =>
    rating.value &&
    serviceConductors(rating.value, {
      isOneDwelling: loads.value.dwellings === 1,
      loadA: leastService(asNew.value, LEAST_SERVICE_A).amps,
    }),
);
/** Of several mains each carries what is behind it, as the check says; the figures here are of the whole. */
const hasOneMain = computed(() => servicePanels(house.value).length === 1);
const sized = (size: string | undefined) => (size === undefined || size.includes('kcmil') ? size : `No. ${size}`);
const isSmall = computed(
  () => panel.value !== undefined && hasOneMain.value && !fitsRating(amps.value, panel.value.mainA),
);
/** What the check says of the service as it is drawn: it knows of the least service, of second kitchens and of plates that nobody read. */
const said = computed(() => store.check?.findings.find((one) => one.ruleId === 'service-size'));

/** What each thing adds to the calculated load: the one at the top decides, and is what managing it would save. */
const shares = computed(() =>
  loads.value.connected
    .map((one) => ({
      name: one.name,
      amps:
        amps.value -
        leastOf({ ...loads.value, connected: loads.value.connected.filter((other) => other !== one) }).amps,
    }))
    .filter((one) => one.amps >= 0.5)
    .sort((a, b) => b.amps - a.amps)
    .slice(0, 6),
);

/** Whether the methods for what stands are shown: from the first where the panel does. */
const asked = ref<boolean>();
const existing = computed(() => asked.value ?? panel.value?.existing ?? false);
watch(
  () => panel.value?.existing,
  () => (asked.value = undefined),
);
const addsHeat = computed(() => addsClimate(loads.value));
const existingPair = computed(() => ({
  without: existingLoad(loads.value, false),
  with: existingLoad(loads.value, true),
}));
const measured = computed(() => measuredLoad(loads.value));
const setMain = (mainA: number) =>
  panel.value && store.apply(changeEntity(house.value, 'panels', panel.value.id, { mainA }));
/** All of it, or the one-line as a sheet of its own, across the paper. */
const paper = ref<PaperId>('letter');
const papers = Object.entries(PAPERS).map(([value, { word }]) => ({ value, title: word }));
const alone = ref(false);
async function print(oneLine: boolean): Promise<void> {
  alone.value = oneLine;
  await nextTick();
  window.print();
  alone.value = false;
}
</script>

<template>
  <PaperPage v-if="panel" label="Service tools" :class="[`on-${paper}`, { alone }]">
    <template #tools>
      <v-select
        class="pick"
        label="Main breaker"
        :model-value="panel.mainA"
        :items="SERVICE_RATINGS_A.map((value) => ({ value, title: `${value} A main` }))"
        :disabled="!store.canEdit"
        @update:model-value="setMain"
      />
      <v-btn :aria-pressed="existing" @click="asked = !existing">Existing dwelling</v-btn>
      <span class="grow" />
      <v-select v-model="paper" class="pick" label="Paper" :items="papers" />
      <v-btn @click="print(true)">Print the one-line</v-btn>
      <v-btn color="primary" variant="flat" @click="print(false)">Print</v-btn>
    </template>
    <h1 class="on-paper">{{ house.name }}: one-line, NEC {{ house.job.edition }}</h1>
    <div class="top" :class="{ wide }">
      <section class="answer">
        <p class="small-caps">Calculated load</p>
        <p class="num huge" :class="{ 'is-violation': isSmall }">{{ amps.toFixed(0) }} A</p>
        <p>
          {{ METHODS[least.method] }}.
          <b v-if="isSmall" class="is-violation">▨ More than the main of {{ panel.mainA }} A.</b>
          <template v-else-if="hasOneMain && (!said || more.length)"
            >The main of {{ panel.mainA }} A carries it.</template
          >
        </p>
        <p v-if="said" :class="said.kind === 'fail' ? 'is-violation' : 'is-caution'">
          {{ said.message }} <span class="muted num">{{ said.section }}</span>
        </p>
        <p v-if="rating">
          Next standard service: <b class="num">{{ rating }} A</b
          ><template v-if="conductors"
            >, {{ sized(conductors.copper) }} copper or {{ sized(conductors.aluminum) }} aluminum</template
          >. Neutral {{ neutral.amps.toFixed(0) }} A (220.61).
        </p>
        <p v-else class="is-caution">More than 400 A: beyond the tables here.</p>
        <p class="small-caps">What if it had one more</p>
        <div class="row no-print" role="group" aria-label="What if it had one more">
          <v-btn
            v-for="kind in ASKED"
            :key="kind"
            size="small"
            :aria-pressed="more.includes(kind)"
            @click="toggle(kind)"
          >
            {{ LOAD_LIBRARY[kind].name }}
          </v-btn>
        </div>
        <p v-if="more.length" class="is-caution">
          Asked, not drawn: {{ more.map((kind) => LOAD_LIBRARY[kind].name).join(', ') }}.
        </p>
        <template v-if="shares.length">
          <p class="small-caps">What decides</p>
          <ul class="shares">
            <li v-for="one in shares" :key="one.name">
              <span class="grow">{{ one.name }}</span>
              <span class="bar"><span :style="{ width: `${Math.min(100, (100 * one.amps) / amps)}%` }" /></span>
              <b class="num">{{ one.amps.toFixed(0) }} A</b>
            </li>
          </ul>
          <p class="muted small">
            So much less without it: what holding it back while others run would save (energy management: 220.70,
            750.30).
          </p>
        </template>
      </section>
      <OneLine :house="house" :chosen="chosen" @choose="part = `${$event.kind} ${$event.id}`" />
    </div>
    <div class="tables">
      <template v-if="existing">
        <CalculationTable
          title="Existing, 220.83(A): no new heat or cooling"
          :calculation="existingPair.without"
          :decides="least.method === 'existing' && !addsHeat"
        />
        <CalculationTable
          title="Existing, 220.83(B): with new heat or cooling"
          :calculation="existingPair.with"
          :decides="least.method === 'existing' && addsHeat"
        />
        <CalculationTable
          v-if="measured"
          title="Existing, 220.87: by the measured peak"
          :calculation="measured"
          :decides="least.method === 'measured'"
        />
        <p v-else-if="panel.existing" class="muted small">
          A peak that was measured over a year or thirty days (220.87) is typed at the supply, beside.
        </p>
      </template>
      <template v-if="!existing || panel.existing">
        <CalculationTable
          title="Standard method, Article 220 Part III"
          :calculation="standard"
          :decides="least.method === 'standard'"
        />
        <CalculationTable
          v-if="loads.dwellings === 1"
          title="Optional method, 220.82"
          :calculation="optional"
          :decides="least.method === 'optional'"
        />
        <CalculationTable
          v-else-if="isMultifamily(loads)"
          title="Multifamily, optional method, 220.84"
          :calculation="multifamilyLoad(loads)"
          :decides="least.method === 'multifamily'"
        />
        <CalculationTable
          v-else-if="loads.dwellings === 2"
          title="Two dwelling units, 220.85: may be used where it is less"
          :calculation="twoDwellingsLoad(loads)"
          :decides="false"
        />
        <p v-else class="muted">
          {{ loads.dwellings }} dwelling units: 220.84 is for units that each cook and heat or cool electrically.
        </p>
      </template>
    </div>
    <p class="muted small">
      NEC {{ house.job.edition }}, recalled from memory. Floor area by outside walls as drawn,
      {{ loads.areaFt2.toFixed(0) }} ft². Watts of cooking equipment are taken as volt-amperes. Services and their
      conductors are for a licensed electrician, the authority having jurisdiction and the utility to settle: conductors
      ahead of the main stay live when it is off.
    </p>
  </PaperPage>
  <div v-else class="none">
    <p>
      No panel yet. Under <router-link :to="`/houses/${store.id}/house`">House</router-link>, set down a <b>panel</b> on
      a wall and make it a panel; its main is compared with the load here.
    </p>
  </div>
  <StagePart title="Power in" tall><PowerIn v-model="part" /></StagePart>
</template>

<style scoped>
.none {
  padding: 15vh 12%;
  text-align: center;
  font-size: 17px;
}
.top {
  display: grid;
  grid-template-columns: minmax(0, 1.15fr) minmax(0, 1fr);
  gap: 18px;
  align-items: start;
}
.top.wide {
  grid-template-columns: 1fr;
}
.answer {
  display: grid;
  gap: 8px;
}
.huge {
  font-size: 54px;
  font-weight: 700;
  line-height: 1;
}
.shares {
  display: grid;
  gap: 4px;
}
.shares li {
  display: flex;
  align-items: center;
  gap: 10px;
}
.bar {
  flex: 0 0 120px;
  height: 8px;
  background: var(--rail);
}
.bar span {
  display: block;
  height: 100%;
  background: var(--chalk);
}
.small {
  font-size: 12.5px;
  line-height: 1.4;
}
.tables {
  display: grid;
  grid-template-columns: repeat(auto-fit, minmax(380px, 1fr));
  gap: 14px;
  align-items: start;
}
@media (max-width: 900px) {
  .top {
    grid-template-columns: 1fr;
  }
}
.on-paper {
  display: none;
}
@page service-letter {
  size: 11in 8.5in;
  margin: 0.4in;
}
@page service-tabloid {
  size: 17in 11in;
  margin: 0.5in;
}
@page service-arch-c {
  size: 24in 18in;
  margin: 0.5in;
}
@page service-arch-d {
  size: 36in 24in;
  margin: 0.5in;
}
.on-letter {
  page: service-letter;
}
.on-tabloid {
  page: service-tabloid;
}
.on-arch-c {
  page: service-arch-c;
}
.on-arch-d {
  page: service-arch-d;
}
@media print {
  .no-print {
    display: none;
  }
  .on-paper {
    display: block;
    font-size: 18px;
  }
  .alone .answer,
  .alone .tables {
    display: none;
  }
  .alone .top {
    display: block;
  }
  .alone :deep(.one-line) {
    max-width: none !important;
    max-height: 86vh;
  }
}
</style>
