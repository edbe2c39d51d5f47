<script setup lang="ts">
import { computed, onBeforeUnmount, ref, shallowRef, watch } from 'vue';
import {
  areaFt2,
  boundsOf,
  ceilingGrid,
  cofferMiddles,
  countForSpacing,
  featureOutline,
  formatLength,
  joistConflict,
  lumenMethodFc,
  newDevice,
  parseLength,
  placeBoxes,
  roomsOver,
  usualFc,
  usualSpacingIn,
  USUAL_LUMEN_ASSUMPTIONS,
  spreadAlong,
  type Feature,
  type LightMap,
  type Room,
} from '@winculum/core';
import { newId } from '../../new-id';
import ChoiceField from '../../fields/ChoiceField.vue';
import CountField from '../../fields/CountField.vue';
import NumberField from '../../fields/NumberField.vue';
import { useHouse } from '../../stores/house';
import type { CeilingShown } from './ceiling-shown';
import WallLights from './WallLights.vue';
import type { LightMapJob } from './light-map.worker';

/** Lays out a grid of luminaires in a room's ceiling, to be marked on the floor from two walls. */
const props = defineProps<{ room: Room }>();
const emit = defineEmits<{ close: []; grid: [shown: CeilingShown] }>();
const store = useHouse();
const WORK_PLANE_IN = 30;

const show = (inches: number) => formatLength(inches, store.current.standards.lengths);
const level = computed(() => store.current.levels[props.room.level]!);
const bounds = computed(() => boundsOf(props.room.corners));
const span = computed(() => ({
  x: bounds.value.maxX - bounds.value.minX,
  y: bounds.value.maxY - bounds.value.minY,
}));
const standard = ref(store.current.standards.ceilingRows);
const columns = ref(1);
const rows = ref(1);
const style = ref<'recessed' | 'surface'>('recessed');
const thin = ref(true);
const lumens = ref(800);
const offset = ref('');
const offsetIn = computed(() => {
  if (offset.value.trim() === '') return undefined;
  const read = parseLength(offset.value, 'First row');
  return read.ok ? read.value : undefined;
});
const wrongOffset = computed(() => {
  if (offset.value.trim() === '') return '';
  const read = parseLength(offset.value, 'First row');
  if (!read.ok) return read.problems[0]!.message;
  return read.value * 2 > Math.min(span.value.x, span.value.y) ? 'First row: farther than the middle of the room.' : '';
});

const ENDS = [
  { value: 'half-at-walls', word: 'half a spacing at the walls' },
  { value: 'equal-divisions', word: 'equal divisions' },
] as const;
const STYLES = [
  { value: 'recessed', word: 'recessed' },
  { value: 'surface', word: 'surface' },
] as const;

/** Half the ceiling height apart: the rule of thumb. */
function suggest(): void {
  const spacing = usualSpacingIn(level.value.ceilingIn);
  columns.value = countForSpacing(span.value.x, spacing, standard.value);
  rows.value = countForSpacing(span.value.y, spacing, standard.value);
}
watch(() => props.room.id, suggest, { immediate: true });

const beams = computed(() =>
  Object.values(store.current.features)
    .filter((one) => one.room === props.room.id && one.kind === 'beam')
    .map((one) => featureOutline(props.room, one)),
);
const whole = (n: number) => Math.min(12, Math.max(1, Math.round(Number(n) || 1)));
const alignTo = ref('');
const alignable = computed(() =>
  Object.values(store.current.features).filter((one) => one.room === props.room.id && one.kind !== 'beam'),
);
const over = computed(() => {
  const feature = alignable.value.find((one) => one.id === alignTo.value);
  if (!feature) return undefined;
  const { minX, maxX, minY, maxY } = boundsOf(featureOutline(props.room, feature));
  return { x: (minX + maxX) / 2, y: (minY + maxY) / 2 };
});
const grid = computed(() => {
  if (alignTo.value === 'coffers')
    return { places: cofferMiddles(props.room, beams.value), stepX: 0, stepY: 0, left: 0 };
  return ceilingGrid(
    props.room,
    {
      columns: whole(columns.value),
      rows: whole(rows.value),
      standard: standard.value,
      ...(wrongOffset.value ? {} : { offsetX: offsetIn.value, offsetY: offsetIn.value }),
      over: over.value,
    },
    beams.value,
  );
});
const conflicts = computed(() => {
  const { joists } = level.value;
  if (!joists || thin.value || style.value !== 'recessed') return new Set<number>();
  return new Set(grid.value.places.flatMap((at, i) => (joistConflict(joists, at, 6.5) ? [i] : [])));
});

