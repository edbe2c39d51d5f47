import { isLonger } from '../../geometry/intervals';
import type { Outlet } from '../../circuits/outlets';
import type { House, Room, RoomKind } from '../../house/schema';
import type { LoadKind } from '../../house/schema-equipment';
import { otherHalfOf } from '../../house/yokes';
import { gradeOfRoom } from '../../plan/grade';
import { boxHeightIn, HIGHEST_REQUIRED_IN } from '../../place/receptacles';
import { defineRule, fromMemory, type EditionEntry, type Facts } from '../rule';

/** Until 2017 the places of 210.52 are meant, which these are not; since 2020 the dwelling as a whole (medium). */
const NOT_IN_210_52: ReadonlySet<RoomKind> = new Set<RoomKind>([
  'attic',
  'crawl-space',
  'utility',
  'storage',
  'closet',
  'walk-in-closet',
  'linen',
]);

/** Parts of a basement are places of 210.52 wherever it lies below grade, (G)(3): it is the level that makes them, not their name. */
const IN_A_BASEMENT: ReadonlySet<RoomKind> = new Set<RoomKind>(['utility', 'storage']);

const isNamedPlace = (house: House, room: Room): boolean | 'not-known' => {
  if (!NOT_IN_210_52.has(room.kind)) return true;
  const grade = IN_A_BASEMENT.has(room.kind) ? gradeOfRoom(house, room) : 'above';
  return grade === 'not-known' ? grade : grade === 'below';
};

const entry = (with240: 0 | 1, everywhere: 0 | 1): EditionEntry<Limits> => ({
  section: '406.12',
  limits: { with240, everywhere, aboveIn: HIGHEST_REQUIRED_IN },
  basis: fromMemory(everywhere ? 'medium' : 'high'),
});
/** What stands in a space of its own and is not easily moved: 406.12 speaks of the use, the list is *common practice*. */
const STAYS: ReadonlySet<LoadKind> = new Set<LoadKind>([
  'range',
  'gas-range',
  'refrigerator',
  'freezer',
  'wine-cooler',
  'washer',
  'dryer',
  'gas-dryer',
  'heat-pump-dryer',
  'sump-pump',
  'kiln',
  'large-saw',
  'planer',
  'compressor',
  'server-rack',
]);

/** A single receptacle, or both halves of a duplex, within the space of appliances that are not easily moved. */
function isBehindAppliances({ byDevice }: Facts['outlets'], { device, box }: Outlet): boolean {
  if (device.kind !== 'receptacle' || device.style === 'duplex') return false;
  const other = device.style === 'half' ? otherHalfOf(box, device.id) : undefined;
  return [device, other].every((one) => {
    if (!one) return true;
    const load = byDevice.get(one.id)?.load;
    return load !== undefined && (load.fastened || STAYS.has(load.kind));
  });
}

type Limits = Readonly<Record<'with240' | 'everywhere' | 'aboveIn', number>>;

export const tamperResistant = defineRule({
  id: 'tamper-resistant',
  meta: {
    summary: 'Receptacles are tamper-resistant',
    stage: 'boxes',
    severity: 'violation',
    ofItsDay: true,
    why: 'Children push keys and pins into receptacles. Exempt are those above 5 1/2 ft and a single receptacle behind an appliance that is not easily moved.',
    editions: { '2014': entry(0, 0), '2017': entry(1, 0), '2020': entry(1, 1), '2023': entry(1, 1) },
    messages: {
      plain: ({ tag }: { tag: string }) => `Receptacle ${tag} is not tamper-resistant.`,
      level: ({ tag, room }: { tag: string; room: string }) =>
        `Receptacle ${tag} is not tamper-resistant. If ${room} lies below grade, it is part of a basement and needs to be: mark the level, or take one that is.`,
      fine: ({ room }: { room: string }) => `The receptacles of ${room} are tamper-resistant where they must be.`,
    },
  },
  scope: 'house',
  appliesTo: (facts) => facts.outlets.all.some((one) => one.device.kind === 'receptacle'),
  check: (facts, limits, report) =>
    facts.views.flatMap((view) => {
      const here = facts.outlets.byRoom.get(view.room.id) ?? [];
      const own = here.filter((one) => one.device.kind === 'receptacle');
      const isNamed = limits.everywhere === 1 || isNamedPlace(facts.house, view.room);
      if (own.length === 0 || !isNamed) return [];
      const plain = own.filter((outlet) => {
        const { device, box } = outlet;
        if (device.kind !== 'receptacle' || device.tr || device.ratingA > 20) return false;
        if (device.volts === 240 && limits.with240 === 0) return false;
        return (
          !isBehindAppliances(facts.outlets, outlet) &&
          !isLonger(boxHeightIn(box, view.level.ceilingIn), limits.aboveIn)
        );
      });
      const where = { room: view.room.id };
      if (plain.length === 0) return [report.pass('fine', { room: view.room.name }, where)];
      return plain.map(({ box }) =>
        isNamed === 'not-known'
          ? report.cannotTell('level', { tag: box.tag, room: view.room.name }, { ...where, box: box.id })
          : report.fail('plain', { tag: box.tag }, { ...where, box: box.id }),
      );
    }),
});
