import { wireHouse } from '../makeup/make-up';
import type { House, TestResult } from '../house/schema';
import { sightsOf } from '../proof/diagnose';
import { FOUND, singleFaults, type Fault } from '../proof/faults';
import { netlistOf, type Netlist } from '../proof/netlist';
import { receptacleFaults, testerReadings, type Readings } from '../proof/receptacle-faults';
import { groupBy } from '../units/group-by';
import { stateOf, type TestStep } from './test-script';
import { given } from '../units/result';

type Reading = TestResult['reading'];

/** One circuit, or two that share a neutral, as it is wired: what a tester finds on it. */
interface TestedUnit {
  readonly id: string;
  readonly net: Netlist;
  /** Devices whose receptacle the tester goes into. */
  readonly receptacles: ReadonlySet<string>;
  readonly groups: ReadonlySet<string>;
}

/** The wired units of a house with something a tester can try. */
export function testedUnits(house: House): readonly TestedUnit[] {
  const { units, boxes } = wireHouse(house);
  return units.flatMap((wiring) => {
    const net = netlistOf(wiring, boxes);
    const receptacles = new Set(testerReadings(net).keys());
    const groups = new Set(net.groups.map((one) => one.id));
    return receptacles.size + groups.size > 0 ? [{ id: wiring.unit.id, net, receptacles, groups }] : [];
  });
}

const receptacleOf = (step: TestStep): string | undefined =>
  step.kind === 'receptacle' ? step.id.slice('rec-'.length) : undefined;

const isOn = (unit: TestedUnit, step: TestStep): boolean => {
  const device = receptacleOf(step);
  return device !== undefined ? unit.receptacles.has(device) : step.group !== undefined && unit.groups.has(step.group);
};

/** The unit on which a step of the script is tried; none for steps that are about more than one, or about a button. */
export const unitOf = (units: readonly TestedUnit[], step: TestStep): TestedUnit | undefined =>
  units.find((one) => isOn(one, step));

/** What steps read while a unit is wired as a netlist says: found out as it is asked for. */
class Observed {
  #readings: Readings | undefined;
  readonly #lamps = new Map<string, string>();

  constructor(
    readonly unit: TestedUnit,
    readonly net: Netlist,
  ) {}

  lampsOf(group: string): string {
    let known = this.#lamps.get(group);
    if (known === undefined)
      this.#lamps.set(
        group,
        (known = sightsOf(this.net, group)
          .map((one) => one.join())
          .join('|')),
      );
    return known;
  }

  at(step: TestStep, sound: Observed): Reading {
    const device = receptacleOf(step);
    if (device !== undefined) return (this.#readings ??= testerReadings(this.net)).get(device) ?? 'right';
    const [lamps, good] = [this.lampsOf(given(step.group)), sound.lampsOf(given(step.group))];
    if (lamps === good) return 'right';
    return /lit|dim/.test(lamps) ? 'wrong-lights' : 'dead';
  }
}

/** Every single mistake on a unit: at its devices, its splices, its switches and its cables. */
export const mistakesOn = (unit: TestedUnit): readonly Fault[] => {
  const faults = [...receptacleFaults(unit.net), ...[...unit.groups].flatMap((group) => singleFaults(unit.net, group))];
  return [...new Map(faults.map((fault) => [fault.id, fault])).values()];
};

/** What kind of mistake one is, whatever device or cable it is made at. */
function kindOfMistake({ id }: Pick<Fault, 'id'>): string {
  if (id.startsWith('open ')) return 'open splice';
  if (id.startsWith('crossed ')) return 'black and white interchanged';
  return id.slice(id.indexOf(' ') + 1);
}

/** What the tester, or the eye, shows at each step of a unit while a mistake is made there. */
export function readingsWith(
  unit: TestedUnit,
  fault: Fault,
  script: readonly TestStep[],
): ReadonlyMap<string, Reading> {
  const [sound, now] = [new Observed(unit, unit.net), new Observed(unit, fault.net)];
  return new Map(script.filter((one) => isOn(unit, one)).map((step) => [step.id, now.at(step, sound)]));
}

/** A mistake to be looked for, with what every step reads while it is there. */
export interface PlantedMistake extends Pick<Fault, 'words' | 'remedy'> {
  readonly kind: string;
  readonly readings: ReadonlyMap<string, Reading>;
}

