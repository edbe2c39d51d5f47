import type { Edition } from '../house/schema';
import { cookingDemandVa } from './cooking-demand';
import type { Connected, DwellingLoads, LoadGroup } from './connected-loads';

/** One line of a load calculation, as it is written on the form. */
export interface CalculationLine {
  readonly what: string;
  readonly sum: string;
  readonly va: number;
  readonly section: string;
}

/** A load calculation with its working. */
export interface LoadCalculation {
  readonly lines: readonly CalculationLine[];
  readonly va: number;
  /** At the volts between the legs of its supply. */
  readonly amps: number;
  readonly volts: number;
  /** What was assumed that the document does not say. */
  readonly assumed: readonly string[];
}

const [VA_PER_FT2, CIRCUIT_VA] = [3, 1500];
const round = (va: number): string => Math.round(va).toLocaleString('en-US');

const AREA_SECTION: Readonly<Record<Edition, string>> = {
  '2014': '220.12',
  '2017': '220.12',
  '2020': '220.14(J)',
  '2023': '220.41',
};
const DEMAND_SECTION: Readonly<Record<Edition, string>> = {
  '2014': 'Table 220.42',
  '2017': 'Table 220.42',
  '2020': 'Table 220.42',
  '2023': 'Table 220.45',
};

const of = (loads: DwellingLoads, group: LoadGroup): Connected[] =>
  loads.connected.filter((one) => one.group === group);
const sumVa = (all: readonly { readonly va: number }[]): number => all.reduce((sum, one) => sum + one.va, 0);
const names = (all: readonly Connected[]): string => all.map((one) => one.name).join(', ');

/** 3 VA/ft² with the small-appliance and laundry circuits, before any demand. */
const generalVa = (loads: DwellingLoads): number =>
  VA_PER_FT2 * loads.areaFt2 + CIRCUIT_VA * (loads.smallApplianceCircuits + loads.laundryCircuits);

const generalLines = (loads: DwellingLoads): CalculationLine[] => [
  {
    what: 'General lighting and receptacles',
    sum: `${loads.areaFt2.toFixed(0)} ft² × ${VA_PER_FT2} VA`,
    va: VA_PER_FT2 * loads.areaFt2,
    section: AREA_SECTION[loads.edition],
  },
  {
    what: 'Small-appliance circuits',
    sum: `${loads.smallApplianceCircuits} × ${round(CIRCUIT_VA)} VA`,
    va: CIRCUIT_VA * loads.smallApplianceCircuits,
    section: '220.52(A)',
  },
  {
    what: 'Laundry circuit',
    sum: `${loads.laundryCircuits} × ${round(CIRCUIT_VA)} VA`,
    va: CIRCUIT_VA * loads.laundryCircuits,
    section: '220.52(B)',
  },
];

/** First 3,000 VA whole, then 35 % to 120,000, then 25 %: Table 220.42, 220.45 in 2023. */
const lightingDemandVa = (va: number): number =>
  Math.min(va, 3_000) + 0.35 * Math.max(0, Math.min(va, 120_000) - 3_000) + 0.25 * Math.max(0, va - 120_000);

/** Demand of dryers by their number, percent: Table 220.54, *from memory*, high. */
function dryerPercent(n: number): number {
  if (n <= 4) return 100;
  if (n <= 11) return [85, 75, 65, 60, 55, 50, 47][n - 5]!;
  if (n <= 23) return 47 - (n - 11);
  return n <= 42 ? 35 - 0.5 * (n - 23) : 25;
}

/** Table 220.54 takes each dryer at 5,000 VA at least. */
const dryerVa = (one: Connected): number => Math.max(5_000, one.va);
/** 2023 takes each charger at 7,200 VA at least: 220.57; one that is managed at its setting: 625.42(A). */
const vehicleVa = (one: Connected, edition: Edition): number =>
  edition === '2023' && !one.managed ? Math.max(7_200, one.va) : one.va;
const vehicleWords = (one: Connected, edition: Edition): Pick<CalculationLine, 'sum' | 'section'> => {
  if (one.managed)
    return { sum: 'as its energy management limits it', section: edition === '2014' ? '625.41' : '625.42(A)' };
  return edition === '2023'
    ? { sum: 'at least 7,200 VA', section: '220.57' }
    : { sum: 'by its plate', section: '625.42' };
};

