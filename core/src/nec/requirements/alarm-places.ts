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

/** Rooms that belong to a bedroom and are no place outside it. */
const isPassedThrough = ({ kind }: Room): boolean => /closet|bath|linen|bedroom/.test(kind);

/**
 * For each bedroom, the rooms outside it: those that its doors open to, or, where these open to closets, baths and other bedrooms
 * alone, the first ones that are reached through them.
 */
export function outsideBedrooms(facts: Facts): Map<string, readonly RoomView[]> {
  const viewOf = new Map(facts.views.map((view) => [view.room, view]));
  const outside = (view: RoomView): readonly RoomView[] => {
    const passed = new Set([view]);
    let front: readonly RoomView[] = [view];
    while (front.length > 0) {
      const next = front
        .flatMap((one) => roomsBeyond(facts, one))
        .filter((room) => !OUTDOOR_KINDS.has(room.kind))
        .flatMap((room) => viewOf.get(room) ?? [])
        .filter((one) => !passed.has(one));
      const places = next.filter((one) => !isPassedThrough(one.room));
      if (places.length > 0) return places;
      for (const one of next) passed.add(one);
      front = next;
    }
    return [];
  };
  return new Map(
    facts.views.filter(({ room }) => room.kind === 'bedroom').map((view) => [view.room.id, outside(view)]),
  );
}
