import { computed, onScopeDispose, ref, type Ref } from 'vue';
import { benchSchema, type Bench } from '@winculum/contract';
import { countMistake, EXERCISES, NEW_BOARD, pinsOf, type Board } from '@winculum/core';
import { api, ApiError } from '../../api';
import { useSession } from '../../stores/session';

const NOTHING: Bench = { done: [], wires: {} };
const SAVE_AFTER_MS = 700;
/** The name of the board that is no exercise. */
export const OWN = 'own';

/** A switch group of a house that lies on the bench. */
export interface HouseGroup {
  /** `house/group`. */
  readonly key: string;
  readonly bare: Board;
  readonly madeUp: Board['wires'];
}
/** Groups of houses whose wiring is kept; older ones go first. */
const MOST_GROUPS = 40;
const isOfHouse = (key: string) => key.includes('/');

/** With the wiring of one board, and of no more groups of houses than are kept. */
function withWires(all: Bench['wires'], key: string, wires: Board['wires']): Bench['wires'] {
  const others = Object.entries(all).filter(([one]) => one !== key);
  const groups = others.filter(([one]) => isOfHouse(one)).map(([one]) => one);
  const gone = new Set(isOfHouse(key) ? groups.slice(0, Math.max(0, groups.length + 1 - MOST_GROUPS)) : []);
  return Object.fromEntries([...others.filter(([one]) => !gone.has(one)), [key, [...wires]]]);
}
/** The house may have changed since: what was joined to a wire that is no more, is no joint any more. */
function stillJoined(bare: Board, wires: Board['wires']): Board['wires'] {
  const pins = new Set(pinsOf(bare).map((one) => one.pin));
  return wires.filter((wire) => wire.every((pin) => pins.has(pin)));
}

/**
 * The chosen board and what is done on it. Kept with the person on the server, and on the device for as long as the server
 * cannot be reached.
 */
export function useBench(group: Readonly<Ref<HouseGroup | undefined>> = ref()) {
  const session = useSession();
  const place = `winculum-bench-${session.signedIn?.user.id ?? 'guest'}`;
  const onDevice = (): Bench => {
    try {
      const read = benchSchema.safeParse(JSON.parse(localStorage.getItem(place) ?? 'null'));
      return read.success ? read.data : NOTHING;
    } catch {
      return NOTHING;
    }
  };
  const kept = ref<Bench>(onDevice());
  const isSaved = ref(false);
  let timer: ReturnType<typeof setTimeout> | undefined;
  let untouched = true;

  async function save(): Promise<void> {
    timer = undefined;
    try {
      await api.keepBench(kept.value);
      isSaved.value = true;
    } catch (error) {
      if (!(error instanceof ApiError)) throw error;
      isSaved.value = false;
    }
  }
  function change(next: Bench): void {
    untouched = false;
    kept.value = next;
    isSaved.value = false;
    localStorage.setItem(place, JSON.stringify(next));
    clearTimeout(timer);
    timer = setTimeout(() => void save(), SAVE_AFTER_MS);
  }
  /** What another device did comes in, unless somebody has begun to wire here meanwhile. */
  async function load(): Promise<void> {
    const here = kept.value;
    const there = await api.bench().catch(() => undefined);
    if (!there) return;
    isSaved.value = true;
    if (!untouched) return;
    const done = [...new Set([...there.done, ...here.done])];
    const isNew = here.done.some((one) => !there.done.includes(one));
    kept.value = { ...there, done, wires: { ...here.wires, ...there.wires }, board: there.board ?? here.board };
    if (isNew) change(kept.value);
  }
  void load();
  onScopeDispose(() => {
    if (timer === undefined) return;
    clearTimeout(timer);
    void save();
  });

  const chosen = ref(EXERCISES[0]!.id);
  const exercise = computed(() => EXERCISES.find((one) => one.id === chosen.value));
  const ofHouse = computed(() => (group.value?.key === chosen.value ? group.value : undefined));
  const board = computed((): Board => {
    const wires = kept.value.wires[chosen.value] ?? [];
    if (ofHouse.value) return { ...ofHouse.value.bare, wires: stillJoined(ofHouse.value.bare, wires) };
    return exercise.value ? { ...exercise.value.board, wires } : (kept.value.board ?? NEW_BOARD);
  });
  const setBoard = (next: Board) => change({ ...kept.value, board: next });
  const setWires = (wires: Board['wires']) => {
    if (!exercise.value && !ofHouse.value) setBoard({ ...board.value, wires });
    else change({ ...kept.value, wires: withWires(kept.value.wires, chosen.value, wires) });
  };
  const markDone = () => {
    if (chosen.value !== OWN && !kept.value.done.includes(chosen.value))
      change({ ...kept.value, done: [...kept.value.done, chosen.value] });
  };
  const tallies = computed(() => kept.value.practice ?? {});
  const noteMistake = (kind: string, isFound: boolean) =>
    change({ ...kept.value, practice: countMistake(tallies.value, kind, isFound) });
  return { kept, isSaved, chosen, exercise, ofHouse, board, setBoard, setWires, markDone, tallies, noteMistake };
}
