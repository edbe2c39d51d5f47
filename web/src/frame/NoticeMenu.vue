<script setup lang="ts">
import { onMounted, ref } from 'vue';
import { useRouter } from 'vue-router';
import type { Notice } from '@winculum/contract';
import { useNotices } from '../stores/notices';

/** What others have said to the person who is signed in, in all houses of the firm: the count on the bar, the list behind it. */
const notices = useNotices();
const router = useRouter();
const isOpen = ref(false);
onMounted(() => notices.load());

const KINDS: Readonly<Record<Notice['kind'], string>> = {
  mention: 'names you',
  answer: 'answers',
  task: 'gives you work',
  guest: 'wrote as a guest',
};
const when = (at: string) => new Date(at).toLocaleString([], { dateStyle: 'medium', timeStyle: 'short' });

function open(notice: Notice): void {
  isOpen.value = false;
  void notices.read([notice.id]);
  const part = notice.kind === 'mention' || notice.kind === 'answer' ? 'comments' : 'punch';
  void router.push({ path: `/houses/${notice.houseId}/phases`, query: { part } });
}
</script>

<template>
  <v-menu v-model="isOpen" :close-on-content-click="false" location="bottom end">
    <template #activator="{ props: opener }">
      <v-btn
        v-bind="opener"
        class="bell"
        :class="{ told: notices.unread > 0 }"
        :aria-label="notices.unread ? `Notices: ${notices.unread} not read` : 'Notices'"
        title="What others say to you"
        >✉<b v-if="notices.unread" class="num n">{{ notices.unread }}</b></v-btn
      >
    </template>
    <section class="list" aria-label="Notices">
      <header class="row">
        <b class="grow">Notices</b>
        <v-btn v-if="notices.unread" size="small" @click="notices.read()">All read</v-btn>
      </header>
      <p v-if="notices.isOffline" class="is-caution small" role="status">The server cannot be reached just now.</p>
      <p v-else-if="!notices.notices.length" class="muted small">
        Nobody has said anything to you yet. A comment with @ and your name, an answer to yours, and work that is given
        to you are shown here.
      </p>
      <v-btn
        v-for="one in notices.notices"
        :key="one.id"
        class="notice"
        variant="text"
        :class="{ unread: one.seenAt === null }"
        @click="open(one)"
      >
        <span class="said"
          ><b>{{ one.who }}</b> {{ KINDS[one.kind] }}<br />{{ one.what }}<br /><span class="muted small"
            >{{ one.house }}, {{ when(one.at) }}</span
          ></span
        >
      </v-btn>
    </section>
  </v-menu>
</template>

<style scoped>
.bell {
  min-width: 36px;
  padding: 2px 6px;
  font-size: 17px;
}
.bell.told {
  color: var(--chalk);
}
.n {
  margin-left: 4px;
  font-size: 14px;
}
.list {
  font: 15px/1.4 var(--words);
  color: var(--ink);
  background: var(--card);
  border: 1px solid var(--rule);
  width: min(380px, 92vw);
  max-height: min(560px, 80vh);
  overflow-y: auto;
  padding: 12px;
  display: flex;
  flex-direction: column;
  gap: 4px;
}
.notice {
  height: auto;
  justify-content: flex-start;
  text-align: left;
  padding: 8px;
  border-left: 3px solid transparent;
  white-space: normal;
}
.notice :deep(.v-btn__content) {
  flex: 1;
  white-space: normal;
  justify-content: flex-start;
}
.notice.unread {
  border-left-color: var(--chalk);
}
.said {
  overflow-wrap: anywhere;
  font-weight: 400;
  line-height: 1.4;
}
.small {
  font-size: 13px;
}
</style>
