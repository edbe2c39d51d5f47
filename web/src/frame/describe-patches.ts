import { formatLength, type House } from '@winculum/core';

interface AnyPatch {
  readonly op: string;
  readonly path: readonly (string | number)[];
  readonly value?: unknown;
}

const nameOf = (house: House, collection: string, id: string): string => {
  const entity = (house as unknown as Record<string, Record<string, { name?: string; tag?: string; kind?: string }>>)[
    collection
  ]?.[id];
  return entity?.tag ?? entity?.name ?? entity?.kind ?? 'something new';
};

function write(house: House, field: string, value: unknown): string {
  if (typeof value === 'number' && (/In$/.test(field) || field === 'x' || field === 'y'))
    return formatLength(value, house.standards.lengths);
  return typeof value === 'object' ? 'as drawn' : String(value);
}

/** Patches as lines that a person can compare: what, which field, to what. */
export function describePatches(house: House, patches: readonly unknown[]): string[] {
  return (patches as readonly AnyPatch[]).slice(0, 6).map(({ op, path, value }) => {
    const [collection, id, ...fields] = path.map(String);
    if (id === undefined || typeof (house as unknown as Record<string, unknown>)[collection!] === 'string')
      return `house: ${collection} ${write(house, collection!, value)}`;
    if (collection === 'job' || collection === 'standards') return `${collection}: ${id} ${write(house, id, value)}`;
    const what = nameOf(house, collection!, id);
    if (op === 'remove') return `${what}: removed`;
    const field = fields.at(-1) ?? '';
    return field ? `${what}: ${fields.join(' ')} ${write(house, field, value)}` : `${what}: added`;
  });
}
