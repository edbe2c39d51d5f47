import { computed, shallowRef, type ComputedRef } from 'vue';
import {
  applyPreset,
  boundsOf,
  nudgeBoxes,
  nudgeToStud,
  readTypedBox,
  studFaces,
  PRESETS,
  viewRoom,
  wallLoop,
  wrapIn,
  type Edited,
  type Result,
  type Room,
  type TypedBox,
} from '@winculum/core';
import { dropOnWall, placeBoxAt, type BoxTool } from '../../drawing/tools/place-new';
import { newId } from '../../new-id';
import { useHouse } from '../../stores/house';
import { useView } from '../../stores/view';
import { useKeys } from '../../surface/keys';

/** Tools with a key of their own. */
export const TOOLS: readonly { key: string; tool: BoxTool; label: string }[] = [
  { key: 'R', tool: 'receptacle', label: 'receptacle' },
  { key: 'S', tool: 'switch', label: 'switch' },
  { key: 'L', tool: 'luminaire', label: 'light' },
  { key: 'A', tool: 'alarm', label: 'alarm' },
];

/** The hand at the wall strip: what keys and the tape line do at its cursor. */
export function useStripKeys(room: ComputedRef<Room | undefined>, accept: () => void) {
  const store = useHouse();
  const view = useView();

  /** Drops a box at the strip's cursor, and selects it. */
  function drop(what: BoxTool, said?: TypedBox): boolean {
    if (!room.value) return false;
    const house = store.current;
    const before = new Set(Object.keys(house.boxes));
    const onWall = what === 'receptacle' || what === 'switch' || what === 'receptacle-240';
    const middle = room.value.corners.reduce(
      (sum, one) => ({ x: sum.x + one.x / room.value!.corners.length, y: sum.y + one.y / room.value!.corners.length }),
      { x: 0, y: 0 },
    );
    const done = store.apply(
      onWall
        ? dropOnWall(house, room.value, what, view.cursorIn, newId, said)
        : placeBoxAt(house, view.level, what, middle, newId, 0),
    );
    const added = Object.keys(store.current.boxes).find((id) => !before.has(id));
    if (done && added) view.select([{ kind: 'box', id: added }]);
    return done;
  }

  function typed(text: string): string | null {
    if (!room.value) return 'Draw a room first.';
    const read = readTypedBox(store.current, room.value, view.cursorIn, text);
    if (!read.ok) return read.problems[0]!.message;
    view.cursorIn = read.value.atLoopIn;
    if (read.value.kind && !drop(read.value.kind, read.value)) return store.takeProblem();
    return null;
  }

  /** Where what is being typed will stand, shown as a ghost on the strip until it is set down. */
  const ghost = shallowRef<TypedBox | null>(null);
  const preview = (text: string) => {
    if (!room.value) return '';
    const read = readTypedBox(store.current, room.value, view.cursorIn, text);
    return read.ok ? read.value.sentence : read.problems[0]!.message;
  };
  function lookAhead(text: string): void {
    const read = room.value && text.trim() ? readTypedBox(store.current, room.value, view.cursorIn, text) : undefined;
    ghost.value = read?.ok ? read.value : null;
  }

  /** The next stud side from the cursor, to the right or to the left. */
  function walkToStud(direction: 1 | -1): number {
    const loop = wallLoop(room.value!);
    const faces = studFaces(viewRoom(store.current, room.value!.id), store.current.standards.receptacleHeightIn).map(
      (face) => face.atIn,
    );
    const ahead = faces
      .map((at) => ({ at, gap: wrapIn(loop, (at - view.cursorIn) * direction) }))
      .filter(({ gap }) => gap > 0.05);
    return ahead.sort((a, b) => a.gap - b.gap)[0]?.at ?? view.cursorIn;
  }

  const presets = computed(() => store.current.standards.presets ?? PRESETS);

  /** Sets a preset's boxes down around the cursor. */
  function putPreset(n: number): void {
    const preset = presets.value[n];
    if (preset && room.value) store.apply(applyPreset(store.current, room.value.id, view.cursorIn, preset, newId));
  }

  /** Full stop and comma move what is selected by an inch, with Shift to the next stud; plus and minus raise and lower it. */
  function nudge(event: KeyboardEvent): void {
    const ids = view.selection.filter((one) => one.kind === 'box').map((one) => one.id);
    const moves: Record<string, () => Result<Edited>> = {
      '.': () => nudgeBoxes(store.current, ids, { alongIn: 1 }),
      ',': () => nudgeBoxes(store.current, ids, { alongIn: -1 }),
      '>': () => nudgeToStud(store.current, ids, 1),
      '<': () => nudgeToStud(store.current, ids, -1),
      '+': () => nudgeBoxes(store.current, ids, { upIn: 1 }),
      '-': () => nudgeBoxes(store.current, ids, { upIn: -1 }),
    };
    const move = moves[event.key];
    if (!move || ids.length === 0 || !store.canEdit) return;
    store.apply(move());
    event.preventDefault();
  }

  /** All boxes of the room; where they are selected already, of its level, and then of the house. */
  function selectAll(): void {
    const boxes = Object.values(store.current.boxes);
    const here = boxes.filter((one) => one.room === room.value?.id);
    const onLevel = boxes.filter((one) => store.current.rooms[one.room]?.level === view.level);
    const next = [here, onLevel].find((some) => some.some((one) => !view.isSelected('box', one.id))) ?? boxes;
    view.select(next.map((one) => ({ kind: 'box' as const, id: one.id })));
  }

  useKeys({
    all: (event) => {
      event.preventDefault();
      selectAll();
    },
    walk: (event) => {
      if (!room.value) return;
      event.preventDefault();
      const direction = event.key === 'ArrowRight' ? 1 : -1;
      view.cursorIn = event.shiftKey
        ? walkToStud(direction)
        : wrapIn(wallLoop(room.value), Math.round(view.cursorIn) + direction);
    },
    drop: (event) => {
      const letter = TOOLS.find((one) => one.key === event.key.toUpperCase());
      if (letter && store.canEdit) drop(letter.tool);
    },
    preset: (event) => {
      if (store.canEdit) putPreset(Number(event.key) - 1);
    },
    zoom: () => {
      if (room.value) view.target = { bounds: boundsOf(room.value.corners) };
    },
    nudge,
    raise: nudge,
    confirm: (event) => {
      if (view.proposal && event.target === document.body) accept();
    },
    cancel: () => {
      view.proposal = null;
    },
  });

  return { typed, preview, ghost, lookAhead, presets, putPreset };
}
