import { keptRoutes, keyOf } from '../../circuits/kept-routes';
import { moveBox } from '../../edits/verbs';
import type { NewId } from '../../house/new-box';
import { joinEdits, type Edited } from '../../house/edit';
import type { Box, House } from '../../house/schema';
import { wireHouse } from '../../makeup/make-up';
import { checkHouse } from '../../nec/check-house';
import { areApart } from '../../place/nearest-on-stud';
import { isTakenFromBehind } from '../../place/back-to-back';
import { shadowsOver } from '../../place/obstructions';
import { bayAt, baysOf } from '../../plan/bays';
import { viewRoom } from '../../plan/room-view';
import { studFaces } from '../../plan/studs';
import { fromLoop, toLoop, wallLoop } from '../../plan/wall-loop';
import { findRoutes } from '../../route/find-routes';
import { keepRoutes } from '../../route/keep-routes';
import { holesOf } from '../../route/holes';
import { laidCables } from '../../route/laid';
import { succeed, type OnProgress, type Result } from '../../units/result';
import { roundToSixteenth } from '../../units/length';
import type { RouteWay } from '../../route/ways';

/** A box that would stand in the same bay as one it is wired to. */
export interface LineUp {
  readonly box: string;
  readonly tag: string;
  readonly to: Extract<Box['at'], { kind: 'wall' }>;
  /** How far it moves along its wall, inches; to the right as one faces it where positive. */
  readonly byIn: number;
  /** The box whose bay it comes into. */
  readonly beside: string;
  /** Members that need not be bored, and inches of cable saved. */
  readonly savesHoles: number;
  readonly savesIn: number;
}

/** Boxes farther apart than this are not moved to each other for a hole, inches. */
const NEAR_IN = 24;

interface Tried {
  readonly holes: number;
  readonly inches: number;
}

/** What all cables take when those of one box are led again: a member that others are bored through anyway is not saved. */
function takenBy(house: House, box: string, way: RouteWay): Tried | undefined {
  const only = new Set<string>();
  for (const { runs } of wireHouse(house).units)
    for (const run of runs) if (run.from?.id === box || run.to.id === box) only.add(keyOf(run));
  const plan = findRoutes(house, way, { only });
  if (!plan || plan.unrouted.length > 0) return undefined;
  const others = [...keptRoutes(house).sound.values()].filter((one) => one.from !== box && one.to !== box);
  const laid = laidCables(house, [...others, ...plan.routes]);
  return {
    holes: holesOf(house, laid).reduce((sum, one) => sum + one.members, 0),
    inches: plan.routes.reduce((sum, one) => sum + one.lengthIn, 0),
  };
}

const problemsOf = (house: House): ReadonlySet<string> =>
  new Set(checkHouse(house).findings.flatMap((one) => (one.stage === 'routes' ? [] : [one.key])));

/** Places on studs in the bay of one box at which another of its wall may stand. */
function placesBeside(house: House, box: Box, other: Box): Extract<Box['at'], { kind: 'wall' }>[] {
  if (box.at.kind !== 'wall' || other.at.kind !== 'wall' || box.room !== other.room) return [];
  const { at } = box;
  const view = viewRoom(house, box.room);
  const loop = wallLoop(view.room);
  const rooms = baysOf(view);
  const there = bayAt(rooms, loop.lengthIn, toLoop(loop, other.at.wall, other.at.alongIn));
  const here = bayAt(rooms, loop.lengthIn, toLoop(loop, at.wall, at.alongIn));
  if (there === undefined || there === here) return [];
  const bay = rooms.bays[there]!;
  return studFaces(view, at.heightIn, box.gangs).flatMap(({ atIn }) => {
    if (atIn < bay.fromIn || atIn > bay.toIn) return [];
    const { wall, alongIn } = fromLoop(loop, atIn);
    if (wall.id !== at.wall || Math.abs(alongIn - at.alongIn) > NEAR_IN) return [];
    const to = { ...at, alongIn: roundToSixteenth(alongIn) };
    const moved = { ...box, at: to };
    const isFree =
      !isTakenFromBehind(house, box.room, atIn, at.heightIn, box.gangs) &&
      view.boxes.every((one) => areApart(moved, one)) &&
      shadowsOver(view, moved).length === 0;
    return isFree ? [to] : [];
  });
}

/**
 * Boxes that would save holes by standing in the bay of a box that they are wired to: each move is tried, its cables led again, and the
 * whole house checked; what brings a finding that was not there before is not proposed. The most saving first.
 */
export function lineUpBoxes(house: House, way: RouteWay, onProgress: OnProgress = () => undefined): readonly LineUp[] {
  const before = problemsOf(house);
  // What an appliance asks for stands where the appliance does.
  const bound = new Set(Object.values(house.loads).map((one) => one.box));
  const pairs = wireHouse(house).units.flatMap(({ runs }) =>
    runs.flatMap(({ from, to }) => (from ? [[to, from] as const, [from, to] as const] : [])),
  );
  const found = new Map<string, LineUp>();
  pairs.forEach(([box, other], i) => {
    onProgress(i / pairs.length, box.tag);
    if (bound.has(box.id) || box.state === 'existing' || box.progress !== undefined || box.at.kind !== 'wall') return;
    for (const to of placesBeside(house, box, other)) {
      const now = takenBy(house, box.id, way);
      const moved = moveBox(house, box.id, to);
      if (!now || !moved.ok) continue;
      const then = takenBy(moved.value.house, box.id, way);
      if (!then || then.holes >= now.holes) continue;
      const saves = { savesHoles: now.holes - then.holes, savesIn: Math.round(now.inches - then.inches) };
      const known = found.get(box.id);
      if (known && known.savesHoles >= saves.savesHoles) continue;
      if ([...problemsOf(moved.value.house)].some((key) => !before.has(key))) continue;
      found.set(box.id, {
        box: box.id,
        tag: box.tag,
        to,
        byIn: to.alongIn - box.at.alongIn,
        beside: other.tag,
        ...saves,
      });
    }
  });
  return [...found.values()].sort((a, b) => b.savesHoles - a.savesHoles || b.savesIn - a.savesIn);
}

/** Moves a box as proposed, and leads the cables again that it loosens, as one edit. */
export function takeLineUp(house: House, { box, to, tag }: LineUp, way: RouteWay, newId: NewId): Result<Edited> {
  const moved = moveBox(house, box, to);
  if (!moved.ok) return moved;
  const next = moved.value.house;
  const loose = new Set([...keptRoutes(next).broken.keys()].map((one) => `${one.circuit} ${one.from ?? ''} ${one.to}`));
  if (loose.size === 0) return moved;
  const plan = findRoutes(next, way, { only: loose });
  const kept = plan && keepRoutes(next, plan.routes, newId);
  if (!kept?.ok) return moved;
  return succeed({
    house: kept.value.house,
    edit: joinEdits(`Move ${tag} into line`, [moved.value.edit, kept.value.edit]),
  });
}
