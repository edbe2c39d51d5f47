<script setup lang="ts">
import { computed, ref } from 'vue';
import {
  addUse,
  addWant,
  linesOfUse,
  placeUse,
  removeEntities,
  USE_KINDS,
  USES,
  wantsOf,
  type LivingUse,
  type UseKind,
} from '@winculum/core';
import ChoiceField from '../../fields/ChoiceField.vue';
import SearchField from '../../fields/SearchField.vue';
import { usePerson } from '../../frame/person';
import { newId } from '../../new-id';
import { useHouse } from '../../stores/house';

/** What people do in each room, what that requires, and what is mostly forgotten there. */
const props = defineProps<{ only: string }>();
const store = useHouse();
const person = usePerson();

const rooms = computed(() =>
  Object.values(store.current.rooms).filter((one) => props.only === 'all' || one.id === props.only),
);
const shown = computed(() =>
  rooms.value
    .map((room) => ({
      room,
      uses: Object.values(store.current.uses).filter((one) => one.room === room.id),
      wants: wantsOf(store.current, room),
    }))
    .filter((one) => one.uses.length + one.wants.length > 0),
);
const kinds = USE_KINDS.map((value) => ({ value, title: USES[value].name }));
const roomItems = computed(() => rooms.value.map((one) => ({ value: one.id, title: one.name })));
const SIDES = [
  { value: '', word: 'does not matter' },
  { value: 'left', word: 'left' },
  { value: 'right', word: 'right' },
  { value: 'both', word: 'both' },
];

const room = ref('');
const kind = ref<UseKind>('bed');
const who = ref('');
const side = ref('');
const chosen = computed(() =>
  roomItems.value.some((one) => one.value === room.value) ? room.value : (roomItems.value[0]?.value ?? ''),
);
function add(): void {
  const use: LivingUse = {
    id: newId('use'),
    room: chosen.value,
    kind: kind.value,
    who: who.value.trim(),
    note: '',
    ...(side.value ? { side: side.value as 'left' | 'right' | 'both' } : {}),
  };
  if (store.apply(addUse(store.current, use))) who.value = '';
}
const place = (id: string) => store.apply(placeUse(store.current, id, person.asker(), newId));
const remove = (id: string) => store.apply(removeEntities(store.current, [{ collection: 'uses', id }]));
const want = (id: string, roomId: string) => store.apply(addWant(store.current, id, roomId, person.asker(), newId));
const lineWords = (use: LivingUse) => linesOfUse(use).map((one) => ({ ...one, high: one.text.split(' ')[2] }));
</script>

<template>
  <v-form v-if="store.canEdit && roomItems.length" class="leaf leaf-fields" @submit.prevent="add">
    <SearchField :model-value="chosen" label="Room" :items="roomItems" @update:model-value="room = $event" />
    <SearchField v-model="kind" label="What goes on there" :items="kinds" />
    <v-text-field
      v-model="who"
      label="Who"
      maxlength="80"
      placeholder="whose bed, desk, machine"
      persistent-placeholder
    />
    <ChoiceField v-if="kind === 'bed'" v-model="side" label="Side, as one lies in it" :answers="SIDES" />
    <v-btn type="submit" color="primary" variant="flat">Add</v-btn>
  </v-form>
  <p v-if="!shown.length" class="none muted">Draw rooms under House: what people do in them is asked room by room.</p>
  <section v-for="one in shown" :key="one.room.id" class="leaf" :aria-label="one.room.name">
    <h2>{{ one.room.name }}</h2>
    <article v-for="use in one.uses" :key="use.id" class="leaf-line">
      <div class="grow">
        <b>{{ USES[use.kind].name }}</b><span v-if="use.who" class="muted"> · {{ use.who }}</span
        ><span v-if="use.side" class="muted"> · {{ use.side }} side</span>
        <ul class="lines">
          <li v-for="line in lineWords(use)" :key="line.text">
            {{ line.what }}, <span class="num">{{ line.high }} in</span> high:
            <span class="muted">{{ line.why }}</span>
          </li>
        </ul>
      </div>
      <template v-if="store.canEdit">
        <v-btn :aria-label="`Set down: ${USES[use.kind].name}, ${one.room.name}`" @click="place(use.id)"
          >Set down</v-btn
        >
        <v-btn variant="text" :aria-label="`Remove: ${USES[use.kind].name}, ${one.room.name}`" @click="remove(use.id)"
          >Remove</v-btn
        >
      </template>
    </article>
    <template v-if="one.wants.length">
      <p class="small-caps">Often forgotten here</p>
      <ul>
        <li v-for="each in one.wants" :key="each.id" class="leaf-line">
          <div class="grow">
            <b>{{ each.says }}</b> <span class="muted small">{{ each.why }}</span>
          </div>
          <v-btn
            v-if="store.canEdit"
            :aria-label="`Add: ${each.says}, ${one.room.name}`"
            @click="want(each.id, one.room.id)"
            >Add</v-btn
          >
        </li>
      </ul>
    </template>
  </section>
</template>

<style scoped>
.lines {
  padding-left: 14px;
}
.small-caps {
  padding-top: 8px;
}
</style>