const fc = computed(() => lumenMethodFc(grid.value.places.length, lumens.value, areaFt2(props.room.corners)));
const wanted = computed(() => usualFc(props.room.kind));
const verdict = computed(() =>
  fc.value < wanted.value[0] ? 'too few' : fc.value > wanted.value[1] ? 'more than usual' : 'as usual',
);
const stacked = computed(() => roomsOver(store.current, props.room.id));

const map = shallowRef<LightMap | null>(null);
const busy = ref(false);
let worker: Worker | undefined;
let job = 0;
watch(
  [grid, lumens],
  () => {
    worker ??= new Worker(new URL('./light-map.worker.ts', import.meta.url), { type: 'module' });
    busy.value = true;
    worker.onmessage = (event: MessageEvent<{ n: number; map: LightMap }>) => {
      if (event.data.n !== job) return;
      map.value = event.data.map;
      busy.value = false;
    };
    const dropIn = Math.max(12, level.value.ceilingIn - WORK_PLANE_IN);
    const next: LightMapJob = {
      n: ++job,
      corners: props.room.corners.map(({ x, y }) => ({ x, y })),
      sources: grid.value.places.map((at) => ({ ...at, dropIn, lumens: Math.max(0, lumens.value || 0) })),
    };
    worker.postMessage(next);
  },
  { immediate: true },
);
onBeforeUnmount(() => worker?.terminate());
watch([grid, conflicts, map], () => emit('grid', { grid: grid.value, conflicts: conflicts.value, map: map.value }), {
  immediate: true,
});

const unique = (values: readonly number[]) => [...new Set(values.map((one) => Math.round(one * 16) / 16))];
const fromWest = computed(() => unique(grid.value.places.map((at) => at.x - bounds.value.minX)));
const fromNorth = computed(() => unique(grid.value.places.map((at) => at.y - bounds.value.minY)));

const islands = computed(() =>
  Object.values(store.current.features).filter(
    (one) => one.room === props.room.id && (one.kind === 'island' || one.kind === 'peninsula'),
  ),
);
/** One pendant for about each 30 in of island, *common practice*. */
const PENDANT_EVERY_IN = 30;
const longIn = (one: Feature) => Math.max(one.at.widthIn, one.at.depthIn);
const pendantCount = (one: Feature) => Math.max(1, Math.round(longIn(one) / PENDANT_EVERY_IN));

function pendants(island: Feature): void {
  const { minX, minY, maxX, maxY } = boundsOf(featureOutline(props.room, island));
  const alongX = maxX - minX >= maxY - minY;
  const boxes = spreadAlong(longIn(island), pendantCount(island), 'half-at-walls').map((at) => ({
    id: newId('box'),
    room: props.room.id,
    origin: 'request' as const,
    at: {
      kind: 'ceiling' as const,
      x: alongX ? minX + at : (minX + maxX) / 2,
      y: alongX ? (minY + maxY) / 2 : minY + at,
    },
    devices: [newDevice('luminaire', newId('device'), { style: 'pendant' })],
  }));
  if (store.apply(placeBoxes(store.current, boxes, `Pendants over the ${island.name || island.kind}`))) emit('close');
}

function place(): void {
  const boxes = grid.value.places.map((at) => ({
    id: newId('box'),
    room: props.room.id,
    origin: 'request' as const,
    at: { kind: 'ceiling' as const, x: Math.round(at.x * 16) / 16, y: Math.round(at.y * 16) / 16 },
    devices: [
      newDevice('luminaire', newId('device'), {
        style: style.value,
        lumens: Math.max(0, Number(lumens.value) || 0),
        va: Math.max(1, Math.round((Number(lumens.value) || 0) / 90)),
      }),
    ],
  }));
  if (store.apply(placeBoxes(store.current, boxes, `Ceiling of ${props.room.name}: ${boxes.length} luminaires`)))
    emit('close');
}
const lines = computed(() => [
  { value: '', title: 'the walls alone' },
  ...(beams.value.length > 0 ? [{ value: 'coffers', title: 'the coffers: one in the middle of each' }] : []),
  ...alignable.value.map((one) => ({ value: one.id, title: one.name || one.kind.replaceAll('-', ' ') })),
]);
</script>

