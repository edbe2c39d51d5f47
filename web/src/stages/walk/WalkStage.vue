<script setup lang="ts">
import SearchField from '../../fields/SearchField.vue';
import { computed, ref, shallowRef, watch } from 'vue';
import type { Revision } from '@winculum/contract';
import { changeEntity, walkSheets, type Box, type House } from '@winculum/core';
import PaperPage from '../../frame/PaperPage.vue';
import { useHouse } from '../../stores/house';
import { useView } from '../../stores/view';
import RoomSheetView from './RoomSheetView.vue';
import SignOff from './SignOff.vue';

const store = useHouse();
const view = useView();
const part = ref<'sheets' | 'signoff'>('sheets');
const only = ref('');
const old = shallowRef<{ revision: Revision; house: House } | null>(null);
const house = computed(() => old.value?.house ?? store.current);
const sheets = computed(() => walkSheets(house.value));
const rooms = computed(() => sheets.value.rooms.filter((one) => only.value === '' || one.room.id === only.value));
const boxes = computed(() => Object.values(house.value.boxes));
const marked = computed(() => boxes.value.filter((one) => one.progress).length);
const nailed = computed(
  () => boxes.value.filter((one) => one.progress !== undefined && one.progress !== 'marked').length,
);
const open = computed(() => sheets.value.rooms.flatMap((one) => one.open));
watch(sheets, (now) => {
  if (only.value && !now.rooms.some((one) => one.room.id === only.value)) only.value = '';
});

/** To do, marked, nailed, and round again for a slip of the finger. */
function tick(box: Box): void {
  const progress = box.progress === undefined ? 'marked' : box.progress === 'marked' ? 'nailed' : undefined;
  store.apply(changeEntity(store.current, 'boxes', box.id, { progress }));
}
function reopen(revision: Revision, then: House): void {
  old.value = { revision, house: then };
  part.value = 'sheets';
}
const print = () => window.print();
const roomItems = computed(() => [
  { value: '', title: 'all rooms, in walking order' },
  ...sheets.value.rooms.map((one) => ({ value: one.room.id, title: one.room.name })),
]);
</script>

<template>
  <PaperPage class="walk-page" label="Walk tools" :part="part">
    <template #tools>
      <v-btn :aria-pressed="part === 'sheets'" @click="part = 'sheets'">Sheets</v-btn>
      <v-btn
        :aria-pressed="part === 'signoff'"
        @click="
          part = 'signoff';
          old = null;
        "
      >
        Sign-off
      </v-btn>
      <SearchField v-if="part === 'sheets'" v-model="only" class="pick" label="Room" :items="roomItems" />
      <span class="grow" />
      <span v-if="part === 'sheets'" class="progress" role="status"
        ><b class="num">{{ marked }}</b> marked <b class="num">{{ nailed }}</b> nailed of
        <b class="num">{{ boxes.length }}</b></span
      >
      <v-btn color="primary" variant="flat" v-if="part === 'sheets'" @click="print">Print</v-btn>
    </template>
    <SignOff v-if="part === 'signoff'" @reopen="reopen" />
    <template v-else>
      <p v-if="old" class="old" role="status">
        Revision {{ old.revision.number }} as it was signed: read only.
        <v-btn @click="old = null">Back to today</v-btn>
      </p>
      <header class="head">
        <h1 class="num">
          {{ house.name }}: boxes<template v-if="old">, revision {{ old.revision.number }}</template>
        </h1>
        <p>
          Heights {{ sheets.heightsTo }}. NEC {{ house.job.edition
          }}<template v-if="house.job.authority">, {{ house.job.authority }}</template
          >. Framing is the usual layout until it is seen: nail to the nearest face, then check the spacing.
        </p>
      </header>
      <p v-if="!sheets.rooms.length" class="none">
        There is no box yet. Place some under
        <router-link :to="`/houses/${store.id}/boxes`">Boxes</router-link>, or let the tool box the house there.
      </p>
      <RoomSheetView
        v-for="sheet in rooms"
        :key="sheet.room.id"
        :house="house"
        :sheet="sheet"
        :can-tick="store.canEdit && !old"
        :selected="view.only('box')"
        @tick="tick"
        @pick="view.select([{ kind: 'box', id: $event.id }])"
      />
      <section v-if="sheets.rooms.length && !only" class="tally">
        <div>
          <h2>Boxes to bring</h2>
          <table>
            <tbody>
              <tr v-for="one in sheets.tally" :key="one.type">
                <td class="num n">{{ one.n }}</td>
                <td>{{ one.type }}</td>
              </tr>
            </tbody>
          </table>
        </div>
        <div>
          <h2>What goes in</h2>
          <table>
            <tbody>
              <tr v-for="one in sheets.devices" :key="one.what">
                <td class="num n">{{ one.n }}</td>
                <td>{{ one.what }}</td>
              </tr>
            </tbody>
          </table>
        </div>
        <div>
          <h2>Open questions</h2>
          <p v-for="text in open" :key="text" class="is-caution">{{ text }}</p>
          <p v-if="!open.length" class="muted">none</p>
        </div>
      </section>
      <p class="foot muted">
        A plan, not an approval: the adopted code, the authority having jurisdiction and a licensed electrician decide.
      </p>
    </template>
  </PaperPage>
</template>

<style scoped>
.head h1 {
  font-size: 26px;
}
.old {
  background: var(--tape);
  color: #22302f;
  padding: 8px 12px;
  border-radius: 4px;
  display: flex;
  gap: 10px;
  align-items: center;
}
.tally {
  display: grid;
  grid-template-columns: repeat(auto-fit, minmax(220px, 1fr));
  gap: 14px;
  background: var(--card);
  border: 1px solid var(--rule);
  border-radius: 4px;
  padding: 12px 16px;
}
.tally h2 {
  font: 600 16px var(--words);
}
.n {
  font-size: 18px;
  text-align: right;
  padding-right: 8px;
}
@page walk-sheet {
  size: letter portrait;
  margin: 0.5in;
}
@media print {
  .old {
    display: none;
  }
  .walk-page {
    page: walk-sheet;
  }
  .tally {
    border: 0;
    padding: 0;
    break-inside: avoid;
  }
}
</style>
