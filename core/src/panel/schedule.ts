import type { BreakerKind, Circuit, Feeder, House, Panel } from '../house/schema';
import { measureCircuitLoad } from '../circuits/circuit-load';
import { indexOutlets, outletsOn } from '../circuits/outlets';
import { areHalves, spacesOf } from '../circuits/panel-spaces';
import { feedersFrom, feederSpaces, wantedPanel } from '../circuits/panel-tree';
import { writeDirectoryEntry } from './directory';
import { itemAt, mustGet } from '../units/result';

export type Leg = 'A' | 'B';

/** Odd spaces left, even right; both of a row hang on one leg, rows alternate. *Common practice* of split-phase panels. */
export const legOf = (space: number): Leg => (Math.ceil(space / 2) % 2 === 1 ? 'A' : 'B');

/** What stands in one space of the panel, or in one half of it. */
export interface ScheduleRow {
  readonly space: number;
  /** Of a tandem breaker. */
  readonly half?: Circuit['half'];
  readonly leg: Leg;
  readonly circuit: Circuit | undefined;
  /** The breaker of a feeder to another panel stands here. */
  readonly feeder: Feeder | undefined;
  /** The second space of a two-pole breaker. */
  readonly continued: boolean;
  readonly breaker: BreakerKind | undefined;
  readonly directory: string;
  /** Volt-amperes that this pole puts on its leg. */
  readonly va: number;
}

interface LegLoads {
  readonly legVa: Readonly<Record<Leg, number>>;
  /** |A − B| / max(A, B); 0 is even. Follows 210.11(B) in spirit: loads evenly among the legs. */
  readonly imbalance: number;
}

/** A panel space by space, with the load of its legs, VA. */
export interface PanelSchedule extends LegLoads {
  readonly panel: Panel;
  readonly rows: readonly ScheduleRow[];
  readonly unplaced: readonly Circuit[];
  readonly freeSpaces: number;
}

interface Pole {
  readonly circuit: Circuit;
  readonly continued: boolean;
}

/** The circuits whose poles are in each space of a panel: the first that was put there, and the other half of a tandem breaker. */
function circuitsBySpace(house: House, panel: Panel): Map<number, readonly Pole[]> {
  const bySpace = new Map<number, Pole[]>();
  for (const circuit of Object.values(house.circuits))
    if (circuit.panel === panel.id)
      spacesOf(circuit).forEach((space, i) => {
        if (space > panel.spaces) return;
        const there = bySpace.get(space);
        if (!there) bySpace.set(space, [{ circuit, continued: i > 0 }]);
        else if (areHalves(itemAt(there, 0).circuit, circuit) && there.length === 1)
          there.push({ circuit, continued: false });
      });
  for (const poles of bySpace.values())
    poles.sort((a, b) => (a.circuit.half ?? '').localeCompare(b.circuit.half ?? ''));
  return bySpace;
}

const poleVa = (house: House, circuit: Circuit): number => measureCircuitLoad(house, circuit).va / circuit.poles;

/** What a panel that is fed from here puts on each pole of its breaker. */
function feederPolesVa(house: House, { poles, to }: Feeder): readonly number[] {
  const { A, B } = loadLegs(house, mustGet(house.panels, to)).legVa;
  return poles === 1 ? [A + B] : [A, B];
}

/** The feeder whose pole is in each space of a panel. */
function feedersBySpace(house: House, panel: Panel): Map<number, { feeder: Feeder; continued: boolean; va: number }> {
  const bySpace = new Map<number, { feeder: Feeder; continued: boolean; va: number }>();
  for (const feeder of feedersFrom(house, panel.id)) {
    const poles = feederPolesVa(house, feeder);
    feederSpaces(feeder).forEach((space, i) => bySpace.set(space, { feeder, continued: i > 0, va: itemAt(poles, i) }));
  }
  return bySpace;
}

/** What each leg of a panel carries, with the panels that are fed from it. */
export function loadLegs(house: House, panel: Panel): LegLoads {
  const legVa = { A: 0, B: 0 };
  for (const [space, poles] of circuitsBySpace(house, panel))
    for (const { circuit } of poles) legVa[legOf(space)] += poleVa(house, circuit);
  for (const [space, { va }] of feedersBySpace(house, panel)) legVa[legOf(space)] += va;
  const larger = Math.max(legVa.A, legVa.B);
  return { legVa, imbalance: larger === 0 ? 0 : Math.abs(legVa.A - legVa.B) / larger };
}

/** The panel as it will stand. The kind of each breaker is decided elsewhere (it is the code's matter) and passed in. */
export function buildSchedule(house: House, panel: Panel, breakerOf: (circuit: Circuit) => BreakerKind): PanelSchedule {
  const bySpace = circuitsBySpace(house, panel);
  const feeders = feedersBySpace(house, panel);
  const { byRoom } = indexOutlets(house);
  const rows = Array.from({ length: panel.spaces }, (_, i): readonly ScheduleRow[] => {
    const space = i + 1;
    const found = bySpace.get(space);
    const fed = found ? undefined : feeders.get(space);
    if (!found)
      return [
        {
          space,
          leg: legOf(space),
          circuit: undefined,
          feeder: fed?.feeder,
          continued: fed?.continued ?? false,
          breaker: fed ? 'plain' : undefined,
          directory: fed ? `Feeder to ${mustGet(house.panels, fed.feeder.to).name}` : '',
          va: fed?.va ?? 0,
        },
      ];
    return found.map(({ circuit, continued }) => ({
      space,
      ...(circuit.half ? { half: circuit.half } : {}),
      leg: legOf(space),
      circuit,
      feeder: undefined,
      continued,
      breaker: breakerOf(circuit),
      directory: writeDirectoryEntry(circuit, outletsOn(house, circuit), (room) => byRoom.get(room) ?? []),
      va: poleVa(house, circuit),
    }));
  }).flat();
  return {
    panel,
    rows,
    ...loadLegs(house, panel),
    unplaced: Object.values(house.circuits).filter(
      (circuit) => (circuit.space === null || circuit.panel === null) && wantedPanel(house, circuit)?.id === panel.id,
    ),
    freeSpaces: rows.filter((row) => !row.circuit && !row.feeder).length,
  };
}
