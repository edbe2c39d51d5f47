<script setup lang="ts">
import { computed } from 'vue';
import {
  changeDevice,
  changeEntity,
  gangOrder,
  groupProblems,
  indexOutlets,
  leaveGroup,
  orderGangs,
  removeEntities,
  SWITCH_STYLES,
  SWITCH_WORDS,
  switchesToBuy,
  switchSymbol,
  wireHouse,
  type Outlet,
  type SwitchGroup,
} from '@winculum/core';
import ChoiceField from '../../fields/ChoiceField.vue';
import LineField from '../../fields/LineField.vue';
import TickField from '../../fields/TickField.vue';
import { useHouse } from '../../stores/house';
import { useView } from '../../stores/view';

/** Every group: what it switches, from where, and with which switches. */
defineProps<{ letters: ReadonlyMap<string, string> }>();
const chosen = defineModel<string | null>('chosen', { required: true });
const store = useHouse();
const view = useView();
const problems = computed(() => groupProblems(store.current));
/** Plain switches by their place in the chain; a control at line voltage is what it is. */
function toBuy(switches: readonly Outlet[]): string {
  const [only] = switches;
  const style = only?.device.kind === 'switch' ? only.device.style : 'toggle';
  if (switches.length === 1 && /^(two-pole|line-thermostat)/.test(style)) return `1 ${SWITCH_WORDS[style]}`;
  return Object.entries(switchesToBuy(switches.length))
    .flatMap(([kind, n]) => (n > 0 ? [`${n} ${kind}`] : []))
    .join(', ');
}
const chains = computed(
  () =>
    new Map(
      wireHouse(store.current).units.flatMap((one) =>
        one.plan.chains.map((chain) => [chain.group.group.id, { chain, plan: one.plan }] as const),
      ),
    ),
);
const groups = computed(() => {
  const { byDevice } = indexOutlets(store.current);
  const find = (ids: readonly string[]) => ids.flatMap((id) => byDevice.get(id) ?? []);
  return Object.values(store.current.switchGroups).map((group) => {
    const known = chains.value.get(group.id);
    const switches: readonly Outlet[] = known?.chain.order ?? find(group.switches);
    const symbols = switches.map((one) =>
      switchSymbol(known?.plan.hardware.get(one.device.id), '', one.device.kind === 'switch' ? one.device.style : ''),
    );
    return {
      group,
      switches,
      symbols,
      controls: find(group.controls),
      buy: toBuy(switches),
      problems: problems.value.filter((one) => one.path.startsWith(`switchGroups.${group.id}`)),
    };
  });
});
function choose(group: SwitchGroup, outlets: readonly Outlet[]): void {
  chosen.value = chosen.value === group.id ? null : group.id;
  if (chosen.value) {
    view.select([]);
    const [first] = outlets;
    if (first) view.level = first.room.level;
  }
}
function rename(group: SwitchGroup, name: string): void {
  if (name.trim())
    store.apply(changeEntity(store.current, 'switchGroups', group.id, { name: name.trim().slice(0, 80) }));
}
function letter(group: SwitchGroup, text: string): void {
  store.apply(
    changeEntity(store.current, 'switchGroups', group.id, { letter: text.trim() || undefined } as Partial<SwitchGroup>),
  );
}
const STYLES = SWITCH_STYLES.map((value) => ({ value, word: SWITCH_WORDS[value] }));
const changeGroup = (group: SwitchGroup, changes: Partial<SwitchGroup>) =>
  store.apply(changeEntity(store.current, 'switchGroups', group.id, changes));
</script>

