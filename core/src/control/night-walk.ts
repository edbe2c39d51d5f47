import { OUTDOOR_KINDS } from '../place/outdoors';
import type { Outlet } from '../circuits/outlets';
import { distance, distanceToSegment, innerPoint, type Point } from '../geometry/geometry';
import type { House, Room, SwitchGroup } from '../house/schema';
import { boxPoint } from '../plan/points';
import { lightsOf, within, type Lit } from './night-lights';
import { passagesOf, shortest, type Passage } from './passages';
import { given, itemAt, mustGet } from '../units/result';

/** One thing wrong at one place, and the walks that meet it. */
export interface NightFlaw {
  readonly kind: 'dark' | 'turn-back' | 'no-light' | 'behind-door';
  readonly room: string;
  readonly passage: string;
  readonly at: Point;
  readonly level: string;
  readonly message: string;
  /** The group that should have a control point here; none where the room has no switched light. */
  readonly group: string | undefined;
  readonly walks: readonly string[];
}

/** One room on a way in the dark: lit from where one comes in, or crossed in the dark. */
export interface NightStep {
  readonly room: string;
  readonly level: string;
  readonly at: Point;
  /** Rooms that are lit when one is here. */
  readonly lit: readonly string[];
  readonly flaw: NightFlaw['kind'] | undefined;
  readonly says: string;
}

/** A way through the house at night, room by room. */
export interface NightWalk {
  readonly id: string;
  readonly name: string;
  readonly steps: readonly NightStep[];
}

/** All ways that were walked, and those of them that lead through the dark. */
export interface NightWalks {
  readonly walks: readonly NightWalk[];
  readonly flaws: readonly NightFlaw[];
  /** Share of the steps without a flaw, per cent. */
  readonly score: number;
}

/** A way from one room into the next, on somebody's walk. */
interface Doorway {
  readonly passage: Passage;
  readonly from: Room;
  readonly to: Room;
  readonly walk: string;
}

const GOALS = /^(bedroom|bathroom|half-bath|kitchen|garage|deck|laundry)$/;
class Walker {
  readonly flaws = new Map<string, NightFlaw & { walks: string[] }>();
  steps = 0;
  bad = 0;
  constructor(
    readonly house: House,
    readonly lit: Lit,
  ) {}

  #note({ passage, walk }: Doorway, flaw: Pick<NightFlaw, 'kind' | 'room' | 'group' | 'message'>): void {
    const key = `${flaw.kind} ${flaw.room} ${passage.id}`;
    const known = this.flaws.get(key);
    if (known) known.walks.push(walk);
    else
      this.flaws.set(key, {
        ...flaw,
        passage: passage.id,
        at: passage.at,
        level: mustGet(this.house.rooms, passage.from).level,
        walks: [walk],
      });
  }

  /** What one finds on coming in: light, a switch within reach, or neither. What is switched on joins `on`. */
  #comeIn(doorway: Doorway, on: Set<string>): Pick<NightStep, 'flaw' | 'says'> {
    const { house, lit } = this;
    const { passage, from, to } = doorway;
    const groups = lit.byRoom.get(to.id) ?? [];
    if (groups.some((one) => on.has(one.id))) return { flaw: undefined, says: `${to.name} is lit already` };
    const found = groups.flatMap((group) => {
      const outlet = within(passage, lit, group);
      return outlet ? [{ group, outlet }] : [];
    })[0];
    if (found) {
      const { group, outlet } = found;
      on.add(group.id);
      const says = `switch ${outlet.box.tag} lights ${to.name}`;
      if (!isBehindDoor(house, passage, outlet)) return { flaw: undefined, says };
      const message = `${outlet.box.tag} is on the hinge side, behind the open door, when one comes into ${to.name} from ${from.name}.`;
      this.#note(doorway, { kind: 'behind-door', room: to.id, group: group.id, message });
      return { flaw: 'behind-door', says };
    }
    if (groups.length === 0) {
      if (OUTDOOR_KINDS.has(to.kind)) return { flaw: undefined, says: '' };
      const message = `${to.name} has no light with a wall switch.`;
      this.#note(doorway, { kind: 'no-light', room: to.id, group: undefined, message });
      return { flaw: 'no-light', says: `${to.name} has no switched light` };
    }
    const place = passage.edges ? `by the door from ${from.name}` : `at the stair from ${from.name}`;
    const message = `${capital(place)} there is no switch for the light of ${to.name}: one walks into the dark.`;
    this.#note(doorway, { kind: 'dark', room: to.id, group: itemAt(groups, 0).id, message });
    return { flaw: 'dark', says: `no switch for ${to.name} ${place}` };
  }

  /** What was lit behind must go out from where one goes on: here, or at the next doorway. Answers what stays on. */
  #putOutBehind(doorway: Doorway, next: Passage | undefined, on: Set<string>): readonly SwitchGroup[] {
    const { lit } = this;
    const { passage, from, to } = doorway;
    const behind = (lit.byRoom.get(from.id) ?? []).filter(
      (one) => on.has(one.id) && !given(lit.roomsOf.get(one.id)).includes(to.id),
    );
    return behind.filter((group) => {
      on.delete(group.id);
      if (within(passage, lit, group) || (next && within(next, lit, group))) return false;
      const message = `Going from ${from.name} into ${to.name} one turns back to switch off ${group.name}: no switch for it by that door.`;
      this.#note(doorway, { kind: 'turn-back', room: from.id, group: group.id, message });
      return true;
    });
  }

  walk(name: string, path: readonly Passage[]): NightWalk {
    const { house, lit } = this;
    const on = new Set<string>();
    const inRoom = (room: Room): Pick<NightStep, 'room' | 'level' | 'at'> => ({
      room: room.id,
      level: room.level,
      at: innerPoint(room.corners),
    });
    const first = mustGet(house.rooms, itemAt(path, 0).from);
    const steps: NightStep[] = [{ ...inRoom(first), lit: [], flaw: undefined, says: `start in ${first.name}` }];
    path.forEach((passage, i) => {
      this.steps++;
      const [from, to] = [mustGet(house.rooms, passage.from), mustGet(house.rooms, passage.to)];
      const doorway = { passage, from, to, walk: name };
      const { flaw, says } = this.#comeIn(doorway, on);
      const left = this.#putOutBehind(doorway, path[i + 1], on);
      // What stays on is half as bad as walking into the dark.
      this.bad += flaw ? 1 : left.length > 0 ? 0.5 : 0;
      const rooms = [...on].flatMap((id) => lit.roomsOf.get(id) ?? []);
      const isEnd = i === path.length - 1;
      steps.push({
        ...inRoom(from),
        ...(passage.edges ? { at: passage.at } : {}),
        lit: rooms,
        flaw: flaw ?? (left.length > 0 ? 'turn-back' : undefined),
        says: [says, ...left.map((group) => `${group.name} stays on behind`)].join('; '),
      });
      if (!passage.edges || isEnd)
        steps.push({ ...inRoom(to), lit: rooms, flaw: undefined, says: isEnd ? `there: ${to.name}` : '' });
    });
    return { id: name, name, steps };
  }
}

