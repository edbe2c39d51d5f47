import type { Edition, House, RoomKind } from '../../house/schema';
import type { LoadKind } from '../../house/schema-equipment';
import type { Outlet } from '../../circuits/outlets';
import { voltsAt } from '../../circuits/outlets';
import { isExhaustFan } from '../../place/fans';
import { OUTDOOR_KINDS } from '../../place/outdoors';
import { servesCounter } from '../../place/receptacles';
import { gradeOfRoom } from '../../plan/grade';
import { distanceToFeature, placeOf } from '../../plan/points';
import { viewRoom } from '../../plan/room-view';
import { isInLaundryArea } from '../requirements/laundry-area';
import { required, staysAsItIs, type ProtectionDecision } from './decision';
import { decideNearWater, SINKS, SINK_ITEM } from './near-water';
import { given, mustGet } from '../../units/result';

/**
 * GFCI in dwellings, NEC 210.8. Everything here is recalled *from memory*; confidence stands with each entry.
 * 2014 and 2017: (A) covers 125 V, 15 and 20 A receptacles. 2020 and 2023: 125 V to 250 V, any rating, up to 150 V to ground.
 */
const HVAC: ReadonlySet<LoadKind> = new Set(['air-conditioner', 'heat-pump', 'mini-split']);
/** 210.8(F) Exception 2 of 2023 lets listed HVAC equipment go without until this day. *From memory*, high. */
const HVAC_EXEMPT_BEFORE = '2026-09-01';
/** TIA 20-13 puts 210.8(F) of 2020 off for equipment with power conversion until this day. *From memory*, medium. */
const INVERTER_EXEMPT_BEFORE = '2023-01-01';

/** Rooms that need it as a whole, by edition; an edition without an item does not. */
const WHOLE_ROOMS: Readonly<Partial<Record<RoomKind, Partial<Record<Edition, string>> & { what: string }>>> = {
  bathroom: { '2014': '(1)', '2017': '(1)', '2020': '(1)', '2023': '(1)', what: 'in a bathroom' },
  'half-bath': { '2014': '(1)', '2017': '(1)', '2020': '(1)', '2023': '(1)', what: 'in a bathroom' },
  garage: { '2014': '(2)', '2017': '(2)', '2020': '(2)', '2023': '(2)', what: 'in a garage' },
  'accessory-building': {
    '2014': '(2)',
    '2017': '(2)',
    '2020': '(2)',
    '2023': '(2)',
    what: 'in an accessory building at grade, for storage or work',
  },
  porch: { '2014': '(3)', '2017': '(3)', '2020': '(3)', '2023': '(3)', what: 'outdoors' },
  deck: { '2014': '(3)', '2017': '(3)', '2020': '(3)', '2023': '(3)', what: 'outdoors' },
  balcony: { '2014': '(3)', '2017': '(3)', '2020': '(3)', '2023': '(3)', what: 'outdoors' },
  outdoors: { '2014': '(3)', '2017': '(3)', '2020': '(3)', '2023': '(3)', what: 'outdoors' },
  'crawl-space': { '2014': '(4)', '2017': '(4)', '2020': '(4)', '2023': '(4)', what: 'in a crawl space' },
};
/** Until 2017 only what is unfinished and not lived in: storage, work and the like. */
const NOT_LIVED_IN: ReadonlySet<RoomKind> = new Set<RoomKind>(['basement-unfinished', 'utility', 'storage']);

/**
 * Basements, 210.8(A)(5): since 2020 every receptacle in one, whatever its rooms are called; until 2017 those of its unfinished parts. It is the
 * level that makes a basement, not a room's name.
 */
function decideBasement(house: House, { room }: Outlet, edition: Edition): ProtectionDecision | undefined {
  if (OUTDOOR_KINDS.has(room.kind)) return undefined;
  const isOld = edition === '2014' || edition === '2017';
  if (isOld && !NOT_LIVED_IN.has(room.kind)) return undefined;
  const level = mustGet(house.levels, room.level);
  const grade = gradeOfRoom(house, room);
  if (grade === 'above') return undefined;
  if (grade === 'below')
    return required(
      '210.8(A)(5)',
      isOld ? 'A receptacle in a part of a basement that is not lived in.' : 'A receptacle in a basement.',
      isOld && room.kind !== 'basement-unfinished' ? 'medium' : 'high',
    );
  return {
    kind: 'cannot-tell',
    section: '210.8(A)(5)',
    reason:
      level.grade === 'above'
        ? `${room.name} is called a basement and ${level.name} is marked above grade. If it is below, this receptacle needs GFCI: mark the room or the level, and protect if in doubt.`
        : `Whether ${level.name} lies below grade is not said. If it does, it is a basement, and this receptacle needs GFCI: mark the level, and protect if in doubt.`,
  };
}

