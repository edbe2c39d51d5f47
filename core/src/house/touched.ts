import type { Draft, Patch } from 'immer';
import type { z } from 'zod';
import type { Problem } from '../units/result';
import { collections, type Collection } from './collections';
import {
  decisionSchema,
  boxSchema,
  cableSchema,
  circuitSchema,
  featureSchema,
  jobSchema,
  levelSchema,
  logEntrySchema,
  openingSchema,
  panelSchema,
  buildingSchema,
  dwellingUnitSchema,
  feederSchema,
  sourceSchema,
  supplySchema,
  roomSchema,
  commentSchema,
  daySchema,
  sleeveSchema,
  testResultSchema,
  useSchema,
  taskSchema,
  photoSchema,
  inspectionSchema,
  standardsSchema,
  switchGroupSchema,
  type House,
} from './schema';
import { loadSchema } from './schema-equipment';
import { routeSchema } from './schema-route';
import { id as idSchema, name as nameSchema } from './schema-parts';
import { problemsOf } from './validate';

const entitySchemas = {
  levels: levelSchema,
  rooms: roomSchema,
  openings: openingSchema,
  features: featureSchema,
  boxes: boxSchema,
  loads: loadSchema,
  circuits: circuitSchema,
  switchGroups: switchGroupSchema,
  cables: cableSchema,
  routes: routeSchema,
  panels: panelSchema,
  feeders: feederSchema,
  sources: sourceSchema,
  buildings: buildingSchema,
  units: dwellingUnitSchema,
  decisions: decisionSchema,
  results: testResultSchema,
  uses: useSchema,
  tasks: taskSchema,
  photos: photoSchema,
  inspections: inspectionSchema,
  days: daySchema,
  comments: commentSchema,
  sleeves: sleeveSchema,
  log: logEntrySchema,
} satisfies Record<Collection, z.ZodType>;

const wholeSchemas = { job: jobSchema, standards: standardsSchema, supply: supplySchema, name: nameSchema };
type Whole = keyof typeof wholeSchemas;

const isCollection = (key: unknown): key is Collection => (collections as readonly unknown[]).includes(key);
const isWhole = (key: unknown): key is Whole => typeof key === 'string' && Object.hasOwn(wholeSchemas, key);

/** A part of the house that patches touch: one entity of a collection, or job, standards or name. */
type Part = readonly [Collection, string] | readonly [Whole];

/** A touched part that the schema understands, but would write otherwise: a default left out, spaces around a name. */
interface Unsettled {
  readonly part: Part;
  /** As the schema writes it. */
  readonly settled: unknown;
  /** Dotted path of the first field that differs. */
  readonly path: string;
}

interface Touched {
  readonly parts: readonly Part[];
  readonly problems: Problem[];
  readonly unsettled: Unsettled[];
}

/** Which parts the patches touch, and what is wrong with a patch that touches anything else. Parts of a path are compared as they are. */
function partsOf(patches: readonly Patch[]): { parts: Part[]; problems: Problem[] } {
  const seen = new Map<Collection, Set<string>>();
  const wholes = new Set<Whole>();
  const problems: Problem[] = [];
  for (const { path } of patches) {
    const [first, second] = path;
    if (isWhole(first)) {
      wholes.add(first);
    } else if (!isCollection(first)) {
      problems.push({ code: 'path', path: String(first), message: `An edit may not touch "${String(first)}".` });
    } else if (second === undefined) {
      problems.push({ code: 'path', path: first, message: 'An edit changes entities, not a whole collection.' });
    } else if (typeof second !== 'string' || !idSchema.safeParse(second).success) {
      problems.push({
        code: 'path',
        path: `${first}.${String(second)}`,
        message: `"${String(second)}" is no id: an id has letters, digits, - and _ only.`,
      });
    } else {
      let ids = seen.get(first);
      if (!ids) seen.set(first, (ids = new Set()));
      ids.add(second);
    }
  }
  const parts: Part[] = [...wholes].map((whole) => [whole] as const);
  for (const [collection, ids] of seen) for (const id of ids) parts.push([collection, id]);
  return { parts, problems };
}

const isRecord = (value: unknown): value is Record<string, unknown> =>
  typeof value === 'object' && value !== null && !Array.isArray(value);
