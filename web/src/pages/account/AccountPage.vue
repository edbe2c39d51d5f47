<script setup lang="ts">
import { computed, ref } from 'vue';
import { useSession } from '../../stores/session';
import AuditSection from './AuditSection.vue';
import DeletedSection from './DeletedSection.vue';
import FirmSection from './FirmSection.vue';
import MembersSection from './MembersSection.vue';
import PracticeSection from './PracticeSection.vue';
import PasswordSection from './PasswordSection.vue';
import SecondFactorSection from './SecondFactorSection.vue';
import SessionsSection from './SessionsSection.vue';

const session = useSession();
const tab = ref('you');
const isOwner = computed(() => session.signedIn?.role === 'owner');
const mustDo = computed(() => session.signedIn?.mustDo);
const DUE = {
  password: 'Your password is from before passwords had to be longer. Choose a new one to go on.',
  'second-factor': 'Your firm requires a second factor. Set it up to go on.',
} as const;
</script>

<template>
  <main class="page">
    <header class="row">
      <p class="brand num grow">WINCULUM</p>
      <span class="muted">{{ session.signedIn?.user.name }}, {{ session.signedIn?.firm.name }}</span>
      <v-btn to="/houses" :disabled="mustDo !== undefined">Houses</v-btn>
    </header>
    <h1 class="small-caps">Account</h1>
    <p v-if="mustDo" class="is-caution" role="alert">{{ DUE[mustDo] }}</p>
    <div v-if="mustDo" class="parts">
      <PasswordSection v-if="mustDo === 'password'" />
      <SecondFactorSection v-else />
    </div>
    <template v-else>
      <v-tabs v-model="tab">
        <v-tab id="tab-you" value="you" aria-controls="panel">You</v-tab>
        <v-tab id="tab-firm" value="firm" aria-controls="panel">Firm</v-tab>
        <v-tab v-if="isOwner" id="tab-log" value="log" aria-controls="panel">Audit log</v-tab>
      </v-tabs>
      <div id="panel" class="parts" role="tabpanel" :aria-labelledby="`tab-${tab}`">
        <template v-if="tab === 'you'">
          <PasswordSection />
          <SessionsSection />
          <SecondFactorSection />
          <PracticeSection v-if="!isOwner" />
        </template>
        <template v-else-if="tab === 'firm'">
          <MembersSection class="wide" />
          <FirmSection />
          <PracticeSection v-if="isOwner" />
          <DeletedSection v-if="isOwner" />
        </template>
        <AuditSection v-else class="wide" />
      </div>
    </template>
  </main>
</template>

<style scoped>
.page {
  max-width: 1040px;
  margin: 0 auto;
  padding: 28px 24px;
  width: 100%;
  display: grid;
  gap: 14px;
  align-content: start;
  height: 100vh;
  overflow: auto;
}
.brand {
  font-size: 24px;
  letter-spacing: 0.06em;
  color: var(--chalk);
  font-weight: 700;
}
.parts {
  display: grid;
  grid-template-columns: repeat(auto-fit, minmax(min(420px, 100%), 1fr));
  gap: 14px;
  align-items: start;
}
.wide {
  grid-column: 1 / -1;
}
</style>
