import type { Room } from '../../house/schema';
import { memo } from '../../cache/memo';
import type { RoomView } from '../../plan/room-view';
import { OUTDOOR_KINDS } from '../../place/outdoors';
import type { Facts } from '../rule';
import { mustGet } from '../../units/result';

/** Whether a room has an alarm that senses smoke, or carbon monoxide. */
export const hasAlarm = (view: RoomView, what: 'smoke' | 'co'): boolean =>
  view.boxes.some((box) =>
    Object.values(box.devices).some(
      (one) => one.kind === 'alarm' && (one.senses === what || one.senses === 'smoke-co'),
    ),
  );

/** The rooms that the ways out of a room lead to, remembered while rooms and openings stay. */
export const roomsBeyond = memo(
  ({ house }: Facts, view: RoomView): readonly Room[] =>
    view.ways.flatMap(({ behind }) => (behind === undefined ? [] : [mustGet(house.rooms, behind)])),
  ({ house }, view) => [view, house.rooms],
);

/** For each bedroom, the rooms that its doors open to: the places outside a sleeping area. Closets and baths do not count. */
export function outsideBedrooms(facts: Facts): Map<string, readonly RoomView[]> {
  const places = new Map<string, readonly RoomView[]>();
  for (const view of facts.views.filter((one) => one.room.kind === 'bedroom')) {
    const beyond = roomsBeyond(facts, view).flatMap((room) => {
      const skip = /closet|bath|linen|bedroom/.test(room.kind) || OUTDOOR_KINDS.has(room.kind);
      return skip ? [] : facts.views.filter((one) => one.room === room);
    });
    places.set(view.room.id, beyond);
  }
  return places;
}
