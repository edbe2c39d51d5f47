/** The stops in the order of work that work so far; the address names one of them. */
export const STOPS = [
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
  'inspection',
  'trim-test',
] as const;
export type Stop = (typeof STOPS)[number];

/** What each is called. */
export const TITLES: Readonly<Record<Stop, string>> = {
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
  inspection: 'Inspection',
  'trim-test': 'Trim & test',
};
