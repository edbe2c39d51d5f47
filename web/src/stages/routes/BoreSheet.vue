<script setup lang="ts">
import { computed } from 'vue';
import {
  backingsOf,
  boreSheet,
  count,
  formatLength,
  keptRoutes,
  plateHolesOf,
  wordFor,
  spaceMark,
} from '@winculum/core';
import { useHouse } from '../../stores/house';

/** What is bored, wall by wall as one walks, with the bits and plates to bring; what no drill gets at comes first. */
const store = useHouse();
const walls = computed(() => boreSheet(store.current, keptRoutes(store.current).sound.values()));
const show = (lengthIn: number) => formatLength(lengthIn, store.current.standards.lengths);
const holes = computed(() => walls.value.flatMap((one) => one.holes));
const members = computed(() => holes.value.reduce((sum, one) => sum + one.members, 0));
const through = computed(() => walls.value.flatMap((one) => one.plates));
const plates = computed(() => through.value.filter((one) => one.end !== 'block').length);
const blocks = computed(() => through.value.length - plates.value);
type Plate = (typeof through.value)[number];
const placeOf = ({ end, heightIn }: Plate): string =>
  end === 'block' ? `block at ${show(heightIn!)}` : `${end} plate`;
const nailPlates = computed(() =>
  holes.value.filter((one) => one.needsPlate).reduce((sum, one) => sum + one.members, 0),
);
const bits = computed(() => {
  const counts = new Map<number, number>();
  for (const { bitIn, members: n } of holes.value) counts.set(bitIn, (counts.get(bitIn) ?? 0) + n);
  return [...counts].sort((a, b) => a[0] - b[0]);
});
const tight = computed(() => walls.value.filter((one) => one.narrow > 0 && one.holes.length > 0));
const backings = computed(() => backingsOf(store.current));
const KINDS: Readonly<Record<string, string>> = {
  king: 'king and jack',
  jack: 'jack and king',
  end: 'corner',
  partition: 'partition post',
  cripple: 'cripple',
  common: 'stud',
};
const labels = (tags: readonly { readonly toLabel: string; readonly circuit: { readonly space: number | null } }[]) =>
  tags.map((one) => `${spaceMark(one.circuit) ?? '–'}: ${one.toLabel}`).join(', ');
</script>

<template>
  <section class="sheet">
    <h2>Bore sheet</h2>
    <p class="sum">
      <b class="num">{{ members }}</b> members in <b class="num">{{ walls.length }}</b>
      {{ wordFor(walls.length, 'wall') }}, <b class="num">{{ plates }}</b> {{ wordFor(plates, 'place') }} through top
      and bottom plates,
      <template v-if="blocks"
        ><b class="num">{{ blocks }}</b> through blocking, </template
      ><b class="num">{{ nailPlates }}</b> nail {{ wordFor(nailPlates, 'plate') }}
    </p>
    <p>
      Bits:
      <template v-for="[bit, n] in bits" :key="bit"
        ><b class="num">{{ show(bit) }}</b> × {{ n }}&ensp;</template
      >
      <template v-if="tight.length"
        >· right-angle drill for bays under 10 in:
        {{ tight.map((one) => `${one.roomName} ${one.wallName}`).join(', ') }}</template
      >
    </p>
    <p class="muted small">
      Heights above the finished floor, places from the wall's left end as one faces it, to the middle of the first
      member. Which inside walls carry is the framer's word. Bored plates are sealed (fireblocking, IRC R302.11). Wear
      eye protection; look behind before you bore.
    </p>
  </section>
  <section v-if="walls.length" class="sheet">
    <h3>For the framer, before framing closes</h3>
    <ul>
      <li v-for="{ box, what } in backings" :key="box.id">
        <b class="num">{{ box.tag }}</b> in {{ store.current.rooms[box.room]!.name }}: {{ what }}
      </li>
      <li>No blocking between studs where a hole is listed below: the cable runs there.</li>
      <li>Headers, posts, flanges and chords stay whole; what has to be cut there is the framer's to say.</li>
    </ul>
  </section>
  <section v-for="wall in walls" :key="`${wall.room} ${wall.wall}`" class="sheet wall">
    <h3>{{ wall.roomName }}, {{ wall.wallName }} wall</h3>
    <v-table density="compact" :aria-label="`${wall.roomName}, ${wall.wallName} wall`">
      <thead>
        <tr>
          <th>at</th>
          <th>height</th>
          <th>bit</th>
          <th>through</th>
          <th>cables</th>
        </tr>
      </thead>
      <tbody>
        <tr v-for="hole in wall.holes" :key="hole.key">
          <td class="num">{{ show(hole.alongIn) }}</td>
          <td class="num">{{ show(hole.heightIn) }}</td>
          <td class="num">{{ show(hole.bitIn) }}</td>
          <td>
            {{ hole.members > 1 ? `${hole.members}, ` : ''
            }}{{ hole.crossing.isCorner ? 'corner' : KINDS[hole.crossing.members[0]!.kind]
            }}<b v-if="hole.needsPlate" class="plate"> nail plate</b><b v-if="hole.isSteel" class="plate"> bushing</b>
          </td>
          <td>{{ labels(hole.cables) }}</td>
        </tr>
        <tr v-for="plate in wall.plates" :key="plate.key">
          <td class="num">{{ show(plate.alongIn) }}</td>
          <td>{{ placeOf(plate) }}</td>
          <td />
          <td>{{ count(plateHolesOf(plate), 'hole') }}{{ plate.end === 'block' ? '' : ', sealed after' }}</td>
          <td>{{ labels(plate.cables) }}</td>
        </tr>
      </tbody>
    </v-table>
  </section>
</template>

<style scoped>
.plate {
  color: var(--caution);
}
</style>
