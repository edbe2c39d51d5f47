<script setup lang="ts">
import { computed, ref } from 'vue';
import {
  addEntity,
  count,
  evidenceOfHouse,
  futuresOf,
  type Inspection,
  itemAsks,
  inspectionPacket,
  mustKnow,
  originsOf,
  removeEntities,
  stateOf,
  testScript,
  visitsOf,
} from '@winculum/core';
import PlanView from '../../drawing/PlanView.vue';
import RulingLines from '../../frame/RulingLines.vue';
import { rulingsOf } from '../../frame/decision-words';
import PanelDirectory from '../../frame/PanelDirectory.vue';
import { usePerson } from '../../frame/person';
import { newId } from '../../new-id';
import { useHouse } from '../../stores/house';
import { usePhotos } from '../../stores/photos';
import { useSession } from '../../stores/session';
import { today } from '../../today';

/** The as-built on paper, from cover to photos: what the next owner and the next electrician want to know. */
const store = useHouse();
const photos = usePhotos();
const session = useSession();
const person = usePerson();
const house = computed(() => store.current);
const levels = computed(() =>
  Object.values(house.value.levels)
    .filter((one) => Object.values(house.value.rooms).some((room) => room.level === one.id))
    .toSorted((a, b) => a.elevationIn - b.elevationIn),
);
const packet = computed(() => inspectionPacket(house.value));
const evidence = computed(() => evidenceOfHouse(house.value));
const loose = computed(() => Object.values(house.value.photos).filter(({ at }) => at.kind === 'house'));
const futures = computed(() => futuresOf(house.value));
const origins = computed(() => originsOf(house.value));
const rulings = computed(() => rulingsOf(house.value));
const answers = computed(() => mustKnow(house.value).filter((one) => one.state === 'answered'));
const visits = computed(() => visitsOf(house.value));
/** What an inspector said line by line: how many passed, and the others by name. */
const linesOf = ({ items = {} }: Inspection) => ({
  passed: Object.values(items).filter((said) => said === 'passed').length,
  others: Object.entries(items).flatMap(([item, said]) =>
    said === 'passed' ? [] : [{ asks: itemAsks(item) ?? item, said: said.replace('-', ' ') }],
  ),
});
const tested = computed(() => {
  const script = testScript(house.value);
  const right = script.filter((one) => stateOf(one, house.value.results[one.id]) === 'right').length;
  return { right, of: script.length };
});
const settings = computed(() =>
  testScript(house.value).filter((one) => one.kind === 'setting' && house.value.results[one.id]),
);
const notes = computed(() => Object.values(house.value.log).toSorted((a, b) => a.date.localeCompare(b.date)));
const text = ref('');
const date = ref(today());
function addNote(): void {
  const entry = { id: newId('note'), date: date.value, who: person.me().by, text: text.value.trim() };
  if (store.apply(addEntity(house.value, 'log', entry))) text.value = '';
}
const removeNote = (id: string) => store.apply(removeEntities(house.value, [{ collection: 'log', id }]));
</script>

