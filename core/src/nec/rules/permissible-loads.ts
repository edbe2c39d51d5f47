import { isExhaustFan } from '../../place/fans';
import { isLighting, type Outlet } from '../../circuits/outlets';
import type { RoomKind } from '../../house/schema';
import type { LoadKind } from '../../house/schema-equipment';
import { deviceIds, listOutlets, outletsOf, outletsProper } from '../requirements/circuit-facts';
import { takeOffRemedy } from '../remedies';
import { defineRule, fromMemory, type EditionEntry } from '../rule';
import { itemAt } from '../../units/result';

/** Ratings of circuits with several outlets: 210.3 in 2014, 210.18 later; 10 A stands beside them in 2023. */
const SEVERAL: readonly number[] = [15, 20, 30, 40, 50];
const COOKING: ReadonlySet<LoadKind> = new Set<LoadKind>([
  'range',
  'cooktop',
  'induction-cooktop',
  'oven',
  'double-oven',
]);
const HEAT: ReadonlySet<LoadKind> = new Set<LoadKind>(['baseboard-heat', 'cove-heat', 'bath-heater', 'floor-heat']);

/** Circuits of 10 A in 2023: lighting, the exhaust fan of a bath or laundry beside it, and a gas fireplace by itself; never receptacles. */
function mayBeOnTen(outlet: Outlet, all: readonly Outlet[]): boolean {
  if (outlet.load?.kind === 'gas-fireplace') return all.length === 1;
  if (outlet.load?.kind === 'exhaust-fan' || isExhaustFan(outlet.device, outlet.room.kind))
    return HAS_FAN.has(outlet.room.kind) && all.some(isLighting);
  return isLighting(outlet);
}
const HAS_FAN: ReadonlySet<RoomKind> = new Set<RoomKind>(['bathroom', 'half-bath', 'laundry']);

const entry = (section: string, tenA: 0 | 1): EditionEntry<{ tenA: number }> => ({
  section,
  limits: { tenA },
  basis: fromMemory(tenA ? 'medium' : 'high'),
});

export const permissibleLoads = defineRule({
  id: 'permissible-loads',
  meta: {
    summary: 'What a circuit may feed by its rating: no lights beyond 20 A, cooking alone on 40 and 50 A',
    stage: 'circuits',
    severity: 'violation',
    why: 'Lampholders and plugs are made for 15 and 20 A. A fault in one on a larger breaker burns before the breaker opens.',
    editions: {
      '2014': entry('210.3, 210.23', 0),
      '2017': entry('210.18, 210.23', 0),
      '2020': entry('210.18, 210.23', 0),
      '2023': entry('210.18, 210.23', 1),
    },
    messages: {
      rating: ({ circuit, rating, n }: Data & { n: number }) =>
        `${circuit} has ${n} outlets; a circuit of several outlets has 15, 20, 30, 40 or 50 A, not ${rating} A.`,
      light: ({ circuit, rating, outlets }: Data & Fed) =>
        `${circuit} is a ${rating} A circuit and feeds ${outlets}: in a dwelling, lights are on 15 or 20 A.`,
      cooking: ({ circuit, rating, outlets }: Data & Fed) =>
        `${circuit} is a ${rating} A circuit of several outlets and feeds ${outlets}: those are for cooking equipment fastened in place.`,
      ten: ({ circuit, outlets }: Data & Fed) => `${circuit} is a 10 A circuit and feeds ${outlets}.`,
      right: ({ circuit, rating }: Data) => `What ${circuit} feeds may be on ${rating} A.`,
    },
  },
  scope: 'circuit',
  appliesTo: (_facts, circuit) => circuit.ratingA !== 15 && circuit.ratingA !== 20,
  check: (facts, circuit, limits, report) => {
    const { ratingA } = circuit;
    const outlets = outletsProper(outletsOf(facts, circuit));
    if (ratingA === 15 || ratingA === 20 || outlets.length === 0) return [];
    const data = { circuit: circuit.name, rating: ratingA };
    const where = { circuit: circuit.id };
    const object = (message: 'light' | 'cooking' | 'ten', wrong: readonly Outlet[]) =>
      report.fail(
        message,
        { ...data, outlets: listOutlets(wrong) },
        { ...where, box: itemAt(wrong, 0).box.id },
        { remedies: [takeOffRemedy(deviceIds(wrong), wrong.length === 1 ? 'it' : 'them')] },
      );
    if (ratingA === 10 && limits.tenA === 1) {
      const wrong = outlets.filter((one) => !mayBeOnTen(one, outlets));
      return [wrong.length > 0 ? object('ten', wrong) : report.pass('right', data, where)];
    }
    // Fixed space heat may share 25 A as well: 424.3(B), 424.4 from 2020, medium.
    const heat = outlets.every((one) => one.load !== undefined && HEAT.has(one.load.kind));
    if (outlets.length > 1 && !SEVERAL.includes(ratingA) && !(heat && ratingA === 25))
      return [report.fail('rating', { ...data, n: outlets.length }, where)];
    const lights = outlets.filter(isLighting);
    if (ratingA > 20 && lights.length > 0) return [object('light', lights)];
    const others = outlets.filter((one) => one.load !== undefined && !COOKING.has(one.load.kind));
    if (outlets.length > 1 && ratingA >= 40 && others.length > 0) return [object('cooking', others)];
    return [report.pass('right', data, where)];
  },
});

interface Data {
  readonly circuit: string;
  readonly rating: number;
}
interface Fed {
  readonly outlets: string;
}
