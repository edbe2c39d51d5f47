<script setup lang="ts">
import { computed, ref, watch } from 'vue';
import { acceptPlan, count, findWall, formatLength, wallLoop, type BoxingPlan } from '@winculum/core';
import { useHouse } from '../../stores/house';

/** A proposal of boxes, room by room with a reason for each; all, some or none of it is taken. */
const props = defineProps<{ plan: BoxingPlan }>();
const emit = defineEmits<{ close: []; show: [ids: ReadonlySet<string>] }>();
const store = useHouse();
const chosen = ref(new Set<string>());
watch(
  () => props.plan,
  (plan) => (chosen.value = new Set(plan.boxes.map((one) => one.box.id))),
  { immediate: true },
);
watch(chosen, (ids) => emit('show', ids), { immediate: true });

const words = (devices: readonly { kind: string }[]) => {
  const kind = devices[0]!.kind.replaceAll('-', ' ');
  return devices.length > 1 ? `${devices.length} ${kind}es`.replace('receptaclees', 'receptacles') : kind;
};
/** Where on its wall: enough to find it with a tape. */
function where({ room, at }: BoxingPlan['boxes'][number]['box']): string {
  if (at.kind !== 'wall') return at.kind === 'feature' ? 'in its side' : '';
  const wall = findWall(wallLoop(store.current.rooms[room]!), at.wall);
  return wall ? `${wall.name}, ${formatLength(at.alongIn, store.current.standards.lengths)}` : '';
}
const rooms = computed(() => {
  const byRoom = new Map<string, BoxingPlan['boxes'][number][]>();
  for (const one of props.plan.boxes) byRoom.set(one.box.room, [...(byRoom.get(one.box.room) ?? []), one]);
  const open = props.plan.open.map((one) => one.room).filter((room) => !byRoom.has(room));
  for (const room of open) byRoom.set(room, []);
  return [...byRoom].map(([id, boxes]) => ({
    id,
    boxes,
    name: store.current.rooms[id]!.name,
    open: props.plan.open.filter((one) => one.room === id).map((one) => one.text),
    n: boxes.filter((one) => chosen.value.has(one.box.id)).length,
  }));
});

function set(ids: readonly string[], on: boolean): void {
  const next = new Set(chosen.value);
  for (const id of ids) {
    if (on) next.add(id);
    else next.delete(id);
  }
  chosen.value = next;
}
/** Rooms whose boxes are listed: all of them while there are few. */
const opened = ref<string[]>([]);
watch(
  () => props.plan,
  () => (opened.value = rooms.value.length < 3 ? rooms.value.map((one) => one.id) : []),
  { immediate: true },
);

function accept(): void {
  if (store.apply(acceptPlan(store.current, props.plan, chosen.value))) emit('close');
}
</script>

<template>
  <section class="stage-list" aria-label="Proposed boxes">
    <header>
      <template v-if="plan.boxes.length || plan.provisions.length">
        <b class="num count">{{ chosen.size }}</b>
        <span
          >of {{ count(plan.boxes.length, 'box', 'boxes') }}, {{ count(plan.groups.length, 'switch group')
          }}<template v-if="plan.provisions.length">, a provision for the island</template></span
        >
      </template>
      <b v-else>Nothing is missing here.</b>
      <v-btn class="close" aria-label="Discard the proposal" @click="emit('close')">
        {{ plan.boxes.length ? 'Discard' : 'OK' }}
      </v-btn>
    </header>
    <v-list
      class="list"
      role="group"
      aria-label="Boxes by room"
      density="compact"
      open-strategy="multiple"
      :opened="opened"
      @update:opened="opened = $event as string[]"
    >
      <div v-for="room in rooms" :key="room.id" class="group">
        <v-btn
          class="tick whole"
          size="small"
          variant="text"
          role="checkbox"
          :aria-label="`All of ${room.name}`"
          :aria-checked="room.n === 0 ? 'false' : room.n === room.boxes.length ? 'true' : 'mixed'"
          :disabled="!room.boxes.length"
          @click="
            set(
              room.boxes.map((one) => one.box.id),
              room.n < room.boxes.length,
            )
          "
          >{{ room.n === 0 ? '☐' : room.n === room.boxes.length ? '☑' : '⊟' }}</v-btn
        >
        <v-list-group :value="room.id" class="grow">
          <template #activator="{ props: opener }">
            <v-list-item v-bind="opener" role="button" :aria-selected="null">
              {{ room.name }}
              <template #append>
                <span v-if="room.open.length" class="is-caution" title="something is left open">!</span>
                <b class="num n">{{ room.n }}</b>
              </template>
            </v-list-item>
          </template>
          <v-list-item
            v-for="{ box, reason, section } in room.boxes"
            :key="box.id"
            class="one"
            role="checkbox"
            :aria-checked="chosen.has(box.id)"
            @click="set([box.id], !chosen.has(box.id))"
          >
            <template #prepend
              ><span class="mark" aria-hidden="true">{{ chosen.has(box.id) ? '☑' : '☐' }}</span></template
            >
            <b>{{ words(box.devices) }}</b> <span class="num">{{ where(box) }}</span><template v-if="box.bracket"
              >, on a bracket</template
            >: {{ reason }}
            <span class="muted num">{{ section }}</span>
          </v-list-item>
          <p v-for="text in room.open" :key="text" class="open is-caution">{{ text }}</p>
        </v-list-group>
      </div>
    </v-list>
    <footer v-if="plan.boxes.length || plan.provisions.length">
      <v-btn color="primary" variant="flat" :disabled="!chosen.size && !plan.provisions.length" @click="accept">
        {{ chosen.size === plan.boxes.length ? 'Accept all' : `Accept ${chosen.size}` }}
      </v-btn>
      <v-btn
        @click="
          set(
            plan.boxes.map((one) => one.box.id),
            chosen.size === 0,
          )
        "
      >
        {{ chosen.size ? 'None' : 'All' }}
      </v-btn>
      <span class="muted">Nothing is placed until you accept.</span>
    </footer>
  </section>
</template>

<style scoped>
footer {
  font-size: 12.5px;
}
.count {
  font-size: 28px;
}
.close {
  margin-left: auto;
}
.list {
  overflow-y: auto;
  flex: 1;
}
.group {
  position: relative;
  border-bottom: 1px solid var(--rule);
}
.group {
  display: flex;
  align-items: flex-start;
}
.whole {
  min-width: 36px;
  font-size: 18px;
}
.one {
  font-size: 13px;
  line-height: 1.35;
}
.mark {
  width: 24px;
  font-size: 17px;
}
.n {
  margin-left: 8px;
}
.open {
  padding: 4px 12px 6px 22px;
  font-size: 13px;
}
</style>
