<script setup lang="ts" generic="T extends string | number">
/** A button with a list of things to do or to take, in named groups where there are several. */
interface MenuEntry<V> {
  readonly value: V;
  readonly word: string;
  readonly disabled?: boolean;
  /** Named above the first entry of a group. */
  readonly group?: string;
}
defineProps<{
  label: string;
  /** What the button says, where that is not its label. */
  shown?: string;
  entries: readonly MenuEntry<T>[];
  pressed?: boolean;
  disabled?: boolean;
}>();
defineEmits<{ choose: [value: T] }>();
</script>

<template>
  <v-menu>
    <template #activator="{ props: opener }">
      <v-btn
        v-bind="opener"
        :aria-label="shown ? `${label}: ${shown}` : label"
        :aria-pressed="pressed || undefined"
        :disabled="disabled ?? false"
      >
        {{ shown ?? label }} <span class="down" aria-hidden="true">▾</span>
      </v-btn>
    </template>
    <v-list role="menu" :aria-label="label" density="compact" max-height="420">
      <template v-for="one in entries" :key="one.value">
        <v-list-subheader v-if="one.group" role="presentation">{{ one.group }}</v-list-subheader>
        <v-list-item role="menuitem" :disabled="one.disabled ?? false" @click="$emit('choose', one.value)">{{
          one.word
        }}</v-list-item>
      </template>
    </v-list>
  </v-menu>
</template>

<style scoped>
.down {
  margin-left: 6px;
}
</style>
