<script setup lang="ts">
import { changeEntity, COVERINGS, wallLoop, type Corner, type Room } from '@winculum/core';
import { useHouse } from '../../stores/house';
import LengthField from './LengthField.vue';

/** What each wall of a room is: boundary, covering, framing. */
const props = defineProps<{ room: Room }>();
const store = useHouse();
const value = (event: Event) => (event.target as HTMLSelectElement).value;
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
  store.apply(changeEntity(store.house!, 'rooms', props.room.id, { corners }));
}
const framing = (corner: Corner) =>
  corner.framing ?? { depth: '2x4' as const, layoutFrom: 'start' as const, plumbing: false };

function setCovering(corner: Corner, kind: string): void {
  const known = kind as (typeof COVERINGS)[number];
  change(corner, { covering: kind === '' ? undefined : { kind: known, thicknessIn: USUAL[known] } });
}
</script>

<template>
  <details>
    <summary>Walls</summary>
    <fieldset v-for="(corner, i) in room.corners" :key="corner.id" :disabled="!store.canEdit">
      <legend>{{ i + 1 }}, {{ names()[i] }}</legend>
      <label class="field"
        >Boundary
        <select class="plain" :value="corner.wall" @change="change(corner, { wall: value($event) as Corner['wall'] })">
          <option value="solid">wall</option>
          <option value="railing">railing</option>
          <option value="open">open</option>
        </select></label
      >
      <template v-if="corner.wall === 'solid'">
        <label class="field"
          >Covering
          <select class="plain" :value="corner.covering?.kind ?? ''" @change="setCovering(corner, value($event))">
            <option value="">the usual</option>
            <option v-for="kind in COVERINGS" :key="kind" :value="kind">{{ kind }}</option>
          </select></label
        >
        <LengthField
          v-if="corner.covering && corner.covering.kind !== 'undecided'"
          label="Thickness"
          :value="corner.covering.thicknessIn"
          @change="change(corner, { covering: { ...corner.covering, thicknessIn: $event } })"
        />
        <label class="field"
          >Studs
          <select
            class="plain"
            :value="framing(corner).depth"
            @change="change(corner, { framing: { ...framing(corner), depth: value($event) as '2x4' } })"
          >
            <option>2x4</option>
            <option>2x6</option>
            <option>2x8</option>
          </select></label
        >
        <label class="field"
          >Layout from
          <select
            class="plain"
            :value="framing(corner).layoutFrom"
            @change="change(corner, { framing: { ...framing(corner), layoutFrom: value($event) as 'start' } })"
          >
            <option value="start">left corner</option>
            <option value="end">right corner</option>
          </select></label
        >
        <label class="row"
          ><input
            type="checkbox"
            :checked="framing(corner).plumbing"
            @change="
              change(corner, {
                framing: { ...framing(corner), plumbing: ($event.target as HTMLInputElement).checked },
              })
            "
          />
          pipes in it</label
        >
      </template>
    </fieldset>
  </details>
</template>

<style scoped>
summary {
  cursor: pointer;
  min-height: 32px;
}
fieldset {
  min-width: 0;
  border: 0;
  border-top: 1px solid var(--rule);
  margin: 0;
  padding: 4px 0 8px;
}
legend {
  font-weight: 600;
  text-transform: capitalize;
}
.field {
  margin-top: 4px;
}
</style>
