import type { Outlet } from '../../circuits/outlets';
import { deviceIds, listOutlets } from '../requirements/circuit-facts';
import { serveArea } from '../requirements/exclusive-circuit';
import { OUTDOOR_KINDS } from '../../place/outdoors';
import { takeOffRemedy } from '../remedies';
import { defineRule, fromMemory } from '../rule';
import { isLonger } from '../../geometry/intervals';
import { HIGHEST_REQUIRED_IN, boxHeightIn } from '../../place/receptacles';
import { given, itemAt } from '../../units/result';

/** Above this an outdoor receptacle is not readily accessible: that of 210.52(E), inches. *Common practice*. */
const READY_IN = 78;

export const garageCircuit = defineRule({
  id: 'garage-circuit',
  meta: {
    summary: 'The garage receptacles have a 20 A circuit that feeds nothing else but outdoor receptacles',
    stage: 'circuits',
    severity: 'violation',
    ofItsDay: true,
    why: 'Saws and compressors start hard; they should not darken the house.',
    editions: {
      // 2014 asks for no 20 A circuit; it keeps the circuit of the garage receptacles inside the garage.
      '2014': {
        section: '210.52(G)(1)',
        limits: { ratingA: 0, singleBayException: 1, outdoorsToo: 0 },
        basis: fromMemory('medium'),
      },
      '2017': {
        section: '210.11(C)(4)',
        limits: { ratingA: 20, singleBayException: 0, outdoorsToo: 1 },
        basis: fromMemory('high'),
      },
      '2020': {
        section: '210.11(C)(4)',
        limits: { ratingA: 20, singleBayException: 1, outdoorsToo: 1 },
        basis: fromMemory('medium'),
      },
      '2023': {
        section: '210.11(C)(4)',
        limits: { ratingA: 20, singleBayException: 1, outdoorsToo: 1 },
        basis: fromMemory('high'),
      },
    },
    messages: {
      none: (_: object) => 'No 20 A circuit feeds the garage receptacles.',
      other: ({ circuit, outlets }: { circuit: string; outlets: string }) =>
        `${circuit} feeds the garage receptacles and also ${outlets}.`,
      high: ({ circuit, outlets }: { circuit: string; outlets: string }) =>
        `${circuit} feeds the garage receptacles and also ${outlets}, out of reach: only outdoor receptacles that are readily accessible may share it.`,
      right: ({ circuit }: { circuit: string }) => `${circuit} feeds the garage receptacles.`,
      notYet: (_: object) => 'The garage receptacles are on no circuit yet.',
    },
  },
  scope: 'house',
  appliesTo: (facts) =>
    facts.outlets.all.some(
      (outlet) => outlet.device.kind === 'receptacle' && outlet.device.volts === 120 && outlet.room.kind === 'garage',
    ),
  check: (facts, limits, report) => {
    const ceiling = (room: string) => given(facts.views.find((view) => view.room.id === room)).level.ceilingIn;
    const inGarage = (outlet: Outlet) => outlet.room.kind === 'garage';
    // 2017 puts every receptacle outlet of the garage on it, 2020 those of 210.52(G)(1); a freezer's or an opener's is read both
    // ways, so it may ride along and need not.
    const area = serveArea(
      facts,
      limits.ratingA || 'any',
      (outlet) =>
        inGarage(outlet) &&
        outlet.load === undefined &&
        boxHeightIn(outlet.box, ceiling(outlet.room.id)) <= HIGHEST_REQUIRED_IN,
      inGarage,
    );
    const garage = given(facts.views.find((view) => view.room.kind === 'garage')).room;
    if (area.receptacles.length === area.unassigned) return [report.cannotTell('notYet', {}, { room: garage.id })];
    if (area.circuits.length === 0)
      return [
        report.fail(
          'none',
          {},
          { room: garage.id },
          { measured: () => `${itemAt(area.wrong, 0).circuit.ratingA} A`, required: () => `${limits.ratingA} A` },
        ),
      ];
    const isOutdoorReceptacle = ({ device, room }: Outlet) =>
      device.kind === 'receptacle' && OUTDOOR_KINDS.has(room.kind);
    const isReady = ({ box, room }: Outlet) => !isLonger(boxHeightIn(box, ceiling(room.id)), READY_IN);
    return area.circuits.map(({ circuit, others }) => {
      const foreign = others.filter((outlet) => {
        const ridesAlong = limits.outdoorsToo === 1 && isOutdoorReceptacle(outlet) && isReady(outlet);
        // A single bay may share (Exception 2).
        const shares =
          limits.singleBayException === 1 &&
          outlet.room.kind === 'garage' &&
          (limits.ratingA === 0 || outlet.room.bays === 1);
        return !ridesAlong && !shares;
      });
      if (foreign.length === 0) return report.pass('right', { circuit: circuit.name }, { circuit: circuit.id });
      const areHigh = limits.outdoorsToo === 1 && foreign.every(isOutdoorReceptacle);
      return report.fail(
        areHigh ? 'high' : 'other',
        { circuit: circuit.name, outlets: listOutlets(foreign) },
        { circuit: circuit.id, box: itemAt(foreign, 0).box.id },
        { remedies: [takeOffRemedy(deviceIds(foreign), foreign.length === 1 ? 'it' : 'them')] },
      );
    });
  },
});
