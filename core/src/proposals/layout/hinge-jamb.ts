import type { BoxPlace } from '../../house/schema';
import type { RoomView } from '../../plan/room-view';

/** From the edge of the opening to the middle of the small box in the jamb, and its height, inches: *common practice*. */
const JAMB_IN = 1;
const JAMB_HEIGHT_IN = 66;

/** The hinge side of the one-leaf door of a small room, where a switch in the jamb feels the door; none where there is no such door. */
export function hingeJamb({ openings }: RoomView): Extract<BoxPlace, { kind: 'wall' }> | undefined {
  const seen = openings.find(({ opening }) => opening.kind === 'door' && opening.leaves === 1);
  if (seen?.opening.kind !== 'door') return undefined;
  const atStart = (seen.opening.hinge === 'left') === seen.own;
  const alongIn = atStart ? seen.alongIn - JAMB_IN : seen.alongIn + seen.widthIn + JAMB_IN;
  return { kind: 'wall', wall: seen.wall, alongIn, heightIn: JAMB_HEIGHT_IN };
}