/** Laundry areas, wherever they are. */
const LAUNDRY_ITEM = { '2014': '(10)', '2017': '(10)', '2020': '(10)', '2023': '(11)' } as const;

/** Indoor damp and wet places, from 2020 on. */
const DAMP_ITEM: Readonly<Partial<Record<Edition, string>>> = { '2020': '(11)', '2023': '(12)' };

/** Appliances named whatever their place: 210.8(D), by way of 422.5(A) in 2020. */
const APPLIANCES: Readonly<Partial<Record<LoadKind, Partial<Record<Edition, string>>>>> = {
  dishwasher: { '2014': '210.8(D)', '2017': '210.8(D)', '2020': '210.8(D), 422.5(A)(7)', '2023': '210.8(D)(7)' },
  'sump-pump': { '2020': '210.8(D), 422.5(A)', '2023': '210.8(D)' },
  range: { '2023': '210.8(D)' },
  oven: { '2023': '210.8(D)' },
  cooktop: { '2023': '210.8(D)' },
  dryer: { '2023': '210.8(D)' },
  microwave: { '2023': '210.8(D)' },
  'counter-microwave': { '2023': '210.8(D)' },
  'induction-cooktop': { '2023': '210.8(D)' },
  'double-oven': { '2023': '210.8(D)' },
  'heat-pump-dryer': { '2023': '210.8(D)' },
  'tub-pump': { '2014': '680.71', '2017': '680.71', '2020': '680.71', '2023': '680.71' },
  'hot-tub': { '2014': '680.44', '2017': '680.44', '2020': '680.44', '2023': '680.44' },
  'plug-in-tub': { '2014': '680.44', '2017': '680.44', '2020': '680.44', '2023': '680.44' },
  'pool-pump': { '2014': '680.21(C)', '2017': '680.21(C)', '2020': '680.21(C)', '2023': '680.21(C)' },
};

function isInVoltageScope(outlet: Outlet, edition: Edition): boolean {
  if (outlet.device.kind !== 'receptacle') return false;
  return (edition !== '2014' && edition !== '2017') || (outlet.device.volts === 120 && outlet.device.ratingA <= 20);
}

/**
 * Floor heat is one of three installations, and the plan does not say which: cable in concrete or poured masonry, 424.44(G), needs it in
 * bathrooms, kitchens and tub places in all editions; cable set under a floor covering, 424.45(E), in any room since 2017; heating panels
 * under a covering, 424.99(B), in any room in all editions. *From memory*, medium.
 */
function decideFloorHeat(kind: RoomKind, edition: Edition): ProtectionDecision {
  if (['bathroom', 'half-bath', 'kitchen'].includes(kind))
    return required('424.44(G), 424.45(E), 424.99(B)', 'Floor heat under a bathroom or kitchen floor.', 'medium');
  return {
    kind: 'cannot-tell',
    section: edition === '2014' ? '424.99(B)' : '424.45(E), 424.99(B)',
    reason: `Heating panels under a floor covering need GFCI in any room${edition === '2014' ? '' : ', and so does cable under one'}; cable in concrete does not here; a thin-set mat goes by its instructions. Say which it is, and protect if in doubt.`,
  };
}

/** Floor heat; receptacles for charging cars from 2017 on. Numbers medium. */
function decideByArticle(outlet: Outlet, edition: Edition): ProtectionDecision | undefined {
  const { load, room, device } = outlet;
  if (load?.kind === 'floor-heat') return decideFloorHeat(room.kind, edition);
  if (load && /^ev-/.test(load.kind) && device.kind === 'receptacle' && edition !== '2014')
    return required('625.54', 'A receptacle for charging a car.', 'medium');
  return undefined;
}

const OVER_TUB: ReadonlySet<string> = new Set(['tub', 'shower', 'hot-tub']);
const DRAWS: ReadonlySet<LoadKind> = new Set<LoadKind>(['exhaust-fan', 'bath-heater']);

