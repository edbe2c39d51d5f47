import fc from 'fast-check';
import loadHighs from 'highs';
import { describe, expect, it } from 'vitest';
import { planSpools } from './spool-plan';

const highs = loadHighs();
/** Fewest coils of 245 usable feet that hold some lengths, as an integer programme. */
async function fewestCoils(lengths: readonly number[]): Promise<number> {
  const bins = Array.from({ length: lengths.length }, (_, b) => b);
  const text = [
    'Minimize',
    ` obj: ${bins.map((b) => `y${b}`).join(' + ')}`,
    'Subject To',
    ...lengths.map((_, i) => ` i${i}: ${bins.map((b) => `x${i}_${b}`).join(' + ')} = 1`),
    ...bins.map((b) => ` b${b}: ${lengths.map((feet, i) => `${feet} x${i}_${b}`).join(' + ')} - 245 y${b} <= 0`),
    'Binaries',
    ` ${bins.flatMap((b) => [`y${b}`, ...lengths.map((_, i) => `x${i}_${b}`)]).join(' ')}`,
    'End',
  ].join('\n');
  return (await highs).solve(text).ObjectiveValue;
}
const cutsOf = (lengths: readonly number[]) => lengths.map((feet, i) => ({ feet, of: i }));

describe('the spool plan', () => {
  it('buys as few coils as an exact programme (HiGHS), and cuts every length once', async () => {
    const lists = fc.sample(fc.array(fc.integer({ min: 20, max: 180 }), { minLength: 1, maxLength: 8 }), {
      numRuns: 60,
      seed: 7,
    });
    for (const lengths of lists) {
      const plan = planSpools(cutsOf(lengths));
      const best = await fewestCoils(lengths);
      // A spool of 1000 ft is four coils in one piece: never more feet than coils alone would take.
      expect(plan.boughtFt).toBeLessThanOrEqual(Math.round(best) * 250);
      if (best < 4) expect(plan.boughtFt).toBe(Math.round(best) * 250);
      expect(plan.boundFt).toBe(plan.boughtFt);
      expect(plan.spools.flatMap((one) => one.cuts.map((cut) => cut.of)).sort((a, b) => a - b)).toEqual(
        lengths.map((_, i) => i),
      );
      for (const { feet, kind, cuts, leftFt } of plan.spools) {
        expect(cuts.reduce((sum, one) => sum + one.feet, 0) + leftFt).toBe(feet);
        expect(leftFt).toBeGreaterThanOrEqual(kind === 'leftover' ? 0 : 5);
      }
    }
  });

  it.each([
    ['nothing', [], [], 0, 0],
    ['one length', [40], [], 250, 1],
    ['leftovers do', [40, 30], [45, 30], 0, 2],
    ['a leftover too short for any stays on the shelf', [40], [20], 250, 1],
    ['two halves of a coil need two', [125, 125], [], 500, 2],
    ['a thousand feet in one spool', [200, 200, 200, 200, 190], [], 1000, 1],
    ['longer than a coil', [300], [], 1000, 1],
  ] as const)('%s', (_, lengths, leftovers, bought, spools) => {
    const plan = planSpools(cutsOf(lengths), leftovers);
    expect([plan.boughtFt, plan.spools.length]).toEqual([bought, spools]);
  });

  it('names a length that no spool holds, and plans the rest', () => {
    const plan = planSpools(cutsOf([1200, 50]));
    expect(plan.tooLong.map((one) => one.feet)).toEqual([1200]);
    expect(plan.boughtFt).toBe(250);
  });
});
