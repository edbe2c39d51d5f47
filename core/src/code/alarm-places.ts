import { openingBreak } from '../plan/wall-spaces';
import { roomBehind, type RoomView } from '../plan/room-view';
import { OUTDOOR_KINDS } from './protection/gfci';
import type { Facts } from './rule';

/** Whether a room has an alarm that senses smoke, or carbon monoxide. */
export const hasAlarm = (view: RoomView, what: 'smoke' | 'co'): boolean =>
  view.boxes.some((box) =>
    Object.values(box.devices).some(
      (one) => one.kind === 'alarm' && (one.senses === what || one.senses === 'smoke-co'),
    ),
  );

/** For each bedroom, the rooms that its doors open to: the places outside a sleeping area. Closets and baths do not count. */
export function outsideBedrooms(facts: Facts): Map<string, readonly RoomView[]> {
  const places = new Map<string, readonly RoomView[]>();
  for (const view of facts.views.filter((one) => one.room.kind === 'bedroom')) {
    const beyond = view.openings.flatMap((seen) => {
      const room = openingBreak(seen) && roomBehind(facts.house, view.room.id, seen);
      const skip = !room || /closet|bath|linen|bedroom/.test(room.kind) || OUTDOOR_KINDS.has(room.kind);
      return skip ? [] : facts.views.filter((one) => one.room === room);
    });
    places.set(view.room.id, beyond);
  }
  return places;
}
