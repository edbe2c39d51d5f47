import type { House, Panel } from '../house/schema';
import { measureCircuitLoad } from '../circuits/circuit-load';
import { feedersFrom, feederSpaces, wantedPanel } from '../circuits/panel-tree';
import { spacesOf } from '../circuits/panel-spaces';
import { legOf } from './schedule';
import { mustGet } from '../units/result';

/**
 * Panel spaces for every circuit without one that belongs to a panel: two-pole breakers first, then the largest one-pole circuit to
 * the lighter leg. What is placed stays. Circuits that do not fit are left out of the answer.
 */
export function arrangePanel(house: House, panel: Panel): Record<string, number> {
  const circuits = Object.values(house.circuits);
  const taken = new Set([
    ...circuits.filter((circuit) => circuit.panel === panel.id).flatMap(spacesOf),
    ...feedersFrom(house, panel.id).flatMap(feederSpaces),
  ]);
  const vaOf = (id: string) => measureCircuitLoad(house, mustGet(house.circuits, id)).va;
  const legVa = { A: 0, B: 0 };
  for (const circuit of circuits)
    if (circuit.panel === panel.id)
      for (const space of spacesOf(circuit)) legVa[legOf(space)] += vaOf(circuit.id) / circuit.poles;
  const waiting = circuits
    .filter(
      (circuit) => (circuit.panel === null || circuit.space === null) && wantedPanel(house, circuit)?.id === panel.id,
    )
    .sort((a, b) => b.poles - a.poles || vaOf(b.id) - vaOf(a.id) || a.id.localeCompare(b.id));
  const places: Record<string, number> = {};
  for (const circuit of waiting) {
    const fits = (space: number) =>
      spacesOf({ ...circuit, space }).every((one) => one <= panel.spaces && !taken.has(one));
    const free = Array.from({ length: panel.spaces }, (_, i) => i + 1).filter(fits);
    const lighter = legVa.A <= legVa.B ? 'A' : 'B';
    const space = circuit.poles === 2 ? free[0] : (free.find((one) => legOf(one) === lighter) ?? free[0]);
    if (space === undefined) continue;
    places[circuit.id] = space;
    for (const one of spacesOf({ ...circuit, space })) {
      taken.add(one);
      legVa[legOf(one)] += vaOf(circuit.id) / circuit.poles;
    }
  }
  return places;
}

/** The same for every panel: the panel and the space of each circuit that waits. */
export const arrangePanels = (house: House): Record<string, { readonly panel: string; readonly space: number }> =>
  Object.fromEntries(
    Object.values(house.panels).flatMap((panel) =>
      Object.entries(arrangePanel(house, panel)).map(([id, space]) => [id, { panel: panel.id, space }]),
    ),
  );

/** The first space of a panel that is free for a breaker of so many poles. */
export function freeSpace(house: House, panel: Panel, poles: 1 | 2): number | undefined {
  const taken = new Set([
    ...Object.values(house.circuits)
      .filter((circuit) => circuit.panel === panel.id)
      .flatMap(spacesOf),
    ...feedersFrom(house, panel.id).flatMap(feederSpaces),
  ]);
  return Array.from({ length: panel.spaces }, (_, i) => i + 1).find((space) =>
    feederSpaces({ poles, space }).every((one) => one <= panel.spaces && !taken.has(one)),
  );
}
