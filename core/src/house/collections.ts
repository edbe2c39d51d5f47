/** The collections of entities that a house has, by id. */
export const collections = [
  'levels',
  'rooms',
  'openings',
  'features',
  'boxes',
  'loads',
  'circuits',
  'switchGroups',
  'cables',
  'routes',
  'panels',
  'feeders',
  'sources',
  'buildings',
  'units',
  'decisions',
  'results',
  'log',
] as const;
export type Collection = (typeof collections)[number];
