<script setup lang="ts">
import { computed } from 'vue';
import { useHouse } from '../stores/house';
import { describePatches } from './describe-patches';

const store = useHouse();
const conflict = computed(() => (store.syncState.kind === 'conflict' ? store.syncState : null));
</script>

<template>
  <v-dialog :model-value="conflict !== null" persistent max-width="760">
    <v-card v-if="conflict" class="pa-5" title="Two changes of the same place">
      <p>{{ conflict.reason }} Nothing is lost: choose which to keep.</p>
      <div class="sides">
        <section>
          <h2 class="small-caps">Yours, not sent yet</h2>
          <ul v-for="(edit, i) in conflict.mine" :key="i">
            <li>
              <b>{{ edit.label }}</b>
            </li>
            <li v-for="line in describePatches(store.house!, edit.patches)" :key="line" class="muted num">
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
              v-for="line in batch.edits.flatMap((edit) => describePatches(store.house!, edit.patches))"
              :key="line"
              class="muted num"
            >
              {{ line }}
            </li>
          </ul>
        </section>
      </div>
      <div class="row mt-4">
        <button class="plain-button main" @click="store.resolveConflict('mine')">Keep mine on top of theirs</button>
        <button class="plain-button" @click="store.resolveConflict('theirs')">Take theirs, drop mine</button>
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
