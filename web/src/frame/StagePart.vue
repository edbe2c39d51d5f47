<script setup lang="ts">
import { onBeforeUnmount, watch } from 'vue';
import { useView } from '../stores/view';

/** What a stage puts into the side region: its lists, cards and proposals, above what is selected. */
const props = defineProps<{ title: string }>();
const view = useView();
const token = Symbol(props.title);
watch(
  () => props.title,
  (title) => view.putStagePart(token, title),
  { immediate: true },
);
onBeforeUnmount(() => view.takeStagePart(token));
</script>

<template>
  <Teleport defer to="#side-stage"><slot /></Teleport>
</template>