/** A key whose value is undefined is not there: it would not survive a file either. */
const keysOf = (record: Record<string, unknown>) => Object.keys(record).filter((key) => record[key] !== undefined);

/** The path of the first place where data differ from how the schema writes them; undefined where they are the same. */
function firstDifference(data: unknown, settled: unknown, path: readonly string[]): string | undefined {
  if (Object.is(data, settled)) return undefined;
  if (Array.isArray(data) && Array.isArray(settled)) {
    if (data.length !== settled.length) return path.join('.');
    for (let i = 0; i < data.length; i++) {
      const found = firstDifference(data[i], settled[i], [...path, String(i)]);
      if (found !== undefined) return found;
    }
    return undefined;
  }
  if (!isRecord(data) || !isRecord(settled)) return path.join('.');
  for (const key of Object.keys(data))
    if (data[key] === undefined || !(key in settled)) return [...path, key].join('.');
  for (const key of keysOf(settled)) {
    const found = key in data ? firstDifference(data[key], settled[key], [...path, key]) : [...path, key].join('.');
    if (found !== undefined) return found;
  }
  return undefined;
}

const withoutUndefined = (value: unknown): unknown => {
  if (Array.isArray(value)) return value.map(withoutUndefined);
  if (!isRecord(value)) return value;
  return Object.fromEntries(keysOf(value).map((key) => [key, withoutUndefined(value[key])]));
};

/** Every part that the patches touched, by the schema. */
export function checkTouched(house: House, patches: readonly Patch[]): Touched {
  const { parts, problems } = partsOf(patches);
  // What stands where a collection was is looked at by nobody.
  if (problems.length > 0) return { parts: [], problems, unsettled: [] };
  const unsettled: Unsettled[] = [];
  for (const part of parts) {
    const [key, id] = part;
    if (id !== undefined && !Object.hasOwn(house[key as Collection], id)) continue;
    const value: unknown = id === undefined ? house[key] : house[key as Collection][id];
    const path = id === undefined ? [key] : [key, id];
    const schema: z.ZodType = id === undefined ? wholeSchemas[key as Whole] : entitySchemas[key as Collection];
    const parsed = schema.safeParse(value);
    if (!parsed.success) {
      problems.push(...problemsOf(parsed.error, path.join('.')));
      continue;
    }
    const differs = firstDifference(value, parsed.data, path);
    if (differs !== undefined) unsettled.push({ part, settled: withoutUndefined(parsed.data), path: differs });
  }
  return { parts, problems, unsettled };
}

/** Writes into a draft what differs from the settled value, and leaves the rest the same objects. */
function settleInto(target: Record<string, unknown>, settled: Record<string, unknown>): void {
  for (const key of Object.keys(target)) if (!(key in settled) || target[key] === undefined) delete target[key];
  for (const key of Object.keys(settled)) {
    const [now, wanted] = [target[key], settled[key]];
    if (isRecord(now) && isRecord(wanted)) settleInto(now, wanted);
    else if (!(key in target) || firstDifference(now, wanted, []) !== undefined) target[key] = wanted;
  }
}

/** Writes the parts as the schema does. */
export function settle(draft: Draft<House>, unsettled: readonly Unsettled[]): void {
  for (const { part, settled } of unsettled) writePart(draft, part, settled);
}

/** Makes parts of a draft what they are in another house; what is the same in both stays the same objects. */
export function takeOver(draft: Draft<House>, from: House, parts: readonly Part[]): void {
  for (const part of parts) {
    const [key, id] = part;
    if (id === undefined) writePart(draft, part, from[key]);
    else if (Object.hasOwn(from[key as Collection], id)) writePart(draft, part, from[key as Collection][id]);
    else delete (draft[key as Collection] as Record<string, unknown>)[id];
  }
}

function writePart(draft: Draft<House>, [key, id]: Part, value: unknown): void {
  if (key === 'name') {
    draft.name = value as string;
    return;
  }
  const holder = (id === undefined ? draft : draft[key as Collection]) as unknown as Record<string, unknown>;
  const at = id ?? key;
  if (Object.hasOwn(holder, at)) settleInto(holder[at] as Record<string, unknown>, value as Record<string, unknown>);
  else holder[at] = value;
}
