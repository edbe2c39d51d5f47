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
  const wall = findWall(wallLoop(store.house!.rooms[room]!), at.wall);
  return wall ? `${wall.name}, ${formatLength(at.alongIn, store.house!.standards.lengths)}` : '';
}
const rooms = computed(() => {
  const byRoom = new Map<string, BoxingPlan['boxes'][number][]>();
  for (const one of props.plan.boxes) byRoom.set(one.box.room, [...(byRoom.get(one.box.room) ?? []), one]);
  const open = props.plan.open.map((one) => one.room).filter((room) => !byRoom.has(room));
  for (const room of open) byRoom.set(room, []);
  return [...byRoom].map(([id, boxes]) => ({
    id,
    boxes,
    name: store.house!.rooms[id]!.name,
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
const isOn = (event: Event) => (event.target as HTMLInputElement).checked;

function accept(): void {
  if (store.apply(acceptPlan(store.house!, props.plan, chosen.value))) emit('close');
}
</script>

<template>
  <section class="panel-over" aria-label="Proposed boxes">
    <header>
      <template v-if="plan.boxes.length || plan.provisions.length">
        <b class="num count">{{ chosen.size }}</b>
        <span
          >of {{ count(plan.boxes.length, 'box', 'boxes') }}, {{ count(plan.groups.length, 'switch group')
          }}<template v-if="plan.provisions.length">, a provision for the island</template></span
        >
      </template>
      <b v-else>Nothing is missing here.</b>
      <button class="plain-button close" aria-label="Discard the proposal" @click="emit('close')">
        {{ plan.boxes.length ? 'Discard' : 'OK' }}
      </button>
    </header>
    <div class="list">
      <div v-for="room in rooms" :key="room.id" class="group">
        <input
          type="checkbox"
          class="whole"
          :aria-label="`All of ${room.name}`"
          :checked="room.n === room.boxes.length && room.n > 0"
          :indeterminate="room.n > 0 && room.n < room.boxes.length"
          :disabled="!room.boxes.length"
          @change="
            set(
              room.boxes.map((one) => one.box.id),
              isOn($event),
            )
          "
        />
        <details :open="rooms.length < 3">
          <summary>
            <span class="grow">{{ room.name }}</span>
            <span v-if="room.open.length" class="is-caution" title="something is left open">!</span>
            <b class="num">{{ room.n }}</b>
          </summary>
          <label v-for="{ box, reason, section } in room.boxes" :key="box.id" class="one">
            <input type="checkbox" :checked="chosen.has(box.id)" @change="set([box.id], isOn($event))" />
            <span
              ><b>{{ words(box.devices) }}</b> <span class="num">{{ where(box) }}</span><template v-if="box.bracket"
                >, on a bracket</template
              >: {{ reason }} <span class="muted num">{{ section }}</span></span
            >
          </label>
          <p v-for="text in room.open" :key="text" class="open is-caution">{{ text }}</p>
        </details>
      </div>
    </div>
    <footer v-if="plan.boxes.length || plan.provisions.length">
      <button class="plain-button main" :disabled="!chosen.size && !plan.provisions.length" @click="accept">
        {{ chosen.size === plan.boxes.length ? 'Accept all' : `Accept ${chosen.size}` }}
      </button>
      <button
        class="plain-button"
        @click="
          set(
            plan.boxes.map((one) => one.box.id),
            chosen.size === 0,
          )
        "
      >
        {{ chosen.size ? 'None' : 'All' }}
      </button>
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
summary {
  display: flex;
  align-items: center;
  gap: 10px;
  min-height: 40px;
  padding: 0 12px 0 44px;
  cursor: pointer;
  font-weight: 600;
  list-style: none;
}
.one {
  display: flex;
  gap: 10px;
  padding: 5px 12px 5px 22px;
  font-size: 13px;
  line-height: 1.35;
}
.whole {
  position: absolute;
  left: 14px;
  top: 11px;
}
input[type='checkbox'] {
  width: 18px;
  height: 18px;
  flex: none;
}
.open {
  padding: 4px 12px 6px 22px;
  font-size: 13px;
}
</style>
