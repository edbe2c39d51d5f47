import { memo, sameParts } from '../cache/memo';
import { Memory } from '../cache/memory';
import type { Problem } from '../units/result';
import type { House } from './schema';

export type Report = (code: string, path: string, message: string) => void;
export type Find = (house: House) => readonly Problem[];

/** The problems that a search reports. */
export function collect(search: (report: Report) => void): readonly Problem[] {
  const problems: Problem[] = [];
  search((code, path, message) => problems.push({ code, path, message }));
  return problems;
}

/** Problems of some parts of the house. */
export const rememberBy = (
  find: (house: House, report: Report) => void,
  partsOf: (house: House) => readonly [object, ...unknown[]],
): Find => memo((house) => collect((report) => find(house, report)), partsOf);

/** The same entity by entity: most edits touch one of many. What an entity is asked about must be itself and the parts. */
export function rememberEach<T extends object>(
  entitiesOf: (house: House) => Readonly<Record<string, T>>,
  find: (house: House, entity: T, report: Report) => void,
  partsOf: (house: House) => readonly object[],
): Find {
  // By hand, with one list of parts for all entities: a moved box asks this of every box there is.
  const memory = new Memory<T, { readonly parts: readonly object[]; readonly problems: readonly Problem[] }>();
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