<template>
  <section class="groups" aria-label="Switch groups">
    <p v-if="!groups.length" class="muted empty">
      No group yet. Drag on the plan from a switch to the light it is to control, or let the tool
      <b>Switch the house</b>.
    </p>
    <article
      v-for="one in groups"
      :key="one.group.id"
      class="group"
      :class="{ chosen: one.group.id === chosen, bad: one.problems.length }"
    >
      <v-btn
        class="head leads"
        variant="text"
        block
        :aria-expanded="one.group.id === chosen"
        @click="choose(one.group, one.switches)"
      >
        <b class="num letter">{{ letters.get(one.group.id) }}</b>
        <span class="name">{{ one.group.name }}</span>
        <span class="num what">{{ one.symbols.join(' ') }}</span>
      </v-btn>
      <p v-for="problem in one.problems" :key="problem.message" class="is-violation">{{ problem.message }}</p>
      <div v-if="one.group.id === chosen" class="stack">
        <div class="row">
          <LineField
            class="grow"
            label="Name"
            :model-value="one.group.name"
            @update:model-value="rename(one.group, $event)"
          />
          <LineField
            class="short"
            label="Letter"
            :most="2"
            :model-value="letters.get(one.group.id) ?? ''"
            @update:model-value="letter(one.group, $event)"
          />
        </div>
        <p>
          Buy <b>{{ one.buy }}</b>
        </p>
        <div v-for="(at, i) in one.switches" :key="at.device.id" class="row place">
          <v-btn class="tag num" size="small" @click="view.select([{ kind: 'box', id: at.box.id }])">
            {{ one.symbols[i] }} {{ at.box.tag }}
          </v-btn>
          <ChoiceField
            class="grow"
            :label="`Kind of switch at ${at.box.tag}`"
            :model-value="at.device.kind === 'switch' ? at.device.style : 'toggle'"
            :answers="STYLES"
            @update:model-value="store.apply(changeDevice(store.current, at.box.id, at.device.id, { style: $event }))"
          />
          <v-btn
            v-if="store.canEdit"
            :aria-label="`Take the switch at ${at.box.tag} out`"
            @click="store.apply(leaveGroup(store.current, at.device.id))"
          >
            ✕
          </v-btn>
          <v-btn
            v-if="store.canEdit && at.box.gangs > 1"
            title="The nearest light first, outdoors last"
            @click="store.apply(orderGangs(store.current, at.box.id, gangOrder(store.current, at.box)))"
          >
            Order gangs
          </v-btn>
        </div>
        <p class="row controls">
          controls
          <span v-for="to in one.controls" :key="to.device.id" class="chip num"
            >{{ to.box.tag }} {{ to.device.kind
            }}<v-btn
              v-if="store.canEdit"
              class="leave"
              size="x-small"
              variant="text"
              :aria-label="`Take ${to.box.tag} out of the group`"
              @click="store.apply(leaveGroup(store.current, to.device.id))"
              >✕</v-btn
            ></span
          >
        </p>
        <TickField
          label="travelers in the listed order, not in the shortest"
          :model-value="one.group.inThisOrder ?? false"
          @update:model-value="changeGroup(one.group, { inThisOrder: $event || undefined })"
        />
        <TickField
          v-if="one.switches.length > 1"
          label="each switch sees the whole of the lit area: one neutral will do (404.2(C))"
          :model-value="one.group.seesAll ?? false"
          @update:model-value="changeGroup(one.group, { seesAll: $event || undefined })"
        />
        <v-btn :to="`/houses/${store.id}/bench/${one.group.id}`">Wire it on the bench</v-btn>
        <v-btn
          v-if="store.canEdit"
          @click="store.apply(removeEntities(store.current, [{ collection: 'switchGroups', id: one.group.id }]))"
        >
          Delete group
        </v-btn>
      </div>
    </article>
  </section>
</template>

<style scoped>
.groups {
  display: grid;
  gap: 6px;
  align-content: start;
}
.empty {
  padding: 12px;
  font-size: 15px;
}
.group {
  background: var(--card);
  border: 1px solid var(--rule);
  border-radius: 4px;
  padding: 0 10px;
}
.group.chosen {
  border-color: var(--chalk);
  padding-bottom: 10px;
}
.group.bad {
  border-left: 5px solid var(--violation);
}
.head {
  min-height: 44px;
}
.letter {
  font-size: 20px;
  color: var(--chalk);
  min-width: 20px;
}
.name {
  flex: 1;
  font-weight: 600;
}
.what {
  font-size: 16px;
  white-space: nowrap;
}
.short {
  flex: 0 0 74px;
}
.row {
  flex-wrap: wrap;
}
.place,
.tick {
  flex-wrap: nowrap;
}
.place .tag {
  border: 0;
  background: none;
  color: var(--chalk);
  font-weight: 700;
  font-size: 16px;
  min-height: 44px;
  white-space: nowrap;
  cursor: pointer;
}
.place select {
  min-width: 0;
}
.chip {
  border: 1px solid var(--rule);
  border-radius: 3px;
  padding: 2px 0 2px 8px;
  white-space: nowrap;
}
.leave {
  border: 0;
  background: none;
  color: var(--muted);
  min-width: 32px;
  min-height: 32px;
  cursor: pointer;
}
</style>
