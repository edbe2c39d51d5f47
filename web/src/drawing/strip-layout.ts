import {
  bodiesBackToBack,
  cutIntervals,
  findWall,
  barredByFraming,
  layStuds,
  metBackToBack,
  narrowBays,
  openingBreak,
  reachInRoom,
  stretchBefore,
  toLoop,
  viewRoom,
  wallLoop,
  wrapIn,
  type Box,
  type Feature,
  type House,
  type Interval,
  type PlacementLimits,
  type RoomView,
  type SeenOpening,
  type WallLoop,
} from '@winculum/core';

export interface StripPart {
  readonly id: string;
  readonly label: string;
  /** How it is drawn: a hole in the wall, glass, a fixed thing, furniture. */
  readonly look: 'void' | 'window' | 'glass' | 'fixed' | 'soft';
  readonly fromIn: number;
  readonly toIn: number;
  readonly bottomIn: number;
  readonly topIn: number;
}

/** A room's walls as one line, cut open at the jamb where the walk starts. Places are inches from there. */
export interface Strip {
  readonly roomName: string;
  readonly loop: WallLoop;
  /** Loop distance of the cut. */
  readonly startIn: number;
  readonly startsAt: string;
  readonly lengthIn: number;
  readonly ceilingIn: number;
  readonly studSpacingIn: number;
  readonly walls: readonly { readonly name: string; readonly fromIn: number; readonly toIn: number }[];
  /** Bays that an ordinary drill does not get into, and what framing bars. */
  readonly narrow: readonly Interval[];
  readonly barred: readonly (Interval & {
    readonly bottomIn: number;
    readonly topIn: number;
    readonly cause: string;
  })[];
  readonly studs: readonly { readonly at: number; readonly kind: string }[];
  readonly parts: readonly StripPart[];
  readonly ribbon: readonly (Interval & { readonly reached: boolean })[];
  readonly boxes: readonly {
    readonly box: Box;
    readonly at: number;
    readonly atLoopIn: number;
    readonly heightIn: number;
    /** Whether it meets a box of the next room in the wall. */
    readonly meets: boolean;
  }[];
  /** Boxes of the next rooms in these walls. */
  readonly behind: readonly {
    readonly box: Box;
    readonly room: string;
    readonly at: number;
    readonly heightIn: number;
  }[];
}

/** A loop distance as a distance from the cut. */
export const cutAt = (strip: { readonly startIn: number; readonly lengthIn: number }, atLoopIn: number): number =>
  (((atLoopIn - strip.startIn) % strip.lengthIn) + strip.lengthIn) % strip.lengthIn;

/** The walk starts at the far jamb of the first door, so that the strip reads left to right as one walks in and turns left. */
function findStart(view: RoomView): { startIn: number; startsAt: string } {
  const loop = wallLoop(view.room);
  const door =
    view.openings.find((seen) => seen.opening.kind === 'door') ??
    view.openings.find((seen) => openingBreak(seen) !== undefined);
  if (!door) return { startIn: 0, startsAt: `from the ${loop.walls[0]!.name} wall's left corner` };
  return {
    startIn: wrapIn(loop, toLoop(loop, door.wall, door.alongIn + door.widthIn)),
    startsAt: `from the right jamb of the ${findWall(loop, door.wall)!.name} ${door.opening.kind === 'door' ? 'door' : 'opening'}, walking left to right`,
  };
}

const openingPart = (loop: WallLoop, seen: SeenOpening): Omit<StripPart, 'id'> => {
  const { opening } = seen;
  const fromIn = toLoop(loop, seen.wall, seen.alongIn);
  const base = { fromIn, toIn: fromIn + seen.widthIn, topIn: opening.headIn, bottomIn: 0 };
  switch (opening.kind) {
    case 'window':
      return { ...base, bottomIn: opening.sillIn, label: 'window', look: 'window' };
    case 'fixed-glass':
      return { ...base, label: 'glass', look: 'glass' };
    case 'slider':
      return { ...base, label: 'sliding door', look: 'glass' };
    case 'pocket':
      return { ...base, label: 'pocket door', look: 'void' };
    case 'barn':
      return { ...base, label: 'barn door', look: 'void' };
    case 'door':
      return { ...base, label: 'door', look: 'void' };
    case 'cased':
      return { ...base, label: 'opening', look: 'void' };
    case 'vehicle':
      return { ...base, label: 'vehicle door', look: 'void' };
  }
};

