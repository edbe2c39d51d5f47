<script setup lang="ts">
import { computed } from 'vue';
import {
  CEILINGS,
  changeEntity,
  edit,
  OUTDOOR_KINDS,
  SIDINGS,
  type Ceiling,
  type Room,
  type Siding,
} from '@winculum/core';
import ChoiceField from '../../fields/ChoiceField.vue';
import LengthField from '../../fields/LengthField.vue';
import { useHouse } from '../../stores/house';

/** What others put over the boxes of a room: its ceiling, the siding outdoors, and the color of its lamps. */
const props = defineProps<{ room: Room }>();
const store = useHouse();
const isOut = computed(() => OUTDOOR_KINDS.has(props.room.kind));
const change = (changes: Partial<Room>) => store.apply(changeEntity(store.current, 'rooms', props.room.id, changes));

const words = (value: string) => value.replaceAll('-', ' ');
const CEILING_ITEMS = [{ value: '', word: 'not said' }, ...CEILINGS.map((value) => ({ value, word: words(value) }))];
const SIDING_ITEMS = [{ value: '', word: 'not said' }, ...SIDINGS.map((value) => ({ value, word: words(value) }))];
/** Usual thicknesses, inches: *common practice*. */
const CEILING_IN: Readonly<Record<Ceiling['kind'], number>> = {
  gypsum: 0.5,
  plaster: 0.875,
  wood: 0.75,
  coffered: 0.5,
  drop: 6,
  undecided: 0,
};
const SIDING_IN: Readonly<Record<Siding['kind'], number>> = {
  lap: 0.5,
  shingle: 0.5,
  'board-and-batten': 0.75,
  panel: 0.4375,
  stucco: 0.875,
  brick: 4.5,
  stone: 2,
  undecided: 0,
};
const setCeiling = (kind: string) =>
  change({
    ceiling:
      kind === '' ? undefined : { kind: kind as Ceiling['kind'], thicknessIn: CEILING_IN[kind as Ceiling['kind']] },
  });
const setSiding = (kind: string) =>
  change({
    siding: kind === '' ? undefined : { kind: kind as Siding['kind'], thicknessIn: SIDING_IN[kind as Siding['kind']] },
  });

const COLORS = [
  { value: 0, word: 'not said' },
  { value: 2200, word: '2200 K, candle' },
  { value: 2700, word: '2700 K, warm' },
  { value: 3000, word: '3000 K, soft' },
  { value: 3500, word: '3500 K, neutral' },
  { value: 4000, word: '4000 K, cool' },
  { value: 5000, word: '5000 K, daylight' },
];
const colors = computed(() => {
  const { lampK } = props.room;
  return lampK === undefined || COLORS.some((one) => one.value === lampK)
    ? COLORS
    : [...COLORS, { value: lampK, word: `${lampK} K` }];
});
const unsaid = computed(() => Object.values(store.current.rooms).filter((one) => one.lampK === undefined).length);
const setEverywhere = () =>
  store.apply(
    edit(store.current, 'Set the lamp color', (draft) => {
      for (const one of Object.values(draft.rooms)) one.lampK ??= props.room.lampK;
    }),
  );
</script>

<template>
  <v-expansion-panels>
    <v-expansion-panel title="Finish and lamps">
      <v-expansion-panel-text>
        <div class="stack">
          <template v-if="isOut">
            <ChoiceField
              label="Siding of the house here"
              :model-value="room.siding?.kind ?? ''"
              :answers="SIDING_ITEMS"
              @update:model-value="setSiding"
            />
            <template v-if="room.siding && room.siding.kind !== 'undecided'">
              <LengthField
                label="Thickness on the sheathing"
                :model-value="room.siding.thicknessIn"
                @update:model-value="change({ siding: { ...room.siding, thicknessIn: $event } })"
              />
              <LengthField
                v-if="room.siding.kind === 'lap' || room.siding.kind === 'shingle'"
                label="Seen of each course"
                optional
                hint="4 to 8 in as a rule"
                :model-value="room.siding.courseIn"
                @update:model-value="change({ siding: { ...room.siding, courseIn: $event } })"
                @clear="change({ siding: { ...room.siding, courseIn: undefined } })"
              />
            </template>
          </template>
          <ChoiceField
            label="Ceiling"
            :model-value="room.ceiling?.kind ?? ''"
            :answers="CEILING_ITEMS"
            @update:model-value="setCeiling"
          />
          <LengthField
            v-if="room.ceiling && room.ceiling.kind !== 'undecided'"
            :label="room.ceiling.kind === 'drop' ? 'Hangs down by' : 'Thickness on the joists'"
            :model-value="room.ceiling.thicknessIn"
            @update:model-value="change({ ceiling: { ...room.ceiling, thicknessIn: $event } })"
          />
          <ChoiceField
            label="Lamp color"
            :model-value="room.lampK ?? 0"
            :answers="colors"
            @update:model-value="change({ lampK: $event || undefined })"
          />
          <v-btn v-if="store.canEdit && room.lampK && unsaid" @click="setEverywhere"
            >Same in all rooms that say none</v-btn
          >
        </div>
      </v-expansion-panel-text>
    </v-expansion-panel>
  </v-expansion-panels>
</template>
