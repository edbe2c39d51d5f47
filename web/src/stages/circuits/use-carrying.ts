import { onBeforeUnmount, shallowRef } from 'vue';

/** Boxes that are carried by the pointer until they are let go over a card; where they are on the screen meanwhile. */
export function useCarrying(drop: (circuit: string) => void) {
  const carried = shallowRef<{ readonly x: number; readonly y: number } | null>(null);

  function move(event: PointerEvent): void {
    carried.value = { x: event.clientX, y: event.clientY };
  }

  /** Puts down what is carried where it was: the browser or a second finger took the way. */
  function leave(): void {
    window.removeEventListener('pointermove', move);
    window.removeEventListener('pointerup', letGo);
    window.removeEventListener('pointercancel', leave);
    carried.value = null;
  }

  function letGo(event: PointerEvent): void {
    const card =
      carried.value && document.elementFromPoint(event.clientX, event.clientY)?.closest<HTMLElement>('[data-circuit]');
    leave();
    if (card) drop(card.dataset['circuit']!);
  }

  function pickUp(): void {
    window.addEventListener('pointermove', move);
    window.addEventListener('pointerup', letGo);
    window.addEventListener('pointercancel', leave);
  }
  onBeforeUnmount(leave);
  return { carried, pickUp, leave };
}
