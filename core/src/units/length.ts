import { refuse, succeed, type Result } from './result';

/** How lengths are shown: fractions of an inch, or metric. */
type LengthDisplay = '1/16' | '1/8' | 'metric';

/** Inches kept to the nearest 1/16, the resolution of a tape and of the document. */
export const roundToSixteenth = (lengthIn: number): number => Math.round(lengthIn * 16) / 16;

const IN_PER_CM = 1 / 2.54;
const LONGEST_IN = 12_000;

const number = String.raw`(?:\d+(?:\.\d+)?|\.\d+)`;
const fraction = String.raw`\d+\s*/\s*\d+`;
const inchesPart = String.raw`(?:(?<whole>\d+)[\s-]+(?<mixed>${fraction})|(?<only>${fraction})|(?<decimal>${number}))`;

const metricForm = new RegExp(`^(?<value>${number})\\s*(?<unit>mm|cm|m)$`);
const feetForm = new RegExp(`^(?<feet>${number})\\s*'\\s*-?\\s*(?:${inchesPart}\\s*"?)?$`);
const inchesForm = new RegExp(`^${inchesPart}\\s*"?$`);
const dashForm = new RegExp(`^(?<feet>\\d+)-${inchesPart}\\s*"?$`);
const bareFractionInchesForm = new RegExp(`^(?<whole>\\d+)-(?<mixed>${fraction})\\s*"?$`);

const unifyMarks = (text: string): string =>
  text
    .trim()
    .toLowerCase()
    .replace(/[\u2019\u2032\u00b4`]/g, "'")
    .replace(/[\u201d\u2033]|''/g, '"')
    .replace(/[\u2013\u2014]/g, '-')
    .replace(/\s*(?:feet|foot|ft)\.?\s*/g, "' ")
    .replace(/\s*(?:inches|inch|in)\.?$/g, '"')
    .replace(/[\u00bd]/g, ' 1/2')
    .replace(/[\u00bc]/g, ' 1/4')
    .replace(/[\u00be]/g, ' 3/4')
    .trim();

function readFraction(text: string): number | undefined {
  const [top, bottom] = text.split('/').map((part) => Number(part.trim()));
  return top === undefined || !bottom ? undefined : top / bottom;
}

type Groups = Readonly<Record<string, string | undefined>>;

function readInches(groups: Groups): number | undefined {
  if (groups['mixed'] !== undefined) {
    const part = readFraction(groups['mixed']);
    return part === undefined ? undefined : Number(groups['whole']) + part;
  }
  if (groups['only'] !== undefined) return readFraction(groups['only']);
  return groups['decimal'] === undefined ? 0 : Number(groups['decimal']);
}

function readMetric(groups: Groups): number {
  const perUnitCm: Record<string, number> = { mm: 0.1, cm: 1, m: 100 };
  return Number(groups['value']) * (perUnitCm[groups['unit'] ?? ''] ?? NaN) * IN_PER_CM;
}

/**
 * A length as people type it on site, in inches kept to 1/16. A bare number is inches; `12-6` is feet and inches.
 *
 * @example parseLength("12-6 1/2") // 150.5
 * @example parseLength("3 m") // 118.125
 */
export function parseLength(text: string, path = 'length'): Result<number> {
  const clean = unifyMarks(text);
  const bad = (why: string) =>
    refuse('length', path, `"${text.trim()}" ${why}. Type feet and inches: 12', 12-6 1/2, 150", 3 m.`);
  if (clean === '')
    return refuse('length', path, `No length was typed. Type feet and inches: 12', 12-6 1/2, 150", 3 m.`);
  if (clean.startsWith('-')) return bad('is negative; a length counts from zero up');

  const metric = metricForm.exec(clean)?.groups;
  const bareFraction = bareFractionInchesForm.exec(clean)?.groups;
  const feet = feetForm.exec(clean)?.groups ?? (bareFraction ? undefined : dashForm.exec(clean)?.groups);
  const inches = bareFraction ?? inchesForm.exec(clean)?.groups;

  let lengthIn: number | undefined;
  if (metric) lengthIn = readMetric(metric);
  else if (feet) {
    const part = readInches(feet);
    if (part === undefined) return bad('has a fraction over zero');
    if (part >= 12) return bad(`has ${part} inches after the feet; 12 inches or more are feet`);
    if (part > 0 && !Number.isInteger(Number(feet['feet']))) return bad('has a decimal in the feet and inches besides');
    lengthIn = Number(feet['feet']) * 12 + part;
  } else if (inches) {
    lengthIn = readInches(inches);
    if (lengthIn === undefined) return bad('has a fraction over zero');
  }
  if (lengthIn === undefined || !Number.isFinite(lengthIn)) return bad('is not a length');
  if (lengthIn > LONGEST_IN) return bad("is longer than 1,000', beyond any house");
  return succeed(roundToSixteenth(lengthIn));
}

const greatestCommonDivisor = (a: number, b: number): number => (b === 0 ? a : greatestCommonDivisor(b, a % b));

function formatFraction(parts: number, of: number): string {
  if (parts === 0) return '';
  const divisor = greatestCommonDivisor(parts, of);
  return `${parts / divisor}/${of / divisor}`;
}

/**
 * A length as a tape reads: feet and inches from a foot up, inches below; metric in metres or whole millimetres.
 *
 * @example formatLength(150.5) // 12'-6 1/2"
 */
export function formatLength(lengthIn: number, display: LengthDisplay = '1/16'): string {
  if (display === 'metric') {
    const millimetres = Math.round(lengthIn * 25.4);
    return Math.abs(millimetres) >= 1000 ? `${(millimetres / 1000).toFixed(2)} m` : `${millimetres} mm`;
  }
  const of = display === '1/16' ? 16 : 8;
  const parts = Math.round(Math.abs(lengthIn) * of);
  const sign = lengthIn < 0 && parts > 0 ? '-' : '';
  const wholeInches = Math.floor(parts / of);
  const rest = formatFraction(parts % of, of);
  const feet = Math.floor(wholeInches / 12);
  const inches = feet > 0 ? wholeInches % 12 : wholeInches;
  const inchText = rest === '' ? `${inches}` : inches === 0 && feet === 0 ? rest : `${inches} ${rest}`;
  return feet > 0 ? `${sign}${feet}'-${inchText}"` : `${sign}${inchText}"`;
}
