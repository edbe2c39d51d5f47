import { computed, onScopeDispose, ref } from 'vue';
import { benchSchema, type Bench } from '@winculum/contract';
import { EXERCISES, NEW_BOARD, type Board } from '@winculum/core';
import { api, ApiError } from '../../api';
import { useSession } from '../../stores/session';

const NOTHING: Bench = { done: [], wires: {} };
const SAVE_AFTER_MS = 700;
/** The name of the board that is no exercise. */
export const OWN = 'own';

/**
 * The chosen board and what is done on it. Kept with the person on the server, and on the device for as long as the server
 * cannot be reached.
 */
export function useBench() {
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
  const board = computed((): Board => {
    if (!exercise.value) return kept.value.board ?? NEW_BOARD;
    return { ...exercise.value.board, wires: kept.value.wires[chosen.value] ?? [] };
  });
  const setBoard = (next: Board) => change({ ...kept.value, board: next });
  const setWires = (wires: Board['wires']) => {
    if (!exercise.value) setBoard({ ...board.value, wires });
    else change({ ...kept.value, wires: { ...kept.value.wires, [chosen.value]: wires } });
  };
  const markDone = () => {
    if (exercise.value && !kept.value.done.includes(chosen.value))
      change({ ...kept.value, done: [...kept.value.done, chosen.value] });
  };
  return { kept, isSaved, chosen, exercise, board, setBoard, setWires, markDone };
}
