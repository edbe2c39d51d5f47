import { isLonger } from '../../geometry/intervals';
import { count } from '../../units/count';
import type { Circuit } from '../../house/schema';
import { BATHROOMS, circuitsOf, deviceIds, listOutlets, outletsOf, outletsProper } from '../requirements/circuit-facts';
import type { Outlet } from '../../circuits/outlets';
import { distanceToFeature, placeOf } from '../../plan/points';
import { viewRoom } from '../../plan/room-view';
import { serveArea } from '../requirements/exclusive-circuit';
import { takeOffRemedy } from '../remedies';
import { isInLaundryArea } from '../requirements/laundry-area';
import { defineRule, fromMemory, type EditionEntry, type Facts } from '../rule';
import { itemAt } from '../../units/result';

const entry = (every: 0 | 1): EditionEntry<{ ratingA: number; every: number }> => ({
  section: '210.11(C)(3)',
  limits: { ratingA: 20, every },
  basis: fromMemory('high'),
});

/** Whether a receptacle of a bathroom is one of those at its basins: within 3 ft, where 210.52(D) wants one. */
function isAtBasin(facts: Facts, { box, room }: Outlet): boolean {
  const view = viewRoom(facts.house, room.id);
  const basins = view.features.filter((one) => one.kind === 'basin' || one.kind === 'sink' || one.kind === 'counter');
  return (
    basins.length === 0 ||
    basins.some((one) => !isLonger(distanceToFeature(room, one, placeOf(view, box)), AT_BASIN_IN))
  );
}
const AT_BASIN_IN = 36;

/** Circuits of another rating, or of other rooms as well, that feed receptacles away from a basin: what 2020 reworded and inspectors read in two ways. */
function receptaclesAway(
  facts: Facts,
  ratingA: number,
  isMeant: (outlet: Outlet) => boolean,
): { circuit: Circuit; outlets: Outlet[] }[] {
  return circuitsOf(facts)
    .filter(
      (circuit) =>
        circuit.poles === 1 &&
        (circuit.ratingA !== ratingA || outletsOf(facts, circuit).some(({ room }) => !BATHROOMS.has(room.kind))),
    )
    .map((circuit) => ({
      circuit,
      outlets: outletsOf(facts, circuit).filter(
        (one) => one.device.kind === 'receptacle' && one.load === undefined && isMeant(one),
      ),
    }))
    .filter(({ outlets }) => outlets.length > 0);
}

export const bathroomCircuit = defineRule({
  id: 'bathroom-circuit',
  meta: {
    summary: 'Bathroom receptacles are on 20 A circuits that feed nothing else, or everything of one bathroom alone',
    stage: 'circuits',
    severity: 'violation',
    ofItsDay: true,
    why: 'A hair dryer alone takes 12 to 15 A. Two patterns are allowed: receptacles of several bathrooms and nothing else, or everything of one single bathroom.',
    editions: {
      '2014': entry(1),
      '2017': entry(1),
      // Reworded: the receptacles that 210.52(D) requires and those over counters; one for a bidet seat need not be on it.
      '2020': { ...entry(0), basis: fromMemory('medium') },
      '2023': { ...entry(0), basis: fromMemory('medium') },
    },
    messages: {
      weak: ({ circuit, rating, outlets }: { circuit: string; rating: number; outlets: string }) =>
        `${outlets}: on ${circuit}, a ${rating} A circuit. A 20 A circuit is required.`,
      away: ({ circuit, outlets }: { circuit: string; outlets: string }) =>
        `${outlets}: on ${circuit}, away from the basin. This edition names the receptacles at basins and over counters; many inspectors want all of a bathroom on its 20 A circuit: ask, or move it there.`,
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
    // A washer in a bathroom belongs to the laundry circuit (210.11(C)(2)).
    const inBath = (outlet: Outlet) => BATHROOMS.has(outlet.room.kind) && !isInLaundryArea(facts.house, outlet);
    const must = (outlet: Outlet) => inBath(outlet) && (limits.every === 1 || isAtBasin(facts, outlet));
    const area = serveArea(facts, limits.ratingA, must, inBath);
    const weak = area.wrong.map(({ circuit, outlets }) =>
      report.fail(
        'weak',
        { circuit: circuit.name, rating: circuit.ratingA, outlets: listOutlets(outlets) },
        { circuit: circuit.id, box: itemAt(outlets, 0).box.id },
        {
          measured: () => `${circuit.ratingA} A`,
          required: () => `${limits.ratingA} A`,
        },
      ),
    );
    const away = receptaclesAway(facts, limits.ratingA, (one) => inBath(one) && !must(one)).map(
      ({ circuit, outlets }) =>
        report.cannotTell(
          'away',
          { circuit: circuit.name, outlets: listOutlets(outlets) },
          { circuit: circuit.id, box: itemAt(outlets, 0).box.id },
        ),
    );
    const fed = area.circuits.map(({ circuit, others }) => {
      const where = { circuit: circuit.id };
      if (others.length === 0) return report.pass('alone', { circuit: circuit.name }, where);
      const rooms = new Set(outletsProper(outletsOf(facts, circuit)).map((outlet) => outlet.room));
      if (rooms.size === 1)
        return report.pass('oneBathroom', { circuit: circuit.name, room: itemAt([...rooms], 0).name }, where, {
          section: '210.11(C)(3) Exception',
        });
      return report.fail(
        'mixed',
        { circuit: circuit.name, outlets: listOutlets(others) },
        { ...where, box: itemAt(others, 0).box.id },
        {
          measured: () => `${count(rooms.size, 'room')}, ${count(others.length, 'other outlet')}`,
          required: () => 'receptacles of bathrooms only, or one bathroom only',
          remedies: [takeOffRemedy(deviceIds(others), others.length === 1 ? 'it' : 'them')],
        },
      );
    });
    const open = area.unassigned > 0 ? [report.cannotTell('notYet', { n: area.unassigned }, {})] : [];
    return [...weak, ...away, ...fed, ...open];
  },
});
