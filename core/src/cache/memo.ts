import { Memory } from './memory';

/** What something follows from. It is kept beside the first, an entity or a collection of them, as `Memory` keeps things. */
type Parts = readonly [object, ...unknown[]];

/** Whether two lists hold the same objects in the same order. */
export function sameParts(a: readonly unknown[], b: readonly unknown[]): boolean {
  if (a.length !== b.length) return false;
  for (let i = 0; i < a.length; i++) if (a[i] !== b[i]) return false;
  return true;
}

/**
 * A derivation that answers the same object until one of the parts that it reads is another one than last time. Without `reads`, these
 * are its arguments. Only the last answer beside a first part is kept: what is asked for by turns, edition by edition, say, needs a map
 * of its own.
 */
export function memo<A extends [object, ...unknown[]], V>(find: (...args: A) => V): (...args: A) => V;
export function memo<A extends unknown[], V>(find: (...args: A) => V, reads: (...args: A) => Parts): (...args: A) => V;
export function memo<A extends unknown[], V>(
  find: (...args: A) => V,
  reads?: (...args: A) => Parts,
): (...args: A) => V {
  if (!reads && find.length === 1)
    return memoOne(find as unknown as (key: object) => V) as unknown as (...args: A) => V;
  const memory = new Memory<object, { readonly parts: Parts; readonly value: V }>();
  return (...args) => {
    const parts = reads ? reads(...args) : (args as unknown as Parts);
    const known = memory.get(parts[0]);
    if (known && sameParts(known.parts, parts)) return known.value;
    const value = find(...args);
    memory.set(parts[0], { parts, value });
    return value;
  };
}

/** What reads one thing alone is asked a million times in a check: no list of parts is made. */
function memoOne<K extends object, V>(find: (key: K) => V): (key: K) => V {
  const memory = new Memory<K, { readonly value: V }>();
  return (key) => {
    const known = memory.get(key);
    if (known) return known.value;
    const value = find(key);
    memory.set(key, { value });
    return value;
  };
}
