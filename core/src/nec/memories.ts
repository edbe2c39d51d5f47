import { memo, sameParts } from '../cache/memo';
import { collections, type Collection } from '../house/collections';
import type { Circuit } from '../house/schema';
import { Memory } from '../cache/memory';
import type { RoomView } from '../plan/room-view';
import { wireHouse, type BoxMakeUp, type UnitWiring } from '../makeup/make-up';
import type { EffectiveRule } from './effective';
import type { Facts, ReadsBoxes, Verdict } from './rule';
import { given, itemAt } from '../units/result';

/** Verdicts of a rule about one thing; null where it does not apply to it. */
export type Verdicts = readonly Verdict[] | null;

/** What no rule about a circuit or the house as a whole reads; boxes are remembered by themselves, decisions with the limits. */
const UNREAD: ReadonlySet<Collection> = new Set([
  'boxes',
  'decisions',
  'results',
  'uses',
  'tasks',
  'photos',
  'inspections',
  'days',
  'comments',
  'log',
]);
const READ = collections.filter((one) => !UNREAD.has(one));

/** Stands for the parts of a house, boxes left out, that a rule about one circuit may read: the same object while they are the same. */
const groundOf = memo(
  (_: Facts['house']) => ({}),
  (house) => [house.standards, house.supply, house.job, ...READ.map((one) => house[one])],
);

/** Things that rules are about one by one: the same key stands for the same thing as long as the ground is the same. */
class Scope<T> {
  readonly #places = new Map<readonly object[], Int32Array | null>();

  constructor(
    readonly ground: object,
    readonly things: readonly T[],
    readonly keys: readonly object[],
  ) {}

  /** Where each thing stood in an earlier list, -1 for one that is new; null where the lists are the same. */
  placesIn(before: readonly object[]): Int32Array | null {
    let places = this.#places.get(before);
    if (places === undefined) this.#places.set(before, (places = findPlaces(this.keys, before)));
    return places;
  }
}

function findPlaces(keys: readonly object[], before: readonly object[]): Int32Array | null {
  if (sameParts(keys, before)) return null;
  // Most stand where they stood; the others are sought among those that were left over.
  const places = new Int32Array(keys.length);
  const left = new Map<object, number>();
  for (let i = 0; i < before.length; i++) if (keys[i] !== before[i]) left.set(itemAt(before, i), i);
  for (let i = 0; i < keys.length; i++) places[i] = keys[i] === before[i] ? i : (left.get(itemAt(keys, i)) ?? -1);
  return places;
}

/** What a rule said last of the things of its scope, thing by thing, and in one list. */
interface Said {
  readonly ground: object;
  readonly keys: readonly object[];
  readonly each: readonly Verdicts[];
  readonly all: Verdicts;
}
const said = new Memory<EffectiveRule, Said>();

/** Rooms stand on no ground: what is seen of one is another object when anything in it is. */
const NO_GROUND = {};

/** What rules look at in a house, thing by thing, found once for all of them; its wiring when the first rule asks for it. */
export class Memories {
  readonly ground: object;
  readonly rooms: Scope<RoomView>;
  readonly circuits: Scope<Circuit>;
  #units: Scope<UnitWiring> | undefined;
  #makeUps: Scope<BoxMakeUp> | undefined;

  constructor(readonly facts: Facts) {
    const { house, views, circuits, outlets } = facts;
    this.ground = groundOf(house);
    this.rooms = new Scope(NO_GROUND, views, views);
    // The list of a circuit's outlets is the same object as long as circuit and outlets are.
    const lists = circuits.map((circuit) => given(outlets.byCircuit.get(circuit.id)));
    this.circuits = new Scope(this.ground, circuits, lists);
  }

  get units(): Scope<UnitWiring> {
    if (!this.#units) {
      const { units } = wireHouse(this.facts.house);
      this.#units = new Scope(this.ground, units, units);
    }
    return this.#units;
  }

  get makeUps(): Scope<BoxMakeUp> {
    if (!this.#makeUps) {
      const makeUps = [...wireHouse(this.facts.house).boxes.values()];
      this.#makeUps = new Scope(this.ground, makeUps, makeUps);
    }
    return this.#makeUps;
  }
}

/** The verdicts about each thing in turn, those about things that were there before remembered; null where the rule applies to none. */
export function gather<T>(effective: EffectiveRule, scope: Scope<T>, find: (thing: T) => Verdicts): Verdicts {
  const { ground, things, keys } = scope;
  const last = said.get(effective);
  const before = last?.ground === ground ? last : undefined;
  const places = before && scope.placesIn(before.keys);
  if (before && places === null) return before.all;
  const each = new Array<Verdicts>(things.length);
  let all: Verdict[] | null = null;
  for (let i = 0; i < things.length; i++) {
    const place = places ? itemAt(places, i) : -1;
    const verdicts = place >= 0 ? itemAt(given(before).each, place) : find(itemAt(things, i));
    each[i] = verdicts;
    if (verdicts) for (const one of verdicts) (all ??= []).push(one);
  }
  said.set(effective, { ground, keys, each, all });
  return all;
}

/** The part of the boxes that such a rule reads. */
const boxesRead = ({ outlets }: Facts, reads: ReadsBoxes): object | undefined =>
  reads === 'none' ? undefined : outlets[reads];

const houseMemory = new Memory<EffectiveRule, { ground: object; boxes: object | undefined; verdicts: Verdicts }>();

/** The verdicts about the house by a rule that says what it reads; kept for the house that was checked last. */
export function rememberedBy(
  effective: EffectiveRule,
  { facts, ground }: Memories,
  reads: ReadsBoxes,
  find: () => Verdicts,
): Verdicts {
  const boxes = boxesRead(facts, reads);
  const known = houseMemory.get(effective);
  if (known && known.ground === ground && known.boxes === boxes) return known.verdicts;
  const verdicts = find();
  houseMemory.set(effective, { ground, boxes, verdicts });
  return verdicts;
}
