import type { Circuit, Edition, House } from '../house/schema';
import type { Load, LoadKind } from '../house/schema-equipment';
import { LOAD_LIBRARY } from '../loads/library';
import { isTypical } from '../circuits/circuit-load';
import { indexOutlets } from '../circuits/outlets';
import { servicePanel } from '../circuits/panel-tree';
import { groupBy } from '../units/group-by';
import { given } from '../units/result';

/** How Article 220 takes a piece of equipment. */
export type LoadGroup =
  | 'cooking'
  | 'dryer'
  /** Resistance space heat. */
  | 'heat'
  | 'heat-pump'
  | 'cooling'
  | 'vehicle'
  /** Fastened in place, and none of the above. */
  | 'fixed'
  /** Neither fastened nor in the 3 VA/ft²: what takes a 240 V receptacle; and the blower of a furnace, which 220.53 leaves out. */
  | 'other'
  /** Plugged in at a circuit of its own: the optional method counts it, the standard one has it in its 3 VA/ft². */
  | 'own-circuit';

/** A load as the calculation takes it, VA. */
export interface Connected {
  readonly name: string;
  readonly group: LoadGroup;
  readonly va: number;
  readonly volts: 120 | 240;
  readonly motor: boolean;
  /** Its nameplate has not been read. */
  readonly isTypical: boolean;
  /** An energy management system lets it take no more than this; counted so where the edition allows it. */
  readonly managed?: true;
  /** What it is controlled with: heaters of one room hang on one thermostat. */
  readonly control: string;
  /** Its outlet was there before this work. */
  readonly stands?: true;
}

/** What a dwelling's load is reckoned from. */
export interface DwellingLoads {
  readonly edition: Edition;
  /** Between the legs of the supply: 240, 208 of a wye, 120 where there is one leg. */
  readonly volts: number;
  /** Floor area by its outside dimensions, square feet. */
  readonly areaFt2: number;
  /** Dwelling units on it: kitchens of different units. Of more than one the optional method of 220.82 does not speak. */
  readonly dwellings: number;
  readonly smallApplianceCircuits: number;
  readonly laundryCircuits: number;
  readonly connected: readonly Connected[];
  /** The panel that the service ends in was there before this work: whether it can carry more may be reckoned by 220.83. */
  readonly stands?: true;
  /** The largest current that was measured there, amperes, where 220.87 lets it count. */
  readonly peakA?: number;
  /** Floor area of rooms in which nothing was there before, square feet. */
  readonly newAreaFt2?: number;
}

const COOKING: ReadonlySet<LoadKind> = new Set<LoadKind>([
  'range',
  'cooktop',
  'induction-cooktop',
  'oven',
  'double-oven',
]);
const HEAT: ReadonlySet<LoadKind> = new Set<LoadKind>([
  'baseboard-heat',
  'cove-heat',
  'floor-heat',
  'bath-heater',
  'electric-furnace',
]);
const COOLING: ReadonlySet<LoadKind> = new Set<LoadKind>(['air-conditioner', 'window-ac']);
/** Household cooking equipment that Table 220.55 takes, volt-amperes. */
const COOKING_OVER_VA = 1750;

/** How a load counts; undefined where it is plugged in anywhere and the 3 VA/ft² hold it. */
export function groupOf(load: Load, isAlone: boolean): LoadGroup | undefined {
  if (COOKING.has(load.kind) && load.va > COOKING_OVER_VA) return 'cooking';
  if (load.kind === 'dryer' || (load.kind === 'heat-pump-dryer' && load.volts === 240)) return 'dryer';
  if (HEAT.has(load.kind)) return 'heat';
  if (load.kind === 'heat-pump' || load.kind === 'mini-split') return 'heat-pump';
  if (COOLING.has(load.kind)) return 'cooling';
  if (load.kind.startsWith('ev-')) return 'vehicle';
  if (load.kind === 'furnace' || load.kind === 'boiler') return 'other';
  if (load.fastened || !load.cord) return 'fixed';
  if (load.volts === 240) return 'other';
  return isAlone ? 'own-circuit' : undefined;
}

/** One more of a kind, at its typical values: for asking what it would do. */
export function oneMore(kind: LoadKind, n: number): Connected {
  const typical = LOAD_LIBRARY[kind];
  const { name, va, volts, motor } = typical;
  const group = groupOf({ ...typical, kind } as Load, true) ?? 'fixed';
  return { name, group, va, volts, motor, isTypical: true, control: `one more ${n}` };
}

