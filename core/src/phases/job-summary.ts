import { checkHouse } from '../nec/check-house';
import type { House, Job, Phase } from '../house/schema';
import { boardOf, phaseOf } from './board';

/** What a job's card says of its house. */
export interface JobSummary {
  readonly job: Job;
  readonly phase: Phase;
  readonly violations: number;
  readonly questions: number;
  /** Open work of anybody. */
  readonly tasks: number;
  readonly rooms: number;
  readonly boxes: number;
  readonly circuits: number;
  /** Outlines of the rooms of the level with the most of them, inches, each as x y x y …: a small plan. */
  readonly outlines: readonly (readonly number[])[];
}

/** Reads a house once for its card: the check and the board, which take some milliseconds. */
export function jobSummary(house: House): JobSummary {
  const { findings } = checkHouse(house);
  const rooms = Object.values(house.rooms);
  const counts = new Map<string, number>();
  for (const { level } of rooms) counts.set(level, (counts.get(level) ?? 0) + 1);
  const [shown] = [...counts].toSorted((a, b) => b[1] - a[1])[0] ?? [];
  return {
    job: house.job,
    phase: phaseOf(boardOf(house, 'not asked')),
    violations: findings.filter((one) => one.kind === 'fail' && one.severity === 'violation').length,
    questions: findings.filter((one) => one.kind === 'cannot-tell').length,
    tasks: Object.values(house.tasks).filter((one) => one.state === 'open').length,
    rooms: rooms.length,
    boxes: Object.keys(house.boxes).length,
    circuits: Object.keys(house.circuits).length,
    outlines: rooms.filter((one) => one.level === shown).map((one) => one.corners.flatMap(({ x, y }) => [x, y])),
  };
}
