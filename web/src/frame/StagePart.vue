<script setup lang="ts">
import { onBeforeUnmount, watch } from 'vue';
import { useView } from '../stores/view';

/** What a stage puts into the side region: its lists, cards and proposals, above what is selected. */
const props = defineProps<{
  title: string;
  /** A proposal or a form that is worked through: it takes most of the region. */
  tall?: boolean;
}>();
const view = useView();
const token = Symbol(props.title);
watch(
  () => [props.title, props.tall] as const,
  ([title, tall]) => view.putStagePart(token, title, tall ?? false),
  { immediate: true },
);
onBeforeUnmount(() => view.takeStagePart(token));
</script>

<template>
  <Teleport defer to="#side-stage"><slot /></Teleport>
</template>
