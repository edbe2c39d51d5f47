import { ref, shallowRef, type Ref } from 'vue';
import { plantOnBoard, weighMissed, type Board, type BoardMistake } from '@winculum/core';

interface Desk {
  readonly board: Readonly<Ref<Board>>;
  readonly tallies: Readonly<Ref<Parameters<typeof weighMissed>[0]>>;
  setWires(wires: Board['wires']): void;
  noteMistake(kind: string, isFound: boolean): void;
}

/** A mistake that somebody is to find and mend on the board that lies there. It counts once: found, or given up. */
export function usePlanted({ board, tallies, setWires, noteMistake }: Desk) {
  const planted = shallowRef<BoardMistake>();
  const isShown = ref(false);
  const isOver = ref(false);
  /** Says why none can be planted; empty where one is. */
  function plant(): string {
    const mistake = plantOnBoard(board.value, weighMissed(tallies.value), Math.random);
    if (!mistake) return 'Wire it until it proves; then there is something to spoil.';
    [planted.value, isShown.value, isOver.value] = [mistake, false, false];
    setWires(mistake.wires);
    return '';
  }
  function settle(isFound: boolean): void {
    if (!planted.value || isOver.value) return;
    isOver.value = true;
    noteMistake(planted.value.kind, isFound);
  }
  const giveUp = (): void => {
    isShown.value = true;
    settle(false);
  };
  const leave = (): void => void (planted.value = undefined);
  return { planted, isShown, isOver, plant, giveUp, mended: () => settle(true), leave };
}
