import { computed, ref, type ComputedRef } from 'vue';
import {
  boxesOfProposal,
  fromLoop,
  placeBoxes,
  placementLimits,
  proposeForHouse,
  proposeForRoom,
  proposeForWall,
  reachAlongCounters,
  SPACED_ROOMS,
  viewRoom,
  wallLoop,
  type ProposedBox,
  type Room,
} from '@winculum/core';
import { newId } from '../../new-id';
import { useHouse } from '../../stores/house';
import { useView } from '../../stores/view';

/** The fewest receptacles for a wall, a room or the house, as a proposal to take or refuse. */
export function useFilling(room: ComputedRef<Room | undefined>) {
  const store = useHouse();
  const view = useView();
  const limits = computed(() => placementLimits(store.current));

  function fill(what: 'wall' | 'room' | 'house'): void {
    const house = store.current;
    const proposal =
      what === 'house'
        ? proposeForHouse(house, limits.value)
        : what === 'room'
          ? proposeForRoom(house, view.stripRoom, limits.value)
          : proposeForWall(house, view.stripRoom, fromLoop(wallLoop(room.value!), view.cursorIn).wall.id, limits.value);
    view.proposal = proposal;
    nothing.value = whyNothing(what);
    if (proposal.boxes.length === 0) {
      store.problem =
        proposal.unreachable.length > 0
          ? 'Neither a box on these walls nor one in the floor reaches the rest: something stands before it. Move it, or place the box by hand.'
          : '';
      if (proposal.unreachable.length > 0) view.proposal = null;
    }
  }

  /** Why nothing is proposed, where nothing is. */
  const nothing = ref('');
  function whyNothing(what: 'wall' | 'room' | 'house'): string {
    if (what === 'house')
      return 'Every wall and counter for which spacing is required is within reach: nothing to add. What else is required stands in the open items.';
    const { id, name, kind } = room.value!;
    const hasCounters = reachAlongCounters(viewRoom(store.current, id), limits.value.counter).length > 0;
    if (!SPACED_ROOMS.has(kind) && !hasCounters)
      return `Spacing along the walls is not required in ${name}. What else is required there stands in the open items.`;
    return `Nothing of this ${what} is out of reach: nothing to add.`;
  }

  function accept(): void {
    const proposal = view.proposal!;
    view.proposal = null;
    if (proposal.boxes.length > 0)
      store.apply(
        placeBoxes(
          store.current,
          boxesOfProposal(store.current, proposal, newId),
          `Space receptacles: ${proposal.boxes.length} receptacles`,
        ),
      );
  }

  /** How its boxes stand, where not all are on studs. */
  const onStuds = computed(() => {
    const of = (on: ProposedBox['on']) => view.proposal?.boxes.filter((one) => one.on === on).length ?? 0;
    const others = [
      ...(of('bracket') > 0 ? [`${of('bracket')} on brackets`] : []),
      ...(of('floor') > 0 ? [`${of('floor')} in the floor`] : []),
    ];
    return ['on studs', ...others].join(', ');
  });

  const inProposal = computed(() => {
    const counts = new Map<string, number>();
    for (const box of view.proposal?.boxes ?? []) counts.set(box.room, (counts.get(box.room) ?? 0) + 1);
    return [...counts].map(([id, n]) => `${store.current.rooms[id]!.name}: ${n}`).join(', ');
  });

  return { limits, fill, accept, inProposal, onStuds, nothing };
}
