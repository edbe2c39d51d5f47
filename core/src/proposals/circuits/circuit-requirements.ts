import { indexOutlets, voltsAt, type Outlet } from '../../circuits/outlets';
import { fanUnitOf } from '../../circuits/fan-unit';
import { partOf } from '../../circuits/panel-tree';
import { areaFt2, distance, innerPoint } from '../../geometry/geometry';
import { YOKE_VA } from '../../circuits/circuit-load';
import { servesCounter } from '../../place/receptacles';
import { viewRoom } from '../../plan/room-view';
import { BATHROOMS, FOOD_ROOMS, isFoodReceptacle } from '../../nec/requirements/circuit-facts';
import { isInLaundryArea } from '../../nec/requirements/laundry-area';
import { OUTDOOR_KINDS } from '../../place/outdoors';
import type { Circuit, House, Planning, Room } from '../../house/schema';
import { lightShare, planningOf } from './circuit-standards';

/** What an outlet asks of the circuit that feeds it, before anybody shares with it. */
export interface CircuitRequirement {
  /** Outlets of one pool may share circuits. One that stands alone has a pool of its own. */
  readonly pool: string;
  readonly title: string;
  readonly purpose: Circuit['purpose'];
  readonly poles: 1 | 2;
  /** Rating of the pool's circuits; undefined where the load decides. */
  readonly ratingA: number | undefined;
  /** Share of such a circuit that it takes, by the firm's standard. */
  readonly demand: number;
  readonly why: string;
  readonly section: string;
  /** A receptacle over a kitchen counter: two circuits must reach those. */
  readonly counter?: boolean;
}

const SABC_A = 20;
/** Fixed heat of several rooms shares circuits of 20 A at most, loaded to 80 %. */
const HEAT_VA = 20 * 240 * 0.8;

const generalRating = (planning: Planning): 15 | 20 => (planning.wire === 'twelve' ? 20 : 15);

/** Share that a general receptacle takes of a circuit, by the standard in force. */
function receptacleShare(house: House, ratingA: number): number {
  const { receptacleCount, maxReceptaclesPerCircuit } = house.standards;
  if (receptacleCount === 'area') return 1 / maxReceptaclesPerCircuit;
  return YOKE_VA / (ratingA * 120 * (receptacleCount === 'yoke-80' ? 0.8 : 1));
}

/** A load's share: at 125 % where continuous; fastened equipment may take half of a circuit that others share (210.23). */
function loadShare(outlet: Outlet, ratingA: number): number {
  const { load, device } = outlet;
  if (load) {
    const va = load.va * (load.continuous ? 1.25 : 1);
    const plain = va / (ratingA * 120 * 0.8);
    return load.fastened ? Math.max(plain, load.va / (ratingA * 120 * 0.5)) : plain;
  }
  return device.kind === 'luminaire' || device.kind === 'fan' || device.kind === 'alarm'
    ? device.va / (ratingA * 120 * 0.8)
    : 0;
}

const alone = (outlet: Outlet, why: string, section: string): CircuitRequirement => ({
  pool: `alone ${outlet.device.id}`,
  title: outlet.load?.name ?? `${outlet.device.kind} ${outlet.box.tag}`,
  purpose: 'individual',
  poles: voltsAt(outlet) === 240 ? 2 : 1,
  ratingA: undefined,
  demand: 1,
  why,
  section,
});

/** Loads that nobody wants to share, though no rule says so. */
const BETTER_ALONE = new Set(['sump-pump', 'server-rack', 'freezer']);
const DISHES = new Set(['dishwasher', 'disposer']);

/** Why a load has a circuit of its own, where it must or had better. */
function whyAlone(house: House, outlet: Outlet, planning: Planning): CircuitRequirement | undefined {
  const { load, device, room } = outlet;
  if (!load) {
    if (voltsAt(outlet) === 240) return alone(outlet, 'a 240 V outlet, whose load nobody has said', '210.6');
    return device.kind === 'connection'
      ? alone(outlet, 'a hard-wired connection, whose load nobody has said', 'common practice')
      : undefined;
  }
  if (load.individual) return alone(outlet, 'its instructions require an individual circuit', '110.3(B)');
  if (load.volts === 240 && !(/^(baseboard|cove)-heat$/.test(load.kind) && load.va <= HEAT_VA))
    return alone(outlet, 'a 240 V appliance', 'common practice');
  if (load.volts === 240) return undefined;
  if (DISHES.has(load.kind) && room.kind === 'kitchen')
    return planning.dishwasher === 'apart' ? alone(outlet, 'the firm keeps it apart', 'shop standard') : undefined;
  if (load.kind === 'refrigerator' && planning.refrigerator === 'apart' && FOOD_ROOMS.has(room.kind))
    return alone(outlet, 'nothing on the counter can stop it', '210.52(B)(1), exception for refrigeration');
  if (BETTER_ALONE.has(load.kind) && !FOOD_ROOMS.has(room.kind) && room.kind !== 'garage')
    return alone(outlet, 'what must not stop shares with nothing', 'common practice');
  const amps = load.va / 120;
  const laundry = isInLaundryArea(house, outlet);
  if (!load.fastened && amps > 12 && !laundry && !isFoodReceptacle(outlet))
    return alone(outlet, `${amps.toFixed(1)} A by one cord is over 80 % of a 15 A circuit`, '210.23');
  if (load.fastened && amps > 7.5)
    return alone(outlet, `${amps.toFixed(1)} A of fixed equipment is over half of a 15 A circuit`, '210.23');
  if (load.continuous && amps > 4) return alone(outlet, 'it runs for hours', 'common practice');
  return undefined;
}

