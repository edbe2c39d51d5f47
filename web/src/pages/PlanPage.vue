<script setup lang="ts">
import { computed, onMounted, onUnmounted, ref } from 'vue';
import { boundsOf, groupLetters, keptCables, lowVoltagePlan, spaceWord, type Box } from '@winculum/core';
import { download } from '../frame/download';
import ChoiceField from '../fields/ChoiceField.vue';
import SearchField from '../fields/SearchField.vue';
import { usePageTitle } from '../page-title';
import { useHouse } from '../stores/house';
import { useSession } from '../stores/session';
import PlanTile from './PlanTile.vue';
import { layPaper, PAPERS, SCALES, tilesFor, type Lens, type PaperId, type ScaleId } from './plan-paper';
import { today } from '../today';

/** The plan of a level on paper: to scale, with a title block, over as many sheets as it takes. */
const props = defineProps<{ id: string }>();
const store = useHouse();
const session = useSession();
const failure = ref('');
const level = ref('');
const paper = ref<PaperId>('tabloid');
const scale = ref<ScaleId>('quarter');
const lens = ref<Lens>('boxes');

onMounted(async () => {
  try {
    await store.open(props.id);
    const withRooms = new Set(Object.values(store.current.rooms).map((room) => room.level));
    const levels = Object.values(store.current.levels).sort((a, b) => a.elevationIn - b.elevationIn);
    level.value = (levels.find((one) => withRooms.has(one.id) && one.elevationIn >= 0) ?? levels[0]!).id;
  } catch (error) {
    failure.value = error instanceof Error ? error.message : String(error);
  }
});
onUnmounted(() => store.close());
usePageTitle(() => store.house && `${store.house.name}: plan sheet`);

const house = computed(() => store.current);
const levels = computed(() =>
  Object.values(house.value.levels)
    .sort((a, b) => b.elevationIn - a.elevationIn)
    .map((one) => ({ value: one.id, word: one.name })),
);
const rooms = computed(() => Object.values(house.value.rooms).filter((room) => room.level === level.value));
/** The plan with the walls around it. */
const bounds = computed(() => {
  const all = boundsOf(rooms.value.flatMap((room) => room.corners));
  const wall = house.value.levels[level.value]!.wallThicknessIn + 6;
  return { minX: all.minX - wall, minY: all.minY - wall, maxX: all.maxX + wall, maxY: all.maxY + wall };
});
const laid = computed(() => layPaper(paper.value, bounds.value, SCALES[scale.value]));
const tiles = computed(() => (rooms.value.length ? tilesFor(bounds.value, laid.value, SCALES[scale.value]) : []));

/** One circuit's cables, or all of them. */
const only = ref('all');
const circuitItems = computed(() => [
  { value: 'all', title: 'all circuits' },
  ...Object.values(house.value.circuits)
    .sort((a, b) => (a.space ?? 999) - (b.space ?? 999))
    .map((one) => ({ value: one.id, title: `${spaceWord(one) || '–'} ${one.name}` })),
]);
const laidRoutes = computed(() => {
  if (lens.value !== 'routes') return [];
  const all = keptCables(house.value);
  return only.value === 'all' ? all : all.filter(({ run }) => run.unit.circuits.some((one) => one.id === only.value));
});
const lowRuns = computed(() => (lens.value === 'low-voltage' ? lowVoltagePlan(house.value).runs : []));
const letters = computed(() => groupLetters(house.value.switchGroups));
function markOf(box: Box): string {
  const devices = Object.values(box.devices);
  if (lens.value === 'circuits')
    return [
      ...new Set(
        devices.flatMap((one) => {
          const circuit = one.circuit === null ? undefined : house.value.circuits[one.circuit];
          return circuit ? [spaceWord(circuit) || circuit.name.slice(0, 3)] : [];
        }),
      ),
    ].join(' ');
  if (lens.value === 'switching')
    return Object.values(house.value.switchGroups)
      .filter((group) => devices.some((one) => group.switches.includes(one.id) || group.controls.includes(one.id)))
      .map((group) => letters.value.get(group.id) ?? '')
      .join(' ');
  return '';
}

const LENSES = [
  { value: 'boxes', word: 'Boxes with their tags' },
  { value: 'switching', word: 'Switching letters' },
  { value: 'circuits', word: 'Circuit numbers' },
  { value: 'routes', word: 'Where cables lie' },
  { value: 'low-voltage', word: 'Low voltage' },
] as const;
const PAPER_CHOICES = Object.entries(PAPERS).map(([value, { word }]) => ({ value: value as PaperId, word }));
const SCALE_CHOICES = Object.entries(SCALES).map(([value, { word }]) => ({ value: value as ScaleId, word }));
const lensWord = computed(() => {
  const { word } = LENSES.find((one) => one.value === lens.value)!;
  const circuit = lens.value === 'routes' ? house.value.circuits[only.value] : undefined;
  return circuit ? `${word}: ${spaceWord(circuit)} ${circuit.name}` : word;
});
const day = today();

