<script setup lang="ts">
import { computed } from 'vue';
import { writeHouseFile } from '@winculum/core';
import { useHouse } from '../stores/house';
import type { ConflictCause } from '../sync/house-sync';
import { describePatches } from './describe-patches';
import { download } from './download';

const store = useHouse();
const conflict = computed(() => (store.syncState.kind === 'conflict' ? store.syncState : null));

const TITLES: Record<ConflictCause, string> = {
  clash: 'Two changes of the same place',
  restored: 'The server was restored from a backup',
  'history-gone': 'Much has changed on the server',
};
/** What this window shows may be all that is left of some work: it can be kept as a file before choosing. */
const save = () => download('kept-house.json', 'application/json', writeHouseFile(store.current));
</script>

<template>
  <v-dialog :model-value="conflict !== null" persistent max-width="760">
    <v-card v-if="conflict" class="pa-5" :title="TITLES[conflict.cause]">
      <p>{{ conflict.reason }} Nothing is lost: choose which to keep.</p>
      <div class="sides">
        <section>
          <h2 class="small-caps">Yours, not sent yet</h2>
          <p v-if="!conflict.mine.length" class="muted">Nothing waits in this window.</p>
          <ul v-for="(edit, i) in conflict.mine" :key="i">
            <li>
              <b>{{ edit.label }}</b>
            </li>
            <li v-for="line in describePatches(store.current, edit.patches)" :key="line" class="muted num">
              {{ line }}
            </li>
          </ul>
        </section>
        <section>
          <h2 class="small-caps">Theirs, on the server</h2>
          <p v-if="!conflict.theirs.length" class="muted">The house as the server has it.</p>
          <ul v-for="batch in conflict.theirs" :key="batch.version">
            <li v-for="edit in batch.edits" :key="edit.label">
              <b>{{ edit.label }}</b> <span class="muted">by {{ batch.author }}</span>
            </li>
            <li
              v-for="line in batch.edits.flatMap((edit) => describePatches(store.current, edit.patches))"
              :key="line"
              class="muted num"
            >
              {{ line }}
            </li>
          </ul>
        </section>
      </div>
      <div class="row mt-4">
        <v-btn v-if="conflict.mine.length" color="primary" variant="flat" @click="store.resolveConflict('mine')"
          >Keep mine on top of theirs</v-btn
        >
        <v-btn @click="store.resolveConflict('theirs')">{{
          conflict.mine.length ? 'Take theirs, discard mine' : 'Show the house as the server has it'
        }}</v-btn>
        <v-btn v-if="conflict.cause !== 'clash'" @click="save">Save what this window shows as a file</v-btn>
      </div>
    </v-card>
  </v-dialog>
</template>

<style scoped>
.sides {
  display: grid;
  grid-template-columns: 1fr 1fr;
  gap: 16px;
  margin-top: 14px;
  max-height: 46vh;
  overflow: auto;
}
section {
  background: var(--paper);
  border: 1px solid var(--rule);
  border-radius: 4px;
  padding: 12px;
}
ul {
  margin-top: 8px;
}
</style>
