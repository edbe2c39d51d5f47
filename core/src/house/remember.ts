import type { Problem } from '../units/result';
import type { House } from './schema';
import { Memory } from '../cache/memory';

export type Report = (code: string, path: string, message: string) => void;
export type Find = (house: House) => readonly Problem[];

interface Remembered<T> {
  readonly parts: readonly unknown[];
  readonly value: T;
}

export function sameParts(a: readonly unknown[], b: readonly unknown[]): boolean {
  if (a.length !== b.length) return false;
  for (let i = 0; i < a.length; i++) if (a[i] !== b[i]) return false;
  return true;
}

/** The problems that a search reports. */
export function collect(search: (report: Report) => void): readonly Problem[] {
  const problems: Problem[] = [];
  search((code, path, message) => problems.push({ code, path, message }));
  return problems;
}

/** What something follows from; what it follows to is kept beside the first, an entity or a collection of them. */
type Parts = readonly [object, ...unknown[]];

/** What follows from some parts of the house, found again only when one of the parts is another object than last time. */
export function remembering<T>(find: (house: House) => T, partsOf: (house: House) => Parts): (house: House) => T {
  const memory = new Memory<object, Remembered<T>>();
  return (house) => {
    const parts = partsOf(house);
    const known = memory.get(parts[0]);
    if (known && sameParts(known.parts, parts)) return known.value;
    const value = find(house);
    memory.set(parts[0], { parts, value });
    return value;
  };
}

/** Problems of some parts of the house. */
export const rememberBy = (find: (house: House, report: Report) => void, partsOf: (house: House) => Parts): Find =>
  remembering((house) => collect((report) => find(house, report)), partsOf);

/** The same entity by entity: most edits touch one of many. What an entity is asked about must be itself and the parts. */
export function rememberEach<T extends object>(
  entitiesOf: (house: House) => Readonly<Record<string, T>>,
  find: (house: House, entity: T, report: Report) => void,
  partsOf: (house: House) => readonly object[],
): Find {
  const memory = new Memory<T, Remembered<readonly Problem[]>>();
  return (house) => {
    const parts = partsOf(house);
    const all: Problem[] = [];
    for (const entity of Object.values(entitiesOf(house))) {
      let known = memory.get(entity);
      if (!known || !sameParts(known.parts, parts))
        memory.set(entity, (known = { parts, value: collect((report) => find(house, entity, report)) }));
      if (known.value.length > 0) all.push(...known.value);
    }
    return all;
  };
}
