import { computed, shallowRef, watch, type Ref } from 'vue';
import { boxPoint, isInside, removeEntities, type Collection, type House, type Point } from '@winculum/core';
import { newId } from '../new-id';
import { useHouse } from '../stores/house';
import { useView, type Selected, type SelectedKind } from '../stores/view';
import { useKeys } from '../surface/keys';
import { IDLE, step, type Hit, type Tool, type ToolState } from './tools/machine';

const SELECTABLE: readonly string[] = ['room', 'opening', 'feature', 'box'];
const COLLECTION: Partial<Record<SelectedKind, Collection>> = {
  room: 'rooms',
  opening: 'openings',
  feature: 'features',
  box: 'boxes',
  circuit: 'circuits',
  panel: 'panels',
};

export interface HandEvent {
  /** `leave`: the browser or a second finger took the way for something else. */
  readonly type: 'down' | 'move' | 'up' | 'leave';
  readonly point: Point;
  readonly hit: Hit | null;
  readonly shift: boolean;
  readonly alt: boolean;
}

/** Carries the hand's events on the sheet to the tool in force, shows what would come of them, and commits. */
export function useHand(
  tool: Ref<Tool>,
  thresholdIn: () => number,
  options: { readonly movesThings: boolean } = { movesThings: true },
) {
  const store = useHouse();
  const view = useView();
  const state = shallowRef<ToolState>(IDLE);
  watch(tool, () => (state.value = IDLE));

  /** The house as it would be, while something is being dragged or hovers. */
  const shown = computed<House>(() => {
    const now = state.value;
    if ((now.kind === 'dragging' || now.kind === 'hovering') && now.attempt.ok) return now.attempt.value.house;
    return store.current;
  });
  const refusal = computed(() => {
    const now = state.value;
    return now.kind === 'dragging' && !now.attempt.ok ? now.attempt.problems[0]!.message : '';
  });

  function pick(hit: Hit | null, add: boolean): void {
    const one: Selected | null =
      hit && SELECTABLE.includes(hit.kind) ? { kind: hit.kind as SelectedKind, id: hit.id } : null;
    if (!one) return add ? undefined : view.select([]);
    if (one.kind === 'room') view.stripRoom = one.id;
    if (one.kind === 'box') view.stripRoom = store.current.boxes[one.id]!.room;
    const others = view.selection.filter((other) => other.kind === one.kind && other.id !== one.id);
    if (!add) view.select([one]);
    else view.select(view.isSelected(one.kind, one.id) ? others : [...others, one]);
  }

  function lasso(from: Point, to: Point): void {
    const house = store.current;
    const [minX, maxX] = [Math.min(from.x, to.x), Math.max(from.x, to.x)];
    const [minY, maxY] = [Math.min(from.y, to.y), Math.max(from.y, to.y)];
    const area = [
      { x: minX, y: minY },
      { x: maxX, y: minY },
      { x: maxX, y: maxY },
      { x: minX, y: maxY },
    ];
    const boxes = Object.values(house.boxes).filter(
      (box) => house.rooms[box.room]!.level === view.level && isInside(boxPoint(house, box), area),
    );
    view.select(boxes.map(({ id }) => ({ kind: 'box', id })));
  }

  function send(event: HandEvent | { readonly type: 'cancel' | 'confirm' }): void {
    const full = 'point' in event ? event : { ...event, point: { x: 0, y: 0 }, hit: null, shift: false, alt: false };
    const context = {
      house: store.current,
      level: view.level,
      newId,
      thresholdIn: thresholdIn(),
      canEdit: store.canEdit && options.movesThings,
      selectedRooms: view.selection.filter((one) => one.kind === 'room').map((one) => one.id),
    };
    const next = step(tool.value, state.value, full, context);
    state.value = next.state;
    if (next.picked) pick(next.picked.hit, next.picked.add);
    if (next.lassoed) lasso(next.lassoed.from, next.lassoed.to);
    if (next.commit) store.apply(next.commit);
  }

  function removeSelected(): void {
    const refs = view.selection.flatMap(({ kind, id }) =>
      COLLECTION[kind] ? [{ collection: COLLECTION[kind], id }] : [],
    );
    if (refs.length > 0 && store.apply(removeEntities(store.current, refs))) view.select([]);
  }

  useKeys({
    cancel: () => {
      if (state.value.kind === 'idle') view.tool = 'select';
      send({ type: 'cancel' });
    },
    confirm: () => {
      if (state.value.kind === 'drawing-polygon') send({ type: 'confirm' });
    },
    remove: removeSelected,
  });

  return { state, shown, refusal, send, removeSelected };
}
