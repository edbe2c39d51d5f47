import { applyPatches, enablePatches, produceWithPatches, setAutoFreeze, type Draft, type Patch } from 'immer';
import { refuse, succeed, type Problem, type Result } from '../units/result';
import { checkIntegrity, collections, type Collection } from './integrity';
import {
  amendmentSchema,
  boxSchema,
  cableSchema,
  circuitSchema,
  featureSchema,
  jobSchema,
  levelSchema,
  logEntrySchema,
  openingSchema,
  panelSchema,
  roomSchema,
  standardsSchema,
  switchGroupSchema,
  type House,
} from './schema';
import { loadSchema } from './schema-equipment';
import { problemsOf } from './validate';

enablePatches();

export type { Patch };

/**
 * Leaves what edits make unfrozen, which takes a third of an edit's time and, in the interface, hides it from `markRaw`.
 * Tests keep it frozen, and so find whoever changes a house in place.
 */
export const leaveHousesUnfrozen = (): void => setAutoFreeze(false);

/** A named change of a House: patches forward and back, addressed by path. */
export interface Edit {
  readonly label: string;
  readonly patches: readonly Patch[];
  readonly inverse: readonly Patch[];
}

export interface Edited {
  readonly house: House;
  readonly edit: Edit;
}

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
  panels: panelSchema,
  amendments: amendmentSchema,
  log: logEntrySchema,
} satisfies Record<Collection, unknown>;

const isCollection = (key: unknown): key is Collection => (collections as readonly unknown[]).includes(key);

/** Problems of the parts that the patches touched, each field by the schema. */
function checkTouched(house: House, patches: readonly Patch[]): Problem[] {
  const touched = new Set(patches.map((patch) => patch.path.slice(0, 2).join('.')));
  const problems: Problem[] = [];
  for (const path of touched) {
    const [part, id] = path.split('.');
    const parse = (schema: { safeParse: (data: unknown) => { error?: unknown } }, value: unknown) => {
      const { error } = schema.safeParse(value);
      if (error) problems.push(...problemsOf(error as Parameters<typeof problemsOf>[0], path));
    };
    if (isCollection(part)) {
      if (id === undefined)
        problems.push({ code: 'path', path, message: 'An edit changes entities, not a whole collection.' });
      else if (Object.hasOwn(house[part], id)) parse(entitySchemas[part], house[part][id]);
    } else if (part === 'job') parse(jobSchema, house.job);
    else if (part === 'standards') parse(standardsSchema, house.standards);
    else if (part === 'name') {
      if (typeof house.name !== 'string' || house.name.trim() === '' || house.name.length > 80)
        problems.push({ code: 'schema', path: 'name', message: 'A house needs a name of at most 80 characters.' });
    } else problems.push({ code: 'path', path, message: `An edit may not touch "${path}".` });
  }
  return problems;
}

/** The house after the patches, if it is a valid one. Refused patches leave nothing behind. */
function checked(house: House, patches: readonly Patch[]): Result<House> {
  const problems = checkTouched(house, patches);
  if (problems.length === 0) problems.push(...checkIntegrity(house));
  return problems.length > 0 ? { ok: false, problems } : succeed(house);
}

/**
 * Turns one House into the next. The recipe changes a draft, or returns a problem to refuse.
 * The result is validated; a refused edit changes nothing.
 */
export function edit(house: House, label: string, recipe: (draft: Draft<House>) => Problem | void): Result<Edited> {
  const refusals: Problem[] = [];
  const [next, patches, inverse] = produceWithPatches(house, (draft) => {
    const refusal = recipe(draft);
    if (refusal) refusals.push(refusal);
  });
  if (refusals.length > 0) return { ok: false, problems: refusals };
  const result = checked(next, patches);
  return result.ok ? succeed({ house: next, edit: { label, patches, inverse } }) : result;
}

/** The house after someone's patches: an undo, a redo, or an edit made elsewhere. */
export function applyEdit(house: House, patches: readonly Patch[]): Result<House> {
  if (patches.length === 0) return succeed(house);
  try {
    const next = applyPatches(house, patches);
    return next === house ? succeed(house) : checked(next, patches);
  } catch (error) {
    return refuse(
      'patch',
      patches[0]!.path.join('.'),
      `This change no longer fits the house: ${error instanceof Error ? error.message : String(error)}`,
    );
  }
}

export const undoOf = (done: Edit): Edit => ({ label: done.label, patches: done.inverse, inverse: done.patches });

/** Several edits made one after the other, as one. */
export function joinEdits(label: string, edits: readonly Edit[]): Edit {
  return {
    label,
    patches: edits.flatMap((one) => one.patches),
    inverse: edits.toReversed().flatMap((one) => one.inverse),
  };
}

/** Where a patch acts, for finding clashes. Arrays shift under their indices, so a path ends where one begins. */
function reachOf(patch: Patch): string[] {
  const index = patch.path.findIndex((part) => typeof part === 'number');
  return (index < 0 ? patch.path : patch.path.slice(0, index)).map(String);
}

/** Whether two sets of patches touch the same place: one path the same as, or above, the other. */
export function editsOverlap(a: readonly Patch[], b: readonly Patch[]): boolean {
  const reaches = b.map(reachOf);
  return a.some((patch) => {
    const mine = reachOf(patch);
    return reaches.some((theirs) => mine.slice(0, theirs.length).every((part, i) => part === theirs[i]));
  });
}
