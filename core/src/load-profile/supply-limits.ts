import { indexOutlets } from '../circuits/outlets';
import { panelsBehind, servicePanel, servicePanels } from '../circuits/panel-tree';
import type { House, Source } from '../house/schema';
import { inrushOf } from '../loads/library';
import { legOf } from '../panel/schedule';
import type { DayItem } from './typical';
import { mustGet } from '../units/result';

type Leg = 'A' | 'B';

/** What a supply can give: a breaker or cord by its legs, or a source by its watts. */
export interface SupplyLimit {
  readonly id: string;
  readonly name: string;
  readonly kind: 'breaker' | 'source';
  readonly legs: 1 | 2;
  /** Watts that each leg carries without end. */
  readonly legW: number;
  /** Watts of all legs together, without end and while a motor starts. */
  readonly runningW: number;
  readonly startingW: number;
  /** Amperes of a breaker or cord; undefined at a source. */
  readonly ratingA: number | undefined;
  /** Whether something is fed from here. */
  readonly feeds: (item: DayItem) => boolean;
}

const LEG_V = 120;
/** A motor starts within a second, and a breaker does not see it: only a source has to bring it. */
const NO_LIMIT = Infinity;

const breakerLimit = (
  id: string,
  name: string,
  ratingA: number,
  legs: 1 | 2,
  feeds: SupplyLimit['feeds'],
): SupplyLimit => ({
  id,
  name,
  kind: 'breaker',
  legs,
  legW: ratingA * LEG_V,
  runningW: ratingA * LEG_V * legs,
  startingW: NO_LIMIT,
  ratingA,
  feeds,
});

/** What a source gives, and to what. Where its starting watts are not known they are taken to be no more than its running ones. */
function sourceLimit(house: House, source: Source, circuitOf: (item: DayItem) => string | undefined): SupplyLimit {
  const legs = source.volts === '120' ? 1 : 2;
  const panels = panelsBehind(house, source.panel);
  const carried = source.circuits && new Set(source.circuits);
  return {
    id: source.id,
    name: source.name,
    kind: 'source',
    legs,
    legW: source.runningW / legs,
    runningW: source.runningW,
    startingW: source.startingW ?? source.runningW,
    ratingA: undefined,
    feeds: (item) => {
      const circuit = circuitOf(item);
      if (circuit === undefined) return false;
      if (carried) return carried.has(circuit);
      const panel = house.circuits[circuit]?.panel;
      return typeof panel === 'string' && panels.has(panel);
    },
  };
}

/**
 * Everything that limits what may run at once: the main or the cord, each feeder, and each source for the circuits that it carries. A supply
 * of 120 V is one leg.
 */
export function supplyLimits(house: House): readonly SupplyLimit[] {
  const { byDevice } = indexOutlets(house);
  const circuitOf = (item: DayItem) => byDevice.get(item.device)?.device.circuit ?? undefined;
  const first = servicePanel(house);
  const isOne = house.supply.volts === '120';
  const limits: SupplyLimit[] = [];
  if (first) {
    const { cordA, kind } = house.supply;
    const rating = kind === 'cord' && cordA !== undefined ? Math.min(cordA, first.mainA) : first.mainA;
    const name = kind === 'cord' ? `The cord, ${rating} A` : `The main, ${rating} A`;
    const mains = servicePanels(house);
    if (mains.length === 1) limits.push(breakerLimit('main', name, rating, isOne ? 1 : 2, () => true));
    for (const panel of mains.length > 1 ? mains : []) {
      const panels = panelsBehind(house, panel.id);
      limits.push(
        breakerLimit(`main ${panel.id}`, `The main of ${panel.name}, ${panel.mainA} A`, panel.mainA, 2, (item) => {
          const at = house.circuits[circuitOf(item) ?? '']?.panel ?? first.id;
          return panels.has(at);
        }),
      );
    }
  }
  for (const feeder of Object.values(house.feeders)) {
    const panels = panelsBehind(house, feeder.to);
    limits.push(
      breakerLimit(
        feeder.id,
        `The feeder of ${mustGet(house.panels, feeder.to).name}, ${feeder.ratingA} A`,
        feeder.ratingA,
        feeder.poles === 1 || isOne ? 1 : 2,
        (item) => {
          const panel = house.circuits[circuitOf(item) ?? '']?.panel;
          return typeof panel === 'string' && panels.has(panel);
        },
      ),
    );
  }
  return [...limits, ...Object.values(house.sources).map((one) => sourceLimit(house, one, circuitOf))];
}

/** Which legs carry a thing, by the space of its circuit: both where its breaker has two poles or nobody has placed it. */
export function legsOfItem(house: House, item: DayItem): readonly Leg[] {
  const { byDevice } = indexOutlets(house);
  const circuit = house.circuits[byDevice.get(item.device)?.device.circuit ?? ''];
  if (!circuit || circuit.poles === 2 || circuit.space === null) return ['A', 'B'];
  return [legOf(circuit.space)];
}

/** The watts that a motor draws beyond its running ones while it starts. */
export const surgeOf = (item: DayItem): number => (inrushOf(item).multiple - 1) * item.va;
