import type { Edition } from '../../house/schema';
import type { LoadKind } from '../../house/schema-equipment';
import { defineRule, fromMemory, type EditionEntry } from '../rule';

type Limits = Readonly<
  Record<
    | 'disposerLeastIn'
    | 'disposerMostIn'
    | 'washLeastIn'
    | 'washMostIn'
    | 'compactorMostIn'
    | 'hoodLeastIn'
    | 'hoodMostIn',
    number
  >
>;

const entry = (washMostIn: number, compactorMostIn: number, hoodMostIn: number): EditionEntry<Limits> => ({
  section: '422.16(B)',
  limits: {
    disposerLeastIn: 18,
    disposerMostIn: 36,
    washLeastIn: 36,
    washMostIn,
    compactorMostIn,
    hoodLeastIn: 18,
    hoodMostIn,
  },
  basis: fromMemory('medium'),
});

const rangeOf = (kind: LoadKind, limits: Limits): readonly [leastIn: number, mostIn: number] | undefined => {
  if (kind === 'disposer') return [limits.disposerLeastIn, limits.disposerMostIn];
  if (kind === 'dishwasher') return [limits.washLeastIn, limits.washMostIn];
  if (kind === 'compactor') return [limits.washLeastIn, limits.compactorMostIn];
  if (kind === 'range-hood') return [limits.hoodLeastIn, limits.hoodMostIn];
  return undefined;
};

const SECTIONS: Readonly<Partial<Record<LoadKind, string>>> = {
  disposer: '422.16(B)(1)',
  dishwasher: '422.16(B)(2)',
  compactor: '422.16(B)(2)',
  'range-hood': '422.16(B)(4)',
};

// 2014: dishwashers and compactors 3 to 4 ft, hoods to 3 ft; from 2017 dishwashers to 6 1/2 ft, hoods to 4 ft.
const editions: Readonly<Record<Edition, EditionEntry<Limits>>> = {
  '2014': entry(48, 48, 36),
  '2017': entry(78, 48, 48),
  '2020': entry(78, 48, 48),
  '2023': entry(78, 48, 48),
};

export const cordLength = defineRule({
  id: 'cord-length',
  meta: {
    summary: 'Cords of built-in kitchen appliances are as long as the code lets them be',
    stage: 'circuits',
    severity: 'violation',
    why: 'A cord too short hangs on its plug, one too long is crushed behind the appliance or runs through a cabinet where it chafes.',
    editions,
    messages: {
      long: ({ load, cord, most }: { load: string; cord: number; most: number }, show) =>
        `The cord of ${load} is ${show(cord)} long: ${show(most)} at most.`,
      short: ({ load, cord, least }: { load: string; cord: number; least: number }, show) =>
        `The cord of ${load} is ${show(cord)} long: ${show(least)} at least.`,
      right: ({ load, cord }: { load: string; cord: number }, show) =>
        `The cord of ${load}, ${show(cord)}, is of a permitted length.`,
    },
  },
  scope: 'house',
  reads: 'loads',
  appliesTo: (facts) =>
    Object.values(facts.house.loads).some((load) => load.cordIn !== undefined && SECTIONS[load.kind] !== undefined),
  check: (facts, limits, report) =>
    Object.values(facts.house.loads).flatMap((load) => {
      const [least, most] = rangeOf(load.kind, limits) ?? [];
      if (load.cordIn === undefined || least === undefined || most === undefined) return [];
      const data = { load: load.name, cord: load.cordIn };
      const where = { box: load.box };
      const section = SECTIONS[load.kind];
      const detail = section === undefined ? {} : { section };
      if (load.cordIn > most) return [report.fail('long', { ...data, most }, where, detail)];
      if (load.cordIn < least) return [report.fail('short', { ...data, least }, where, detail)];
      return [report.pass('right', data, where, detail)];
    }),
});
