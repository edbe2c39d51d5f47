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

let lastParts: ReadonlySet<unknown> = new Set();

/**
 * Says which house is worked on from now on, by its records. What is remembered of an earlier state of it stays; of another house, it is
 * forgotten: an edit leaves most records of a house the same objects; two houses have none in common.
 */
export function setActiveHouse(house: object): void {
  const parts = Object.values(house).filter((part) => typeof part === 'object' && part !== null);
  if (!parts.some((part) => lastParts.has(part))) Memory.forgetAll();
  lastParts = new Set(parts);
}
