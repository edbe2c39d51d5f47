import type { Outlet } from '../../circuits/outlets';
import { outletsOf, outletsProper } from '../requirements/circuit-facts';
import { ampsOf } from '../../loads/library';
import { defineRule, fromMemory } from '../rule';

const entry = (section: string) => ({ section, limits: { share: 0.8, coolerShare: 0.5 }, basis: fromMemory('high') });
/** A receptacle may feed plugs up to 12 A at 15 A, 16 A at 20 A, 24 A at 30 A: four fifths of its rating, Table 210.21(B)(2). */
const BY_RECEPTACLE = '210.21(B)(2)';

export const cordLoad = defineRule({
  id: 'cord-load',
  meta: {
    summary: 'One cord-and-plug load takes at most 80 % of a circuit with several outlets',
    stage: 'circuits',
    severity: 'violation',
    why: 'A portable heater or treadmill that fills the circuit leaves nothing for what is plugged in beside it. It may have the whole of a circuit of its own.',
    editions: {
      '2014': entry('210.23(A)(1)'),
      '2017': entry('210.23(A)(1)'),
      '2020': entry('210.23(A)(1)'),
      '2023': entry('210.23(B)(1)'),
    },
    messages: {
      over: ({ load, amps, allowed, circuit }: Data) =>
        `${load} draws ${amps.toFixed(1)} A on ${circuit}; ${allowed} A is the most for one plug-in load there.`,
      receptacle: ({ load, amps, allowed, rating }: Data & { rating: number }) =>
        `${load} draws ${amps.toFixed(1)} A at a ${rating} A receptacle; ${allowed} A is the most for one plug there. On its 20 A circuit a 20 A receptacle may feed 16 A.`,
      plate: ({ load, amps, allowed, rating }: Data & { rating: number }) =>
        `${load} typically draws ${amps.toFixed(1)} A; at its ${rating} A receptacle ${allowed} A is the most for one plug. Read its plate, or set a larger receptacle.`,
      within: ({ load, amps, allowed }: { load: string; amps: number; allowed: number }) =>
        `${load} draws ${amps.toFixed(1)} A of ${allowed} A allowed.`,
    },
  },
  scope: 'circuit',
  appliesTo: (facts, circuit) => outletsOf(facts, circuit).some((outlet) => outlet.load?.cord && !outlet.load.fastened),
  check: (facts, circuit, limits, report) => {
    const outlets = outletsProper(outletsOf(facts, circuit));
    // A duplex is two receptacles: only one that is single, and alone, has the circuit to itself.
    const isAlone = outlets.length < 2 && !outlets.some(isDuplex);
    if (circuit.ratingA > 30) return [];
    return outlets.flatMap(({ load, box, device }) => {
      if (!load?.cord || load.fastened) return [];
      // A room air conditioner has four fifths even of a circuit of its own: 440.62(B).
      if (isAlone && load.kind !== 'window-ac') return [];
      const amps = ampsOf(load);
      const receptacleA = device.kind === 'receptacle' ? device.ratingA : circuit.ratingA;
      const isShared = outlets.length > 1;
      const isRoomCooler = load.kind === 'window-ac';
      // Of a circuit that feeds other things as well, half: 440.62(C).
      const share = isRoomCooler && isShared ? limits.coolerShare : limits.share;
      const allowed = Math.min(circuit.ratingA, receptacleA) * share;
      const data = { load: load.name, amps, allowed, circuit: circuit.name };
      const detail = {
        ...(isRoomCooler
          ? { section: isShared ? '440.62(C)' : '440.62(B)' }
          : receptacleA < circuit.ratingA
            ? { section: BY_RECEPTACLE }
            : circuit.ratingA === 30
              ? { section: facts.edition === '2023' ? '210.23(C)' : '210.23(B)' }
              : {}),
        measured: () => `${amps.toFixed(1)} A`,
        required: () => `${allowed} A at most`,
      };
      const where = { circuit: circuit.id, box: box.id };
      if (amps <= allowed + 1e-9) return [report.pass('within', data, where, detail)];
      if (receptacleA < circuit.ratingA && amps <= circuit.ratingA * limits.share && load.source === 'typical')
        return [report.cannotTell('plate', { ...data, rating: receptacleA }, where, detail)];
      return [
        receptacleA === 15 && circuit.ratingA === 20
          ? report.fail('receptacle', { ...data, rating: receptacleA }, where, detail)
          : report.fail('over', data, where, detail),
      ];
    });
  },
});

const isDuplex = ({ device }: Outlet): boolean => device.kind === 'receptacle' && device.style !== 'single';

interface Data {
  readonly load: string;
  readonly amps: number;
  readonly allowed: number;
  readonly circuit: string;
}
