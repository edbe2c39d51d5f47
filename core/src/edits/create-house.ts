import { collections, type Collection } from '../house/collections';
import {
  HOUSE_VERSION,
  jobSchema,
  standardsSchema,
  supplySchema,
  type Edition,
  type House,
  type Job,
  type JobKind,
  type Level,
  type Standards,
} from '../house/schema';

const MAIN: Level = {
  id: 'L1',
  name: 'Main level',
  elevationIn: 18,
  ceilingIn: 97,
  studSpacingIn: 16,
  wallThicknessIn: 4.5,
  below: 'crawl',
  above: 'attic',
  grade: 'above',
};

/** The levels that a job of a kind begins with: *common practice*, to be changed at will. */
function levelsOf(kind: JobKind | undefined): House['levels'] {
  switch (kind) {
    case 'basement-finish':
      return {
        L1: { ...MAIN, below: 'basement' },
        L0: {
          ...MAIN,
          id: 'L0',
          name: 'Basement',
          elevationIn: -90,
          ceilingIn: 90,
          below: 'slab',
          above: 'floor',
          grade: 'below',
        },
      };
    case 'dwelling-over-garage':
      return {
        L1: { ...MAIN, name: 'Garage level', elevationIn: 0, below: 'slab', above: 'floor' },
        L2: { ...MAIN, id: 'L2', name: 'Dwelling', elevationIn: 114, below: 'floor' },
      };
    case 'small-house':
      return { L1: { ...MAIN, elevationIn: 24, ceilingIn: 90, studSpacingIn: 16, above: 'roof' } };
    default:
      return { L1: { ...MAIN } };
  }
}

/** Every collection of a house, empty. */
export const noEntities = (): Pick<House, Collection> =>
  Object.fromEntries(collections.map((one) => [one, {}])) as Pick<House, Collection>;

/** A new house with its levels and nothing on them, by the standards of its firm where it has any. */
export function createHouse(
  name: string,
  edition: Edition = '2023',
  standards?: Standards,
  job: Partial<Omit<Job, 'edition'>> = {},
): House {
  return {
    format: 'winculum-house',
    version: HOUSE_VERSION,
    name,
    job: jobSchema.parse({ ...job, edition }),
    standards: standards ?? standardsSchema.parse({}),
    ...noEntities(),
    levels: levelsOf(job.kind),
    supply: supplySchema.parse({}),
  };
}
