import { isPaddleFan } from './fans';
import { OUTDOOR_KINDS } from './outdoors';
import type { Box, BoxType, Ceiling, Covering, House, Siding } from '../house/schema';
import { memo } from '../cache/memo';
import { HABITABLE_ROOMS } from './habitable';
import { isClosedAt } from './closed-walls';
import { viewRoom } from '../plan/room-view';
import { toLoop, wallLoop } from '../plan/wall-loop';
import { given, mustGet } from '../units/result';

const device = (
  id: string,
  gangs: number,
  volumeIn3: number,
  depthIn: number,
  extra: Partial<BoxType> = {},
): BoxType => ({
  id,
  gangs,
  volumeIn3,
  depthIn,
  shape: 'device',
  for: 'new',
  name: `${['Single', 'Two', 'Three', 'Four', 'Five', 'Six'][gangs - 1]}-gang${gangs === 1 ? '' : ' box'}, ${volumeIn3} in³`,
  ...extra,
});

export const BOX_TYPES: readonly BoxType[] = [
  device('gang-1', 1, 18, 2.75),
  device('gang-1-deep', 1, 22.5, 3.5, { name: 'Single-gang, deep, 22.5 in³' }),
  device('gang-1-adjustable', 1, 22, 3.5, { name: 'Single-gang, adjustable depth, 22 in³', adjustable: true }),
  device('gang-1-old-work', 1, 20, 3, { name: 'Single-gang, old work, 20 in³', for: 'old-work' }),
  device('gang-1-masonry', 1, 21, 3.5, { name: 'Single-gang, masonry, 21 in³', masonry: true }),
  device('gang-2', 2, 32, 2.9),
  device('gang-2-deep', 2, 44, 3.5, { name: 'Two-gang, deep, 44 in³' }),
  device('gang-2-adjustable', 2, 36, 3.5, { name: 'Two-gang, adjustable depth, 36 in³', adjustable: true }),
  device('gang-2-old-work', 2, 34, 3, { name: 'Two-gang, old work, 34 in³', for: 'old-work' }),
  device('gang-3', 3, 54, 3.5),
  device('gang-4', 4, 68, 3.5),
  device('gang-5', 5, 85, 3.5),
  device('gang-6', 6, 102, 3.5),
  {
    id: 'round-ceiling',
    name: 'Round ceiling box, 20 in³',
    gangs: 1,
    shape: 'round',
    volumeIn3: 20,
    depthIn: 2.75,
    for: 'new',
    carriesLb: 50,
  },
  {
    id: 'octagon-4',
    name: 'Octagon 4 x 2 1/8 in, 21.5 in³',
    gangs: 1,
    shape: 'octagon',
    volumeIn3: 21.5,
    depthIn: 2.125,
    for: 'new',
    carriesLb: 50,
  },
  // Square boxes under a round plaster ring: NEC Table 314.16(A), the ring's own volume left out. Built to carry a light, *from memory*, medium.
  {
    id: 'square-4-ring',
    name: 'Square 4 x 2 1/8 in, round plaster ring, 30.3 in³',
    gangs: 1,
    shape: 'octagon',
    volumeIn3: 30.3,
    depthIn: 2.125,
    for: 'new',
    carriesLb: 50,
  },
  {
    id: 'square-411-ring',
    name: 'Square 4 11/16 x 2 1/8 in, round plaster ring, 42 in³',
    gangs: 1,
    shape: 'octagon',
    volumeIn3: 42,
    depthIn: 2.125,
    for: 'new',
    carriesLb: 50,
  },
  {
    id: 'fan-brace',
    name: 'Fan-rated box on a brace, 21 in³',
    gangs: 1,
    shape: 'octagon',
    volumeIn3: 21,
    depthIn: 2.125,
    for: 'new',
    fanRated: true,
    carriesLb: 70,
  },
  {
    id: 'round-old-work',
    name: 'Round ceiling box, old work, 16 in³',
    gangs: 1,
    shape: 'round',
    volumeIn3: 16,
    depthIn: 2.5,
    for: 'old-work',
    carriesLb: 50,
  },
  {
    id: 'square-4',
    name: 'Square 4 x 2 1/8 in, 30.3 in³',
    gangs: 2,
    shape: 'square',
    volumeIn3: 30.3,
    depthIn: 2.125,
    for: 'new',
  },
  {
    id: 'weatherproof-1',
    name: 'Weatherproof single-gang, 18 in³',
    gangs: 1,
    shape: 'weatherproof',
    volumeIn3: 18,
    depthIn: 2.6,
    for: 'new',
  },
  {
    id: 'weatherproof-2',
    name: 'Weatherproof two-gang, 34 in³',
    gangs: 2,
    shape: 'weatherproof',
    volumeIn3: 34,
    depthIn: 2.6,
    for: 'new',
  },
  {
    id: 'floor-1',
    name: 'Listed floor box, 24 in³',
    gangs: 1,
    shape: 'floor',
    volumeIn3: 24,
    depthIn: 3.5,
    for: 'new',
  },
  {
    id: 'low-voltage-1',
    name: 'Low-voltage bracket, open back',
    gangs: 1,
    shape: 'low-voltage',
    volumeIn3: 0,
    depthIn: 0,
    for: 'new',
  },
  {
    id: 'alarm-plate',
    name: 'No box: the plate of the alarm',
    gangs: 1,
    shape: 'low-voltage',
    volumeIn3: 0,
    depthIn: 0,
    for: 'new',
  },
];

