import { computed, ref, watch, type ComputedRef, type Ref } from 'vue';
import { useDisplay } from 'vuetify';

/** How much of the page is shown at once: all of it, the side region as a sheet from below, or one thing at a time. */
export type Layout = 'desk' | 'tablet' | 'phone';
const TABLET_PX = 820;
const PHONE_PX = 560;

export function useLayout(): ComputedRef<Layout> {
  const { width } = useDisplay();
  return computed(() => (width.value <= PHONE_PX ? 'phone' : width.value <= TABLET_PX ? 'tablet' : 'desk'));
}

/** A size that this device remembers; where its store is shut, it lasts as long as the page. */
export function rememberedSize(name: string, usual: number): Ref<number> {
  const key = `winculum ${name}`;
  const read = (): number => {
    try {
      const kept = Number(localStorage.getItem(key));
      return Number.isFinite(kept) && kept > 0 ? kept : usual;
    } catch {
      return usual;
    }
  };
  const size = ref(read());
  watch(size, (now) => {
    try {
      localStorage.setItem(key, String(now));
    } catch {
      // A device that stores nothing still works; only the size is not kept.
    }
  });
  return size;
}
