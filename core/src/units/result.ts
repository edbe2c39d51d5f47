/** An expected error as data: what is wrong, where in the input it is, and what to do. */
export interface Problem {
  readonly code: string;
  /** Dotted path of the field in the input; empty for the whole. */
  readonly path: string;
  /** A sentence for people: what is wrong and the remedy. */
  readonly message: string;
}

export type Result<T> =
  { readonly ok: true; readonly value: T } | { readonly ok: false; readonly problems: readonly Problem[] };

/** A result that is there. */
export const succeed = <T>(value: T): Result<T> => ({ ok: true, value });

/** A refusal with one problem: its code, the field and the remedy. */
export const refuse = (code: string, path: string, message: string): Result<never> => ({
  ok: false,
  problems: [{ code, path, message }],
});

/** Closes a union: the compiler proves that every kind is handled. @throws when a value slips past the types. */
export function assertNever(value: never): never {
  throw new Error(`Unhandled case: ${JSON.stringify(value)}`);
}

/** The record's value for an id that the document guarantees. @throws when the guarantee is broken (a bug). */
export function mustGet<T>(records: Readonly<Record<string, T>>, id: string): T {
  const found = records[id];
  if (found === undefined) throw new Error(`No entity with id "${id}"`);
  return found;
}

/** A value that is there, by what was decided before it is asked for. @throws when it is not (a bug). */
export function given<T>(value: T | undefined | null): T {
  if (value === undefined || value === null) throw new Error('Something that must be there is not');
  return value;
}

/** The item of a list at a place that it has; from the end where the place is negative. @throws where it has none there (a bug). */
export function itemAt<T>(list: ArrayLike<T>, place: number): T {
  const found = list[place < 0 ? list.length + place : place];
  if (found === undefined) throw new Error(`No item at ${place} of ${list.length}`);
  return found;
}

/** How far long work has come, from 0 to 1, and what it is at. */
export type OnProgress = (share: number, what: string) => void;
