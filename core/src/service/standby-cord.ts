import type { Source } from '../house/schema';

/**
 * Inlets of a generator, amperes, and the copper of the cord for each: NEC Table 400.5(A)(1), the column for two conductors that carry, since
 * the neutral of 120/240 V brings back only the difference. *From memory*, high.
 */
const CORDS = [
  [20, '12'],
  [30, '10'],
  [50, '6'],
] as const;

/** The inlet and the cord for a generator that is plugged in; undefined where it gives more than the largest, and is wired. */
export function standbyCord({ runningW, volts }: Pick<Source, 'runningW' | 'volts'>): {
  readonly amps: number;
  readonly inletA: number | undefined;
  readonly awg: string | undefined;
} {
  const amps = runningW / (volts === '120' ? 120 : 240);
  const [inletA, awg] = CORDS.find(([rating]) => rating >= amps - 1e-9) ?? [];
  return { amps, inletA, awg };
}
