<script setup lang="ts">
import {
  changeEntity,
  coveringOf,
  COVERINGS,
  readLayers,
  formatLength,
  parseLength,
  wallLoop,
  type Corner,
  type Room,
} from '@winculum/core';
import { useHouse } from '../../stores/house';
import ChoiceField from '../../fields/ChoiceField.vue';
import LengthField from '../../fields/LengthField.vue';
import LineField from '../../fields/LineField.vue';
import TickField from '../../fields/TickField.vue';

/** What each wall of a room is: boundary, covering, framing. */
const props = defineProps<{ room: Room }>();
const store = useHouse();
const BOUNDARIES = [
  { value: 'solid', word: 'wall' },
  { value: 'railing', word: 'railing' },
  { value: 'open', word: 'open' },
] as const;
const KINDS = [{ value: '', word: 'the usual' }, ...COVERINGS.map((value) => ({ value, word: value }))];
const DEPTHS = (['2x4', '2x6', '2x8'] as const).map((value) => ({ value, word: value }));
const ENDS = [
  { value: 'start', word: 'left corner' },
  { value: 'end', word: 'right corner' },
] as const;
/** Usual whole thicknesses on the studs, inches: *common practice*. */
const USUAL: Record<(typeof COVERINGS)[number], number> = {
  gypsum: 0.5,
  tile: 0.875,
  wood: 0.75,
  plaster: 0.875,
  masonry: 0,
  undecided: 0,
};
const names = (): string[] => wallLoop(props.room).walls.map((wall) => wall.name);

function change(corner: Corner, changes: Partial<Corner>): void {
  const corners = props.room.corners.map((one) => {
    if (one.id !== corner.id) return one;
    const next: Record<string, unknown> = { ...one, ...changes };
    for (const key of ['covering', 'framing']) if (next[key] === undefined) delete next[key];
    return next as Corner;
  });
  store.apply(changeEntity(store.current, 'rooms', props.room.id, { corners }));
}
const framing = (corner: Corner): NonNullable<Corner['framing']> =>
  corner.framing ?? { depth: '2x4', layoutFrom: 'start', plumbing: false };

const listed = (places: readonly number[] = []): string =>
  places.map((one) => formatLength(one, store.current.standards.lengths)).join(', ');
const studsOf = ({ framing: known }: Corner): string => listed(known?.studsAtIn);
const blockingOf = ({ framing: known }: Corner): string => listed(known?.blockingAtIn);
/** Lengths of a line with commas between, sorted, each once; undefined, and said, where one of them is none or too long. */
function readPlaces(label: string, line: string, mostIn: number, where: string): readonly number[] | undefined {
  const places: number[] = [];
  for (const part of line.split(',').map((one) => one.trim())) {
    if (part === '') continue;
    const read = parseLength(part, label);
    if (!read.ok || read.value < 0 || read.value > mostIn) {
      store.problem = `${label}: “${part}” is no place on this wall. Type lengths from ${where} up to ${listed([mostIn])}, with commas between.`;
      return undefined;
    }
    places.push(read.value);
  }
  return [...new Set(places)].sort((a, b) => a - b);
}
/** Places of studs as they are called out, from the wall's left corner; an empty line goes by the spacing again. */
function setStuds(corner: Corner, line: string): void {
  const { studsAtIn: _, ...rest } = framing(corner);
  const wall = wallLoop(props.room).walls.find((one) => one.id === corner.id)!;
  const places = readPlaces('Studs as built', line, wall.lengthIn, 'its left corner');
  if (places) change(corner, { framing: places.length > 0 ? { ...rest, studsAtIn: [...places] } : rest });
}
/** Heights of rows of blocking, above the floor; an empty line takes them out. */
function setBlocking(corner: Corner, line: string): void {
  const { blockingAtIn: _, ...rest } = framing(corner);
  const { ceilingIn } = store.current.levels[props.room.level]!;
  const places = readPlaces('Rows of blocking', line, ceilingIn, 'the floor');
  if (places) change(corner, { framing: places.length > 0 ? { ...rest, blockingAtIn: [...places] } : rest });
}

