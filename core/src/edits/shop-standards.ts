import { edit, type Edited } from '../house/edit';
import { UNITS_BY_ENDING } from '../house/field-words';
import { type Result } from '../units/result';
import {
  makeUpSchema,
  planningSchema,
  routingSchema,
  switchingSchema,
  type House,
  type Standards,
} from '../house/schema';

/** A shop standard that a house holds otherwise than its firm. */
interface StandardApart {
  /** Where it stands: `switchHeightIn`, `planning.wire`. */
  readonly key: string;
  readonly name: string;
  readonly ofFirm: string;
  readonly ofHouse: string;
  /** This house keeps its own, as somebody decided. */
  readonly isOwn: boolean;
}

/** The standards that are tables of their own, and what holds where nothing is said. */
const TABLES = {
  planning: planningSchema.parse({}),
  switching: switchingSchema.parse({}),
  makeUp: makeUpSchema.parse({}),
  routing: routingSchema.parse({}),
} as const;
type Table = keyof typeof TABLES;
const isTable = (key: string): key is Table => key in TABLES;
/** Lists are compared whole: presets and kinds of boxes belong together. */
const NAMES: Readonly<Record<string, string>> = { makeUp: 'make-up', boxTypes: 'kinds of boxes' };

/** Every standard by its key, with what holds where nothing is said. */
function flat(standards: Standards): ReadonlyMap<string, unknown> {
  const all = new Map<string, unknown>();
  for (const [key, value] of Object.entries(standards))
    if (key !== 'own' && !isTable(key) && value !== undefined) all.set(key, value);
  for (const [table, usual] of Object.entries(TABLES))
    for (const [key, value] of Object.entries({ ...usual, ...standards[table as Table] }))
      if (value !== undefined) all.set(`${table}.${key}`, value);
  return all;
}

const spaced = (key: string) => key.replace(/([a-z])([A-Z])/g, '$1 $2').toLowerCase();
function nameOf(key: string): string {
  const words = key.split('.').map((part) => {
    const unit = UNITS_BY_ENDING.find(([ending]) => ending.test(part));
    return NAMES[part] ?? spaced(part.replace(unit?.[0] ?? /$^/, ''));
  });
  const text = words.join(': ');
  return text.charAt(0).toUpperCase() + text.slice(1);
}
function wordsOf(key: string, value: unknown): string {
  if (value === undefined) return 'the usual';
  if (Array.isArray(value)) return `${value.length} of its own`;
  if (typeof value === 'number') return UNITS_BY_ENDING.find(([ending]) => ending.test(key))?.[1](value) ?? `${value}`;
  return String(value).replaceAll('-', ' ');
}
const isSame = (a: unknown, b: unknown) => JSON.stringify(a) === JSON.stringify(b);

/** Where a house differs from the standards of its firm, in the order of the format. */
export function standardsApart({ standards }: Pick<House, 'standards'>, firm: Standards): readonly StandardApart[] {
  const [here, there] = [flat(standards), flat(firm)];
  return [...new Set([...here.keys(), ...there.keys()])]
    .filter((key) => !isSame(here.get(key), there.get(key)))
    .map((key) => ({
      key,
      name: nameOf(key),
      ofFirm: wordsOf(key, there.get(key)),
      ofHouse: wordsOf(key, here.get(key)),
      isOwn: standards.own?.includes(key) ?? false,
    }));
}

/** Takes standards of the firm by their keys. They are the house's own no longer. */
export function takeStandards(house: House, firm: Standards, keys: readonly string[]): Result<Edited> {
  const there = flat(firm);
  return edit(house, 'Take the standards of the firm', (draft) => {
    const standards = draft.standards as Record<string, unknown>;
    for (const key of keys) {
      const [table = key, field] = key.split('.');
      const into =
        field === undefined
          ? standards
          : (standards[table] = { ...TABLES[table as Table], ...(standards[table] as object) } as never);
      const value = there.get(key);
      if (value === undefined) delete (into as Record<string, unknown>)[field ?? key];
      else (into as Record<string, unknown>)[field ?? key] = value;
    }
    setOwn(draft.standards as Standards, (own) => own.filter((key) => !keys.includes(key)));
  });
}

/** This house keeps its own, whatever the firm says; nobody is asked about it again. */
export const keepOwnStandards = (house: House, keys: readonly string[]): Result<Edited> =>
  edit(house, 'Keep standards of its own', (draft) =>
    setOwn(draft.standards as Standards, (own) => [...new Set([...own, ...keys])]),
  );

function setOwn(standards: Standards, change: (own: readonly string[]) => readonly string[]): void {
  const own = change(standards.own ?? []);
  if (own.length > 0) standards.own = [...own].sort();
  else delete standards.own;
}