/** An exhaust fan straight over a tub or shower: its listing mostly asks for GFCI there, the code by way of 110.3(B). */
function decideFanOverTub(house: House, outlet: Outlet): ProtectionDecision | undefined {
  const { device, load, box, room } = outlet;
  if (!(load && DRAWS.has(load.kind)) && !isExhaustFan(device, room.kind)) return undefined;
  const view = viewRoom(house, room.id);
  const over = view.features.find(
    (one) => OVER_TUB.has(one.kind) && distanceToFeature(view.room, one, placeOf(view, box)) === 0,
  );
  return (
    over && {
      kind: 'cannot-tell',
      section: '110.3(B)',
      reason: `It is over the ${over.kind.replace('-', ' ')}. The instructions of most fans made for that place want GFCI there, and forbid the others: read them, and protect if in doubt.`,
    }
  );
}

function decideByAppliance(outlet: Outlet, edition: Edition): ProtectionDecision | undefined {
  const section = outlet.load && APPLIANCES[outlet.load.kind]?.[edition];
  return section ? required(section, `${given(outlet.load).name}: named whatever its place.`) : undefined;
}

/** Places that 210.8(F) of 2023 adds to the outdoors; how far it reaches hard-wired equipment there is read both ways. */
const BESIDE_OUTDOORS: ReadonlySet<RoomKind> = new Set<RoomKind>(['garage', 'accessory-building']);

function decideOutdoors(house: House, outlet: Outlet, edition: Edition): ProtectionDecision | undefined {
  if (edition === '2023' && BESIDE_OUTDOORS.has(outlet.room.kind) && outlet.device.kind === 'connection')
    return decideBesideOutdoors(house, outlet);
  if (
    edition === '2014' ||
    edition === '2017' ||
    !OUTDOOR_KINDS.has(outlet.room.kind) ||
    outlet.device.kind !== 'connection'
  )
    return undefined;
  const circuit = outlet.device.circuit === null ? undefined : house.circuits[outlet.device.circuit];
  if (circuit && circuit.ratingA > 50)
    return { kind: 'not-required', reason: 'An outdoor outlet on a circuit over 50 A is outside 210.8(F).' };
  if (edition === '2023' && outlet.load && HVAC.has(outlet.load.kind)) {
    const { permitDate } = house.job;
    if (permitDate === null)
      return {
        kind: 'cannot-tell',
        section: '210.8(F)',
        reason: `Listed HVAC equipment is excepted until ${HVAC_EXEMPT_BEFORE}. Enter the permit date.`,
      };
    if (permitDate < HVAC_EXEMPT_BEFORE)
      return {
        kind: 'cannot-tell',
        section: '210.8(F) Exception 2',
        reason: `Listed HVAC equipment was excepted until ${HVAC_EXEMPT_BEFORE}. The permit is older; whether its day, that of the installation or that of the inspection counts is the authority's to say.`,
      };
  }
  if (edition === '2020' && outlet.load && HVAC.has(outlet.load.kind)) {
    const { permitDate } = house.job;
    if (permitDate === null || permitDate < INVERTER_EXEMPT_BEFORE)
      return {
        kind: 'cannot-tell',
        section: '210.8(F), TIA 20-13',
        reason: `Mini-splits and equipment with power conversion were put off until ${INVERTER_EXEMPT_BEFORE} where TIA 20-13 was adopted. Read the nameplate, and ask the authority.`,
      };
  }
  return required('210.8(F)', 'An outdoor outlet, hard-wired ones included.', 'medium');
}

function decideBesideOutdoors(house: House, { device }: Outlet): ProtectionDecision | undefined {
  const circuit = device.circuit === null ? undefined : house.circuits[device.circuit];
  if (circuit && circuit.ratingA > 50) return undefined;
  return {
    kind: 'cannot-tell',
    section: '210.8(F)',
    reason:
      '2023 names outlets in garages and accessory buildings beside outdoor ones. Whether that takes in hard-wired equipment is read both ways: ask the authority.',
  };
}

function decideKitchen(house: House, outlet: Outlet, edition: Edition): ProtectionDecision | undefined {
  if (outlet.room.kind !== 'kitchen') return undefined;
  if (edition === '2023') return required('210.8(A)(6)', 'Every receptacle in a kitchen.');
  if (servesCounter(viewRoom(house, outlet.room.id), outlet.box))
    return required('210.8(A)(6)', 'It serves a kitchen counter.');
  return undefined;
}

/** An area with a sink and permanent provisions for food or drink, in 2023; the room's name does not tell the provisions. */
function decideFoodArea(house: House, outlet: Outlet, edition: Edition): ProtectionDecision | undefined {
  const couldBe: readonly RoomKind[] = ['pantry', 'breakfast', 'dining', 'recreation', 'basement-finished', 'studio'];
  if (edition !== '2023' || !couldBe.includes(outlet.room.kind)) return undefined;
  const { features } = viewRoom(house, outlet.room.id);
  if (!features.some((feature) => feature.kind === 'sink') || !features.some((feature) => feature.kind === 'counter'))
    return undefined;
  return {
    kind: 'cannot-tell',
    section: '210.8(A)(7)',
    reason:
      'This room has a sink and a counter. If food or drink is prepared here, every receptacle needs GFCI: ask, and protect if in doubt.',
  };
}

