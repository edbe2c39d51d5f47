import type { FeatureKind } from '../../house/schema';
import { isStorageOrEquipmentSpace } from '../requirements/unfinished-parts';
import type { RoomView } from '../../plan/room-view';
import { lightOf } from '../../control/room-light';
import { commonPractice, defineRule, fromMemory, type EditionEntry, type Facts } from '../rule';

/** Equipment that needs servicing where it stands. */
const SERVICED: ReadonlySet<FeatureKind> = new Set<FeatureKind>(['furnace', 'air-handler', 'water-heater']);
const isMeant = ({ house }: Facts, { room }: RoomView): boolean => isStorageOrEquipmentSpace(house, room);

/** Laundry areas stand beside kitchens and bathrooms in 2023; before, no edition names them. *From memory*, medium. */
const entry = (section: string, laundry: 0 | 1 = 0): EditionEntry<{ laundry: number }> => ({
  section,
  limits: { laundry },
  basis: fromMemory('medium'),
});

export const lightingStorageSpaces = defineRule({
  id: 'lighting-storage-spaces',
  meta: {
    summary: 'A light, controlled at the way in, in attics, crawl spaces, utility rooms and basements that are used',
    stage: 'boxes',
    severity: 'violation',
    ofItsDay: true,
    why: 'A person who services a furnace in an attic or crawl space must see the joists, the insulation and the live parts, and be able to light the way before going in.',
    editions: {
      '2014': entry('210.70(A)(3)'),
      '2017': entry('210.70(C)'),
      '2020': entry('210.70(C)'),
      '2023': entry('210.70(C)', 1),
    },
    messages: {
      none: ({ room, why }: { room: string; why: string }) => `${room} ${why} and has no lighting outlet.`,
      lit: ({ room }: { room: string }) => `${room} has its lighting outlet, with a wall switch.`,
      own: ({ room }: { room: string }) => `${room} has a lighting outlet with a switch of its own at the way in.`,
      control: ({ room }: { room: string }) =>
        `How the light of ${room} is switched is not drawn. It needs a switch at the usual way in, or one in the luminaire within reach of it.`,
      laundry: ({ room }: { room: string }) =>
        `${room} has no lighting outlet. This edition does not name laundries; hardly one is built without a light: place one, or ask the authority.`,
      unknown: ({ room }: { room: string }) =>
        `Whether ${room} is used for storage, or holds equipment to be serviced, is not drawn. If so, it needs a lighting outlet controlled at its way in.`,
    },
  },
  scope: 'house',
  reads: 'lights',
  appliesTo: (facts) => facts.views.some((view) => isMeant(facts, view)),
  check: (facts, limits, report) =>
    facts.views
      .filter((view) => isMeant(facts, view))
      .map((view) => {
        const { room } = view;
        const where = { room: room.id };
        const { luminaires, controlled } = lightOf(facts.house, facts.outlets, room);
        if (luminaires.length > 0)
          return luminaires.some(({ device }) => device.kind === 'luminaire' && device.ownSwitch)
            ? report.pass('own', { room: room.name }, where)
            : luminaires.some((one) => controlled.includes(one))
              ? report.pass('lit', { room: room.name }, where)
              : report.cannotTell('control', { room: room.name }, where);
        const equipment = view.features.some((feature) => SERVICED.has(feature.kind));
        if (equipment) return report.fail('none', { room: room.name, why: 'holds equipment' }, where);
        if (room.kind === 'attic' || room.kind === 'crawl-space')
          return report.cannotTell('unknown', { room: room.name }, where);
        if (room.kind === 'laundry')
          return limits.laundry === 1
            ? report.fail('none', { room: room.name, why: 'is a laundry area' }, where, { section: '210.70(A)(1)' })
            : report.cannotTell('laundry', { room: room.name }, where, { basis: commonPractice });
        return report.fail('none', { room: room.name, why: 'is a utility or storage space' }, where);
      }),
});
