import type { SeenOpening } from './room-view';

/** The jamb at which a person's hand finds the switch: the latch side of a door, the nearer end of a wall otherwise. */
export function latchAlongIn(seen: SeenOpening, wallLengthIn: number): { alongIn: number; outward: 1 | -1 } {
  const { opening, alongIn, widthIn, own } = seen;
  const start = { alongIn, outward: -1 } as const;
  const end = { alongIn: alongIn + widthIn, outward: 1 } as const;
  if (opening.kind === 'door' && opening.leaves === 1) return (opening.hinge === 'left') === own ? end : start;
  if (opening.kind === 'slider') return (opening.moving === 'left') === own ? start : end;
  if (opening.kind === 'pocket' || opening.kind === 'barn') return (opening.opens === 'left') === own ? end : start;
  return alongIn > wallLengthIn - alongIn - widthIn ? start : end;
}