/** Of fixed appliances those that count towards the four of 220.53; from 2020 only those of 500 W and more. *From memory*, medium. */
const countsTowardsFour = (one: Connected, edition: Edition): boolean =>
  edition === '2014' || edition === '2017' || one.va >= 500;

function fixedLines(loads: DwellingLoads): CalculationLine[] {
  const fixed = of(loads, 'fixed');
  const counted = fixed.filter((one) => countsTowardsFour(one, loads.edition));
  const rest = fixed.filter((one) => !counted.includes(one));
  const share = counted.length >= 4 ? 0.75 : 1;
  const lines: CalculationLine[] = [];
  if (counted.length > 0)
    lines.push({
      what: `Fixed appliances: ${names(counted)}`,
      sum: share < 1 ? `${round(sumVa(counted))} VA × 75 %, four or more` : 'fewer than four: at 100 %',
      va: sumVa(counted) * share,
      section: '220.53',
    });
  if (rest.length > 0)
    lines.push({ what: `Small fixed appliances: ${names(rest)}`, sum: 'at 100 %', va: sumVa(rest), section: '220.53' });
  return lines;
}

function dryerLines(loads: DwellingLoads): CalculationLine[] {
  const dryers = of(loads, 'dryer');
  const percent = dryerPercent(dryers.length);
  if (percent === 100)
    return dryers.map((one) => ({ what: one.name, sum: 'at least 5,000 VA', va: dryerVa(one), section: '220.54' }));
  return [
    {
      what: `${dryers.length} dryers`,
      sum: `at least 5,000 VA each, × ${percent} %`,
      va: (dryers.reduce((sum, one) => sum + dryerVa(one), 0) * percent) / 100,
      section: 'Table 220.54',
    },
  ];
}

/** Heat and cooling that never run together: the larger counts, 220.60. A heat pump heats with its supplement, and cools without it. */
function seasons(loads: DwellingLoads): { heatVa: number; coolVa: number; cooling: Connected[]; heating: Connected[] } {
  const pumps = of(loads, 'heat-pump');
  const heating = [...of(loads, 'heat'), ...pumps];
  const cooling = [...of(loads, 'cooling'), ...pumps];
  return { heating, cooling, heatVa: sumVa(heating), coolVa: sumVa(cooling) };
}

const finish = (
  { volts }: Pick<DwellingLoads, 'volts'>,
  lines: readonly CalculationLine[],
  assumed: readonly string[],
): LoadCalculation => {
  const va = sumVa(lines);
  return { lines, va, amps: va / volts, volts, assumed };
};

/**
 * A dwelling's load by the standard method, Article 220 Part III. Watts of cooking equipment are taken as volt-amperes. The 25 % of the
 * largest motor is that of the largest that counts.
 */
export function standardLoad(loads: DwellingLoads): LoadCalculation {
  const general = generalVa(loads);
  const lines: CalculationLine[] = [
    ...generalLines(loads).map((line) => ({ ...line, va: 0, sum: `${line.sum} = ${round(line.va)} VA` })),
    {
      what: 'Demand on these',
      sum: `3,000 VA at 100 %, the rest of ${round(general)} at 35 %`,
      va: lightingDemandVa(general),
      section: DEMAND_SECTION[loads.edition],
    },
    ...fixedLines(loads),
    ...of(loads, 'other').map((one) => ({ what: one.name, sum: 'at 100 %', va: one.va, section: '220.14' })),
  ];
  const cooking = of(loads, 'cooking');
  if (cooking.length > 0)
    lines.push({
      what: `Cooking: ${names(cooking)}`,
      sum: `demand on ${round(sumVa(cooking))} VA`,
      va: cookingDemandVa(cooking.map((one) => one.va)),
      section: 'Table 220.55',
    });
  lines.push(...dryerLines(loads));
  for (const one of of(loads, 'vehicle'))
    lines.push({
      what: one.name,
      va: vehicleVa(one, loads.edition),
      ...vehicleWords(one, loads.edition),
    });
  const { heating, cooling, heatVa, coolVa } = seasons(loads);
  const isCold = heatVa >= coolVa;
  if (heating.length + cooling.length > 0)
    lines.push({
      what: isCold ? `Heat: ${names(heating)}` : `Cooling: ${names(cooling)}`,
      sum: `heat ${round(heatVa)}, cooling ${round(coolVa)}: the larger`,
      va: Math.max(heatVa, coolVa),
      section: '220.51, 220.60',
    });
  const motors = loads.connected.filter(
    (one) =>
      one.motor &&
      // The blower of an electric furnace is a motor; its elements, which are nearly all of its load, are not.
      one.group !== 'heat' &&
      (one.group === 'fixed' || one.group === 'other' || (isCold ? heating : cooling).includes(one)),
  );
  const largest = motors.reduce<Connected | undefined>(
    (best, one) => (!best || one.va > best.va ? one : best),
    undefined,
  );
  if (largest)
    lines.push({
      what: `25 % of the largest motor: ${largest.name}`,
      sum: `${round(largest.va)} VA × 25 %`,
      va: largest.va * 0.25,
      section: '220.50, 430.24',
    });
  return finish(loads, lines, []);
}

