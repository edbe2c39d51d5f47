<script setup lang="ts">
import { computed, nextTick, ref } from 'vue';
import { answerQuestion, type MustKnow } from '@winculum/core';
import { usePerson } from '../../frame/person';
import { newId } from '../../new-id';
import { useHouse } from '../../stores/house';

/** What has to be known, room by room: answered by the drawing, by a person, or assumed until somebody answers. */
const props = defineProps<{ questions: readonly MustKnow[]; only: string; onlyOpen: boolean }>();
const store = useHouse();
const person = usePerson();

const keyOf = ({ question, room }: MustKnow) => `${question.id} ${room?.id ?? ''}`;
const groups = computed(() => {
  const all = new Map<string, { name: string; questions: MustKnow[] }>();
  for (const one of props.questions) {
    if (props.onlyOpen && one.state !== 'open') continue;
    if (props.only !== 'all' && one.room?.id !== props.only) continue;
    const id = one.room?.id ?? '';
    const group = all.get(id) ?? { name: one.room?.name ?? 'The house', questions: [] };
    group.questions.push(one);
    all.set(id, group);
  }
  return [...all.values()];
});
const MARKS = { open: '☐', answered: '✓', drawn: '✓' } as const;
const SAYS = { open: 'open', answered: 'answered', drawn: 'answered by the drawing' } as const;

/** The one question whose answer is being written: one field for all rows. */
const editing = ref('');
const text = ref('');
async function begin(one: MustKnow): Promise<void> {
  editing.value = keyOf(one);
  text.value = one.state === 'answered' ? (one.known ?? '') : '';
  await nextTick();
  document.querySelector<HTMLInputElement>('.brief-answer input')?.focus();
}
function save(one: MustKnow, answer: string): void {
  const given = { question: one.question.id, room: one.room?.id, answer, ...person.asker() };
  if (store.apply(answerQuestion(store.current, given, newId))) editing.value = '';
}
</script>

<template>
  <p v-if="!groups.length" class="none muted">
    {{
      questions.length ? 'Nothing is open here.' : 'Draw a room under House: each kind of room brings its questions.'
    }}
  </p>
  <section v-for="group in groups" :key="group.name" class="leaf" :aria-label="group.name">
    <h2>{{ group.name }}</h2>
    <article v-for="one in group.questions" :key="keyOf(one)" class="leaf-line question" :class="one.state">
      <span class="mark num" :title="SAYS[one.state]" aria-hidden="true">{{ MARKS[one.state] }}</span>
      <div class="grow">
        <b>{{ one.question.asks }}</b>
        <p class="muted small">{{ one.question.why }}</p>
        <p v-if="one.known" class="known">
          {{ one.known
          }}<span v-if="one.decision" class="muted small"> · {{ one.decision.by }}, {{ one.decision.date }}</span>
        </p>
        <p v-else class="is-caution">
          Assumed: {{ one.question.usual
          }}<span v-if="one.rests.length" class="num rests">
            {{ one.rests.map((box) => box.tag).join(' ') }} {{ one.rests.length === 1 ? 'rests' : 'rest' }} on it</span
          >
        </p>
        <v-form v-if="editing === keyOf(one)" class="answer brief-answer" @submit.prevent="save(one, text)">
          <v-text-field v-model="text" label="Answer" maxlength="400" @keydown.esc.stop="editing = ''" />
          <v-btn type="submit" color="primary" variant="flat" :disabled="!text.trim()">Save</v-btn>
          <v-btn @click="save(one, `As usual: ${one.question.usual}`.slice(0, 400))">As usual</v-btn>
          <v-btn v-if="one.state === 'answered'" variant="text" @click="save(one, '')">Take back</v-btn>
          <v-btn variant="text" @click="editing = ''">Cancel</v-btn>
        </v-form>
      </div>
      <span class="who small-caps">{{ one.question.who }}</span>
      <v-btn
        v-if="store.canEdit && editing !== keyOf(one)"
        :aria-label="`Answer: ${one.question.asks}${one.room ? ` ${one.room.name}` : ''}`"
        @click="begin(one)"
        >{{ one.state === 'answered' ? 'Change' : 'Answer' }}</v-btn
      >
    </article>
  </section>
</template>

<style scoped>
.question {
  align-items: flex-start;
}
.answered .mark,
.drawn .mark {
  color: var(--reached-ink);
}
.open .mark {
  color: var(--caution);
}
.known {
  font-weight: 600;
}
.rests {
  margin-left: 10px;
  color: var(--muted);
}
.who {
  width: 92px;
  padding-top: 4px;
  text-align: right;
}
.answer {
  display: flex;
  gap: 6px;
  flex-wrap: wrap;
  align-items: center;
  padding-top: 6px;
}
.answer > .v-text-field {
  flex: 1 1 260px;
}
@media (max-width: 700px) {
  .question {
    flex-wrap: wrap;
  }
  .question > .grow {
    flex-basis: calc(100% - 40px);
  }
  .who {
    margin-left: 36px;
    flex: 1;
    text-align: left;
  }
}
</style>