/** The least that 220.52 counts, whatever is drawn. */
const [LEAST_SMALL_APPLIANCE, LEAST_LAUNDRY] = [2, 1];

/** Dwelling units as they are written down: those that a kitchen is in, and the house itself where one is in no unit. */
const dwellingsIn = ({ rooms }: House): number =>
  Math.max(1, new Set(Object.values(rooms).flatMap((room) => (room.kind === 'kitchen' ? [room.unit ?? ''] : []))).size);

const SUPPLY_VOLTS = { '120/240': 240, '120/208': 208, '120': 120 } as const;

/** What the loads of a part of a house are: by its circuits. */
type Within = (circuit: Circuit) => boolean;

/**
 * What an energy management system lets loads take, volt-amperes: one limit for each group of those that are looked at, shared by their
 * size. Chargers in every edition (625.41 in 2014, 625.42 later); anything else from 2023 on, 220.70. *From memory*, medium.
 */
function managedShares(loads: readonly Load[], edition: Edition): ReadonlyMap<Load, number> {
  const counts = loads.filter((one) => one.managed && (edition === '2023' || groupOf(one, true) === 'vehicle'));
  const groups = groupBy(counts, (one) => given(one.managed).group || one.id);
  const shares = new Map<Load, number>();
  for (const some of groups.values()) {
    const wholeVa = some.reduce((sum, one) => sum + one.va, 0);
    // Where members of a group name different limits the largest is the one that is sure to hold.
    const limitVa = Math.max(...some.map((one) => given(one.managed).limitA * one.volts));
    for (const one of some) shares.set(one, Math.min(one.va, (one.va * limitVa) / wholeVa));
  }
  return shares;
}

/**
 * What was measured at the service, where it may be reckoned with: thirty days by a recorder only where no renewable source or battery
 * shaves the peak, 220.87 Exception. *From memory*: 2020 and later say so, medium; kept to in every edition.
 */
function measuredPeak({ supply, sources }: House): Pick<DwellingLoads, 'peakA'> {
  const { peak } = supply;
  const isShaved = Object.values(sources).some((one) => one.kind !== 'generator');
  return peak && (peak.over === 'year' || !isShaved) ? { peakA: peak.amps } : {};
}

/**
 * A house as Article 220 reads it, or the part of it that some circuits feed. What is plugged in anywhere is in the 3 VA/ft² and does not
 * appear. A whole dwelling has two small-appliance circuits and one for its laundry at least; a part has those that are its own.
 */
export function dwellingLoads(house: House, areaFt2: number, within?: Within): DwellingLoads {
  const { byDevice } = indexOutlets(house);
  const circuits = Object.values(house.circuits).filter((one) => !within || within(one));
  const isWithin = ({ device }: Load): boolean => {
    const circuit = house.circuits[byDevice.get(device)?.device.circuit ?? ''];
    return !within || (circuit !== undefined && within(circuit));
  };
  const limits = managedShares(Object.values(house.loads).filter(isWithin), house.job.edition);
  const connected = Object.values(house.loads).flatMap((load): Connected[] => {
    if (!isWithin(load)) return [];
    const outlet = byDevice.get(load.device);
    const circuit = outlet?.device.circuit ? house.circuits[outlet.device.circuit] : undefined;
    const group = groupOf(load, circuit?.purpose === 'individual');
    if (group === undefined) return [];
    return [
      {
        name: load.name,
        group,
        va: limits.get(load) ?? load.va,
        volts: load.volts,
        motor: load.motor,
        // The setting counts, whatever the plate says.
        isTypical: !limits.has(load) && isTypical(load),
        ...(limits.has(load) ? { managed: true as const } : {}),
        control: load.kind === 'electric-furnace' ? 'the furnace' : (outlet?.room.id ?? load.id),
        ...(outlet?.box.state === 'existing' ? { stands: true as const } : {}),
      },
    ];
  });
  const dwellings = within ? 1 : dwellingsIn(house);
  const ofPurpose = (purpose: Circuit['purpose']) => circuits.filter((one) => one.purpose === purpose).length;
  return {
    edition: house.job.edition,
    volts: SUPPLY_VOLTS[house.supply.volts],
    areaFt2,
    dwellings,
    smallApplianceCircuits: Math.max(within ? 0 : LEAST_SMALL_APPLIANCE * dwellings, ofPurpose('small-appliance')),
    laundryCircuits: Math.max(within ? 0 : LEAST_LAUNDRY * dwellings, ofPurpose('laundry')),
    connected,
    ...(!within && servicePanel(house)?.existing ? { stands: true as const, ...measuredPeak(house) } : {}),
  };
}
