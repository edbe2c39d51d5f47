import { onBeforeUnmount, shallowRef } from 'vue';

/** Boxes that are carried by the pointer until they are let go over a card; where they are on the screen meanwhile. */
export function useCarrying(drop: (circuit: string) => void) {
  const carried = shallowRef<{ readonly x: number; readonly y: number } | null>(null);

  function move(event: PointerEvent): void {
    carried.value = { x: event.clientX, y: event.clientY };
  }

  function letGo(event: PointerEvent): void {
    window.removeEventListener('pointermove', move);
    const card =
      carried.value && document.elementFromPoint(event.clientX, event.clientY)?.closest<HTMLElement>('[data-circuit]');
    carried.value = null;
    if (card) drop(card.dataset['circuit']!);
  }

  function pickUp(): void {
    window.addEventListener('pointermove', move);
    window.addEventListener('pointerup', letGo, { once: true });
  }
  onBeforeUnmount(() => {
    window.removeEventListener('pointermove', move);
    window.removeEventListener('pointerup', letGo);
  });
  return { carried, pickUp };
}
