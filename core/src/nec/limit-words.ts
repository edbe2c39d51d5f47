import { UNITS_BY_ENDING } from '../house/field-words';
import { parseLength } from '../units/length';
import { refuse, succeed, type Result } from '../units/result';

/** Limits that say yes or no: 1 or 0 among the numbers of a rule. */
const SWITCHES: ReadonlySet<string> = new Set([
  'anyAppliance',
  'bidet',
  'byArea',
  'fromWall',
  'inEachBay',
  'optional',
  'outdoorsToo',
  'serves',
  'singleBayException',
]);
const isShare = (limit: string) => /share$/i.test(limit);
const unitOf = (limit: string) => UNITS_BY_ENDING.find(([ending]) => ending.test(limit));

/** Whether a limit says yes or no rather than how much. */
export const isSwitchLimit = (limit: string): boolean => SWITCHES.has(limit);

/** What a limit is called. @example limitName('maxAboveIn') // "max above" */
export const limitName = (limit: string): string =>
  limit
    .replace(unitOf(limit)?.[0] ?? /$^/, '')
    .replace(/([a-z])([A-Z])/g, '$1 $2')
    .toLowerCase();

/** Its value with the unit. @example limitValue('reachIn', 72) // 6'-0" */
export function limitValue(limit: string, value: number): string {
  if (isSwitchLimit(limit)) return value === 0 ? 'no' : 'yes';
  if (isShare(limit)) return `${Math.round(value * 1000) / 10} %`;
  return unitOf(limit)?.[1](value) ?? String(value);
}

/** A value as a person types it: a length in feet and inches, a share in percent, yes or no, or a number in the limit's unit. */
export function readLimit(limit: string, text: string): Result<number> {
  const typed = text.trim();
  const wrong = (what: string) => refuse('limit', 'value', `New value: type ${what}.`);
  if (isSwitchLimit(limit)) {
    if (/^(yes|1)$/i.test(typed)) return succeed(1);
    return /^(no|0)$/i.test(typed) ? succeed(0) : wrong('yes or no');
  }
  if (/In$/.test(limit)) return parseLength(typed, 'New value');
  const digits = typed.replace(/\s*(%|[a-zA-Z²³°]+)$/, '');
  const number = Number(digits);
  if (digits === '' || !Number.isFinite(number)) return wrong(isShare(limit) ? 'percent, such as 80' : 'a number');
  return succeed(isShare(limit) ? number / 100 : number);
}
