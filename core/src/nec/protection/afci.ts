import type { Edition, House, RoomKind } from '../../house/schema';
import { circuitVolts, type Outlet } from '../../circuits/outlets';
import { fromMemory, type Basis } from '../rule';
import { isInLaundryArea } from '../requirements/laundry-area';
import { staysAsItIs, type ProtectionDecision } from './decision';

/** 210.12(A) from 2014 to 2020, 210.12(B) in 2023. *From memory*, high; the 2023 letter medium-high. */
export const AFCI_SECTION: Readonly<Record<Edition, string>> = {
  '2014': '210.12(A)',
  '2017': '210.12(A)',
  '2020': '210.12(A)',
  '2023': '210.12(B)',
};

const NAMED: readonly RoomKind[] = [
  'kitchen',
  'family',
  'dining',
  'living',
  'library',
  'den',
  'bedroom',
  'sunroom',
  'recreation',
  'closet',
  'walk-in-closet',
  'hallway',
  'laundry',
];
/** Read as "similar rooms or areas" by practice: medium confidence, check with the authority. */
const SIMILAR: readonly RoomKind[] = [
  'office',
  'studio',
  'breakfast',
  'pantry',
  'foyer',
  'stair',
  'linen',
  'basement-finished',
];

/** Places that no edition lists, whatever stands in them. */
const NEVER: ReadonlySet<RoomKind> = new Set<RoomKind>([
  'bathroom',
  'half-bath',
  'garage',
  'accessory-building',
  'basement-unfinished',
]);

const areas = new Map<RoomKind, Basis>([
  ...NAMED.map((kind) => [kind, fromMemory('high')] as const),
  ...SIMILAR.map((kind) => [kind, fromMemory('medium')] as const),
]);

/** Whether an outlet or device makes its circuit an arc-fault circuit: 120 V, 15 or 20 A (10 A as well in 2023), by room. */
export function decideAfci(house: House, outlet: Outlet, edition: Edition): ProtectionDecision {
  const { device, room } = outlet;
  if (staysAsItIs(outlet))
    return {
      kind: 'not-required',
      reason: 'It exists and stays as it is. Replaced or extended it needs AFCI: 406.4(D)(4), 210.12(D).',
    };
  const circuit = device.circuit === null ? undefined : house.circuits[device.circuit];
  const volts = circuit ? circuitVolts(circuit) : 'volts' in device ? device.volts : 120;
  if (volts !== 120) return { kind: 'not-required', reason: '210.12 covers 120 V circuits.' };
  if (circuit && circuit.ratingA > 20) return { kind: 'not-required', reason: '210.12 covers 15 and 20 A circuits.' };
  if (room.kind === 'other')
    return {
      kind: 'cannot-tell',
      section: AFCI_SECTION[edition],
      reason: `Nobody has said what ${room.name} is used for. Name its kind.`,
    };
  const basis = areas.get(room.kind) ?? (isInLaundryArea(house, outlet) ? fromMemory('medium') : undefined);
  if (!areas.has(room.kind) && basis && NEVER.has(room.kind))
    return {
      kind: 'cannot-tell',
      section: AFCI_SECTION[edition],
      reason: `Laundry areas are listed, ${room.name} is not. Whether laundry equipment there makes one is read both ways: ask the authority.`,
    };
  if (!basis) return { kind: 'not-required', reason: `${room.name} is not a listed area.` };
  return {
    kind: 'required',
    section: AFCI_SECTION[edition],
    basis,
    reason: `An outlet or device in ${room.name}${basis.confidence === 'medium' ? ', read as similar to the listed rooms' : ''}.`,
  };
}
