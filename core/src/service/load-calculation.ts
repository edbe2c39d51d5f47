import type { Edition } from '../house/schema';
import { cookingDemandVa } from './cooking-demand';
import type { Connected, DwellingLoads, LoadGroup } from './connected-loads';
import { shareOnLegs, unbalancedVa, type LegLoad } from './legs';
import { itemAt } from '../units/result';

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
  /** By how much the heavier leg exceeds the other, amperes: what comes back over the neutral. Missing where loads were not shared out. */
  readonly unevenA?: number;
  /** What was assumed that the document does not say. */
  readonly assumed: readonly string[];
}

const [VA_PER_FT2, CIRCUIT_VA] = [3, 1500];
/** Volt-amperes as people write them. */
export const inWords = (va: number): string => Math.round(va).toLocaleString('en-US');

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

/** The loads of one group of the calculation. */
export const loadsOf = (loads: DwellingLoads, group: LoadGroup): Connected[] =>
  loads.connected.filter((one) => one.group === group);
/** Volt-amperes in all. */
export const sumVa = (all: readonly { readonly va: number }[]): number => all.reduce((sum, one) => sum + one.va, 0);
/** Names in one list. */
export const names = (all: readonly Connected[]): string => all.map((one) => one.name).join(', ');

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
    sum: `${loads.smallApplianceCircuits} × ${inWords(CIRCUIT_VA)} VA`,
    va: CIRCUIT_VA * loads.smallApplianceCircuits,
    section: '220.52(A)',
  },
  {
    what: 'Laundry circuit',
    sum: `${loads.laundryCircuits} × ${inWords(CIRCUIT_VA)} VA`,
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
  if (n <= 11) return itemAt([85, 75, 65, 60, 55, 50, 47], n - 5);
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

const vehicleLines = (loads: DwellingLoads): CalculationLine[] =>
  loadsOf(loads, 'vehicle').map((one) => ({
    what: one.name,
    va: vehicleVa(one, loads.edition),
    ...vehicleWords(one, loads.edition),
  }));

/** Of fixed appliances those that count towards the four of 220.53; from 2020 only those of 500 W and more. *From memory*, medium. */
const countsTowardsFour = (one: Connected, edition: Edition): boolean =>
  edition === '2014' || edition === '2017' || one.va >= 500;

/** Fixed appliances, those with a demand of 75 % where there are four and more, and the rest: 220.53. */
function fixedAppliances(loads: DwellingLoads): { counted: Connected[]; rest: Connected[]; share: number } {
  const fixed = loadsOf(loads, 'fixed');
  const counted = fixed.filter((one) => countsTowardsFour(one, loads.edition));
  const rest = fixed.filter((one) => !counted.includes(one));
  return { counted, rest, share: counted.length >= 4 ? 0.75 : 1 };
}

function fixedLines(loads: DwellingLoads): CalculationLine[] {
  const { counted, rest, share } = fixedAppliances(loads);
  const lines: CalculationLine[] = [];
  if (counted.length > 0)
    lines.push({
      what: `Fixed appliances: ${names(counted)}`,
      sum: share < 1 ? `${inWords(sumVa(counted))} VA × 75 %, four or more` : 'fewer than four: at 100 %',
      va: sumVa(counted) * share,
      section: '220.53',
    });
  if (rest.length > 0)
    lines.push({ what: `Small fixed appliances: ${names(rest)}`, sum: 'at 100 %', va: sumVa(rest), section: '220.53' });
  return lines;
}

function dryerLines(loads: DwellingLoads): CalculationLine[] {
  const dryers = loadsOf(loads, 'dryer');
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
export function seasons(loads: DwellingLoads): {
  heatVa: number;
  coolVa: number;
  cooling: Connected[];
  heating: Connected[];
} {
  const pumps = loadsOf(loads, 'heat-pump');
  const heating = [...loadsOf(loads, 'heat'), ...pumps];
  const cooling = [...loadsOf(loads, 'cooling'), ...pumps];
  return { heating, cooling, heatVa: sumVa(heating), coolVa: sumVa(cooling) };
}

/** The result of a calculation, from its lines. */
export const finish = (
  { volts }: Pick<DwellingLoads, 'volts'>,
  lines: readonly CalculationLine[],
  assumed: readonly string[],
): LoadCalculation => {
  const va = sumVa(lines);
  return { lines, va, amps: va / volts, volts, assumed };
};

/**
 * What the heavier leg carries beyond half of it all, in a line: 120 V loads that are counted one by one, shared out as evenly as they let
 * themselves, Annex D, Example D1(b). A supply of one leg has nothing to share out.
 */
function onLegs(
  volts: number,
  alone: readonly (LegLoad & Pick<Connected, 'volts'>)[],
): { lines: CalculationLine[]; unevenA: number } {
  const at120 = alone.filter((one) => one.volts === 120);
  if (volts === 120 || at120.length === 0) return { lines: [], unevenA: 0 };
  const largest = (at: number) => Math.max(0, ...alone.filter((one) => one.volts === at).map((one) => one.motorVa));
  const { heavierVa, lighterVa } = shareOnLegs(at120, largest(240));
  const evenVa = sumVa(at120) + 0.25 * Math.max(largest(120), largest(240));
  const va = 2 * heavierVa - evenVa;
  const unevenA = (heavierVa - lighterVa) / (volts / 2);
  if (va < 0.5) return { lines: [], unevenA };
  const amps = (one: number) => (one / (volts / 2)).toFixed(1);
  const line: CalculationLine = {
    what: 'The heavier leg',
    sum: `120 V loads and their largest motor: ${amps(heavierVa)} A on one leg, ${amps(lighterVa)} A on the other`,
    va,
    section: 'Annex D, D1(b)',
  };
  return { lines: [line], unevenA };
}

/** What the standard method counts one by one, each with its demand: what may lie on one leg. */
function countedAlone(loads: DwellingLoads, season: readonly Connected[], motors: ReadonlySet<Connected>) {
  const { counted, share } = fixedAppliances(loads);
  const all = [...(['fixed', 'other', 'vehicle'] as const).flatMap((one) => loadsOf(loads, one)), ...season];
  return all.map((one) => ({
    volts: one.volts,
    va: (counted.includes(one) ? share : 1) * (one.group === 'vehicle' ? vehicleVa(one, loads.edition) : one.va),
    motorVa: motors.has(one) ? one.va : 0,
  }));
}

/**
 * A dwelling's load by the standard method, Article 220 Part III. Watts of cooking equipment are taken as volt-amperes. The 25 % of the
 * largest motor is that of the largest that counts. What is counted by itself at 120 V lies on one leg, so the amperes are those of the
 * heavier one.
 */
export function standardLoad(loads: DwellingLoads): LoadCalculation {
  const general = generalVa(loads);
  const lines: CalculationLine[] = [
    ...generalLines(loads).map((line) => ({ ...line, va: 0, sum: `${line.sum} = ${inWords(line.va)} VA` })),
    {
      what: 'Demand on these',
      sum: `3,000 VA at 100 %, the rest of ${inWords(general)} at 35 %`,
      va: lightingDemandVa(general),
      section: DEMAND_SECTION[loads.edition],
    },
    ...fixedLines(loads),
    ...loadsOf(loads, 'other').map((one) => ({ what: one.name, sum: 'at 100 %', va: one.va, section: '220.14' })),
  ];
  const cooking = loadsOf(loads, 'cooking');
  if (cooking.length > 0)
    lines.push({
      what: `Cooking: ${names(cooking)}`,
      sum: `demand on ${inWords(sumVa(cooking))} VA`,
      va: cookingDemandVa(cooking.map((one) => one.va)),
      section: 'Table 220.55',
    });
  lines.push(...dryerLines(loads), ...vehicleLines(loads));
  const { heating, cooling, heatVa, coolVa } = seasons(loads);
  const isCold = heatVa >= coolVa;
  const season = isCold ? heating : cooling;
  if (heating.length + cooling.length > 0)
    lines.push({
      what: isCold ? `Heat: ${names(heating)}` : `Cooling: ${names(cooling)}`,
      sum: `heat ${inWords(heatVa)}, cooling ${inWords(coolVa)}: the larger`,
      va: Math.max(heatVa, coolVa),
      section: '220.51, 220.60',
    });
  const motors = loads.connected.filter(
    (one) =>
      one.motor &&
      // The blower of an electric furnace is a motor; its elements, which are nearly all of its load, are not.
      one.group !== 'heat' &&
      (one.group === 'fixed' || one.group === 'other' || season.includes(one)),
  );
  const largest = motors.reduce<Connected | undefined>(
    (best, one) => (!best || one.va > best.va ? one : best),
    undefined,
  );
  if (largest)
    lines.push({
      what: `25 % of the largest motor: ${largest.name}`,
      sum: `${inWords(largest.va)} VA × 25 %`,
      va: largest.va * 0.25,
      section: '220.50, 430.24',
    });
  const alone = countedAlone(loads, season, new Set(motors));
  const legs = onLegs(loads.volts, alone);
  return { ...finish(loads, [...lines, ...legs.lines], []), unevenA: legs.unevenA };
}

interface Climate {
  readonly what: string;
  readonly sum: string;
  readonly va: number;
  readonly section: string;
}

const CLIMATE: ReadonlySet<LoadGroup> = new Set<LoadGroup>(['heat', 'heat-pump', 'cooling']);

/** The largest of 220.82(C)(1) to (6). */
function largestClimate(loads: DwellingLoads): { line: Climate | undefined; assumed: string[] } {
  const [heat, pumps, cooling] = [loadsOf(loads, 'heat'), loadsOf(loads, 'heat-pump'), loadsOf(loads, 'cooling')];
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
      sum: `${inWords(sumVa(pumps))} + 65 % of ${inWords(sumVa(heat))} VA`,
      va: sumVa(pumps) + 0.65 * sumVa(heat),
      section: '220.82(C)(3)',
    });
  if (pumps.length === 0 && heat.length > 0) {
    const share = controls >= 4 ? 40 : 65;
    choices.push({
      what: `Heat: ${names(heat)}`,
      sum: `${share} % of ${inWords(sumVa(heat))} VA, ${controls} separately controlled`,
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
export function poolLines(loads: DwellingLoads): CalculationLine[] {
  const inPool = loads.connected.filter((one) => !CLIMATE.has(one.group));
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
  loadsOf(loads, 'vehicle').length > 0
    ? [
        'A charger stands in the general load at its plate; the code does not spell that out, and some authorities want it at 100 %.',
      ]
    : [];

/** The pool with its demand in one line: the single items are shown, what counts is the demand. */
function demandOnPool(loads: DwellingLoads, wholeVa: number, section: string): CalculationLine[] {
  const pool = poolLines(loads);
  const total = sumVa(pool);
  return [
    ...pool.map((line) => ({ ...line, va: 0, sum: `${line.sum} = ${inWords(line.va)} VA` })),
    {
      what: 'Demand on these',
      sum: `${inWords(wholeVa)} VA at 100 %, the rest of ${inWords(total)} at 40 %`,
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

/** Whether some of its heat or cooling is new: then 220.83(B) holds, otherwise (A). */
export const addsClimate = ({ connected }: DwellingLoads): boolean =>
  connected.some((one) => !one.stands && CLIMATE.has(one.group));

/**
 * The load of a dwelling that stands, 220.83: without new heat or cooling all of it in the pool, (A); with it the larger of heat and cooling
 * at 100 % beside the pool, (B). Four or more separately controlled heaters at 40 % are not recalled for sure and are taken whole.
 */
export function existingLoad(loads: DwellingLoads, hasNewClimate = addsClimate(loads)): LoadCalculation {
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

/** What was measured counts at 125 %: 220.87. */
const MEASURED_SHARE = 1.25;

/**
 * The load of a service that stands, from its measured peak, 220.87: 125 % of it and all that is new at its plate. Rooms in which nothing
 * was there before count at 3 VA/ft². Undefined where nothing was measured, or where it may not be reckoned with.
 */
export function measuredLoad(loads: DwellingLoads): LoadCalculation | undefined {
  if (!loads.stands || loads.peakA === undefined) return undefined;
  const added = loads.connected.filter((one) => !one.stands);
  const { newAreaFt2 = 0 } = loads;
  const line = (what: string, sum: string, va: number): CalculationLine => ({ what, sum, va, section: '220.87' });
  const alone = added.map(({ va, volts }) => ({ va, volts, motorVa: 0 }));
  return finish(
    loads,
    [
      line('Measured peak', `${loads.peakA} A × ${loads.volts} V × 125 %`, loads.peakA * loads.volts * MEASURED_SHARE),
      ...added.map((one) => ({
        ...line(one.name, one.isTypical ? 'new, typical' : 'new, by its plate', one.va),
        ...(one.group === 'vehicle' ? { va: vehicleVa(one, loads.edition), ...vehicleWords(one, loads.edition) } : {}),
      })),
      ...(newAreaFt2 > 0
        ? [
            line(
              'Rooms in which nothing was',
              `${newAreaFt2.toFixed(0)} ft² × ${VA_PER_FT2} VA`,
              newAreaFt2 * VA_PER_FT2,
            ),
          ]
        : []),
      ...onLegs(loads.volts, alone).lines,
    ],
    [
      'The peak is of the last year, or of 30 days in which the larger of heat and cooling ran, as a recorder of 15-minute averages shows it. What it holds already stands in existing boxes.',
    ],
  );
}

/**
 * The neutral's load, 220.61: what 120 V loads and cooking and drying can leave unbalanced. What is counted by itself lies on one leg, as in
 * Annex D's Example D1(b); D2 halves it as if it lay on both (`isByLegs` false).
 */
export function neutralLoad(loads: DwellingLoads, isByLegs = true): LoadCalculation {
  const lines: CalculationLine[] = [
    {
      what: 'Lighting, small appliances, laundry',
      sum: 'with its demand',
      va: lightingDemandVa(generalVa(loads)),
      section: DEMAND_SECTION[loads.edition],
    },
  ];
  const cooking = cookingDemandVa(loadsOf(loads, 'cooking').map((one) => one.va));
  if (cooking > 0)
    lines.push({ what: 'Cooking', sum: `${inWords(cooking)} VA × 70 %`, va: cooking * 0.7, section: '220.61(B)(1)' });
  const drying = loadsOf(loads, 'dryer');
  const dryers = (drying.reduce((sum, one) => sum + dryerVa(one), 0) * dryerPercent(drying.length)) / 100;
  if (dryers > 0)
    lines.push({ what: 'Dryer', sum: `${inWords(dryers)} VA × 70 %`, va: dryers * 0.7, section: '220.61(B)(1)' });
  const alone = loads.connected
    .filter((one) => one.volts === 120 && ['fixed', 'other', 'cooling', 'vehicle', 'heat'].includes(one.group))
    .map((one) => (one.group === 'vehicle' ? { ...one, va: vehicleVa(one, loads.edition) } : one));
  for (const one of alone) lines.push({ what: one.name, sum: '120 V', va: one.va, section: '220.61(A)' });
  // The elements of a heater are no motor.
  const isMotor = (one: Connected) => one.motor && one.group !== 'heat';
  const largest = Math.max(0, ...alone.filter(isMotor).map((one) => one.va));
  if (largest > 0)
    lines.push({
      what: '25 % of the largest 120 V motor',
      sum: `${inWords(largest)} VA × 25 %`,
      va: largest * 0.25,
      section: '430.24',
    });
  const onOneVa =
    2 * unbalancedVa(alone.map((one) => ({ va: one.va, motorVa: isMotor(one) ? one.va : 0 }))) -
    sumVa(alone) -
    largest * 0.25;
  if (isByLegs && loads.volts !== 120 && onOneVa >= 0.5)
    lines.push({
      what: 'What no load on the other leg makes up for',
      sum: '120 V loads set against each other two by two, the larger of each counts',
      va: onOneVa,
      section: 'Annex D, D1(b)',
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
