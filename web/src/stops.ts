/** The stops in the order of work that work so far; the address names one of them. */
export const STOPS = [
  'brief',
  'house',
  'boxes',
  'switching',
  'walk',
  'circuits',
  'panel',
  'service',
  'load-profile',
  'routes',
  'make-up',
  'phases',
  'photos',
  'inspection',
  'trim-test',
  'documents',
] as const;
export type Stop = (typeof STOPS)[number];

/** What each is called. */
export const TITLES: Readonly<Record<Stop, string>> = {
  brief: 'Brief',
  house: 'House',
  boxes: 'Boxes',
  switching: 'Switching',
  walk: 'Walk',
  circuits: 'Circuits',
  panel: 'Panel',
  service: 'Service',
  'load-profile': 'Load profile',
  routes: 'Routes',
  'make-up': 'Make-up',
  phases: 'Phases',
  photos: 'Photos',
  inspection: 'Inspection',
  'trim-test': 'Trim & test',
  documents: 'Documents',
};