/**
 * The receptacle for servicing heating and cooling equipment, 210.8(E) since 2020. Which one that is nobody marks; in an attic
 * or a utility room that holds the equipment it can be no other.
 */
function decideService(house: House, outlet: Outlet, edition: Edition): ProtectionDecision | undefined {
  const holds: readonly RoomKind[] = ['attic', 'utility', 'storage', 'closet'];
  if ((edition !== '2020' && edition !== '2023') || !holds.includes(outlet.room.kind) || outlet.load) return undefined;
  const equipment = viewRoom(house, outlet.room.id).features.some((one) =>
    ['furnace', 'air-handler', 'condenser'].includes(one.kind),
  );
  return equipment ? required('210.8(E)', 'It serves the equipment of 210.63 in this space.', 'medium') : undefined;
}

/** Whether an outlet needs ground-fault protection for people, by place, voltage, appliance and edition. */
export function decideGfci(house: House, outlet: Outlet, edition: Edition): ProtectionDecision {
  const { device, room } = outlet;
  if (staysAsItIs(outlet))
    return {
      kind: 'not-required',
      reason: 'It exists and stays as it is. Replaced, it needs what its place requires today: 406.4(D)(3).',
    };
  if (device.kind === 'luminaire' && room.kind === 'crawl-space' && edition !== '2014') {
    return required(edition === '2017' ? '210.8(E)' : '210.8(C)', 'A lighting outlet in a crawl space.');
  }
  const byAppliance =
    decideByAppliance(outlet, edition) ?? decideByArticle(outlet, edition) ?? decideFanOverTub(house, outlet);
  if (byAppliance) return byAppliance;
  if (device.kind === 'connection')
    return (
      decideOutdoors(house, outlet, edition) ?? {
        kind: 'not-required',
        reason: 'A hard-wired outlet that no edition in force names.',
      }
    );
  if (device.kind !== 'receptacle') return { kind: 'not-required', reason: 'Not a receptacle.' };
  if (!isInVoltageScope(outlet, edition))
    return {
      kind: 'not-required',
      reason: `210.8(A) of ${edition} covers 125 V, 15 and 20 A receptacles; this is ${voltsAt(outlet)} V, ${device.ratingA} A.`,
    };
  return decideByPlace(house, outlet, edition);
}

/** A 125 V receptacle, or what the edition reads with it, by where it is: 210.8(A). */
function decideByPlace(house: House, outlet: Outlet, edition: Edition): ProtectionDecision {
  const { room } = outlet;
  const whole = WHOLE_ROOMS[room.kind];
  const item = whole?.[edition];
  if (whole && item) return required(`210.8(A)${item}`, `A receptacle ${whole.what}.`);
  const inBasement = decideBasement(house, outlet, edition);
  if (inBasement?.kind === 'required') return inBasement;
  const dampItem = room.damp === true ? DAMP_ITEM[edition] : undefined;
  if (dampItem) return required(`210.8(A)${dampItem}`, 'A receptacle in an indoor place that is damp or wet.');
  if (isInLaundryArea(house, outlet))
    return required(
      `210.8(A)${LAUNDRY_ITEM[edition]}`,
      'A receptacle in a laundry area.',
      room.kind === 'laundry' ? 'high' : 'medium',
    );
  const found =
    decideKitchen(house, outlet, edition) ??
    decideNearWater(house, outlet, edition) ??
    decideFoodArea(house, outlet, edition);
  if (found) return found;
  if (inBasement) return inBasement;
  const service = decideService(house, outlet, edition);
  if (service) return service;
  if (room.kind === 'other')
    return {
      kind: 'cannot-tell',
      section: '210.8(A)',
      reason: `Nobody has said what ${room.name} is used for. Name its kind.`,
    };
  const sinkDrawn = viewRoom(house, room.id).features.some((feature) => SINKS.has(feature.kind));
  if (room.kind === 'kitchen' && !sinkDrawn)
    return {
      kind: 'cannot-tell',
      section: `210.8(A)${SINK_ITEM[edition]}`,
      reason: 'The sink is not drawn, so its distance is not known.',
    };
  return { kind: 'not-required', reason: 'Not in a listed place, and no sink, tub or shower within 6 ft.' };
}
