import { HOUSE_VERSION, type House } from '../house/schema';
import { fromVersion1 } from '../house/version-1';
import { validateHouse } from '../house/validate';
import { itemAt, refuse, type Result } from '../units/result';
import { isNestedDeeper } from './json-depth';

/** Larger than any house by far; a file over it is refused before it is parsed. Characters. */
const LARGEST_FILE = 10_000_000;
/** A house file nests eight deep. */
const DEEPEST_FILE = 24;

type Json = Record<string, unknown>;

/** Turns data of version n into data of version n + 1. */
type Migration = (data: Json) => Json;

/** Migrations by the version they start from. */
const MIGRATIONS: Readonly<Record<number, Migration>> = { 1: fromVersion1 };

/** Where in the text parsing stopped, as a person would look for it. */
function describeJsonError(error: unknown, text: string): string {
  const message = error instanceof Error ? error.message : String(error);
  // The engine gives a place, or what stands around it, or says that the text ended.
  const around = /^Unexpected token .*?, (.*) is not valid JSON$/s.exec(message)?.[1];
  if (around) return `it is malformed near ${around}`;
  const place = /position (\d+)/.exec(message)?.[1];
  const at = place === undefined ? text.length : Number(place);
  const before = text.slice(0, at).split('\n');
  return `${at < text.trimEnd().length ? 'it is malformed at' : 'it breaks off at'} line ${before.length}, column ${itemAt(before, -1).length + 1}`;
}

/** Brings data of an older version up to the present one, step by step. */
export function migrate(data: Json, migrations: Readonly<Record<number, Migration>>, target: number): Result<Json> {
  let current = data;
  for (;;) {
    const version = current['version'];
    if (typeof version !== 'number' || !Number.isInteger(version))
      return refuse(
        'version',
        'version',
        'The file does not say its version. A house file begins with "format": "winculum-house" and "version".',
      );
    if (version === target) return { ok: true, value: current };
    if (version > target)
      return refuse(
        'version',
        'version',
        `The file has version ${version}; this program reads up to ${target}. Open it with a newer program.`,
      );
    const step = migrations[version];
    if (!step)
      return refuse('version', 'version', `The file has version ${version}, which no program wrote. Check the file.`);
    current = { ...step(current), version: version + 1 };
  }
}

/** Any data as a house of the present version: what a device or a database kept may be of an earlier one. */
export function readHouse(data: unknown): Result<House> {
  if (typeof data !== 'object' || data === null || Array.isArray(data)) return validateHouse(data);
  const migrated = migrate(data as Json, MIGRATIONS, HOUSE_VERSION);
  return migrated.ok ? validateHouse(migrated.value) : migrated;
}

/** Reads a house file: size, JSON, format, version, every field, every reference. Problems name the path of the bad field. */
export function readHouseFile(text: string): Result<House> {
  if (text.length > LARGEST_FILE)
    return refuse(
      'too-large',
      '',
      `The file has ${(text.length / 1e6).toFixed(0)} MB; a house file has at most ${LARGEST_FILE / 1e6} MB. Choose the house file itself.`,
    );
  if (isNestedDeeper(text, DEEPEST_FILE))
    return refuse('depth', '', 'This is not a house file: it is nested too deeply. Choose a file that Winculum wrote.');
  let data: unknown;
  try {
    data = JSON.parse(text.replace(/^\uFEFF/, ''));
  } catch (error) {
    return refuse(
      'json',
      '',
      `The file is not JSON: ${describeJsonError(error, text)}. Choose a file that Winculum wrote.`,
    );
  }
  if (typeof data !== 'object' || data === null || Array.isArray(data) || (data as Json)['format'] !== 'winculum-house')
    return refuse('format', 'format', 'This is not a house file: "format" should be "winculum-house".');
  return readHouse(data);
}

/** The house as a file: stable, readable, one entity a line where it is short. */
export const writeHouseFile = (house: House): string => `${JSON.stringify(house, null, 1)}\n`;