<template>
  <section class="leaf cover">
    <h1 class="num">{{ house.name }}</h1>
    <p>
      The electrical work as built, by {{ session.signedIn?.firm.name }}, {{ today() }} · NEC {{ house.job.edition
      }}{{ house.job.authority ? `, ${house.job.authority}` : ''
      }}{{ house.job.permitDate ? `, permit of ${house.job.permitDate}` : '' }}
    </p>
    <p>
      <b class="num">{{ Object.keys(house.boxes).length }}</b> boxes, <b class="num">{{ origins.code }}</b> of them by
      code; <b class="num">{{ Object.keys(house.circuits).length }}</b> circuits;
      <b class="num">{{ tested.right }}</b> of <b class="num">{{ tested.of }}</b> tests right.
    </p>
    <p class="muted small">
      A record of what was planned and noted, not an approval. Cables are not always where they were planned: switch
      off, test and look before you cut, and call a licensed electrician.
    </p>
  </section>
  <section v-for="level in levels" :key="level.id" class="leaf plan">
    <h2>{{ level.name }}</h2>
    <PlanView :house="house" :level="level.id" />
  </section>
  <PanelDirectory :house="house" printed />
  <section class="leaf">
    <h2>Cables</h2>
    <p v-if="!packet.cables.length" class="muted">No circuit is wired.</p>
    <ul class="columns">
      <li v-for="one in packet.cables" :key="one.circuit + one.cable">
        {{ one.circuit }}: <span class="num">{{ one.cable }}</span>, {{ count(one.runs, 'run') }},
        {{ one.routed === one.runs ? '' : 'about ' }}{{ Math.round(one.feet) }} ft
      </li>
    </ul>
    <p class="muted small">
      Where each lies is on the routes sheet of each circuit, and behind each wall under Photos.
    </p>
  </section>
  <section class="leaf">
    <h2>Prepared for later</h2>
    <p v-if="!futures.length" class="muted">Nothing.</p>
    <ul>
      <li v-for="(one, i) in futures" :key="i">
        {{ one.what }}, <b class="num">{{ one.where }}</b> {{ one.note }}
      </li>
    </ul>
  </section>
  <section class="leaf">
    <h2>Who decided what</h2>
    <p v-if="!rulings.length && !answers.length" class="muted">Nothing is written down.</p>
    <ul>
      <RulingLines :house="house" />
      <li v-for="one in answers" :key="`${one.question.id} ${one.room?.id}`">
        {{ one.room?.name ?? 'The house' }}, {{ one.question.asks }} <b>{{ one.known }}</b>: {{ one.decision?.by }},
        {{ one.decision?.date }}
      </li>
    </ul>
  </section>
  <section class="leaf">
    <h2>Inspections and settings</h2>
    <ul>
      <li v-for="{ visit } in visits" :key="visit.id">
        {{ visit.kind }}, {{ visit.date }}, {{ visit.inspector }}: <b>{{ visit.result }}</b>
        <template v-if="linesOf(visit).passed">; {{ count(linesOf(visit).passed, 'line') }} passed</template>
        <ul v-if="linesOf(visit).others.length">
          <li v-for="one in linesOf(visit).others" :key="one.asks">
            {{ one.asks }} <b>{{ one.said }}</b>
          </li>
        </ul>
      </li>
      <li v-for="one in settings" :key="one.id">
        {{ one.what }}: set {{ house.results[one.id]!.date }} by {{ house.results[one.id]!.by }}
      </li>
    </ul>
    <p v-if="!visits.length && !settings.length" class="muted">None is written down.</p>
  </section>
  <section class="leaf">
    <h2>Warranties and notes</h2>
    <ul>
      <li v-for="one in notes" :key="one.id" class="row">
        <span class="grow"
          ><b class="num">{{ one.date }}</b> {{ one.text }} <span class="muted">{{ one.who }}</span></span
        >
        <v-btn v-if="store.canEdit" variant="text" :aria-label="`Remove: ${one.text}`" @click="removeNote(one.id)"
          >Remove</v-btn
        >
      </li>
    </ul>
    <p v-if="!notes.length" class="muted">None is written down.</p>
    <v-form v-if="store.canEdit" class="row add" @submit.prevent="addNote">
      <v-text-field v-model="date" class="day" type="date" label="Day" />
      <v-text-field v-model="text" class="grow" label="Warranty or note" maxlength="2000" />
      <v-btn type="submit" :disabled="!text.trim()">Add</v-btn>
    </v-form>
  </section>
  <section v-if="Object.keys(house.photos).length" class="leaf">
    <h2>Photos by wall</h2>
    <template v-for="one in evidence" :key="one.room.id">
      <template v-for="wall in one.walls" :key="wall.wall">
        <figure v-for="photo in wall.photos" :key="photo.id">
          <img :src="photos.urlOf(photo.id)" alt="" />
          <figcaption>{{ one.room.name }}, {{ wall.name }}, {{ photo.date }} {{ photo.note }}</figcaption>
        </figure>
      </template>
    </template>
    <figure v-for="photo in loose" :key="photo.id">
      <img :src="photos.urlOf(photo.id)" alt="" />
      <figcaption>{{ photo.date }} {{ photo.note }}</figcaption>
    </figure>
  </section>
</template>

<style scoped>
h1 {
  font-size: 34px;
}
.cover {
  display: grid;
  gap: 6px;
}
.columns {
  columns: 2 280px;
}
.add {
  padding-top: 8px;
  flex-wrap: nowrap;
}
.day {
  max-width: 170px;
}
figure {
  display: inline-block;
  width: 48%;
  margin: 1%;
  break-inside: avoid;
}
figure img {
  width: 100%;
}
figcaption {
  font-size: 12.5px;
}
@media print {
  .plan {
    break-inside: avoid;
  }
  .add {
    display: none;
  }
}
</style>