/** Circuits that outlets of one kind share: what each is called and why it is there. */
const POOLS = {
  dishes: ['Dishwasher and disposer', 'general', 'both fixed, nothing else', '210.23'],
  food: ['Counter', 'small-appliance', 'small-appliance circuits', '210.52(B), 210.11(C)(1)'],
  laundry: ['Laundry', 'laundry', 'laundry receptacles and nothing else', '210.11(C)(2)'],
  bathroom: ['Bathroom', 'bathroom', 'bathroom receptacles and nothing else', '210.11(C)(3)'],
  garage: ['Garage', 'garage', 'garage receptacles', '210.11(C)(4)'],
  'outside with garage': ['Garage', 'garage', 'outdoors with the garage, by exception', '210.11(C)(4)'],
  outside: ['Outside', 'general', 'the firm keeps outside apart', 'shop standard'],
  'outdoor equipment': ['Outside', 'general', 'outdoor equipment keeps off the lights of the house', 'common practice'],
  opener: [
    'Garage opener and outside lights',
    'general',
    'the opener apart from the lights of the house',
    'common practice',
  ],
  alarms: ['Alarms', 'general', 'the firm keeps alarms alone', 'shop standard'],
  rooms: ['Rooms', 'general', 'lights and receptacles room by room', '210.11(A)'],
  general: ['Receptacles', 'general', 'general receptacles', '210.11(A)'],
  lighting: ['Lights', 'general', 'lighting', '210.11(A)'],
} as const satisfies Readonly<
  Record<string, readonly [title: string, purpose: Circuit['purpose'], why: string, section: string]>
>;

const SHARED_A = 20;

/** The requirement of an outlet that shares circuits of a kind; outlets with one key share. */
function pooled(
  house: House,
  outlet: Outlet,
  kind: keyof typeof POOLS,
  ratingA: number,
  key: string = kind,
): CircuitRequirement {
  const [title, purpose, why, section] = POOLS[kind];
  const isBare = outlet.device.kind === 'receptacle' && !outlet.load;
  const demand = isBare ? receptacleShare(house, ratingA) : loadShare(outlet, ratingA);
  return { pool: key, title, purpose, poles: 1, ratingA, demand, why, section };
}

/** What a receptacle requires by the place where it is, where the code or the firm says so. */
function requirementByPlace(house: House, outlet: Outlet, planning: Planning): CircuitRequirement | undefined {
  const { room, load } = outlet;
  if (isFoodReceptacle(outlet))
    return {
      ...pooled(house, outlet, 'food', SABC_A, foodPool(house, room)),
      counter: room.kind === 'kitchen' && servesCounter(viewRoom(house, room.id), outlet.box),
    };
  if (isInLaundryArea(house, outlet)) return pooled(house, outlet, 'laundry', SHARED_A);
  if (BATHROOMS.has(room.kind)) {
    const isOwn = planning.baths === 'each' && room.kind === 'bathroom';
    return pooled(house, outlet, 'bathroom', SHARED_A, isOwn ? `bath ${room.id}` : bathFor(house, planning));
  }
  if (room.kind === 'garage' && load?.kind !== 'garage-door-opener') return pooled(house, outlet, 'garage', SHARED_A);
  if (!OUTDOOR_KINDS.has(room.kind)) return undefined;
  return planning.outside === 'with-garage' && house.job.edition !== '2014'
    ? pooled(house, outlet, 'outside with garage', SHARED_A, 'garage')
    : pooled(house, outlet, 'outside', SHARED_A);
}

/**
 * The pool of a room where food is: that of its kitchen, since no small-appliance circuit serves two (210.52(B)(3)). A dining room or
 * pantry goes with the nearest one of its dwelling unit and structure, on its own level before others.
 */
function foodPool(house: House, room: Room): string {
  const kitchens = Object.values(house.rooms).filter((one) => one.kind === 'kitchen' && partOf(one) === partOf(room));
  if (room.kind === 'kitchen') return `food ${room.id}`;
  const middle = innerPoint(room.corners);
  const far = (one: Room) => (one.level === room.level ? 0 : 1e6) + distance(middle, innerPoint(one.corners));
  const [nearest] = kitchens.map((one) => ({ one, far: far(one) })).sort((a, b) => a.far - b.far);
  return nearest ? `food ${nearest.one.id}` : 'food';
}

