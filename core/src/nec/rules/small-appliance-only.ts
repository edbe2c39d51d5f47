import {
  deviceIds,
  isFoodReceptacle,
  isInCupboard,
  isSmallAppliance,
  listOutlets,
  outletsOf,
  outletsProper,
} from '../requirements/circuit-facts';
import type { Outlet } from '../../circuits/outlets';
import { takeOffRemedy } from '../remedies';
import { defineRule, everyEdition, fromMemory } from '../rule';
import { itemAt } from '../../units/result';

/** Igniter, lights and controls of gas cooking equipment may ride along: 210.52(B)(2) Exception 2. By its kind, whatever it is called. */
const mayRide = ({ load }: Outlet): boolean => load?.kind === 'gas-range';
/** A clock may as well, Exception 1; of what has no kind nobody knows whether it is one. */
const couldBeClock = ({ load, device }: Outlet): boolean => load?.kind === 'other' && device.kind === 'connection';

export const smallApplianceOnly = defineRule({
  id: 'small-appliance-only',
  meta: {
    summary: 'Small-appliance circuits feed nothing else',
    stage: 'circuits',
    severity: 'violation',
    ofItsDay: true,
    why: 'Lights, hoods, disposers and dishwashers would take the ampacity that the counter is there for.',
    editions: everyEdition({ section: '210.52(B)(2)', limits: {}, basis: fromMemory('high') }),
    messages: {
      other: ({ circuit, outlets }: { circuit: string; outlets: string }) =>
        `${circuit} is a small-appliance circuit and also feeds ${outlets}.`,
      cabinet: ({ circuit, outlets }: { circuit: string; outlets: string }) =>
        `${circuit} is a small-appliance circuit and also feeds ${outlets}, in a cabinet: what it is for is not said. For a hood, disposer or built-in microwave it may not be there.`,
      clock: ({ circuit, outlets }: { circuit: string; outlets: string }) =>
        `${circuit} is a small-appliance circuit and also feeds ${outlets}, of which no kind is said. An electric clock may be there, and nothing else: choose its kind of load.`,
      only: ({ circuit }: { circuit: string }) => `${circuit} feeds small-appliance receptacles only.`,
    },
  },
  scope: 'circuit',
  appliesTo: (facts, circuit) => isSmallAppliance(facts, circuit),
  check: (facts, circuit, _limits, report) => {
    const beside = outletsProper(outletsOf(facts, circuit)).filter(
      (outlet) => !isFoodReceptacle(outlet) && !mayRide(outlet),
    );
    const other = beside.filter((outlet) => !isInCupboard(outlet) && !couldBeClock(outlet));
    if (beside.length > 0 && other.length === 0)
      return report.cannotTell(
        beside.every(isInCupboard) ? 'cabinet' : 'clock',
        { circuit: circuit.name, outlets: listOutlets(beside) },
        { circuit: circuit.id, box: itemAt(beside, 0).box.id },
      );
    if (other.length === 0) return report.pass('only', { circuit: circuit.name }, { circuit: circuit.id });
    const remedies = [takeOffRemedy(deviceIds(other), other.length === 1 ? 'it' : 'them')];
    return report.fail(
      'other',
      { circuit: circuit.name, outlets: listOutlets(other) },
      { circuit: circuit.id, box: itemAt(other, 0).box.id },
      { remedies },
    );
  },
});