const capital = (text: string) => text.charAt(0).toUpperCase() + text.slice(1);

/** Whether a door that swings into the room opens against the switch. */
function isBehindDoor(house: House, passage: Passage, outlet: Outlet): boolean {
  if (!passage.latch || !passage.edges || outlet.room.id !== passage.to) return false;
  const opening = house.openings[itemAt(passage.id.split(' '), 0)];
  if (opening?.kind !== 'door' || opening.leaves !== 1) return false;
  const opensInto = (opening.swing === 'in') === (opening.room === passage.to) ? passage.to : passage.from;
  if (opensInto !== passage.to) return false;
  const at = boxPoint(house, outlet.box);
  const hinge = itemAt(
    [...passage.edges].sort((a, b) => distance(b, given(passage.latch)) - distance(a, given(passage.latch))),
    0,
  );
  return (
    distance(at, hinge) < distance(at, passage.latch) &&
    distanceToSegment(at, passage.edges[0], passage.edges[1]) < opening.widthIn
  );
}

/**
 * Walks the house in the dark: from every way in to every bedroom, bath, kitchen, garage and deck, and out again. Is there a
 * switch within reach before the dark, on the latch side, and one ahead to switch off what was lit behind? *Common practice*;
 * the code asks for less (NEC 210.70).
 */
export function walkAtNight(house: House): NightWalks {
  const passages = passagesOf(house);
  const lit = lightsOf(house);
  const walker = new Walker(house, lit);
  const rooms = Object.values(house.rooms);
  const entries = rooms.filter(
    (room) =>
      (OUTDOOR_KINDS.has(room.kind) || room.kind === 'garage') &&
      passages.some((one) => one.from === room.id && !OUTDOOR_KINDS.has(mustGet(house.rooms, one.to).kind)),
  );
  const goals = rooms.filter((room) => GOALS.test(room.kind));
  const walks: NightWalk[] = [];
  const add = (from: Room, to: Room) => {
    const path = shortest(passages, from.id).get(to.id);
    if (path && path.length > 0) walks.push(walker.walk(`${from.name} to ${to.name}`, path));
  };
  for (const entry of entries)
    for (const goal of goals) {
      if (entry === goal || OUTDOOR_KINDS.has(goal.kind)) continue;
      add(entry, goal);
      add(goal, entry);
    }
  for (const bed of goals.filter((room) => room.kind === 'bedroom')) {
    const ways = shortest(passages, bed.id);
    const bath = goals
      .filter((room) => /bath/.test(room.kind) && ways.has(room.id))
      .sort((a, b) => given(ways.get(a.id)).length - given(ways.get(b.id)).length)[0];
    if (bath) {
      add(bed, bath);
      add(bath, bed);
    }
  }
  return {
    walks,
    flaws: [...walker.flaws.values()].sort((a, b) => b.walks.length - a.walks.length),
    score: walker.steps === 0 ? 0 : Math.round(100 * Math.max(0, 1 - walker.bad / walker.steps)),
  };
}
