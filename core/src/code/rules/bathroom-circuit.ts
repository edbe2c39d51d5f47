import { BATHROOMS, deviceIds, listOutlets, outletsOf, outletsProper } from '../circuit-facts';
import { serveArea } from '../exclusive-circuit';
import { takeOffRemedy } from '../remedies';
import { defineRule, everyEdition, fromMemory } from '../rule';

export const bathroomCircuit = defineRule({
  id: 'bathroom-circuit',
  meta: {
    summary: 'Bathroom receptacles are on 20 A circuits that feed nothing else, or everything of one bathroom alone',
    stage: 'circuits',
    severity: 'violation',
    why: 'A hair dryer alone takes 12 to 15 A. Two patterns are allowed: receptacles of several bathrooms and nothing else, or everything of one single bathroom.',
    editions: everyEdition({ section: '210.11(C)(3)', limits: { ratingA: 20 }, basis: fromMemory('high') }),
    messages: {
      weak: ({ circuit, rating, outlets }: { circuit: string; rating: number; outlets: string }) =>
        `${outlets}: on ${circuit}, a ${rating} A circuit. A 20 A circuit is due.`,
      mixed: ({ circuit, outlets }: { circuit: string; outlets: string }) =>
        `${circuit} feeds bathroom receptacles and also ${outlets}.`,
      alone: ({ circuit }: { circuit: string }) => `${circuit} feeds bathroom receptacles alone.`,
      oneBathroom: ({ circuit, room }: { circuit: string; room: string }) =>
        `${circuit} feeds ${room} and nothing outside it.`,
      notYet: ({ n }: { n: number }) => `${n} bathroom receptacles are on no circuit yet.`,
    },
  },
  scope: 'house',
  appliesTo: (facts) =>
    facts.outlets.all.some((outlet) => outlet.device.kind === 'receptacle' && BATHROOMS.has(outlet.room.kind)),
  check: (facts, limits, report) => {
    const area = serveArea(facts, BATHROOMS, limits.ratingA);
    const weak = area.wrong.map(({ circuit, outlets }) =>
      report.fail(
        'weak',
        { circuit: circuit.name, rating: circuit.ratingA, outlets: listOutlets(outlets) },
        { circuit: circuit.id, box: outlets[0]!.box.id },
        {
          measured: () => `${circuit.ratingA} A`,
          required: () => `${limits.ratingA} A`,
        },
      ),
    );
    const fed = area.circuits.map(({ circuit, others }) => {
      const where = { circuit: circuit.id };
      if (others.length === 0) return report.pass('alone', { circuit: circuit.name }, where);
      const rooms = new Set(outletsProper(outletsOf(facts, circuit)).map((outlet) => outlet.room));
      if (rooms.size === 1)
        return report.pass('oneBathroom', { circuit: circuit.name, room: [...rooms][0]!.name }, where, {
          section: '210.11(C)(3) Exception',
        });
      return report.fail(
        'mixed',
        { circuit: circuit.name, outlets: listOutlets(others) },
        { ...where, box: others[0]!.box.id },
        {
          measured: () => `${rooms.size} rooms, ${others.length} other outlets`,
          required: () => 'receptacles of bathrooms only, or one bathroom only',
          remedies: [takeOffRemedy(deviceIds(others), others.length === 1 ? 'it' : 'them')],
        },
      );
    });
    const open = area.unassigned > 0 ? [report.cannotTell('notYet', { n: area.unassigned }, {})] : [];
    return [...weak, ...fed, ...open];
  },
});
