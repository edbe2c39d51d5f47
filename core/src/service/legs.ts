/** A 120 V load that a calculation counts by itself, with its demand, volt-amperes. */
export interface LegLoad {
  readonly va: number;
  /** Of a motor, by its plate, whatever the demand on it is; 0 of anything else. */
  readonly motorVa: number;
}

/** What the two legs carry of loads at 120 V, volt-amperes: each of those that it has, and a quarter of its largest motor. */
interface Legs {
  readonly heavierVa: number;
  readonly lighterVa: number;
}

/** A quarter more for the largest motor: 430.24. */
const MOTOR_MORE = 0.25;
/** Up to so many loads every way to share them out is tried; of more, the largest in turn goes to the leg with less. */
const MOST_TRIED = 14;

/**
 * Loads at 120 V shared out over two legs so that the heavier one carries least, and what it carries then with a quarter of its largest
 * motor: Informative Annex D, Example D1(b). A motor between the legs (`motor240Va`) counts on both where it is the larger.
 */
export function shareOnLegs(loads: readonly LegLoad[], motor240Va = 0): Legs {
  const ordered = [...loads].sort((a, b) => b.va - a.va);
  // A motor at 240 V takes half its volt-amperes from each leg.
  const floor = motor240Va / 2;
  const withMotor = (va: number, motor: number) => va + MOTOR_MORE * Math.max(floor, motor);
  let best: Legs | undefined;
  const place = (n: number, [a, motorA]: readonly [number, number], [b, motorB]: readonly [number, number]): void => {
    if (best && Math.max(a, b) >= best.heavierVa) return;
    const load = ordered[n];
    if (!load) {
      const [one, other] = [withMotor(a, motorA), withMotor(b, motorB)];
      const legs = { heavierVa: Math.max(one, other), lighterVa: Math.min(one, other) };
      if (!best || legs.heavierVa < best.heavierVa) best = legs;
      return;
    }
    const on = ([va, motor]: readonly [number, number]) => [va + load.va, Math.max(motor, load.motorVa)] as const;
    const [less, more] =
      a <= b ? [[a, motorA] as const, [b, motorB] as const] : [[b, motorB] as const, [a, motorA] as const];
    place(n + 1, on(less), more);
    // Two empty legs are alike.
    if (ordered.length <= MOST_TRIED && more[0] > 0) place(n + 1, less, on(more));
  };
  place(0, [0, 0], [0, 0]);
  return best ?? { heavierVa: withMotor(0, 0), lighterVa: withMotor(0, 0) };
}

/**
 * What loads at 120 V can leave on the neutral, volt-amperes at 120 V: they are set against each other two by two, the larger of each two
 * counts, and a quarter of the largest motor: Example D1(b) again. Never less than the heavier leg.
 */
export function unbalancedVa(loads: readonly LegLoad[]): number {
  const ordered = [...loads].sort((a, b) => b.va - a.va);
  const paired = ordered.reduce((sum, one, n) => (n % 2 === 0 ? sum + one.va : sum), 0);
  const motor = Math.max(0, ...ordered.map((one) => one.motorVa));
  return Math.max(paired + MOTOR_MORE * motor, shareOnLegs(loads).heavierVa);
}