<template>
  <section class="stage-list" aria-label="Ceiling grid">
    <header>
      <b class="grow">Ceiling of {{ room.name }}</b>
      <v-btn aria-label="Close the ceiling grid" @click="emit('close')">Close</v-btn>
    </header>
    <div class="body stack">
      <p class="big num" role="status">
        {{ fc.toFixed(0) }} fc <small>{{ verdict }} ({{ wanted[0] }}–{{ wanted[1] }})</small>
      </p>
      <div class="grid3">
        <CountField v-model="columns" label="Across" :min="1" :max="12" />
        <CountField v-model="rows" label="Rows" :min="1" :max="12" />
        <v-btn @click="suggest">ceiling ÷ 2</v-btn>
      </div>
      <ChoiceField v-model="standard" label="Ends" :answers="ENDS" />
      <v-text-field
        v-model="offset"
        class="num"
        label="First row off the walls"
        placeholder="by the standard"
        persistent-placeholder
        :error-messages="wrongOffset"
      />
      <v-select v-model="alignTo" label="In line with" :items="lines" />
      <div class="grid3">
        <ChoiceField v-model="style" label="Kind" :answers="STYLES" />
        <NumberField v-model="lumens" label="Light of each" unit="lm" :min="0" :max="20000" />
        <v-checkbox v-if="style === 'recessed'" v-model="thin" density="compact" hide-details label="thin" />
      </div>
      <p class="muted small">
        Lumen method: {{ grid.places.length }} × {{ lumens || 0 }} lm × {{ USUAL_LUMEN_ASSUMPTIONS.utilization }} ×
        {{ USUAL_LUMEN_ASSUMPTIONS.maintenance }} ÷ {{ areaFt2(room.corners).toFixed(0) }} ft². Utilization and
        maintenance are usual values, common practice.
        <template v-if="map">
          Direct light alone: {{ map.leastFc.toFixed(0) }} to {{ map.mostFc.toFixed(0) }} fc on the map.</template
        >
        <template v-if="busy"> Computing …</template>
      </p>
      <div class="marks">
        <p class="small-caps">Mark on the floor</p>
        <p>
          <b>from the west wall</b> <span class="num">{{ fromWest.map(show).join(', ') }}</span>
        </p>
        <p>
          <b>from the north wall</b> <span class="num">{{ fromNorth.map(show).join(', ') }}</span>
        </p>
        <p class="muted small">
          <template v-if="grid.stepX || grid.stepY">spacing </template>{{ show(grid.stepX) }} by {{ show(grid.stepY) }}
          <template v-if="grid.left">; {{ grid.left }} fall outside the room or on a beam and are left out</template>
        </p>
      </div>
      <p v-if="conflicts.size" class="is-violation">
        {{ conflicts.size }} cans hit a joist: shift the rows, or take thin ones.
      </p>
      <p v-else-if="style === 'recessed' && !thin && !level.joists" class="is-caution">
        The joists of this ceiling are not known: say how they run, under House.
      </p>
      <p class="muted small">
        Above: {{ stacked.above.join(', ') || level.above }}. Below: {{ stacked.below.join(', ') || level.below }}.
      </p>
      <WallLights :room="room" @placed="emit('close')" />
    </div>
    <footer>
      <template v-for="one in islands" :key="one.id">
        <v-btn :disabled="!store.canEdit" @click="pendants(one)">
          {{ pendantCount(one) }} pendants over the {{ one.name || one.kind }}
        </v-btn>
      </template>
      <v-btn color="primary" variant="flat" :disabled="!store.canEdit || !grid.places.length" @click="place">
        Place {{ grid.places.length }}
      </v-btn>
    </footer>
  </section>
</template>

<style scoped>
.body {
  flex: 1;
  overflow-y: auto;
  padding: 10px 12px;
}
.grid3 {
  display: grid;
  grid-template-columns: 1fr 1fr;
  gap: 8px;
  align-items: end;
}
.big {
  font-size: 30px;
}
.big small {
  font-size: 15px;
  font-weight: 500;
}
.small {
  font-size: 12.5px;
  line-height: 1.4;
}
.marks {
  border: 1px solid var(--rule);
  border-radius: 4px;
  padding: 8px 10px;
  line-height: 1.5;
}
.grid3 .row {
  flex-wrap: nowrap;
  min-height: 36px;
}
.grid3 .field {
  display: grid;
  grid-template-columns: 1fr;
  gap: 2px;
}
</style>
