import { areaFt2 } from '../../geometry/geometry';
import { cutIntervals, type Interval } from '../../geometry/intervals';
import { edit, joinEdits, type Edited } from '../../house/edit';
import type { Feature, House, Opening } from '../../house/schema';
import type { NewId } from '../../house/new-box';
import { OUTDOOR_KINDS } from '../../place/outdoors';
import { shadowsOf } from '../../place/obstructions';
import { facingOf } from '../../plan/facing';
import { viewRoom, type RoomView } from '../../plan/room-view';
import { stretchBefore, wallLoop, type LoopWall } from '../../plan/wall-loop';
import { receptaclesOf } from '../../place/receptacles';
import { refuse, succeed, type Result } from '../../units/result';
import { connectAppliances } from '../../edits/connect-appliances';

export const INSULATION = ['good', 'usual', 'poor'] as const;
export type Insulation = (typeof INSULATION)[number];

/** Watts a square foot of floor by insulation, under an 8 ft ceiling with one outside wall: 6 to 10, *common practice*. */
const W_PER_FT2: Readonly<Record<Insulation, readonly [from: number, to: number]>> = {
  good: [6, 7.5],
  usual: [7.5, 9],
  poor: [9, 10],
};
/** By the number of outside walls, none to three: *common practice*. */
const OUTSIDE_FACTOR = [0.8, 1, 1.1, 1.2];
/** Glass beyond this share of the floor takes a tenth more: *common practice*. */
const [MUCH_GLASS, GLASS_FACTOR] = [0.15, 1.1];
const USUAL_CEILING_IN = 96;

/** A band of watts for heating a room, and what it follows from. An estimate: a heat-loss calculation decides. */
interface HeatEstimate {
  readonly fromW: number;
  readonly toW: number;
  readonly why: string;
}

/** Underside of an opening above the floor: of a door, the floor itself. */
const sillOf = (opening: Opening): number => ('sillIn' in opening ? opening.sillIn : 0);

/** The walls of a room with no heated room behind most of them. */
function outsideWalls(house: House, view: RoomView): LoopWall[] {
  const facing = facingOf(house, view.room).filter(
    (one) => !OUTDOOR_KINDS.has(one.other.kind) && one.other.kind !== 'garage',
  );
  return wallLoop(view.room).walls.filter((wall) => {
    if (wall.boundary !== 'solid') return false;
    const covered = facing
      .filter((one) => one.wall.id === wall.id)
      .reduce((sum, one) => sum + Math.max(0, Math.min(wall.lengthIn, one.toIn) - Math.max(0, one.fromIn)), 0);
    return covered < wall.lengthIn / 2;
  });
}

/** An estimate of a room's heat by its floor, height, outside walls, glass and insulation. *Common practice*. */
export function estimateHeat(house: House, roomId: string, insulation: Insulation): HeatEstimate {
  const view = viewRoom(house, roomId);
  const floor = areaFt2(view.room.corners);
  const outside = outsideWalls(house, view).length;
  const glass = view.openings
    .filter(({ opening }) => opening.kind === 'window' || opening.kind === 'fixed-glass' || opening.kind === 'slider')
    .reduce((sum, { opening, widthIn }) => sum + (widthIn * (opening.headIn - sillOf(opening))) / 144, 0);
  const isGlassy = glass > MUCH_GLASS * floor;
  const factor =
    OUTSIDE_FACTOR[Math.min(3, outside)]! * (isGlassy ? GLASS_FACTOR : 1) * (view.level.ceilingIn / USUAL_CEILING_IN);
  const [low, high] = W_PER_FT2[insulation];
  const round = (watts: number) => Math.ceil(watts / 50) * 50;
  return {
    fromW: round(floor * low * factor),
    toW: round(floor * high * factor),
    why: `${floor.toFixed(0)} ft² at ${low} to ${high} W, ${outside} outside wall${outside === 1 ? '' : 's'}${isGlassy ? ', much glass' : ''}, ceiling ${(view.level.ceilingIn / 12).toFixed(1)} ft`,
  };
}

/** Lengths that baseboard heaters are made in, inches, and what they give at 250 W a foot, *common practice*: the plate decides. */
const LENGTHS_IN = [96, 72, 60, 48, 36, 24] as const;
const W_PER_FT = 250;
const wattsOf = (lengthIn: number): number => (lengthIn / 12) * W_PER_FT;
/** Clear of a receptacle above, of an inside corner and of whatever else stands at the wall, inches: *common practice*. */
const CLEAR_IN = 6;
const [HEATER_DEPTH_IN, HEATER_HEIGHT_IN] = [3, 8];

interface HeaterProposal {
  readonly heaters: readonly Feature[];
  readonly watts: number;
  /** What found no room on the walls. */
  readonly missingW: number;
}

interface Stretch extends Interval {
  readonly wall: LoopWall;
  readonly isOutside: boolean;
  /** Middles of the windows over it, along the wall. */
  readonly windows: readonly number[];
}

