import type { Problem } from '../units/result';
import type { House } from './schema';

export type Report = (code: string, path: string, message: string) => void;
export type Find = (house: House) => readonly Problem[];

interface Remembered {
  readonly parts: readonly unknown[];
  readonly problems: readonly Problem[];
}

export const sameParts = (a: readonly unknown[], b: readonly unknown[]): boolean =>
  a.length === b.length && a.every((part, i) => part === b[i]);

/** The problems that a search reports. */
export function collect(search: (report: Report) => void): readonly Problem[] {
  const problems: Problem[] = [];
  search((code, path, message) => problems.push({ code, path, message }));
  return problems;
}

/** Problems of some parts of the house, found again only when one of the parts is another object than last time. */
export function rememberBy(
  find: (house: House, report: Report) => void,
  partsOf: (house: House) => readonly object[],
): Find {
  const memory = new WeakMap<object, Remembered>();
  return (house) => {
    const parts = partsOf(house);
    const known = memory.get(parts[0]!);
    if (known && sameParts(known.parts, parts)) return known.problems;
    const problems = collect((report) => find(house, report));
    memory.set(parts[0]!, { parts, problems });
    return problems;
  };
}

/** The same entity by entity: most edits touch one of many. What an entity is asked about must be itself and the parts. */
export function rememberEach<T extends object>(
  entitiesOf: (house: House) => Readonly<Record<string, T>>,
  find: (house: House, entity: T, report: Report) => void,
  partsOf: (house: House) => readonly object[],
): Find {
  const memory = new WeakMap<T, Remembered>();
  return (house) => {
    const parts = partsOf(house);
    const all: Problem[] = [];
    for (const entity of Object.values(entitiesOf(house))) {
      let known = memory.get(entity);
      if (!known || !sameParts(known.parts, parts))
        memory.set(entity, (known = { parts, problems: collect((report) => find(house, entity, report)) }));
      if (known.problems.length > 0) all.push(...known.problems);
    }
    return all;
  };
}
