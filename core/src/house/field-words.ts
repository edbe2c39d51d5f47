import type { z } from 'zod';
import { formatLength } from '../units/length';

type Issue = z.core.$ZodIssue;

/** Units by the ending of a field's name, and how a number of them is written. */
export const UNITS_BY_ENDING: readonly (readonly [ending: RegExp, write: (value: number) => string])[] = [
  [/In3$/, (value) => `${value} in³`],
  [/In$/, (value) => formatLength(value, '1/16')],
  [/Ft$/, (value) => `${value} ft`],
  [/Lb$/, (value) => `${value} lb`],
  [/A$/, (value) => `${value} A`],
  [/lampK$/, (value) => `${value} K`],
  [/F$/, (value) => `${value} °F`],
  [/Percent$/, (value) => `${value} %`],
];
const NAMES: Readonly<Record<string, string>> = {
  va: 'Volt-amperes',
  hp: 'Horsepower',
  alongIn: 'From the start of the wall',
  at: 'Place',
  lampK: 'Lamp color',
  x: 'Place across',
  y: 'Place down',
};

const isText = (part: PropertyKey): part is string => typeof part === 'string';

/** The field that an issue is about, in words, and how its numbers are written. */
function fieldOf({ path }: Issue): { readonly name: string; readonly write: (value: number) => string } {
  const key = path.filter(isText).at(-1) ?? 'value';
  const unit = UNITS_BY_ENDING.find(([ending]) => ending.test(key));
  const words = key
    .replace(unit?.[0] ?? /$^/, '')
    .replace(/([a-z])([A-Z])/g, '$1 $2')
    .toLowerCase();
  const name = NAMES[key] ?? words.charAt(0).toUpperCase() + words.slice(1);
  return { name, write: unit?.[1] ?? ((value) => value.toLocaleString('en-US')) };
}

const KINDS: Readonly<Record<string, string>> = {
  number: 'a number',
  int: 'a whole number',
  string: 'text',
  boolean: 'yes or no',
  object: 'an object',
  record: 'an object',
  array: 'a list',
};

/**
 * What is wrong with a field and what to do, in a sentence for people. Sentences that the schema brings along are kept; those of
 * the library are put into words with the field's name and unit.
 */
export function sentenceOf(issue: Issue): string {
  if (!/^(Too (big|small)|Invalid|Unrecognized)/.test(issue.message)) return issue.message;
  const { name, write } = fieldOf(issue);
  switch (issue.code) {
    case 'too_big':
      if (issue.origin === 'string') return `${name}: at most ${Number(issue.maximum)} characters. Shorten it.`;
      if (issue.origin === 'array') return `${name}: at most ${Number(issue.maximum)} of them. Take some away.`;
      return `${name}: ${write(Number(issue.maximum))} at most. Type less.`;
    case 'too_small':
      if (issue.origin === 'string') return `${name}: at least ${Number(issue.minimum)} characters. Type more.`;
      if (issue.origin === 'array') return `${name}: at least ${Number(issue.minimum)} of them. Add what is missing.`;
      return `${name}: ${write(Number(issue.minimum))} at least. Type more.`;
    case 'invalid_type':
      return `${name}: ${KINDS[issue.expected] ?? `a ${issue.expected}`} is expected here.`;
    case 'invalid_value':
      return issue.values.length > 1
        ? `${name}: one of ${issue.values.slice(0, 8).join(', ')}${issue.values.length > 8 ? ' …' : ''} is expected here.`
        : `${name}: ${String(issue.values[0])} is expected here.`;
    case 'unrecognized_keys':
      return `${issue.keys.map((key) => `"${key}"`).join(', ')} is no field of this format. Take it out, or read the file with the version that wrote it.`;
    default:
      return `${name}: ${issue.message}`;
  }
}
