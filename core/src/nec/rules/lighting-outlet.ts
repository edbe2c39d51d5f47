import type { RoomKind } from '../../house/schema';
import { lightOf } from '../../control/room-light';
import { HABITABLE_ROOMS } from '../../place/habitable';
import type { RoomView } from '../../plan/room-view';
import { mayHaveNoPower } from '../requirements/detached';
import { defineRule, fromMemory, type EditionEntry, type Facts } from '../rule';

/** Habitable rooms, bathrooms, hallways, stairways and garages, as 210.70(A) names them. */
const LIT: ReadonlySet<RoomKind> = new Set<RoomKind>([
  ...HABITABLE_ROOMS,
  'bathroom',
  'half-bath',
  'hallway',
  'foyer',
  'stair',
  'garage',
]);
/** Accessory buildings with power stand beside detached garages in 2023, perhaps already in 2020: *from memory*, low. */
const entry = (accessory: 0 | 1): EditionEntry<{ accessory: number }> => ({
  section: '210.70(A)(1), (2)',
  limits: { accessory },
  basis: fromMemory('high'),
});
/** A garage that stands apart, and an accessory building, count when power is brought to them. */
const mustBeLit = (view: RoomView, facts: Facts, accessory: number): boolean =>
  (LIT.has(view.room.kind) && !(view.room.kind === 'garage' && mayHaveNoPower(view, facts.views))) ||
  (accessory === 1 && view.room.kind === 'accessory-building' && view.boxes.length > 0);
/** Where a switched receptacle does not stand in for the lighting outlet: 210.70(A)(1) Exception 1 and (A)(2). */
const NO_LAMP_INSTEAD: ReadonlySet<RoomKind> = new Set<RoomKind>([
  'kitchen',
  'bathroom',
  'half-bath',
  'hallway',
  'foyer',
  'stair',
  'garage',
  'accessory-building',
]);

export const lightingOutlet = defineRule({
  id: 'lighting-outlet',
  meta: {
    summary: 'A lighting outlet with a wall control in every habitable room, bathroom, hall, stair and garage',
    stage: 'boxes',
    severity: 'violation',
    ofItsDay: true,
    why: 'Nobody should cross a dark room to find a lamp. In most rooms a receptacle on a wall switch may stand in for the ceiling light; in kitchens, baths, halls, stairs and garages it may not.',
    editions: {
      '2014': entry(0),
      '2017': entry(0),
      '2020': entry(0),
      '2023': { ...entry(1), basis: fromMemory('low') },
    },
    messages: {
      none: ({ room, instead }: { room: string; instead: boolean }) =>
        `${room} has no lighting outlet${instead ? ', and no switched receptacle in its place' : ''}.`,
      uncontrolled: ({ room }: { room: string }) => `No wall switch governs the light of ${room}.`,
      lit: ({ room, how }: { room: string; how: string }) => `${room} is lit by ${how} on a wall switch.`,
    },
  },
  scope: 'house',
  appliesTo: (facts) => facts.views.some((view) => mustBeLit(view, facts, 1)),
  check: (facts, limits, report) =>
    facts.views
      .filter((view) => mustBeLit(view, facts, limits.accessory))
      .map(({ room }) => {
        const light = lightOf(facts.house, facts.outlets, room);
        const instead = !NO_LAMP_INSTEAD.has(room.kind);
        const allowed = instead ? [...light.luminaires, ...light.switchedReceptacles] : light.luminaires;
        const where = { room: room.id };
        if (allowed.length === 0) return report.fail('none', { room: room.name, instead }, where);
        const governed = allowed.filter((outlet) => light.controlled.includes(outlet));
        if (governed.length === 0) return report.fail('uncontrolled', { room: room.name }, where);
        const how = governed.some((one) => one.device.kind === 'luminaire') ? 'a luminaire' : 'a receptacle';
        return report.pass('lit', { room: room.name, how }, where);
      }),
});
