import { OUTDOOR_KINDS } from '../place/outdoors';
import type { Outlet } from '../circuits/outlets';
import { distance, distanceToSegment, innerPoint, type Point } from '../geometry/geometry';
import type { House, Room, SwitchGroup } from '../house/schema';
import { boxPoint } from '../plan/points';
import { lightsOf, within, type Lit } from './night-lights';
import { passagesOf, shortest, type Passage } from './passages';

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

export interface NightStep {
  readonly room: string;
  readonly level: string;
  readonly at: Point;
  /** Rooms that are lit when one is here. */
  readonly lit: readonly string[];
  readonly flaw: NightFlaw['kind'] | undefined;
  readonly says: string;
}

export interface NightWalk {
  readonly id: string;
  readonly name: string;
  readonly steps: readonly NightStep[];
}

export interface NightWalks {
  readonly walks: readonly NightWalk[];
  readonly flaws: readonly NightFlaw[];
  /** Share of the steps without a flaw, per cent. */
  readonly score: number;
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

  #flaw(
    kind: NightFlaw['kind'],
    room: Room,
    passage: Passage,
    group: SwitchGroup | undefined,
    walk: string,
    message: string,
  ): void {
    const key = `${kind} ${room.id} ${passage.id}`;
    const known = this.flaws.get(key);
    if (known) known.walks.push(walk);
    else
      this.flaws.set(key, {
        kind,
        room: room.id,
        passage: passage.id,
        at: passage.at,
        level: this.house.rooms[passage.from]!.level,
        message,
        group: group?.id,
        walks: [walk],
      });
  }

  walk(name: string, path: readonly Passage[]): NightWalk {
    const { house, lit } = this;
    const on = new Set<string>();
    const first = house.rooms[path[0]!.from]!;
    const steps: NightStep[] = [
      {
        room: first.id,
        level: first.level,
        at: innerPoint(first.corners),
        lit: [],
        flaw: undefined,
        says: `start in ${first.name}`,
      },
    ];
    path.forEach((passage, i) => {
      const [from, to] = [house.rooms[passage.from]!, house.rooms[passage.to]!];
      const groups = lit.byRoom.get(to.id) ?? [];
      const isLit = groups.some((one) => on.has(one.id));
      let flaw: NightFlaw['kind'] | undefined;
      let says = '';
      this.steps++;
      const found = groups.flatMap((group) => {
        const outlet = within(passage, lit, group);
        return outlet ? [{ group, outlet }] : [];
      })[0];
      const doorway = passage.edges ? `by the door from ${from.name}` : `at the stair from ${from.name}`;
      if (isLit) says = `${to.name} is lit already`;
      else if (found) {
        on.add(found.group.id);
        says = `switch ${found.outlet.box.tag} lights ${to.name}`;
        if (isBehindDoor(house, passage, found.outlet)) {
          flaw = 'behind-door';
          this.#flaw(
            'behind-door',
            to,
            passage,
            found.group,
            name,
            `${found.outlet.box.tag} is on the hinge side, behind the open door, when one comes into ${to.name} from ${from.name}.`,
          );
        }
      } else if (!OUTDOOR_KINDS.has(to.kind) || groups.length > 0) {
        flaw = groups.length > 0 ? 'dark' : 'no-light';
        says = groups.length > 0 ? `no switch for ${to.name} ${doorway}` : `${to.name} has no switched light`;
        this.#flaw(
          flaw,
          to,
          passage,
          groups[0],
          name,
          groups.length > 0
            ? `${capital(doorway)} there is no switch for the light of ${to.name}: one walks into the dark.`
            : `${to.name} has no light with a wall switch.`,
        );
      }
      // What was lit behind must go out from where one goes on: here, or at the next doorway.
      const behind = (lit.byRoom.get(from.id) ?? []).filter(
        (one) => on.has(one.id) && !lit.roomsOf.get(one.id)!.includes(to.id),
      );
      for (const group of behind) {
        if (within(passage, lit, group) || (path[i + 1] && within(path[i + 1]!, lit, group))) on.delete(group.id);
        else {
          on.delete(group.id);
          if (!flaw) this.bad += 0.5;
          this.#flaw(
            'turn-back',
            from,
            passage,
            group,
            name,
            `Going from ${from.name} into ${to.name} one turns back to switch off ${group.name}: no switch for it by that door.`,
          );
          flaw ??= 'turn-back';
          says += `; ${group.name} stays on behind`;
        }
      }
      if (flaw && flaw !== 'turn-back') this.bad++;
      const rooms = [...on].flatMap((id) => lit.roomsOf.get(id) ?? []);
      const end = i === path.length - 1;
      steps.push({
        room: from.id,
        level: from.level,
        at: passage.edges ? passage.at : innerPoint(from.corners),
        lit: rooms,
        flaw,
        says,
      });
      if (!passage.edges || end)
        steps.push({
          room: to.id,
          level: to.level,
          at: innerPoint(to.corners),
          lit: rooms,
          flaw: undefined,
          says: end ? `there: ${to.name}` : '',
        });
    });
    return { id: name, name, steps };
  }
}

const capital = (text: string) => text.charAt(0).toUpperCase() + text.slice(1);

/** Whether a door that swings into the room opens against the switch. */
function isBehindDoor(house: House, passage: Passage, outlet: Outlet): boolean {
  if (!passage.latch || !passage.edges || outlet.room.id !== passage.to) return false;
  const opening = house.openings[passage.id.split(' ')[0]!];
  if (opening?.kind !== 'door' || opening.leaves !== 1) return false;
  const opensInto = (opening.swing === 'in') === (opening.room === passage.to) ? passage.to : passage.from;
  if (opensInto !== passage.to) return false;
  const at = boxPoint(house, outlet.box);
  const hinge = [...passage.edges].sort((a, b) => distance(b, passage.latch!) - distance(a, passage.latch!))[0]!;
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
      passages.some((one) => one.from === room.id && !OUTDOOR_KINDS.has(house.rooms[one.to]!.kind)),
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
      .sort((a, b) => ways.get(a.id)!.length - ways.get(b.id)!.length)[0];
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
