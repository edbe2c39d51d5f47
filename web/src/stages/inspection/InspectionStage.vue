<script setup lang="ts">
import { computed, ref } from 'vue';
import {
  count,
  inspectionItems,
  inspectionPacket,
  readinessOf,
  type Inspection,
  type PacketLine,
} from '@winculum/core';
import PaperPage from '../../frame/PaperPage.vue';
import RulingLines from '../../frame/RulingLines.vue';
import { rulingsOf } from '../../frame/decision-words';
import InspectionVisits from './InspectionVisits.vue';
import ItemList from './ItemList.vue';
import PacketMore from './PacketMore.vue';
import { useHouse } from '../../stores/house';

/** The packet for the inspector: whether the house is ready, and room by room what was measured against what is required. */
const store = useHouse();
const packet = computed(() => inspectionPacket(store.current));
const kind = ref<Inspection['kind']>('rough');
const items = computed(() => inspectionItems(store.current, kind.value));
const todo = computed(() => items.value.filter((one) => one.state === 'todo').length);
const verdict = computed(() => {
  const [drawn, lines] = [packet.value.verdict, readinessOf(items.value)];
  return drawn === 'not-ready' || lines === 'not-ready' ? 'not-ready' : drawn === 'ready' ? lines : drawn;
});
const PARTS = {
  items: 'Line by line',
  rooms: 'By room',
  fills: 'Box fill',
  protection: 'Protection',
  more: 'Cables and alarms',
  rulings: 'Rulings and open ends',
  visits: 'Visits',
} as const;
const rulings = computed(() => rulingsOf(store.current));
const part = ref<keyof typeof PARTS>('items');
const onlyOpen = ref(false);
const VERDICTS = {
  'not-ready': 'Not ready',
  questions: 'Ready but for questions',
  ready: 'Ready, as far as the rules reach',
} as const;
const MARKS = { met: '✓', fails: '▨', open: '?', caution: '△', look: '○' } as const;
const WORDS = {
  met: 'met',
  fails: 'violation',
  open: 'cannot tell',
  caution: 'caution',
  look: 'to be seen on site',
} as const;
const shown = (lines: readonly PacketLine[]) => (onlyOpen.value ? lines.filter((one) => one.state !== 'met') : lines);
const groups = computed(() =>
  [
    ...packet.value.rooms.map(({ room, lines }) => ({ id: room.id, name: room.name, lines: shown(lines) })),
    { id: '', name: 'The house as a whole', lines: shown(packet.value.house) },
  ].filter((one) => one.lines.length > 0),
);
const print = () => window.print();
</script>