/**
 * Plants one mistake on a unit that some step shows; undefined where none can be seen. Kinds with more weight come up more often.
 * @param chance Numbers from 0 up to 1, as they come.
 */
export function plantMistake(
  unit: TestedUnit,
  script: readonly TestStep[],
  weightOf: (kind: string) => number,
  chance: () => number,
): PlantedMistake | undefined {
  const left = mistakesOn(unit).map((fault) => ({ fault, weight: weightOf(kindOfMistake(fault)) }));
  // What a mistake shows is found out when it is its turn: on a large circuit each takes a while.
  while (left.length > 0) {
    let at = chance() * left.reduce((sum, one) => sum + one.weight, 0);
    const drawn = left.findIndex((one) => (at -= one.weight) < 0);
    const [{ fault }] = left.splice(drawn < 0 ? left.length - 1 : drawn, 1) as [(typeof left)[number]];
    const readings = readingsWith(unit, fault, script);
    if ([...readings.values()].some((one) => one !== 'right'))
      return { kind: kindOfMistake(fault), words: fault.words, remedy: fault.remedy, readings };
  }
  return undefined;
}

/** What a person would suspect, in words and what to do: one mistake, or a conductor that is open at either of its ends. */
export interface Suspected extends Pick<Fault, 'words' | 'remedy' | 'found'> {
  readonly ids: readonly string[];
}

/** The two ends of a conductor are one suspect: one opens both boxes anyway. */
function merged(found: readonly Fault[]): readonly Suspected[] {
  const ends = groupBy(found, ({ id }) => (id.startsWith('open ') ? id.replace(/\.[ab]$/, '') : id));
  return [...ends.values()].map((some): Suspected => {
    const [{ words, remedy, found: often }] = some as [Fault, ...Fault[]];
    const either = words.replace(/: open at its .*$/, ': open at one of its ends');
    return { ids: some.map((one) => one.id), words: some.length > 1 ? either : words, remedy, found: often };
  });
}

const ALIKE: Readonly<Partial<Record<Reading, Reading>>> = { dead: 'open-hot' };
const asSeen = (reading: Reading): Reading => ALIKE[reading] ?? reading;
/** Readings that say what the wiring does, and not a button. */
const UNREADABLE: ReadonlySet<Reading> = new Set(['no-trip', 'trips-others', 'other']);

/**
 * The single mistakes that show exactly what was read at the steps that were tried on a unit; those that are found most often first.
 * A step that reads right tells as much as one that does not.
 */
export function suspectsOf(
  unit: TestedUnit,
  script: readonly TestStep[],
  readings: ReadonlyMap<string, Reading>,
  onProgress: (share: number) => boolean = () => true,
): readonly Suspected[] {
  const tried = script.flatMap((step) => {
    const reading = readings.get(step.id);
    return reading && !UNREADABLE.has(reading) && isOn(unit, step) ? [{ step, reading }] : [];
  });
  // A tester is read sooner than lamps in all their positions, and what reads wrong parts the suspects soonest.
  const rank = (one: (typeof tried)[number]) => (one.step.kind === 'switch' ? 2 : 0) + Number(one.reading === 'right');
  const steps = tried.toSorted((a, b) => rank(a) - rank(b));
  if (!steps.some((one) => one.reading !== 'right')) return [];
  const sound = new Observed(unit, unit.net);
  const all = mistakesOn(unit);
  const found: Fault[] = [];
  for (const [i, fault] of all.entries()) {
    if (i % 20 === 0 && !onProgress(i / all.length)) return [];
    const now = new Observed(unit, fault.net);
    if (steps.every(({ step, reading }) => asSeen(now.at(step, sound)) === asSeen(reading))) found.push(fault);
  }
  return merged(found).toSorted((a, b) => FOUND.indexOf(a.found) - FOUND.indexOf(b.found));
}

/** What is kept of the steps of a script that are still what they were when they were tried. */
export const readingsOf = (house: Pick<House, 'results'>, script: readonly TestStep[]): ReadonlyMap<string, Reading> =>
  new Map(
    script.flatMap((step) => {
      const result = house.results[step.id];
      const state = stateOf(step, result);
      return result && (state === 'right' || state === 'wrong') ? [[step.id, result.reading] as const] : [];
    }),
  );