const withOwn = memo((own: readonly BoxType[]): readonly BoxType[] => {
  const ids = new Set(own.map((one) => one.id));
  return [...BOX_TYPES.filter((one) => !ids.has(one.id)), ...own];
});

/** The boxes to choose from: those of the catalogue, and in their place or beside them those that the firm has entered. */
export function boxTypes({ standards }: Pick<House, 'standards'>): readonly BoxType[] {
  return standards.boxTypes ? withOwn(standards.boxTypes) : BOX_TYPES;
}

/** A box of the catalogue or of the firm by its id. */
export const findBoxType = (house: Pick<House, 'standards'>, id: string | undefined): BoxType | undefined =>
  id === undefined ? undefined : boxTypes(house).find((one) => one.id === id);

/** What covers the wall behind a box, or the usual covering; undefined for one that is in no wall. */
export function coveringAt(house: House, box: Box): Covering | undefined {
  const { at } = box;
  const room = mustGet(house.rooms, box.room);
  // Outdoors it is siding, of which it says itself what it wants.
  if (at.kind !== 'wall' || OUTDOOR_KINDS.has(room.kind)) return undefined;
  const corner = room.corners.find((one) => one.id === at.wall);
  return corner?.covering ?? { kind: 'gypsum', thicknessIn: house.standards.coveringIn };
}

/** Whether a new box is cut into a wall or ceiling that stays closed. */
function isCutIn(house: House, { at, room: id }: Box): boolean {
  const room = mustGet(house.rooms, id);
  if (at.kind !== 'wall') return at.kind === 'ceiling' && room.closed === true;
  return isClosedAt(house, id, toLoop(wallLoop(room), at.wall, at.alongIn));
}

/**
 * The smallest box of the catalogue that suits the place: by gangs, weather, what hangs on it, the covering and whether it
 * is cut into a finished wall. Fill is counted where the wiring is known.
 */
export function suitableType(house: House, box: Box): BoxType {
  const devices = Object.values(box.devices);
  const oldWork = box.state === 'existing' || box.state === 'moved' || isCutIn(house, box);
  const pick = (id: string) => given(findBoxType(house, id));
  if (devices.length > 0 && devices.every((one) => one.kind === 'low-voltage')) return pick('low-voltage-1');
  if (devices.length > 0 && devices.every((one) => one.kind === 'alarm' && one.battery)) return pick('alarm-plate');
  if (box.at.kind === 'floor') return pick('floor-1');
  if (devices.some((one) => isPaddleFan(one, mustGet(house.rooms, box.room).kind))) return pick('fan-brace');
  if (box.at.kind === 'ceiling') {
    const heavy = devices.some((one) => one.kind === 'luminaire' && one.weightLb > 50);
    if (heavy || isFanPlace(house, box)) return pick('fan-brace');
    return pick(oldWork ? 'round-old-work' : 'round-ceiling');
  }
  if (OUTDOOR_KINDS.has(mustGet(house.rooms, box.room).kind))
    return pick(box.gangs > 1 ? 'weatherproof-2' : 'weatherproof-1');
  const covering = coveringAt(house, box);
  const onWall = devices.some((one) => one.kind === 'luminaire' || one.kind === 'alarm');
  if (onWall) return pick('octagon-4');
  let smallest: BoxType | undefined;
  for (const one of boxTypes(house))
    if (
      one.shape === 'device' &&
      one.gangs === box.gangs &&
      (one.for === 'old-work') === (oldWork && box.gangs <= 2) &&
      (one.masonry ?? false) === (covering?.kind === 'masonry' && box.gangs === 1) &&
      (one.adjustable ?? false) === (covering?.kind === 'undecided' && box.gangs <= 2) &&
      (!smallest || one.volumeIn3 < smallest.volumeIn3)
    )
      smallest = one;
  return smallest ?? pick(`gang-${box.gangs}`);
}

/** The type that somebody chose, or the one that suits. */
export const typeOf = (house: House, box: Box): BoxType => findBoxType(house, box.type) ?? suitableType(house, box);

/**
 * Whether a ceiling box is where a fan might hang one day: the one nearest to the middle of a habitable room, for a
 * luminaire that is not recessed. Which places are acceptable for a fan is a judgement: NEC 314.27(C), *from memory*, medium.
 */
