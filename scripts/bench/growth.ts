import { checkHouse } from '../../core/src/nec/check-house';
import { leaveHousesUnfrozen } from '../../core/src/house/edit';
import { Memory } from '../../core/src/cache/memory';
import { wireHouse } from '../../core/src/makeup/make-up';
import { findFaults } from '../../core/src/proof/diagnose';
import { acceptCircuitPlan, planCircuits } from '../../core/src/proposals/circuits/plan-circuits';
import { acceptPlan, planBoxes } from '../../core/src/proposals/layout/lay-out-boxes';
import { must } from '../../core/src/test/must';
import { randomHouse, type RandomSpec } from '../../core/src/test/random-house';
import { chainOf, wired } from '../../core/src/test/wiring-house';
import type { Figure } from './main';

/** One, two, four and eight times as many rooms. */
const PLAIN: RandomSpec = {
  rooms: 0,
  upper: false,
  basement: false,
  garage: true,
  clipped: false,
  secondKitchen: false,
  splitLevel: false,
};
const ROOMS = [25, 50, 100, 200] as const;

type Step = 'layout' | 'planning' | 'check' | 'wiring';

function timed<T>(work: () => T): { ms: number; value: T } {
  const started = performance.now();
  const value = work();
  return { ms: performance.now() - started, value };
}

/** How long each step takes on one house of so many rooms, nothing remembered, the best of two; and how many boxes it has. */
function measure(rooms: number): { boxes: number; ms: Record<Step, number> } {
  const best: Record<Step, number> = { layout: Infinity, planning: Infinity, check: Infinity, wiring: Infinity };
  let boxes = 0;
  for (let turn = 0; turn < 2; turn++) {
    const take = <T>(step: Step, work: () => T): T => {
      Memory.forgetAll();
      const { ms, value } = timed(work);
      best[step] = Math.min(best[step], ms);
      return value;
    };
    let n = 0;
    const newId = (prefix: string) => `${prefix}-n${++n}`;
    let house = structuredClone(randomHouse(5, '2023', { ...PLAIN, rooms }));
    const all = Object.keys(house.rooms);
    const plan = take('layout', () => planBoxes(house, all, newId));
    house = must(acceptPlan(house, plan, new Set(plan.boxes.map((one) => one.box.id)))).house;
    const circuits = take('planning', () => must(planCircuits(house, newId)));
    house = must(acceptCircuitPlan(house, circuits, house)).house;
    take('check', () => checkHouse(house));
    take('wiring', () => wireHouse(house));
    boxes = Object.keys(house.boxes).length;
  }
  return { boxes, ms: best };
}

/** The power of the number of boxes with which a time grows: the slope of a straight line through both on logarithmic scales. */
function exponentOf(sizes: readonly number[], times: readonly number[]): number {
  const xs = sizes.map(Math.log);
  const ys = times.map((ms) => Math.log(Math.max(ms, 0.1)));
  const mean = (list: readonly number[]) => list.reduce((sum, one) => sum + one, 0) / list.length;
  const [mx, my] = [mean(xs), mean(ys)];
  const up = xs.reduce((sum, x, i) => sum + (x - mx) * (ys[i]! - my), 0);
  return up / xs.reduce((sum, x) => sum + (x - mx) ** 2, 0);
}

/** How work grows with the size of a house, and how long the largest takes. */
export function measureGrowth(): Figure[] {
  leaveHousesUnfrozen();
  const rows = ROOMS.map(measure);
  const sizes = rows.map((one) => one.boxes);
  const figures = (['layout', 'planning', 'check', 'wiring'] as const).map((step): Figure => ({
    name: `growth of ${step}, power of the boxes (25 to 200 rooms)`,
    value: exponentOf(
      sizes,
      rows.map((one) => one.ms[step]),
    ),
    unit: '',
    wanted: 1.5,
  }));
  const { net } = wired(chainOf(12));
  const [, , hundred, largest] = rows;
  return [
    ...figures,
    { name: 'layout of 200 rooms', value: largest!.ms.layout, unit: 'ms', wanted: 3000 },
    { name: 'planning of 100 rooms', value: hundred!.ms.planning, unit: 'ms', wanted: 3000 },
    { name: 'planning of 200 rooms', value: largest!.ms.planning, unit: 'ms', wanted: 8000 },
    {
      name: 'fault finder at twelve switches',
      value: timed(() => findFaults(net, 'a', [['lit'], ['lit']])).ms,
      unit: 'ms',
      wanted: 5000,
    },
  ];
}
