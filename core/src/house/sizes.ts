import type { Problem } from '../units/result';
import type { Collection } from './collections';

/** How many of each a house may hold. Ten times a large house is well below; what is above is a mistake or an attack. */
const MOST: Readonly<Record<Collection, number>> = {
  levels: 20,
  rooms: 500,
  openings: 4_000,
  features: 6_000,
  boxes: 6_000,
  loads: 3_000,
  circuits: 600,
  switchGroups: 3_000,
  cables: 6_000,
  routes: 6_000,
  panels: 24,
  feeders: 24,
  sources: 12,
  buildings: 12,
  units: 4,
  decisions: 2000,
  results: 10_000,
  uses: 500,
  tasks: 3_000,
  photos: 2_000,
  inspections: 100,
  sleeves: 300,
  days: 60,
  comments: 3_000,
  log: 5_000,
};
/** What one box may hold, and one room's outline. */
export const MOST_DEVICES = 24;
const MOST_CORNERS = 60;

const NAMES: Readonly<Record<Collection, string>> = {
  levels: 'levels',
  rooms: 'rooms',
  openings: 'doors, windows and other openings',
  features: 'fixtures and furnishings',
  boxes: 'boxes',
  loads: 'loads',
  circuits: 'circuits',
  switchGroups: 'switch groups',
  cables: 'cables',
  routes: 'routes of cables',
  panels: 'panels',
  feeders: 'feeders',
  sources: 'sources',
  buildings: 'buildings',
  units: 'dwelling units',
  decisions: 'decisions',
  results: 'test results',
  uses: 'uses of rooms',
  tasks: 'tasks',
  photos: 'photos',
  inspections: 'inspections',
  sleeves: 'sleeves',
  days: 'kept days',
  comments: 'comments',
  log: 'log entries',
};

const tooMany = (path: string, what: string, count: number, most: number): Problem => ({
  code: 'too-many',
  path,
  message: `There are ${count} ${what}; a house holds at most ${most}. Remove some, or split the house in two.`,
});

function countKeys(record: unknown): number {
  return typeof record === 'object' && record !== null ? Object.keys(record).length : 0;
}

/** More of one kind than a house may hold, where that is so. */
export function tooManyOf(collection: Collection, record: unknown): Problem[] {
  const count = countKeys(record);
  return count > MOST[collection] ? [tooMany(collection, NAMES[collection], count, MOST[collection])] : [];
}

/** What is more than a house may hold, of any data that says it is a house: asked before anything else looks at it. */
export function findTooMany(data: unknown): Problem[] {
  if (typeof data !== 'object' || data === null) return [];
  const parts = data as Partial<Record<Collection, Record<string, never>>>;
  const problems = (Object.keys(MOST) as Collection[]).flatMap((one) => tooManyOf(one, parts[one]));
  if (problems.length > 0) return problems;
  for (const [id, room] of Object.entries((parts.rooms ?? {}) as Record<string, { corners?: unknown } | null>)) {
    const corners = room?.corners;
    if (Array.isArray(corners) && corners.length > MOST_CORNERS)
      problems.push(tooMany(`rooms.${id}.corners`, 'corners in one room', corners.length, MOST_CORNERS));
  }
  for (const [id, box] of Object.entries((parts.boxes ?? {}) as Record<string, { devices?: unknown } | null>)) {
    const count = countKeys(box?.devices);
    if (count > MOST_DEVICES) problems.push(tooMany(`boxes.${id}.devices`, 'devices in one box', count, MOST_DEVICES));
  }
  return problems.slice(0, 20);
}
