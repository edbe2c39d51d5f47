import {
  HOUSE_VERSION,
  jobSchema,
  standardsSchema,
  supplySchema,
  type Edition,
  type House,
  type Standards,
} from '../house/schema';

/** A new house with one level and nothing on it, by the standards of its firm where it has any. */
export function createHouse(name: string, edition: Edition = '2023', standards?: Standards): House {
  return {
    format: 'winculum-house',
    version: HOUSE_VERSION,
    name,
    job: jobSchema.parse({ edition }),
    standards: standards ?? standardsSchema.parse({}),
    levels: {
      L1: {
        id: 'L1',
        name: 'Main level',
        elevationIn: 18,
        ceilingIn: 97,
        studSpacingIn: 16,
        wallThicknessIn: 4.5,
        below: 'crawl',
        above: 'attic',
        grade: 'above',
      },
    },
    rooms: {},
    openings: {},
    features: {},
    boxes: {},
    loads: {},
    circuits: {},
    switchGroups: {},
    cables: {},
    routes: {},
    panels: {},
    supply: supplySchema.parse({}),
    feeders: {},
    sources: {},
    buildings: {},
    units: {},
    decisions: {},
    results: {},
    log: {},
  };
}