interface Climate {
  readonly what: string;
  readonly sum: string;
  readonly va: number;
  readonly section: string;
}

/** The largest of 220.82(C)(1) to (6). */
function largestClimate(loads: DwellingLoads): { line: Climate | undefined; assumed: string[] } {
  const [heat, pumps, cooling] = [of(loads, 'heat'), of(loads, 'heat-pump'), of(loads, 'cooling')];
  const controls = new Set(heat.map((one) => one.control)).size;
  const choices: Climate[] = [];
  const coolVa = sumVa(cooling) + sumVa(pumps);
  if (coolVa > 0)
    choices.push({
      what: `Cooling: ${names([...cooling, ...pumps])}`,
      sum: 'at 100 %',
      va: coolVa,
      section: '220.82(C)(1)',
    });
  if (pumps.length > 0 && heat.length === 0)
    choices.push({ what: `Heat pump: ${names(pumps)}`, sum: 'at 100 %', va: sumVa(pumps), section: '220.82(C)(2)' });
  if (pumps.length > 0 && heat.length > 0)
    choices.push({
      what: `Heat pump with supplement: ${names([...pumps, ...heat])}`,
      sum: `${round(sumVa(pumps))} + 65 % of ${round(sumVa(heat))} VA`,
      va: sumVa(pumps) + 0.65 * sumVa(heat),
      section: '220.82(C)(3)',
    });
  if (pumps.length === 0 && heat.length > 0) {
    const share = controls >= 4 ? 40 : 65;
    choices.push({
      what: `Heat: ${names(heat)}`,
      sum: `${share} % of ${round(sumVa(heat))} VA, ${controls} separately controlled`,
      va: (share / 100) * sumVa(heat),
      section: controls >= 4 ? '220.82(C)(5)' : '220.82(C)(4)',
    });
  }
  const line = choices.reduce<Climate | undefined>((best, one) => (!best || one.va > best.va ? one : best), undefined);
  const assumed =
    heat.length > 1 && pumps.length === 0
      ? [`Heaters of one room hang on one thermostat: ${controls} are separately controlled.`]
      : [];
  return { line, assumed };
}

function poolWords(one: Connected, edition: Edition): Pick<CalculationLine, 'sum' | 'section'> {
  if (one.group === 'vehicle' && (one.managed || edition === '2023')) return vehicleWords(one, edition);
  if (one.managed) return { sum: 'as its energy management limits it', section: '220.70' };
  return { sum: one.isTypical ? 'typical' : 'by its plate', section: '220.82(B)(3)' };
}

/** What the general pool of the optional methods holds: everything but heat and cooling, at nameplate. */
function poolLines(loads: DwellingLoads): CalculationLine[] {
  const inPool = loads.connected.filter((one) => !['heat', 'heat-pump', 'cooling'].includes(one.group));
  return [
    ...generalLines(loads),
    ...inPool.map((one) => ({
      what: one.name,
      va: one.group === 'vehicle' ? vehicleVa(one, loads.edition) : one.va,
      ...poolWords(one, loads.edition),
    })),
  ];
}

