import type { RoomKind } from '../../house/schema';
import { OUTDOOR_KINDS } from '../../place/outdoors';
import { lightOf } from '../../control/room-light';
import { gradeOfRoom } from '../../plan/grade';
import { roomBehind } from '../../plan/room-view';
import { mayHaveNoPower } from '../requirements/detached';
import { defineRule, everyEdition, fromMemory } from '../rule';

const DOORS: ReadonlySet<string> = new Set(['door', 'slider', 'pocket', 'barn', 'cased']);
const OUTSIDE_KINDS: ReadonlySet<RoomKind> = OUTDOOR_KINDS;
/** A door this little above grade is taken to have grade-level access by a step or a few: *common practice*. */
const NEAR_GRADE_IN = 48;

export const lightingExteriorDoor = defineRule({
  id: 'lighting-exterior-door',
  meta: {
    summary: 'A switched light outside every outdoor entrance at grade',
    stage: 'boxes',
    severity: 'violation',
    ofItsDay: true,
    why: 'The step outside a door is where people fall in the dark. A door for vehicles is not an entrance.',
    editions: everyEdition({ section: '210.70(A)(2)', limits: {}, basis: fromMemory('high') }),
    messages: {
      none: ({ outside, from }: { outside: string; from: string }) =>
        `${outside}, outside the door of ${from}, has no lighting outlet.`,
      uncontrolled: ({ outside }: { outside: string }) => `No wall switch governs the light of ${outside}.`,
      lit: ({ outside, from }: { outside: string; from: string }) => `${outside} is lit outside the door of ${from}.`,
      unknown: ({ from }: { from: string }) =>
        `What lies outside the door of ${from} is not drawn, so its outdoor light cannot be checked. Draw a porch, a deck or a strip of yard there.`,
    },
  },
  scope: 'house',
  appliesTo: (facts) => facts.views.some((view) => !OUTSIDE_KINDS.has(view.room.kind)),
  check: (facts, _limits, report) =>
    facts.views.flatMap((view) => {
      // The dwelling and its garages; an accessory building is named by no edition for sure.
      if (view.room.kind === 'accessory-building' || (view.room.kind === 'garage' && mayHaveNoPower(view, facts.views)))
        return [];
      if (
        OUTSIDE_KINDS.has(view.room.kind) ||
        view.level.elevationIn > NEAR_GRADE_IN ||
        gradeOfRoom(facts.house, view.room) === 'below'
      )
        return [];
      return view.openings.flatMap((seen) => {
        if (!DOORS.has(seen.opening.kind)) return [];
        const outside = roomBehind(facts.house, view.room.id, seen);
        const where = { room: view.room.id };
        if (!outside) return [report.cannotTell('unknown', { from: view.room.name }, where)];
        if (!OUTSIDE_KINDS.has(outside.kind) || outside.kind === 'balcony') return [];
        const light = lightOf(facts.house, facts.outlets, outside);
        const data = { outside: outside.name, from: view.room.name };
        if (light.luminaires.length === 0) return [report.fail('none', data, { room: outside.id })];
        // A switch just inside the door serves as well as one outside; which it is, a group says, and nothing else.
        if (light.controlled.length === 0) return [report.fail('uncontrolled', data, { room: outside.id })];
        return [report.pass('lit', data, { room: outside.id })];
      });
    }),
});
