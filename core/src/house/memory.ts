import type { House } from './schema';

/**
 * What was found out about some thing, kept beside the thing itself: about a room, a circuit, a list of outlets. Entities are never
 * changed in place, so what is known of one holds as long as it is the same object. Whatever is remembered may be forgotten at any
 * time: it is found out again.
 *
 * To be used instead of a WeakMap, whose values the engine's small collections keep even when the keys are gone, so that each opened
 * house would be copied twice and stay until the next large collection: see docs/performance.md.
 */
export class Memory<K extends object, V> {
  static readonly #all: Memory<object, unknown>[] = [];
  #known = new WeakMap<K, V>();

  constructor() {
    Memory.#all.push(this as Memory<object, unknown>);
  }

  /** Forgets everything about all houses. */
  static forgetAll(): void {
    for (const one of Memory.#all) one.#known = new WeakMap();
  }

  has(key: K): boolean {
    return this.#known.has(key);
  }

  get(key: K): V | undefined {
    return this.#known.get(key);
  }

  set(key: K, value: V): void {
    this.#known.set(key, value);
  }
}

let lastParts: readonly unknown[] = [];

/** Says which house is worked on from now on. What is remembered of an earlier state of it stays; of another house, it is forgotten. */
export function turnTo(house: House): void {
  const { job, standards, levels, rooms, openings, features, boxes, loads, circuits, switchGroups, cables, panels } =
    house;
  const parts = [
    job,
    standards,
    levels,
    rooms,
    openings,
    features,
    boxes,
    loads,
    circuits,
    switchGroups,
    cables,
    panels,
  ];
  // An edit leaves most parts of a house the same objects; two houses have none in common.
  if (!parts.some((part, i) => part === lastParts[i])) Memory.forgetAll();
  lastParts = parts;
}