/** Whether a pool is one of small-appliance circuits. */
export const isFoodPool = (pool: string): boolean => pool === 'food' || pool.startsWith('food ');

/** What a load requires that shares with others of its kind. */
function requirementByLoad(house: House, outlet: Outlet): CircuitRequirement | undefined {
  const { load, room } = outlet;
  if (!load) return undefined;
  if (load.volts === 240)
    return {
      pool: 'heat 240',
      title: 'Heat',
      purpose: 'general',
      poles: 2,
      ratingA: 20,
      demand: load.va / HEAT_VA,
      why: 'fixed heat of several rooms, at 125 %',
      section: '424.3, 424.4 from 2020',
    };
  if (DISHES.has(load.kind) && room.kind === 'kitchen')
    return { ...pooled(house, outlet, 'dishes', SHARED_A), demand: 0.45 };
  return undefined;
}

/** Lights, alarms, and receptacles for general use, as the firm divides them. */
function generalRequirement(house: House, outlet: Outlet, planning: Planning): CircuitRequirement {
  const { device, load, room } = outlet;
  const ratingA = generalRating(planning);
  if (openerPool(house, outlet)) {
    const demand = Math.max(loadShare(outlet, ratingA), load ? 0 : lightShare(planning));
    return { ...pooled(house, outlet, 'opener', ratingA), demand };
  }
  if (device.kind === 'alarm' && planning.alarms === 'alone') return pooled(house, outlet, 'alarms', 15);
  if (planning.lighting === 'by-room') return pooled(house, outlet, 'rooms', ratingA, `rooms ${room.level}`);
  if (device.kind === 'receptacle' && !load?.fastened)
    return pooled(house, outlet, 'general', ratingA, `general ${room.level}`);
  const lights = pooled(house, outlet, 'lighting', ratingA, `lighting ${room.level}`);
  return device.kind === 'luminaire' ? { ...lights, demand: Math.max(lights.demand, lightShare(planning)) } : lights;
}

/** What an outlet requires of its circuit; undefined for switches, which ride along with what they control. */
export function requirementOf(house: House, outlet: Outlet): CircuitRequirement | undefined {
  const { device, room, load } = outlet;
  if (device.kind === 'switch') return undefined;
  const planning = planningOf(house);
  // The fan and the lamp of a unit hang on the circuit of its heater.
  const heater = fanUnitOf(house, outlet).find((one) => one.load?.kind === 'bath-heater');
  const ofHeater = heater && heater !== outlet ? whyAlone(house, heater, planning) : undefined;
  if (ofHeater) return { ...ofHeater, demand: 0 };
  return (
    whyAlone(house, outlet, planning) ??
    requirementByLoad(house, outlet) ??
    (device.kind === 'receptacle' ? requirementByPlace(house, outlet, planning) : undefined) ??
    (load && OUTDOOR_KINDS.has(room.kind)
      ? pooled(house, outlet, 'outdoor equipment', SHARED_A, 'outside')
      : undefined) ??
    generalRequirement(house, outlet, planning)
  );
}

const isOpener = (outlet: Outlet): boolean => outlet.load?.kind === 'garage-door-opener';

/** Where there is a garage-door opener, it shares with the lights of the garage and outside, never with those of the house. */
function openerPool(house: House, outlet: Outlet): boolean {
  if (isOpener(outlet)) return true;
  if (outlet.device.kind !== 'luminaire') return false;
  if (outlet.room.kind !== 'garage' && !OUTDOOR_KINDS.has(outlet.room.kind)) return false;
  return indexOutlets(house).all.some(isOpener);
}

/** The pool of a half bath: with the first full bath of the house, where each has its own. */
function bathFor(house: House, planning: Planning): string {
  const full = planning.baths === 'each' && Object.values(house.rooms).find((room) => room.kind === 'bathroom');
  return full ? `bath ${full.id}` : 'bath';
}

/** Floor above which the lights of a level are on two circuits at least, so that one trip leaves some: square feet, *common practice*. */
const TWO_CIRCUITS_FT2 = 1000;

/** How many circuits a pool is divided into at the least. */
export function leastCircuits(house: House, pool: string): number {
  if (isFoodPool(pool)) return 2;
  if (pool === 'bath' || pool === 'laundry') return 1;
  const [kind, level] = pool.split(' ');
  if (kind !== 'lighting') return 0;
  const floor = Object.values(house.rooms)
    .filter((room) => room.level === level && !OUTDOOR_KINDS.has(room.kind) && room.kind !== 'garage')
    .reduce((sum, room) => sum + areaFt2(room.corners), 0);
  return floor > TWO_CIRCUITS_FT2 ? 2 : 1;
}
