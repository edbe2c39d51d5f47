import { memo } from '../../cache/memo';
import { measureCircuitLoad } from '../../circuits/circuit-load';
import { outletsOn } from '../../circuits/outlets';
import { panelsBehind, servicePanel, servicePanels } from '../../circuits/panel-tree';
import type { Circuit, Feeder, House, Room } from '../../house/schema';
import { dwellingLoads, groupOf, type DwellingLoads } from '../../service/connected-loads';
import {
  neutralLoad,
  optionalLoad,
  standardLoad,
  type CalculationLine,
  type LoadCalculation,
} from '../../service/load-calculation';
import { areaOfRoomsFt2 } from './dwelling-area';
import { itemAt } from '../../units/result';

/** The load of a panel that is fed by a feeder. */
interface FeederLoad {
  readonly calculation: LoadCalculation;
  /** Everything of one dwelling unit hangs on it: 310.12 and 220.82 may be used. */
  readonly isWholeDwelling: boolean;
  /** What its conductors must carry and its breaker hold, amperes. */
  readonly amps: number;
  /** By how much the heavier leg exceeds the other, amperes. */
  readonly unevenA: number;
  /** What its neutral must carry, 220.61, amperes. */
  readonly neutralA: number;
}

/** The optional method is for feeders of 100 A and more: 220.82(A). */
const OPTIONAL_FROM_A = 100;
/** Continuous loads count at 125 %: 215.2(A)(1), 215.3. */
const CONTINUOUS_MORE = 0.25;

const roomsOn = (house: House, circuits: readonly Circuit[]): ReadonlySet<Room> =>
  new Set(circuits.flatMap((circuit) => outletsOn(house, circuit).map((one) => one.room)));

/** Whether all circuits of one dwelling, unit or house, are behind a panel that is not the service's own. */
function carriesWholeDwelling(house: House, behind: readonly Circuit[]): boolean {
  const own = new Set(behind);
  const fed = roomsOn(house, behind);
  const kitchens = [...fed].filter((room) => room.kind === 'kitchen');
  if (kitchens.length !== 1) return false;
  const { unit } = itemAt(kitchens, 0);
  return Object.values(house.circuits).every((circuit) => {
    if (own.has(circuit)) return true;
    return ![...roomsOn(house, [circuit])].some((room) => room.unit === unit);
  });
}

/** General circuits of places that are in no dwelling's floor area: a garage, a shop, a yard. They count by what is on them. */
function outsideTheArea(house: House, circuits: readonly Circuit[], areaRooms: ReadonlySet<Room>): CalculationLine[] {
  return circuits
    .filter((circuit) => circuit.purpose !== 'small-appliance' && circuit.purpose !== 'laundry')
    .filter((circuit) => outletsOn(house, circuit).every((one) => !areaRooms.has(one.room)))
    .map((circuit) => {
      // What has a line of its own is not counted here again; what is only plugged in is.
      const apart = outletsOn(house, circuit).reduce(
        (sum, { load }) => sum + (load && groupOf(load, circuit.purpose === 'individual') ? load.va : 0),
        0,
      );
      return {
        what: circuit.name,
        sum: 'lights, receptacles and what is plugged in, as drawn',
        va: Math.max(0, measureCircuitLoad(house, circuit).va - apart),
        section: '220.14(I)',
      };
    })
    .filter((line) => line.va > 0);
}

/** Vehicles and fixed heat run for hours: a quarter more. */
function continuousLines(loads: DwellingLoads): CalculationLine[] {
  return loads.connected
    .filter((one) => one.group === 'vehicle' || one.group === 'heat')
    .map((one) => ({
      what: `Continuous: ${one.name}`,
      sum: '25 % more',
      va: one.va * CONTINUOUS_MORE,
      section: '215.2(A)(1)',
    }));
}

function loadBehind(house: House, panelId: string, mayBeOptional: boolean): FeederLoad {
  const panels = panelsBehind(house, panelId);
  const circuits = Object.values(house.circuits).filter((one) => one.panel !== null && panels.has(one.panel));
  // The panel of a service alone is reckoned as the whole house; of several mains each as what is behind it.
  const isFedApart = panelId !== servicePanel(house)?.id || servicePanels(house).length > 1;
  const isWholeDwelling = isFedApart && carriesWholeDwelling(house, circuits);
  const fed = roomsOn(
    house,
    circuits.filter((one) => one.purpose !== 'individual'),
  );
  const unit = isWholeDwelling ? [...fed].find((room) => room.kind === 'kitchen')?.unit : undefined;
  const isInArea = (room: Room) => (isWholeDwelling ? room.unit === unit : fed.has(room));
  const areaFt2 = areaOfRoomsFt2(house, isInArea);
  const own = new Set(circuits);
  const part = dwellingLoads(house, areaFt2, (one) => own.has(one));
  const loads: DwellingLoads = isWholeDwelling
    ? {
        ...part,
        smallApplianceCircuits: Math.max(2, part.smallApplianceCircuits),
        laundryCircuits: Math.max(1, part.laundryCircuits),
      }
    : part;
  const areaRooms = new Set([...fed].filter((room) => areaOfRoomsFt2(house, (one) => one === room) > 0));
  const more = [...outsideTheArea(house, circuits, areaRooms), ...(isWholeDwelling ? [] : continuousLines(loads))];
  const add = (base: LoadCalculation): LoadCalculation => {
    const lines = [...base.lines, ...more].filter((line) => line.va !== 0 || isWholeDwelling);
    const va = lines.reduce((sum, line) => sum + line.va, 0);
    return { ...base, lines, va, amps: va / base.volts };
  };
  const standard = add(standardLoad(loads));
  const optional = isWholeDwelling && mayBeOptional ? add(optionalLoad(loads)) : undefined;
  const calculation = optional && optional.amps < standard.amps ? optional : standard;
  // The quarter more of continuous loads is the breaker's: the neutral ends on none.
  const neutral = neutralLoad(loads);
  const outside = outsideTheArea(house, circuits, areaRooms).reduce((sum, one) => sum + one.va, 0);
  const neutralA = neutral.amps + outside / neutral.volts;
  return { calculation, isWholeDwelling, amps: calculation.amps, unevenA: standard.unevenA ?? 0, neutralA };
}

const memory = memo(
  (_house: House) => new Map<string, FeederLoad>(),
  ({ circuits, panels, feeders, rooms, levels, openings, boxes, loads, units, supply, job, standards }) => [
    circuits,
    panels,
    feeders,
    rooms,
    levels,
    openings,
    boxes,
    loads,
    units,
    supply,
    job,
    standards,
  ],
);

/**
 * The load of a panel with all that is fed by way of it: a whole dwelling by the lesser of the standard and, from 100 A, the optional method;
 * a part of one by Article 220 Part III on what it feeds, continuous loads at 125 %.
 */
export function feederLoad(house: House, { to, ratingA }: Pick<Feeder, 'to' | 'ratingA'>): FeederLoad {
  const known = memory(house);
  const mayBeOptional = ratingA >= OPTIONAL_FROM_A;
  const key = `${to} ${mayBeOptional}`;
  let found = known.get(key);
  if (!found) {
    found = loadBehind(house, to, mayBeOptional);
    known.set(key, found);
  }
  return found;
}