const layersOf = ({ covering }: Corner): string =>
  (covering?.layers ?? [])
    .map((one) => `${one.kind} ${formatLength(one.thicknessIn, store.current.standards.lengths).replace(/^0'-/, '')}`)
    .join(', ');
/** Layers make the covering and its thickness; an empty line leaves the covering as it is, without them. */
function setLayers(corner: Corner, line: string): void {
  const read = readLayers(line);
  if (!read.ok) store.problem = read.problems[0]!.message;
  else if (read.value.length > 0) change(corner, { covering: coveringOf(read.value) });
  else if (corner.covering) change(corner, { covering: { ...corner.covering, layers: undefined } });
}

function setCovering(corner: Corner, kind: string): void {
  const known = kind as (typeof COVERINGS)[number];
  change(corner, { covering: kind === '' ? undefined : { kind: known, thicknessIn: USUAL[known] } });
}
</script>

<template>
  <v-expansion-panels>
    <v-expansion-panel v-for="(corner, i) in room.corners" :key="corner.id" :title="`Wall ${i + 1}, ${names()[i]}`">
      <v-expansion-panel-text>
        <div class="stack">
          <ChoiceField
            label="Boundary"
            :model-value="corner.wall"
            :answers="BOUNDARIES"
            @update:model-value="change(corner, { wall: $event })"
          />
          <template v-if="corner.wall === 'solid'">
            <ChoiceField
              label="Covering"
              :model-value="corner.covering?.kind ?? ''"
              :answers="KINDS"
              @update:model-value="setCovering(corner, $event)"
            />
            <LengthField
              v-if="corner.covering && corner.covering.kind !== 'undecided'"
              label="Thickness"
              :model-value="corner.covering.thicknessIn"
              @update:model-value="
                change(corner, { covering: { ...corner.covering, thicknessIn: $event, layers: undefined } })
              "
            />
            <LineField
              label="Layers on the studs"
              hint="gypsum 1/2, mortar 1/8, tile 3/8"
              :most="200"
              :model-value="layersOf(corner)"
              @update:model-value="setLayers(corner, $event)"
            />
            <ChoiceField
              label="Studs"
              :model-value="framing(corner).depth"
              :answers="DEPTHS"
              @update:model-value="change(corner, { framing: { ...framing(corner), depth: $event } })"
            />
            <ChoiceField
              label="Layout from"
              :model-value="framing(corner).layoutFrom"
              :answers="ENDS"
              @update:model-value="change(corner, { framing: { ...framing(corner), layoutFrom: $event } })"
            />
            <LengthField
              label="Stud spacing"
              optional
              hint="that of the level where nothing is said"
              :model-value="framing(corner).spacingIn"
              @update:model-value="change(corner, { framing: { ...framing(corner), spacingIn: $event } })"
              @clear="change(corner, { framing: { ...framing(corner), spacingIn: undefined } })"
            />
            <LineField
              label="Studs as built"
              hint="centers from the left corner: 1' 4, 32, 47 1/2"
              :most="400"
              :model-value="studsOf(corner)"
              @update:model-value="setStuds(corner, $event)"
            />
            <LineField
              label="Rows of blocking"
              hint="heights to their middle: 4', 91"
              :most="200"
              :model-value="blockingOf(corner)"
              @update:model-value="setBlocking(corner, $event)"
            />
            <TickField
              label="studs of steel"
              :model-value="framing(corner).steel ?? false"
              @update:model-value="change(corner, { framing: { ...framing(corner), steel: $event || undefined } })"
            />
            <TickField
              label="pipes in it"
              :model-value="framing(corner).plumbing"
              @update:model-value="change(corner, { framing: { ...framing(corner), plumbing: $event } })"
            />
          </template>
        </div>
      </v-expansion-panel-text>
    </v-expansion-panel>
  </v-expansion-panels>
</template>