function featurePart(loop: WallLoop, feature: Feature): Omit<StripPart, 'id'>[] {
  if (feature.at.kind !== 'wall') return [];
  const stretch = stretchBefore(loop, feature.at);
  return [
    {
      ...stretch,
      bottomIn: 0,
      topIn: feature.heightIn,
      label: feature.name || feature.kind.replaceAll('-', ' '),
      look: feature.kind === 'furniture' ? 'soft' : 'fixed',
    },
  ];
}

/** Moves stretches of the loop to distances from the cut; one that lies over the cut falls in two. */
function cutOpen<T extends Interval>(strip: { readonly startIn: number; readonly lengthIn: number }, stretch: T): T[] {
  const fromIn = cutAt(strip, stretch.fromIn);
  const toIn = fromIn + (stretch.toIn - stretch.fromIn);
  if (toIn <= strip.lengthIn + 0.01) return [{ ...stretch, fromIn, toIn: Math.min(toIn, strip.lengthIn) }];
  return [
    { ...stretch, fromIn, toIn: strip.lengthIn },
    { ...stretch, fromIn: 0, toIn: toIn - strip.lengthIn },
  ];
}

function ribbonOf(view: RoomView, limits: PlacementLimits): (Interval & { reached: boolean })[] {
  return reachInRoom(view, limits).flatMap(({ space, reach }) => {
    const reached = cutIntervals(space, reach.gaps);
    return [
      ...reached.map((one) => ({ ...one, reached: true })),
      ...reach.gaps.map((one) => ({ ...one, reached: false })),
    ];
  });
}

/** Lays a room's walls out as a strip. Pure; drawn by the wall strip. */
export function layOutStrip(house: House, roomId: string, limits: PlacementLimits): Strip {
  const view = viewRoom(house, roomId);
  const loop = wallLoop(view.room);
  const base = { ...findStart(view), lengthIn: loop.lengthIn };
  const parts = [
    ...view.openings.map((seen) => ({ ...openingPart(loop, seen), id: seen.opening.id })),
    ...view.features.flatMap((feature) => featurePart(loop, feature).map((part) => ({ ...part, id: feature.id }))),
  ];
  return {
    ...base,
    loop,
    roomName: view.room.name,
    ceilingIn: view.level.ceilingIn,
    studSpacingIn: view.level.studSpacingIn,
    walls: loop.walls.flatMap((wall) =>
      cutOpen(base, { name: wall.name, fromIn: wall.startIn, toIn: wall.startIn + wall.lengthIn }),
    ),
    studs: layStuds(view).map((stud) => ({ at: cutAt(base, stud.atIn), kind: stud.kind })),
    narrow: narrowBays(view).flatMap((bay) => cutOpen(base, { fromIn: bay.fromIn, toIn: bay.toIn })),
    barred: barredByFraming(view).flatMap((one) => cutOpen(base, one)),
    parts: parts.flatMap((part) => cutOpen(base, part)).map((part, i) => ({ ...part, id: `${part.id}-${i}` })),
    ribbon: ribbonOf(view, limits).flatMap((stretch) => cutOpen(base, stretch)),
    boxes: view.boxes.flatMap((box) => {
      if (box.at.kind !== 'wall') return [];
      const atLoopIn = toLoop(loop, box.at.wall, box.at.alongIn);
      const meets = metBackToBack(house, box).length > 0;
      return [{ box, atLoopIn, at: cutAt(base, atLoopIn), heightIn: box.at.heightIn, meets }];
    }),
    behind: bodiesBackToBack(house, roomId).flatMap(({ box, atIn }) =>
      box.at.kind === 'wall'
        ? [{ box, room: house.rooms[box.room]!.name, at: cutAt(base, atIn), heightIn: box.at.heightIn }]
        : [],
    ),
  };
}
