import { isLonger } from '../../geometry/intervals';
import type { RoomKind } from '../../house/schema';
import { boxHeightIn, HIGHEST_REQUIRED_IN } from '../../place/receptacles';
import { defineRule, fromMemory, type EditionEntry } from '../rule';

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

const entry = (with240: 0 | 1, everywhere: 0 | 1): EditionEntry<Limits> => ({
  section: '406.12',
  limits: { with240, everywhere, aboveIn: HIGHEST_REQUIRED_IN },
  basis: fromMemory(everywhere ? 'medium' : 'high'),
});
type Limits = Readonly<Record<'with240' | 'everywhere' | 'aboveIn', number>>;

export const tamperResistant = defineRule({
  id: 'tamper-resistant',
  meta: {
    summary: 'Receptacles are tamper-resistant',
    stage: 'boxes',
    severity: 'violation',
    why: 'Children push keys and pins into receptacles. Exempt are those above 5 1/2 ft and a single receptacle behind an appliance that is not easily moved.',
    editions: { '2014': entry(0, 0), '2017': entry(1, 0), '2020': entry(1, 1), '2023': entry(1, 1) },
    messages: {
      plain: ({ tag }: { tag: string }) => `Receptacle ${tag} is not tamper-resistant.`,
      fine: ({ room }: { room: string }) => `The receptacles of ${room} are tamper-resistant where they must be.`,
    },
  },
  scope: 'house',
  appliesTo: (facts) => facts.outlets.all.some((one) => one.device.kind === 'receptacle'),
  check: (facts, limits, report) =>
    facts.views.flatMap((view) => {
      const here = facts.outlets.byRoom.get(view.room.id) ?? [];
      const own = here.filter((one) => one.device.kind === 'receptacle');
      if (own.length === 0 || (limits.everywhere === 0 && NOT_IN_210_52.has(view.room.kind))) return [];
      const plain = own.filter(({ device, box, load }) => {
        if (device.kind !== 'receptacle' || device.tr || device.ratingA > 20) return false;
        if (device.volts === 240 && limits.with240 === 0) return false;
        const behindAppliance = load !== undefined && device.style !== 'duplex';
        return !behindAppliance && !isLonger(boxHeightIn(box, view.level.ceilingIn), limits.aboveIn);
      });
      const where = { room: view.room.id };
      if (plain.length === 0) return [report.pass('fine', { room: view.room.name }, where)];
      return plain.map(({ box }) => report.fail('plain', { tag: box.tag }, { ...where, box: box.id }));
    }),
});
