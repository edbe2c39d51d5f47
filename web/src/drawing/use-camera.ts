import { select } from 'd3-selection';
import { zoom, zoomIdentity, type D3ZoomEvent, type ZoomBehavior } from 'd3-zoom';
import type { Bounds } from '@winculum/core';
import { onMounted, onBeforeUnmount, shallowRef, type Ref } from 'vue';

const MARGIN_PX = 46;

/** Pan and zoom of a sheet by wheel, drag on bare ground and pinch. */
export function useCamera(element: Ref<SVGSVGElement | undefined>, pans: () => boolean) {
  const transform = shallowRef(zoomIdentity);
  /** What was flown to last; undefined once a hand has moved the camera. */
  let shown: Bounds | undefined;
  /** The flight under way: a newer one ends it. */
  let flight = 0;
  let behaviour: ZoomBehavior<SVGSVGElement, unknown> | undefined;

  const isGround = (target: EventTarget | null) => {
    const hit = (target as Element | null)?.closest('[data-hit]');
    return !hit || hit.getAttribute('data-hit') === 'room';
  };

  onMounted(() => {
    behaviour = zoom<SVGSVGElement, unknown>()
      .scaleExtent([0.15, 14])
      .filter((event: MouseEvent | TouchEvent) => {
        if (event.type === 'wheel') return true;
        if ('touches' in event && event.touches.length > 1) return true;
        if ('button' in event && event.button === 1) return true;
        return pans() && !event.shiftKey && isGround(event.target) && (!('button' in event) || event.button === 0);
      })
      .clickDistance(4)
      .on('zoom', (event: D3ZoomEvent<SVGSVGElement, unknown>) => {
        if (event.sourceEvent) [shown, flight] = [undefined, flight + 1];
        transform.value = event.transform;
      });
    select(element.value!).call(behaviour).on('dblclick.zoom', null);
  });
  onBeforeUnmount(() => element.value && select(element.value).on('.zoom', null));

  /** Brings a part of the plan into view, with a little ground around it. */
  function flyTo(bounds: Bounds, widthPx: number, heightPx: number, smoothly: boolean): void {
    if (!behaviour || !element.value || widthPx < 10 || heightPx < 10) return;
    shown = bounds;
    const mine = ++flight;
    const [spanX, spanY] = [Math.max(24, bounds.maxX - bounds.minX), Math.max(24, bounds.maxY - bounds.minY)];
    const k = Math.min(6, (widthPx - 2 * MARGIN_PX) / spanX, (heightPx - 2 * MARGIN_PX) / spanY);
    const next = zoomIdentity
      .translate(
        widthPx / 2 - (k * (bounds.minX + bounds.maxX)) / 2,
        heightPx / 2 - (k * (bounds.minY + bounds.maxY)) / 2,
      )
      .scale(k);
    const from = transform.value;
    const selection = select(element.value);
    if (!smoothly || window.matchMedia('(prefers-reduced-motion: reduce)').matches)
      return void selection.call(behaviour.transform, next);
    const [started, lasting] = [performance.now(), 260];
    const frame = (now: number) => {
      // The sheet may be gone before the flight is over: a person who goes on to another stage does not wait for it.
      if (!element.value?.isConnected || mine !== flight) return;
      const t = Math.min(1, (now - started) / lasting);
      const eased = t * (2 - t);
      const between = (a: number, b: number) => a + (b - a) * eased;
      selection.call(
        behaviour!.transform,
        zoomIdentity.translate(between(from.x, next.x), between(from.y, next.y)).scale(between(from.k, next.k)),
      );
      if (t < 1) requestAnimationFrame(frame);
    };
    requestAnimationFrame(frame);
  }

  /** Shows in a sheet of another size what it showed, unless a hand has moved the camera since. */
  function fitAgain(widthPx: number, heightPx: number): void {
    if (shown) flyTo(shown, widthPx, heightPx, false);
  }

  return { transform, flyTo, fitAgain };
}
