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
  'panels',
  'decisions',
  'log',
] as const;
export type Collection = (typeof collections)[number];