<template>
  <PaperPage class="packet" label="Inspection tools" :part="part">
    <template #tools>
      <span class="row" role="group" aria-label="Which inspection">
        <v-btn :aria-pressed="kind === 'rough'" @click="kind = 'rough'">Rough</v-btn>
        <v-btn :aria-pressed="kind === 'final'" @click="kind = 'final'">Final</v-btn>
      </span>
      <v-btn v-for="(name, id) in PARTS" :key="id" :aria-pressed="part === id" @click="part = id">{{ name }}</v-btn>
      <v-btn v-if="part === 'rooms'" :aria-pressed="onlyOpen" @click="onlyOpen = !onlyOpen">Only what is open</v-btn>
      <span class="grow" />
      <v-btn color="primary" variant="flat" @click="print">Print</v-btn>
    </template>
    <header v-if="part !== 'visits'" class="head">
      <h1>{{ store.current.name }}: {{ kind }} inspection</h1>
      <p class="verdict num" :class="verdict" role="status">{{ VERDICTS[verdict] }}</p>
      <p>
        {{ count(packet.violations.length, 'violation') }}, {{ count(packet.questions.length, 'question')
        }}{{ todo ? `, ${count(todo, 'line')} not done yet` : '' }} · NEC {{ store.current.job.edition
        }}{{ store.current.job.authority ? `, ${store.current.job.authority}` : '' }}
      </p>
      <p class="muted small">
        Computed from what is drawn; values of the code are recalled from memory. The inspector sees the work, not this
        page, and decides.
      </p>
    </header>
    <section v-if="part === 'items'" class="leaf">
      <ItemList :items="items" />
    </section>
    <template v-else-if="part === 'rooms'">
      <section v-for="group in groups" :key="group.id" class="leaf">
        <h2>{{ group.name }}</h2>
        <v-table density="compact" class="lines">
          <thead>
            <tr>
              <th class="mark"><span class="visually-hidden">state</span></th>
              <th>What is asked</th>
              <th>Measured</th>
              <th>Required</th>
              <th>Section</th>
            </tr>
          </thead>
          <tbody>
            <tr v-for="(line, i) in group.lines" :key="i" :class="line.state">
              <td class="mark" :title="WORDS[line.state]">
                <span aria-hidden="true">{{ MARKS[line.state] }}</span><span class="visually-hidden">{{
                  WORDS[line.state]
                }}</span>
              </td>
              <td>{{ line.what }}</td>
              <td class="num">{{ line.measured }}</td>
              <td class="num">{{ line.required }}</td>
              <td class="num muted">{{ line.section }}</td>
            </tr>
          </tbody>
        </v-table>
      </section>
      <p v-if="!groups.length" class="none">Nothing is open.</p>
    </template>
    <section v-else-if="part === 'fills'" class="leaf">
      <h2>Box fill, 314.16</h2>
      <p v-if="!packet.fills.length" class="none">No cable comes to a box yet.</p>
      <v-table v-else density="compact" class="lines">
        <thead>
          <tr>
            <th>Box</th>
            <th>Room</th>
            <th>Kind</th>
            <th class="amount">Used, in³</th>
            <th class="amount">Holds, in³</th>
            <th class="amount">Grounds</th>
            <th>Made up</th>
          </tr>
        </thead>
        <tbody>
          <tr v-for="row in packet.fills" :key="row.tag" :class="{ fails: row.fits === false }">
            <td class="num">{{ row.tag }}</td>
            <td>{{ row.room }}</td>
            <td>{{ row.type }}</td>
            <td class="num amount">{{ row.usedIn3.toFixed(2) }}</td>
            <td class="num amount">
              {{ row.allowedIn3?.toFixed(1) ?? 'not known' }}{{ row.fits === false ? ' ▨' : '' }}
            </td>
            <td class="num amount">{{ row.grounds }}</td>
            <td>{{ row.isMadeUp ? '✓' : '' }}</td>
          </tr>
        </tbody>
      </v-table>
      <p class="muted small">
        At rough the grounds of every box are spliced, 250.148, and 6 in of free conductor are left, 300.14.
      </p>
    </section>
    <section v-else-if="part === 'protection'" class="leaf">
      <h2>Circuits and their protection, 210.8 and 210.12</h2>
      <p v-if="!packet.protection.length" class="none">No circuit feeds anything yet.</p>
      <v-table v-else density="compact" class="lines">
        <thead>
          <tr>
            <th>Space</th>
            <th>Circuit</th>
            <th>Breaker</th>
            <th>GFCI that feeds on</th>
            <th class="amount">Outlets</th>
          </tr>
        </thead>
        <tbody>
          <tr v-for="row in packet.protection" :key="row.circuit.id">
            <td class="num">{{ row.spaces || '–' }}</td>
            <td>{{ row.circuit.name }}</td>
            <td class="num">{{ row.circuit.ratingA }} A, {{ row.breaker }}</td>
            <td class="num">{{ row.gfcis }}</td>
            <td class="num amount">{{ row.outlets }}</td>
          </tr>
        </tbody>
      </v-table>
    </section>
    <PacketMore v-else-if="part === 'more'" :packet="packet" />
    <InspectionVisits v-else-if="part === 'visits'" v-model:kind="kind" />
    <section v-else class="leaf">
      <h2>Rulings, amendments and findings that were accepted</h2>
      <p v-if="!rulings.length" class="muted">None is written down.</p>
      <ul>
        <RulingLines :house="store.current" />
      </ul>
      <h2>Boxes that wait for a decision</h2>
      <p v-if="!packet.provisional.length" class="muted">None.</p>
      <ul>
        <li v-for="text in packet.provisional" :key="text">{{ text }}</li>
      </ul>
      <h2>Ends that wait in the walls</h2>
      <p v-if="!packet.ends.length" class="muted">None.</p>
      <ul>
        <li v-for="(one, i) in packet.ends" :key="i">
          {{ one.what }}, <b class="num">{{ one.where }}</b> {{ one.note }}
        </li>
      </ul>
      <h2>What only the inspector can answer</h2>
      <p v-if="!packet.asks.length" class="muted">Nothing.</p>
      <ul>
        <li v-for="text in packet.asks" :key="text">{{ text }}</li>
      </ul>
    </section>
  </PaperPage>
</template>

<style scoped>
.head {
  display: grid;
  gap: 4px;
}
.head h1 {
  font-size: 20px;
}
.verdict {
  font-size: 40px;
  font-weight: 700;
  line-height: 1.05;
}
.verdict.not-ready {
  color: var(--violation);
}
.verdict.questions {
  color: var(--caution);
}
.verdict.ready {
  color: var(--reached-ink);
}
.lines {
  background: transparent;
  font-size: 13px;
}
.lines :deep(td),
.lines :deep(th) {
  padding: 3px 10px 3px 0 !important;
  height: auto !important;
  vertical-align: top;
}
.mark {
  width: 22px;
}
.met .mark {
  color: var(--reached-ink);
}
.fails {
  color: var(--violation);
}
.open .mark,
.caution .mark {
  color: var(--caution);
}
@page packet {
  size: letter portrait;
  margin: 0.5in;
}
@media print {
  .packet {
    page: packet;
  }
  .lines :deep(tr) {
    break-inside: avoid;
  }
}
</style>
