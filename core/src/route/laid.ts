import { keyOf, keyOfRoute } from '../circuits/kept-routes';
import type { Circuit, House, Route } from '../house/schema';
import { isInTheWalls, type CableRunOf } from '../makeup/cables';
import { wireHouse } from '../makeup/make-up';

/** A cable where it lies: the run of the feed order with the route that is kept or proposed for it. */
export interface LaidCable {
  readonly route: Route;
  readonly run: CableRunOf;
  readonly circuit: Circuit;
  /** What is written on both of its ends: the box's tag, or the panel with the circuit's space. */
  readonly fromLabel: string;
  readonly toLabel: string;
  /** Cables side by side: one, or several where one cannot hold what crosses. "14-2", "12-3". */
  readonly kinds: readonly string[];
}

/** The runs of a house by their ends. */
export function runsByKey(house: House): ReadonlyMap<string, CableRunOf> {
  const runs = new Map<string, CableRunOf>();
  for (const { runs: all } of wireHouse(house).units)
    for (const run of all) if (!isInTheWalls(run)) runs.set(keyOf(run), run);
  return runs;
}

/** Routes with the runs that they belong to; those whose run is no more are left out. */
export function laidCables(house: House, routes: Iterable<Route>): readonly LaidCable[] {
  const runs = runsByKey(house);
  const laid: LaidCable[] = [];
  for (const route of routes) {
    const run = runs.get(keyOfRoute(route));
    if (!run) continue;
    const circuit = run.unit.circuits[0]!;
    laid.push({
      route,
      run,
      circuit,
      fromLabel: run.from?.tag ?? panelLabel(run.unit.panel?.name, circuit),
      toLabel: run.to.tag,
      kinds: run.cables.map(({ kind }) => `${run.awg}-${kind.slice(1)}`),
    });
  }
  return laid;
}

const panelLabel = (panel: string | undefined, { space }: Circuit): string =>
  `${panel ?? 'Panel'}${space === null ? '' : ` ${space}`}`;