const sheets = ref<HTMLElement>();
/** What style sheets say of a drawing, as attributes: a file has no style sheets, and a page may not write styles into itself. */
const WRITTEN_OUT = [
  'fill',
  'stroke',
  'stroke-width',
  'stroke-dasharray',
  'stroke-linecap',
  'font-family',
  'font-size',
  'font-weight',
  'text-anchor',
  'opacity',
  'paint-order',
] as const;

/** The drawing of a sheet as a file of its own. */
function svgOf(drawing: SVGSVGElement): string {
  const copy = drawing.cloneNode(true) as SVGSVGElement;
  const originals = [drawing, ...drawing.querySelectorAll('*')];
  [copy, ...copy.querySelectorAll('*')].forEach((element, i) => {
    const style = getComputedStyle(originals[i]!);
    element.removeAttribute('style');
    for (const name of WRITTEN_OUT) element.setAttribute(name, style.getPropertyValue(name));
  });
  copy.setAttribute('xmlns', 'http://www.w3.org/2000/svg');
  copy.setAttribute('width', drawing.style.width);
  copy.setAttribute('height', drawing.style.height);
  return copy.outerHTML;
}

/** Every sheet's drawing, to scale. */
function saveSvg(): void {
  const drawings = [...(sheets.value?.querySelectorAll<SVGSVGElement>('svg.drawing') ?? [])];
  const name = `${house.value.name} ${house.value.levels[level.value]!.name}`.replace(/[^\w-]+/g, '-').toLowerCase();
  drawings.forEach((drawing, i) =>
    download(`${name}${drawings.length > 1 ? `-${i + 1}` : ''}.svg`, 'image/svg+xml', svgOf(drawing)),
  );
}
const print = () => window.print();
</script>

<template>
  <main v-if="store.house && level" class="plan-page">
    <div class="tools" role="toolbar" aria-label="Plan sheet tools">
      <v-btn :to="`/houses/${id}/house`">Back to the house</v-btn>
      <ChoiceField v-model="level" class="pick" label="Level" :answers="levels" />
      <ChoiceField v-model="lens" class="pick" label="What it shows" :answers="LENSES" />
      <SearchField v-if="lens === 'routes'" v-model="only" class="pick" label="Circuit" :items="circuitItems" />
      <ChoiceField v-model="scale" class="pick" label="Scale" :answers="SCALE_CHOICES" />
      <ChoiceField v-model="paper" class="pick" label="Paper" :answers="PAPER_CHOICES" />
      <span class="grow" />
      <v-btn :disabled="!tiles.length" @click="saveSvg">Save as SVG</v-btn>
      <v-btn color="primary" variant="flat" :disabled="!tiles.length" @click="print">Print</v-btn>
    </div>
    <p v-if="!tiles.length" class="none">No room on this level: there is nothing to print yet.</p>
    <p v-else-if="lens === 'routes' && !laidRoutes.length" class="note is-caution" role="status">
      No cable of this has a route yet: find routes under Routes, and keep them.
    </p>
    <p v-else-if="tiles.length > 1" class="note" role="status">
      It takes {{ tiles.length }} sheets at this scale; they meet at the match lines.
    </p>
    <div ref="sheets" class="sheets" tabindex="0">
      <PlanTile
        v-for="tile in tiles"
        :key="tile.number"
        :tile="tile"
        :count="tiles.length"
        :house="house"
        :level="level"
        :paper="laid"
        :scale="SCALES[scale]"
        :lens="lens"
        :lens-word="lensWord"
        :mark-of="markOf"
        :cables="laidRoutes"
        :low-runs="lowRuns"
        :firm="session.signedIn?.firm.name ?? ''"
        :date="day"
      />
    </div>
  </main>
  <main v-else class="none">
    <p v-if="failure" class="is-violation" role="alert">
      {{ failure }} <router-link to="/houses">All houses</router-link>
    </p>
    <p v-else class="muted">Opening the house …</p>
  </main>
</template>

<style scoped>
.plan-page {
  height: 100vh;
  display: flex;
  flex-direction: column;
}
.tools {
  display: flex;
  flex-wrap: wrap;
  align-items: center;
  gap: 8px;
  padding: 12px 12px 8px;
  border-bottom: 1px solid var(--rule);
}
.pick {
  flex: 0 0 172px;
}
.note,
.none {
  padding: 10px 14px;
}
.sheets {
  flex: 1;
  overflow: auto;
  padding: 14px;
  display: grid;
  gap: 14px;
  justify-content: start;
}
@media print {
  .tools,
  .note {
    display: none;
  }
  .plan-page,
  .sheets {
    display: block;
    height: auto;
    overflow: visible;
    padding: 0;
  }
}
</style>
