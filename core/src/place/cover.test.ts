import fc from 'fast-check';
import loadHighs from 'highs';
import { describe, expect, it } from 'vitest';
import { coverWithFewest, type CoverProblem } from './cover';
import { measureReach } from './reach';

const reaches = (problem: CoverProblem, point: number, place: number) => {
  const straight = Math.abs(point - place);
  return Math.min(straight, problem.endless ? problem.lengthIn - straight : Infinity) <= problem.reachIn + 1e-6;
};
/** Points between which coverage cannot change: every edge of a place's reach, and the middles between them. */
function witnesses(problem: CoverProblem): number[] {
  const edges = [0, problem.lengthIn];
  for (const place of [...problem.candidatesIn, ...problem.fixedIn])
    for (const edge of [place - problem.reachIn, place + problem.reachIn])
      edges.push(problem.endless ? (edge + problem.lengthIn * 2) % problem.lengthIn : edge);
  const inside = [...new Set(edges)].filter((at) => at >= 0 && at <= problem.lengthIn).sort((a, b) => a - b);
  return [...inside.slice(1).map((at, i) => (at + inside[i]!) / 2), ...(problem.endless ? [] : [0, problem.lengthIn])];
}

const highs = loadHighs();

/** The fewest by an exact integer programme: one 0/1 variable a candidate, one cover row a witness. */
async function fewestByMilp(problem: CoverProblem): Promise<number | undefined> {
  const open = witnesses(problem).filter((point) => !problem.fixedIn.some((place) => reaches(problem, point, place)));
  if (open.length === 0) return 0;
  const rows = open.map((point) =>
    problem.candidatesIn.flatMap((place, i) => (reaches(problem, point, place) ? [`x${i}`] : [])),
  );
  if (rows.some((row) => row.length === 0)) return undefined;
  const names = problem.candidatesIn.map((_, i) => `x${i}`);
  const lp = `Minimize\n obj: ${names.join(' + ')}\nSubject To\n${rows.map((row, i) => ` r${i}: ${row.join(' + ')} >= 1`).join('\n')}\nBinary\n ${names.join(' ')}\nEnd`;
  return Math.round((await highs).solve(lp).ObjectiveValue);
}

const places = (max: number, most: number) =>
  fc.uniqueArray(fc.integer({ min: 0, max: max - 1 }), { maxLength: most }).map((list) => list.sort((a, b) => a - b));
const problems = fc.integer({ min: 30, max: 700 }).chain((lengthIn) =>
  fc.record({
    lengthIn: fc.constant(lengthIn),
    reachIn: fc.constant(72),
    candidatesIn: places(lengthIn, 40),
    fixedIn: places(lengthIn, 4),
    endless: fc.boolean(),
  }),
);

describe('coverWithFewest', () => {
  it('is as few as the exact integer programme, and covers', async () => {
    await fc.assert(
      fc.asyncProperty(problems, async (problem) => {
        const cover = coverWithFewest(problem);
        const fewest = await fewestByMilp(problem);
        expect(cover.kind).toBe(fewest === undefined ? 'impossible' : 'covered');
        if (cover.kind !== 'covered') return;
        const all = [...problem.fixedIn, ...cover.chosenIn];
        for (const point of witnesses(problem)) expect(all.some((place) => reaches(problem, point, place))).toBe(true);
        expect(cover.chosenIn.length).toBe(all.length === 0 ? 0 : fewest);
      }),
      { numRuns: 120 },
    );
  });

  it.each([
    [
      '12 ft with 6 ft reach: one in the middle',
      { lengthIn: 144, reachIn: 72, candidatesIn: [10, 72, 130], fixedIn: [] },
      [72],
    ],
    [
      '24 ft: two, evenly',
      { lengthIn: 288, reachIn: 72, candidatesIn: [60, 72, 80, 216, 220], fixedIn: [] },
      [72, 216],
    ],
    ['one stands already', { lengthIn: 288, reachIn: 72, candidatesIn: [200, 216, 230], fixedIn: [72] }, [216]],
    ['all is covered already', { lengthIn: 100, reachIn: 72, candidatesIn: [10, 20], fixedIn: [50] }, []],
  ])('%s', (_, problem, expected) => expect(coverWithFewest(problem)).toEqual({ kind: 'covered', chosenIn: expected }));
});

describe('measureReach against brute force', () => {
  it('finds the same worst point and the same uncovered length, to an eighth of an inch', () => {
    fc.assert(
      fc.property(problems, ({ lengthIn, fixedIn, endless }) => {
        const stretch = { fromIn: 100, toIn: 100 + lengthIn, endless };
        const reach = measureReach(stretch, fixedIn, 72);
        const far = (point: number) =>
          Math.min(
            ...fixedIn.map((place) =>
              endless ? Math.min(Math.abs(point - place), lengthIn - Math.abs(point - place)) : Math.abs(point - place),
            ),
            Infinity,
          );
        let [worst, uncovered] = [0, 0];
        for (let point = 0; point < lengthIn; point += 0.125) {
          worst = Math.max(worst, far(point));
          if (far(point + 0.0625) > 72) uncovered += 0.125;
        }
        if (fixedIn.length === 0) expect(reach.worstIn).toBe(Infinity);
        else expect(Math.abs(reach.worstIn - Math.max(worst, endless ? 0 : far(lengthIn)))).toBeLessThanOrEqual(0.126);
        expect(
          Math.abs(reach.gaps.reduce((sum, gap) => sum + gap.toIn - gap.fromIn, 0) - uncovered),
        ).toBeLessThanOrEqual(0.5);
      }),
      { numRuns: 150 },
    );
  });
});
