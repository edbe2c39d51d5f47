import type { Opening } from '../house/schema';

/** An opening as a room sees it on its own floor line. */
export interface SeenOpening {
  readonly opening: Opening;
  /** Wall of the seeing room. */
  readonly wall: string;
  readonly alongIn: number;
  readonly widthIn: number;
  /** Whether the opening is stored on this room. */
  readonly own: boolean;
}

/** Windows leave wall below them; fixed glass counts as wall (fixed panels). Of a sliding door only the moving half breaks. */
export function openingBreak(seen: SeenOpening): { alongIn: number; widthIn: number; cause: string } | undefined {
  const { opening, alongIn, widthIn } = seen;
  switch (opening.kind) {
    case 'window':
    case 'fixed-glass':
      return undefined;
    case 'slider': {
      const movingAtStart = (opening.moving === 'left') === seen.own;
      return { alongIn: movingAtStart ? alongIn : alongIn + widthIn / 2, widthIn: widthIn / 2, cause: 'moving panel' };
    }
    case 'pocket':
    case 'barn':
    case 'door':
      return { alongIn, widthIn, cause: 'door' };
    case 'cased':
      return { alongIn, widthIn, cause: 'cased opening' };
    case 'vehicle':
      return { alongIn, widthIn, cause: 'vehicle door' };
  }
}
