import type { Room } from '@winculum/core';

export { boundsOf, type FloorMark, type Room } from '@winculum/core';

/** The outline of a room as a path. */
export const drawOutline = (room: Room): string => `M${room.corners.map(({ x, y }) => `${x} ${y}`).join('L')}Z`;
