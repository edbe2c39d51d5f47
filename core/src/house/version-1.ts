import type { Patch } from 'immer';

type Json = Record<string, unknown>;

/** What version 1 called a field, or a value in it, and what lies inside. `*` stands for every id. */
interface Spot {
  readonly field?: string;
  /** By the value as text. */
  readonly values?: Readonly<Record<string, string>>;
  readonly inside?: Readonly<Record<string, Spot>>;
}
const each = (inside: Readonly<Record<string, Spot>>): Spot => ({ inside: { '*': { inside } } });

/** Rules that have another name since. */
const RULES: Readonly<Record<string, string>> = {
  'cold-behind-gfci': 'refrigerator-on-gfci',
  'fastened-half': 'fastened-in-place-share',
  'what-rating-may-feed': 'permissible-loads',
  'receptacle-school': 'receptacles-per-circuit',
};

/**
 * Everything that version 2 calls otherwise, once, for whole houses and for edits alike. No word on the left means anything in version
 * 2, so that a thing that is translated twice, or was never of version 1, comes out right as well: an edit that waited on a device, a
 * batch that the server stored long ago and a tab that was not reloaded need not say which version they are of.
 */
const WORDS: Spot = {
  inside: {
    standards: {
      inside: {
        heightsTo: { values: { centre: 'center' } },
        templates: { field: 'presets' },
        ceilingSchool: { field: 'ceilingRows' },
        receptacleSchool: { field: 'receptacleCount' },
      },
    },
    // What nobody had called below grade was not thereby said to lie above it.
    levels: each({ belowGrade: { field: 'grade', values: { true: 'below', false: 'not-known' } } }),
    boxes: each({
      origin: { values: { wish: 'request' } },
      wished: { field: 'requested' },
      devices: each({ style: { values: { companion: 'add-on' } } }),
    }),
    circuits: each({ metal: { values: { aluminium: 'aluminum' } } }),
    amendments: { field: 'decisions', ...each({ rule: { values: RULES }, authority: { field: 'by' } }) },
  },
};

const spotOf = (spot: Spot | undefined, part: string | number): Spot | undefined =>
  spot?.inside?.[part] ?? spot?.inside?.['*'];

function translateValue(value: unknown, spot: Spot | undefined): unknown {
  if (spot === undefined) return value;
  if (spot.values && Object.hasOwn(spot.values, String(value))) return spot.values[String(value)];
  if (!spot.inside || typeof value !== 'object' || value === null || Array.isArray(value)) return value;
  return Object.fromEntries(
    Object.entries(value as Json).map(([key, part]) => {
      const within = spotOf(spot, key);
      return [within?.field ?? key, translateValue(part, within)];
    }),
  );
}

/** A house of version 1 in the words of version 2. What it holds beside them is not looked at. */
export const fromVersion1 = (data: Json): Json => translateValue(data, WORDS) as Json;

/** Patches in the words of version 2, whichever they were made in. */
export const inPresentWords = (patches: readonly Patch[]): Patch[] =>
  patches.map((patch) => {
    let spot: Spot | undefined = WORDS;
    const path = patch.path.map((part) => {
      spot = spotOf(spot, part);
      return spot?.field ?? part;
    });
    return spot === undefined || !('value' in patch)
      ? { ...patch, path }
      : { ...patch, path, value: translateValue(patch.value, spot) };
  });
