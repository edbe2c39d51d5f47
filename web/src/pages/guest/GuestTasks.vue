<script setup lang="ts">
import { computed, ref } from 'vue';
import type { House, Task } from '@winculum/core';
import SearchField from '../../fields/SearchField.vue';

/** What waits for this guest, and a line for whatever they want to say. */
const props = defineProps<{
  house: House;
  /** The trade or role whose work it is. */
  mine: string;
  comment: (text: string, room: string | undefined) => Promise<boolean>;
  tick: (task: string, state: 'open' | 'done') => Promise<boolean>;
}>();
const tasks = computed(() => Object.values(props.house.tasks).filter((one) => one.trade === props.mine));
const said = computed(() => Object.values(props.house.tasks).filter((one) => one.kind !== 'other-trade'));
const rooms = computed(() => [
  { value: '', title: 'the house' },
  ...Object.values(props.house.rooms).map((one) => ({ value: one.id, title: one.name })),
]);
const text = ref('');
const room = ref('');
const roomName = (task: Task) => (task.room ? (props.house.rooms[task.room]?.name ?? '') : 'the house');
async function send(): Promise<void> {
  if (await props.comment(text.value, room.value || undefined)) text.value = '';
}
</script>

<template>
  <v-form class="leaf" aria-label="Comment" @submit.prevent="send">
    <v-textarea v-model="text" label="Your comment" maxlength="400" rows="2" auto-grow />
    <div class="row">
      <SearchField v-model="room" class="grow" label="Where" :items="rooms" />
      <v-btn type="submit" color="primary" variant="flat" :disabled="!text.trim()">Send</v-btn>
    </div>
  </v-form>
  <section class="leaf" aria-label="Waits for you">
    <h2>Waits for you</h2>
    <p v-if="!tasks.length" class="muted">Nothing.</p>
    <article v-for="task in tasks" :key="task.id" class="leaf-line">
      <span class="grow"
        ><b>{{ task.what }}</b>
        <span class="muted">{{ roomName(task) }}, before {{ task.due.replace('-', ' ') }}</span></span
      >
      <v-btn
        :aria-label="`${task.state === 'open' ? 'Done' : 'Open again'}: ${task.what}, ${roomName(task)}`"
        @click="tick(task.id, task.state === 'open' ? 'done' : 'open')"
        >{{ task.state === 'open' ? 'Done' : '✓ done' }}</v-btn
      >
    </article>
  </section>
  <section v-if="said.length" class="leaf" aria-label="Said so far">
    <h2>Said so far</h2>
    <p v-for="task in said" :key="task.id" class="line">
      {{ task.state === 'open' ? '☐' : '✓' }} {{ task.what }}
      <span class="muted">{{ roomName(task) }}, {{ task.by }}, {{ task.date }}</span>
    </p>
  </section>
</template>

<style scoped>
.leaf {
  display: grid;
  gap: 8px;
}
.line {
  border-top: 1px solid var(--rule);
  padding: 6px 0;
}
</style>
