<script setup lang="ts">
import { computed, onMounted, ref, watch } from 'vue';
import {
  addComment,
  placeOfComment,
  removeEntities,
  settleComment,
  threadsOf,
  type Comment,
  type CommentPlace,
  type Thread,
} from '@winculum/core';
import MenuButton from '../fields/MenuButton.vue';
import { newId } from '../new-id';
import { useHouse } from '../stores/house';
import { useNotices } from '../stores/notices';
import { usePerson } from './person';

/** What people say to each other about a thing of the house, or all of it: threads, open ones first. */
const props = defineProps<{ place?: CommentPlace | undefined }>();
const emit = defineEmits<{ goTo: [comment: Comment] }>();
const store = useHouse();
const notices = useNotices();
const person = usePerson();
onMounted(() => notices.loadPeople());

const threads = computed(() => threadsOf(store.current, props.place));
/** Threads that are shown at first; the rest on asking. */
const MOST = 20;
const all = ref(false);
const shown = computed(() => (all.value ? threads.value : threads.value.slice(0, MOST)));
// A notice may come after the words that it tells of, or before them.
watch(
  [shown, () => notices.notices],
  () =>
    void notices.readAbout(
      store.id,
      shown.value.flatMap(({ first, answers }) => [first.id, ...answers.map((one) => one.id)]),
    ),
  { immediate: true },
);

const text = ref('');
/** The thread that is being answered; a new one where there is none. */
const answering = ref<string>();
const now = () => new Date().toISOString();
const others = computed(() => {
  const me = person.me().by;
  const said = Object.values(store.current.comments).map((one) => one.by);
  return [...new Set([...notices.people, ...said])].filter((one) => one !== me).toSorted();
});
function send(): void {
  const said = addComment(
    store.current,
    {
      text: text.value,
      by: person.me().by,
      at: now(),
      people: [...others.value, person.me().by],
      ...(props.place ? { place: props.place } : {}),
      ...(answering.value ? { answers: answering.value } : {}),
    },
    newId,
  );
  if (store.apply(said)) close();
}
function close(): void {
  text.value = '';
  answering.value = undefined;
}
function answer({ first }: Thread): void {
  answering.value = first.id;
  text.value = '';
}
const mention = (name: string) => void (text.value = `${text.value.replace(/\s+$/, '')} @${name} `.trimStart());
const settle = ({ first, isSettled }: Thread) =>
  store.apply(settleComment(store.current, first.id, isSettled ? undefined : { by: person.me().by, at: now() }));
const isMine = (comment: Comment) => comment.by === person.me().by;
/** With its answers; undo brings them back. */
const remove = (comment: Comment) =>
  store.apply(removeEntities(store.current, [{ collection: 'comments', id: comment.id }]));
const when = (at: string) => new Date(at).toLocaleString([], { dateStyle: 'medium', timeStyle: 'short' });
</script>

<template>
  <section class="stack" aria-label="Comments">
    <v-form v-if="store.canEdit" class="stack" :aria-label="answering ? 'Answer' : 'Comment'" @submit.prevent="send">
      <v-textarea
        v-model="text"
        :label="answering ? 'Your answer' : 'Say something about it'"
        rows="2"
        auto-grow
        max-rows="8"
        maxlength="1000"
        @keydown.ctrl.enter.prevent="send"
        @keydown.esc.stop="close"
      />
      <div class="row">
        <v-btn type="submit" color="primary" variant="flat" :disabled="!text.trim()">{{
          answering ? 'Answer' : 'Comment'
        }}</v-btn>
        <MenuButton
          v-if="others.length"
          label="Name somebody"
          :entries="others.map((value) => ({ value, word: value }))"
          @choose="mention"
        />
        <v-btn v-if="answering" variant="text" @click="close">Cancel</v-btn>
      </div>
    </v-form>
    <p v-if="!threads.length" class="muted">
      Nothing has been said here yet. People named with @ are told, in this firm's notices.
    </p>
    <article
      v-for="thread in shown"
      :key="thread.first.id"
      class="thread"
      :class="{ settled: thread.isSettled, answered: answering === thread.first.id }"
      :aria-label="`Comment of ${thread.first.by}`"
    >
      <v-btn
        v-if="!place && placeOfComment(store.current, thread.first)"
        class="place"
        variant="text"
        size="small"
        @click="emit('goTo', thread.first)"
        >{{ placeOfComment(store.current, thread.first) }}</v-btn
      >
      <div v-for="one in [thread.first, ...thread.answers]" :key="one.id" class="said">
        <p>
          <b>{{ one.by }}</b> <span class="muted small">{{ when(one.at) }}</span>
        </p>
        <p class="words">{{ one.text }}</p>
        <v-btn
          v-if="store.canEdit && isMine(one)"
          class="away"
          variant="text"
          size="small"
          :aria-label="`Delete the comment: ${one.text.slice(0, 40)}`"
          @click="remove(one)"
          >Delete</v-btn
        >
      </div>
      <p v-if="thread.isSettled" class="muted small">
        Settled by {{ thread.first.settledBy }}, {{ when(thread.first.settledAt ?? '') }}
      </p>
      <div v-if="store.canEdit" class="row">
        <v-btn size="small" @click="answer(thread)">Answer</v-btn>
        <v-btn size="small" @click="settle(thread)">{{ thread.isSettled ? 'Open again' : 'Settle' }}</v-btn>
      </div>
    </article>
    <v-btn v-if="threads.length > shown.length" @click="all = true">All {{ threads.length }} threads</v-btn>
  </section>
</template>

<style scoped>
.thread {
  border-left: 3px solid var(--chalk);
  padding: 4px 0 6px 10px;
  display: flex;
  flex-direction: column;
  gap: 6px;
}
.thread.settled {
  border-left-color: var(--rule);
}
.thread.answered {
  background: var(--rail);
}
.said {
  position: relative;
}
.said + .said {
  margin-left: 12px;
}
.words {
  white-space: pre-wrap;
  overflow-wrap: anywhere;
}
.away {
  position: absolute;
  inset: -4px 0 auto auto;
}
.place {
  align-self: flex-start;
  padding: 0;
}
.small {
  font-size: 13px;
}
</style>
