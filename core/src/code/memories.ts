import type { Circuit, House } from '../house/schema';
import { sameParts } from '../house/remember';
import type { RoomView } from '../plan/room-view';
import { wireHouse, type BoxMakeUp, type UnitWiring } from '../wiring/make-up';
import type { InForce } from './in-force';
import type { Facts, ReadsBoxes, Verdict } from './rule';

/** Verdicts of a rule about one thing; null where it does not apply to it. */
export type Verdicts = readonly Verdict[] | null;
type Memory = Map<InForce, Verdicts>;

const roomMemory = new WeakMap<RoomView, Memory>();

function memoryOfRoom(view: RoomView): Memory {
  let memory = roomMemory.get(view);
  if (!memory) roomMemory.set(view, (memory = new Map()));
  return memory;
}

/** The parts of a house, boxes left out, that a rule about one circuit may read: the same object while they are the same. */
function groundOf(house: House): object {
  const { rooms, openings, features, levels, panels, circuits, cables, switchGroups, loads, standards, job } = house;
  const parts = [rooms, openings, features, levels, panels, circuits, cables, switchGroups, loads, standards, job];
  const known = grounds.get(rooms);
  if (known && sameParts(known, parts)) return known;
  grounds.set(rooms, parts);
  return parts;
}
const grounds = new WeakMap<House['rooms'], readonly object[]>();

interface Grounded {
  readonly ground: object;
  readonly memory: Memory;
}
const groundedMemory = new WeakMap<object, Grounded>();

/** What is remembered of a thing as long as it stands on the same ground. */
function memoryOn(ground: object, thing: object): Memory {
  let known = groundedMemory.get(thing);
  if (known?.ground !== ground) groundedMemory.set(thing, (known = { ground, memory: new Map() }));
  return known.memory;
}

/** Things that rules are about one by one, and what is remembered of each. */
interface Remembered<T> {
  readonly things: readonly T[];
  readonly memories: readonly Memory[];
}

/** What is remembered of a house, looked up once for all rules; its wiring when the first rule asks for it. */
export class Memories {
  readonly ground: object;
  readonly rooms: Remembered<RoomView>;
  readonly circuits: Remembered<Circuit>;
  #units: Remembered<UnitWiring> | undefined;
  #makeUps: Remembered<BoxMakeUp> | undefined;

  constructor(readonly facts: Facts) {
    const { house, views, circuits, outlets } = facts;
    this.ground = groundOf(house);
    this.rooms = { things: views, memories: views.map(memoryOfRoom) };
    // The list of a circuit's outlets is the same object as long as circuit and outlets are.
    this.circuits = {
      things: circuits,
      memories: circuits.map((circuit) => memoryOn(this.ground, outlets.byCircuit.get(circuit.id)!)),
    };
  }

  #on<T extends object>(things: readonly T[]): Remembered<T> {
    return { things, memories: things.map((one) => memoryOn(this.ground, one)) };
  }

  get units(): Remembered<UnitWiring> {
    return (this.#units ??= this.#on(wireHouse(this.facts.house).units));
  }

  get makeUps(): Remembered<BoxMakeUp> {
    return (this.#makeUps ??= this.#on([...wireHouse(this.facts.house).boxes.values()]));
  }
}

/** The verdicts about each thing in turn, remembered, or null where the rule applies to none. */
export function gather<T>(force: InForce, { things, memories }: Remembered<T>, find: (thing: T) => Verdicts): Verdicts {
  let all: Verdict[] | null = null;
  for (let i = 0; i < things.length; i++) {
    const memory = memories[i]!;
    let verdicts = memory.get(force);
    if (verdicts === undefined) memory.set(force, (verdicts = find(things[i]!)));
    if (verdicts) for (const one of verdicts) (all ??= []).push(one);
  }
  return all;
}

/** The part of the boxes that such a rule reads. */
const boxesRead = ({ outlets }: Facts, reads: ReadsBoxes): object | undefined =>
  reads === 'none' ? undefined : outlets[reads];

const houseMemory = new WeakMap<InForce, { ground: object; boxes: object | undefined; verdicts: Verdicts }>();

/** The verdicts about the house by a rule that says what it reads; kept for the house that was checked last. */
export function rememberedBy(
  force: InForce,
  { facts, ground }: Memories,
  reads: ReadsBoxes,
  find: () => Verdicts,
): Verdicts {
  const boxes = boxesRead(facts, reads);
  const known = houseMemory.get(force);
  if (known && known.ground === ground && known.boxes === boxes) return known.verdicts;
  const verdicts = find();
  houseMemory.set(force, { ground, boxes, verdicts });
  return verdicts;
}
