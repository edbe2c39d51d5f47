import type { Outlet } from '../circuits/outlets';
import type { Edition, RoomKind } from '../house/schema';
import { HABITABLE_ROOMS } from '../place/habitable';
import type { WiredGroup } from '../feed/unit';

const BATH_HALL_STAIR: ReadonlySet<RoomKind> = new Set(['bathroom', 'half-bath', 'hallway', 'stair', 'foyer']);

interface NeutralAnswer {
  /** `one`: at one of the switches of its group, whichever. */
  readonly needed: 'yes' | 'no' | 'one' | 'cannot-tell';
  readonly why: string;
}

/**
 * Whether the neutral of the lighting circuit has to be at a switch: NEC 404.2(C), *from memory*, high. Several switches that see
 * the whole of the lit area need it at one of them (2014: at none, medium); that they do is for a person to say, since no plan tells.
 */
export function neutralAt({ controls, group, switches }: WiredGroup, one: Outlet, edition: Edition): NeutralAnswer {
  if (one.device.kind === 'switch' && /^(occupancy|astronomic|dusk|smart|add-on)$/.test(one.device.style))
    return { needed: 'yes', why: 'its electronics run on the neutral (404.22)' };
  const lights = controls.filter((to) => to.device.kind === 'luminaire');
  if (lights.length === 0) return { needed: 'no', why: 'it switches no lighting' };
  const rooms = [one.room, ...lights.map((to) => to.room)];
  const kinds = rooms.map((room) => room.kind);
  const in2014 = edition === '2014';
  const named = kinds.find((kind) => HABITABLE_ROOMS.has(kind) || BATH_HALL_STAIR.has(kind));
  const severalSeeAll = group.seesAll === true && switches.length > 1;
  if (severalSeeAll && in2014) return { needed: 'no', why: 'several switches see the whole of the lit area' };
  if (severalSeeAll && named)
    return { needed: 'one', why: 'one of several that see the whole of the lit area, and none of them has it' };
  if (named && !in2014)
    return { needed: 'yes', why: `it switches light in or stands in a bath, hall, stair or habitable room` };
  if (in2014 && kinds.some((kind) => HABITABLE_ROOMS.has(kind) || kind === 'bathroom' || kind === 'half-bath'))
    return { needed: 'yes', why: 'it serves a habitable room or bathroom' };
  if (kinds.includes('other')) return { needed: 'cannot-tell', why: 'the use of the room is not named' };
  return { needed: 'no', why: 'neither bath, hall, stair nor habitable room' };
}