const vehicleDoubt = (loads: DwellingLoads): string[] =>
  of(loads, 'vehicle').length > 0
    ? [
        'A charger stands in the general load at its plate; the code does not spell that out, and some authorities want it at 100 %.',
      ]
    : [];

/** The pool with its demand in one line: the single items are shown, what counts is the demand. */
function demandOnPool(loads: DwellingLoads, wholeVa: number, section: string): CalculationLine[] {
  const pool = poolLines(loads);
  const total = sumVa(pool);
  return [
    ...pool.map((line) => ({ ...line, va: 0, sum: `${line.sum} = ${round(line.va)} VA` })),
    {
      what: 'Demand on these',
      sum: `${round(wholeVa)} VA at 100 %, the rest of ${round(total)} at 40 %`,
      va: Math.min(total, wholeVa) + 0.4 * Math.max(0, total - wholeVa),
      section,
    },
  ];
}

/** A dwelling's load by the optional method, 220.82: for a service or feeder of 100 A or more. */
export function optionalLoad(loads: DwellingLoads): LoadCalculation {
  const { line, assumed } = largestClimate(loads);
  return finish(
    loads,
    [...demandOnPool(loads, 10_000, '220.82(B)'), ...(line ? [line] : [])],
    [...assumed, ...vehicleDoubt(loads)],
  );
}

/** Demand of multifamily dwellings by the number of units, percent: Table 220.84, 220.84(B) from 2020. *From memory*, medium. */
const MULTIFAMILY: readonly (readonly [most: number, percent: number])[] = [
  ...([
    [5, 45],
    [7, 44],
    [10, 43],
    [11, 42],
    [13, 41],
    [15, 40],
    [17, 39],
    [20, 38],
    [21, 37],
    [23, 36],
  ] as const),
  ...([
    [25, 35],
    [27, 34],
    [30, 33],
    [31, 32],
    [33, 31],
    [36, 30],
    [38, 29],
    [42, 28],
    [45, 27],
    [50, 26],
  ] as const),
  ...([
    [55, 25],
    [61, 24],
    [Infinity, 23],
  ] as const),
];

/** Three dwellings and more, each with electric cooking and with electric heat or cooling: 220.84(A). */
export const isMultifamily = (loads: DwellingLoads): boolean =>
  loads.dwellings >= 3 &&
  of(loads, 'cooking').length >= loads.dwellings &&
  Math.max(seasons(loads).heating.length, seasons(loads).cooling.length) >= loads.dwellings;

/** What dwellings connect by 220.84(C): the pool at its plates, and the larger of heat and cooling. */
function connectedLines(loads: DwellingLoads): CalculationLine[] {
  const { heating, cooling, heatVa, coolVa } = seasons(loads);
  const climate: CalculationLine = {
    what: heatVa >= coolVa ? `Heat: ${names(heating)}` : `Cooling: ${names(cooling)}`,
    sum: `heat ${round(heatVa)}, cooling ${round(coolVa)}: the larger`,
    va: Math.max(heatVa, coolVa),
    section: '220.84(C)(5)',
  };
  return [...poolLines(loads), ...(climate.va > 0 ? [climate] : [])];
}

/**
 * The load of three dwelling units and more by the optional method, 220.84: for units with electric cooking and with electric heat or
 * cooling, see {@link isMultifamily}. Loads of the house itself come on top, by Part III.
 */
export function multifamilyLoad(loads: DwellingLoads): LoadCalculation {
  const lines = connectedLines(loads);
  const total = sumVa(lines);
  const [, percent] = MULTIFAMILY.find(([most]) => loads.dwellings <= most)!;
  return finish(
    loads,
    [
      ...lines.map((line) => ({ ...line, va: 0, sum: `${line.sum} = ${round(line.va)} VA` })),
      {
        what: `Demand on these, ${loads.dwellings} units`,
        sum: `${round(total)} VA × ${percent} %`,
        va: (total * percent) / 100,
        section: loads.edition === '2014' || loads.edition === '2017' ? 'Table 220.84' : 'Table 220.84(B)',
      },
    ],
    ['Everything is taken as a load of the units: what a house panel feeds comes on top, by Part III.'],
  );
}