export function isFanPlace(house: House, box: Box): boolean {
  const view = viewRoom(house, box.room);
  if (!HABITABLE_ROOMS.has(view.room.kind) || box.at.kind !== 'ceiling') return false;
  const xs = view.room.corners.map((one) => one.x);
  const ys = view.room.corners.map((one) => one.y);
  const middle = { x: (Math.min(...xs) + Math.max(...xs)) / 2, y: (Math.min(...ys) + Math.max(...ys)) / 2 };
  const far = Math.hypot(box.at.x - middle.x, box.at.y - middle.y);
  return far <= 24 && Object.values(box.devices).some((one) => one.kind === 'luminaire' && one.style !== 'recessed');
}

/** What a box asks of the carpenter besides a stud: blocking at three gangs and more, backing for weight: *common practice*. */
export function backingFor(box: Box): string | undefined {
  if (box.gangs >= 3 && box.at.kind === 'wall') return 'block behind, or the board bends it';
  const heaviest = Math.max(
    0,
    ...Object.values(box.devices).map((one) => (one.kind === 'luminaire' || one.kind === 'fan' ? one.weightLb : 0)),
  );
  if (heaviest > 50) return `backing for ${heaviest} lb, fixed to the framing`;
  return undefined;
}

/** How a box is set for the covering: what to let it stand out of the stud, and whether a ring or an adjustable box is due. */
interface BoxSetting {
  readonly standsOutIn: number | undefined;
  readonly advice: string | undefined;
}

/** What a box in a ceiling has to reach through: *common practice*; a box above tiles that lift out stays accessible (NEC 314.29). */
function inCeiling(ceiling: Ceiling | undefined): BoxSetting {
  if (!ceiling) return { standsOutIn: undefined, advice: undefined };
  const { kind, thicknessIn } = ceiling;
  switch (kind) {
    case 'undecided':
      return { standsOutIn: undefined, advice: 'ceiling undecided: use a box of adjustable depth, or set it later' };
    case 'drop':
      return {
        standsOutIn: undefined,
        advice: 'hung ceiling: box on a bar between its runners, or on the structure with a whip',
      };
    case 'coffered':
      return {
        standsOutIn: thicknessIn,
        advice: 'coffers: set it in the middle of a panel, after their layout is on the floor',
      };
    case 'wood':
      return { standsOutIn: thicknessIn, advice: 'wood burns: flush or proud, never back' };
    default:
      return { standsOutIn: thicknessIn, advice: undefined };
  }
}

/** Whether a box outdoors wants a block, since the siding under it is not flat. */
export function needsSidingBlock(house: House, box: Box): boolean {
  const { kind, siding } = mustGet(house.rooms, box.room);
  return (
    box.at.kind === 'wall' &&
    OUTDOOR_KINDS.has(kind) &&
    (siding?.kind === 'lap' || siding?.kind === 'shingle' || siding?.kind === 'board-and-batten')
  );
}

/** How an outdoor box meets the siding: *common practice*; what is behind the siding is kept dry by whoever hangs it. */
function inSiding(siding: Siding | undefined): BoxSetting {
  if (!siding) return { standsOutIn: undefined, advice: undefined };
  const { kind, thicknessIn, courseIn } = siding;
  const course = courseIn === undefined ? '' : ` of ${courseIn} in`;
  switch (kind) {
    case 'undecided':
      return { standsOutIn: undefined, advice: 'siding undecided: leave a tail, or a box of adjustable depth' };
    case 'lap':
    case 'shingle':
      return { standsOutIn: thicknessIn, advice: `mounting block over a whole course${course}, flashed` };
    case 'board-and-batten':
      return { standsOutIn: thicknessIn, advice: 'between two battens, or on a mounting block' };
    case 'panel':
      return { standsOutIn: thicknessIn, advice: undefined };
    default:
      return {
        standsOutIn: thicknessIn,
        advice: `${kind}: front flush with the finished face, extension ring as it is laid`,
      };
  }
}

/** Thicker than drywall of 5/8 in with plaster: a box set for drywall does not come to its face. *Common practice*. */
export const THICK_COVERING_IN = 0.8;

/** Front edges stand flush; not over 1/4 in back in a covering that does not burn, not at all in one that does: NEC 314.20. */
export function settingOf(house: House, box: Box): BoxSetting {
  const room = mustGet(house.rooms, box.room);
  if (box.at.kind === 'ceiling') return inCeiling(room.ceiling);
  if (box.at.kind === 'wall' && OUTDOOR_KINDS.has(room.kind)) return inSiding(room.siding);
  const covering = coveringAt(house, box);
  if (!covering) return { standsOutIn: undefined, advice: undefined };
  if (covering.kind === 'undecided')
    return { standsOutIn: undefined, advice: 'covering undecided: use a box of adjustable depth, or set it later' };
  const { thicknessIn } = covering;
  if (covering.kind === 'masonry') return { standsOutIn: 0, advice: 'masonry: box in the block, front flush' };
  if (thicknessIn > THICK_COVERING_IN)
    return { standsOutIn: thicknessIn, advice: 'thick covering: adjustable box, or an extension ring after it is on' };
  return {
    standsOutIn: thicknessIn,
    advice: covering.kind === 'wood' ? 'wood burns: flush or proud, never back' : undefined,
  };
}