/** Stretches of wall on which a heater may stand: clear of doors and their leaves, of what stands at the wall, and of receptacles. */
function freeStretches(house: House, view: RoomView): Stretch[] {
  const loop = wallLoop(view.room);
  const outside = new Set(outsideWalls(house, view).map((wall) => wall.id));
  const shadows = shadowsOf(view).filter((one) => one.bottomIn < HEATER_HEIGHT_IN);
  const standing = view.features.flatMap((feature) => {
    const { at } = feature;
    return at.kind === 'wall' && (feature.bottomIn ?? 0) < HEATER_HEIGHT_IN ? [stretchBefore(loop, at)] : [];
  });
  return loop.walls
    .filter((wall) => wall.boundary === 'solid')
    .flatMap((wall) => {
      const onWall = (one: Interval): Interval => ({
        fromIn: one.fromIn - wall.startIn - CLEAR_IN,
        toIn: one.toIn - wall.startIn + CLEAR_IN,
      });
      const here = view.openings.filter((one) => one.wall === wall.id);
      const doors = here
        .filter(({ opening }) => sillOf(opening) < HEATER_HEIGHT_IN + CLEAR_IN)
        .map(({ alongIn, widthIn }) => ({ fromIn: alongIn - CLEAR_IN, toIn: alongIn + widthIn + CLEAR_IN }));
      const receptacles = view.boxes.flatMap((box) =>
        box.at.kind === 'wall' && box.at.wall === wall.id && receptaclesOf(box).length > 0
          ? [{ fromIn: box.at.alongIn - CLEAR_IN, toIn: box.at.alongIn + CLEAR_IN }]
          : [],
      );
      const windows = here
        .filter(({ opening }) => sillOf(opening) >= HEATER_HEIGHT_IN + CLEAR_IN)
        .map(({ alongIn, widthIn }) => alongIn + widthIn / 2);
      const taken = [...doors, ...receptacles, ...[...shadows, ...standing].map(onWall)];
      return cutIntervals({ fromIn: CLEAR_IN, toIn: wall.lengthIn - CLEAR_IN }, taken).map((free) => ({
        ...free,
        wall,
        isOutside: outside.has(wall.id),
        windows: windows.filter((middle) => middle > free.fromIn && middle < free.toIn),
      }));
    });
}

/**
 * Baseboard heaters for so many watts: the longest that are not too much, under the windows first, on outside walls before inside ones,
 * clear of doors, furniture and receptacles. What fits nowhere is said.
 */
export function proposeHeaters(house: House, roomId: string, watts: number, newId: NewId): HeaterProposal {
  const view = viewRoom(house, roomId);
  const rank = (one: Stretch) => (one.windows.length > 0 ? 2 : 0) + (one.isOutside ? 1 : 0);
  const stretches = freeStretches(house, view).sort(
    (a, b) => rank(b) - rank(a) || b.toIn - b.fromIn - (a.toIn - a.fromIn),
  );
  const heaters: Feature[] = [];
  let left = watts;
  for (const { wall, fromIn, toIn, windows } of stretches) {
    if (left <= 0) break;
    const room = toIn - fromIn;
    const fitting = LENGTHS_IN.filter((one) => one <= room);
    // The shortest that is enough, else the longest that fits.
    const lengthIn = fitting.findLast((one) => wattsOf(one) >= left) ?? fitting[0];
    if (lengthIn === undefined) continue;
    const middle = windows[0] ?? (fromIn + toIn) / 2;
    const alongIn = Math.min(Math.max(middle - lengthIn / 2, fromIn), toIn - lengthIn);
    heaters.push({
      id: newId('heater'),
      room: roomId,
      kind: 'baseboard-heater',
      name: '',
      at: { kind: 'wall', wall: wall.id, alongIn, widthIn: lengthIn, depthIn: HEATER_DEPTH_IN, behindIn: 0 },
      heightIn: HEATER_HEIGHT_IN,
    });
    left -= wattsOf(lengthIn);
  }
  const placed = heaters.reduce((sum, one) => sum + (one.at.kind === 'wall' ? wattsOf(one.at.widthIn) : 0), 0);
  return { heaters, watts: placed, missingW: Math.max(0, left) };
}

/** Puts heaters in with their boxes and loads, each with the watts of its length, as one edit. */
export function putInHeaters(house: House, { heaters }: HeaterProposal, newId: NewId): Result<Edited> {
  if (heaters.length === 0)
    return refuse(
      'nowhere',
      'features',
      'No wall of this room has 2 ft free for a heater, clear of doors, furniture and receptacles.',
    );
  const ids = new Set(heaters.map((one) => one.id));
  const drawn = edit(house, 'Put in heaters', (draft) => {
    for (const one of heaters) draft.features[one.id] = { ...one, at: { ...one.at } };
  });
  if (!drawn.ok) return drawn;
  const connected = connectAppliances(drawn.value.house, newId, ids);
  if (!connected.ok) return connected;
  const added = Object.values(connected.value.house.loads).filter((one) => !house.loads[one.id]);
  const rated = edit(connected.value.house, 'Rate the heaters', (draft) => {
    added.forEach((load, i) => {
      const { at } = heaters[i]!;
      if (at.kind === 'wall')
        Object.assign(draft.loads[load.id]!, { va: wattsOf(at.widthIn), name: `Heater, ${at.widthIn / 12} ft` });
    });
  });
  if (!rated.ok) return rated;
  const { house: then } = rated.value;
  const steps = [drawn.value.edit, connected.value.edit, rated.value.edit];
  return succeed({ house: then, edit: joinEdits('Put in heaters', steps) });
}