/**
 * Two dwelling units by 220.85: three identical ones by 220.84, half as much again as the two connect. Where the units differ this is
 * less than three of the larger would be, so it is shown and never decides.
 */
export function twoDwellingsLoad(loads: DwellingLoads): LoadCalculation {
  const total = sumVa(connectedLines(loads));
  return finish(
    loads,
    [
      {
        what: 'Three units like these',
        sum: `${round(total)} VA connected × 3/2 × 45 %`,
        va: total * 1.5 * 0.45,
        section: '220.85, 220.84',
      },
    ],
    ['The two units are alike. Where they differ, reckon three of the larger one; the authority decides.'],
  );
}

/**
 * The load of a dwelling that stands, 220.83: without new heat or cooling all of it in the pool, (A); with it the larger of heat and cooling
 * at 100 % beside the pool, (B). Four or more separately controlled heaters at 40 % are not recalled for sure and are taken whole.
 */
export function existingLoad(loads: DwellingLoads, hasNewClimate: boolean): LoadCalculation {
  const { heating, cooling, heatVa, coolVa } = seasons(loads);
  const larger = heatVa >= coolVa ? heating : cooling;
  if (hasNewClimate)
    return finish(
      loads,
      [
        ...demandOnPool(loads, 8_000, '220.83(B)'),
        ...(larger.length > 0
          ? [{ what: names(larger), sum: 'at 100 %', va: sumVa(larger), section: '220.83(B)' }]
          : []),
      ],
      vehicleDoubt(loads),
    );
  const withClimate: DwellingLoads = {
    ...loads,
    connected: [
      ...loads.connected.filter((one) => !heating.includes(one) && !cooling.includes(one)),
      ...larger.map((one): Connected => ({ ...one, group: 'fixed' })),
    ],
  };
  return finish(loads, demandOnPool(withClimate, 8_000, '220.83(A)'), vehicleDoubt(loads));
}

/** The neutral's load, 220.61: what 120 V loads and cooking and drying can leave unbalanced. */
export function neutralLoad(loads: DwellingLoads): LoadCalculation {
  const lines: CalculationLine[] = [
    {
      what: 'Lighting, small appliances, laundry',
      sum: 'with its demand',
      va: lightingDemandVa(generalVa(loads)),
      section: DEMAND_SECTION[loads.edition],
    },
  ];
  const cooking = cookingDemandVa(of(loads, 'cooking').map((one) => one.va));
  if (cooking > 0)
    lines.push({ what: 'Cooking', sum: `${round(cooking)} VA × 70 %`, va: cooking * 0.7, section: '220.61(B)(1)' });
  const drying = of(loads, 'dryer');
  const dryers = (drying.reduce((sum, one) => sum + dryerVa(one), 0) * dryerPercent(drying.length)) / 100;
  if (dryers > 0)
    lines.push({ what: 'Dryer', sum: `${round(dryers)} VA × 70 %`, va: dryers * 0.7, section: '220.61(B)(1)' });
  for (const one of loads.connected)
    if (one.volts === 120 && (one.group === 'fixed' || one.group === 'other' || one.group === 'cooling'))
      lines.push({ what: one.name, sum: '120 V', va: one.va, section: '220.61(A)' });
  const motors = loads.connected.filter(
    (one) => one.volts === 120 && one.motor && ['fixed', 'other', 'cooling'].includes(one.group),
  );
  const largest = Math.max(0, ...motors.map((one) => one.va));
  if (largest > 0)
    lines.push({
      what: '25 % of the largest 120 V motor',
      sum: `${round(largest)} VA × 25 %`,
      va: largest * 0.25,
      section: '430.24',
    });
  const whole = finish(loads, lines, []);
  const over = whole.amps - 200;
  return over > 0
    ? finish(
        loads,
        [
          ...lines,
          {
            what: 'Above 200 A',
            sum: `30 % off ${over.toFixed(0)} A`,
            va: -0.3 * over * loads.volts,
            section: '220.61(B)(2)',
          },
        ],
        [],
      )
    : whole;
}
