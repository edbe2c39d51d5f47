/**
 * The stages in the order of work, as far as they work: the address names one by its id, the rail shows them in groups, with two
 * letters where it is narrow. On a tablet a stage of papers takes the whole width. What is drawn for each is in pages/HousePage.vue.
 */
export const STAGES = [
  { id: 'brief', title: 'Brief', short: 'BR', group: 'Survey', papers: true },
  { id: 'house', title: 'House', short: 'HO', group: 'Survey', papers: false },
  { id: 'boxes', title: 'Boxes', short: 'BX', group: 'Lay out', papers: false },
  { id: 'switching', title: 'Switching', short: 'SW', group: 'Lay out', papers: false },
  { id: 'walk', title: 'Walk', short: 'WA', group: 'Lay out', papers: true },
  { id: 'circuits', title: 'Circuits', short: 'CI', group: 'Power', papers: false },
  { id: 'panel', title: 'Panel', short: 'PA', group: 'Power', papers: false },
  { id: 'service', title: 'Service', short: 'SV', group: 'Power', papers: false },
  { id: 'load-profile', title: 'Load profile', short: 'LP', group: 'Power', papers: false },
  { id: 'routes', title: 'Routes', short: 'RO', group: 'Rough in', papers: false },
  { id: 'make-up', title: 'Make-up', short: 'MU', group: 'Rough in', papers: true },
  { id: 'phases', title: 'Phases', short: 'PH', group: 'Close out', papers: true },
  { id: 'photos', title: 'Photos', short: 'FO', group: 'Close out', papers: true },
  { id: 'inspection', title: 'Inspection', short: 'IN', group: 'Close out', papers: true },
  { id: 'trim-test', title: 'Trim & test', short: 'TT', group: 'Close out', papers: true },
  { id: 'documents', title: 'Documents', short: 'DO', group: 'Close out', papers: true },
] as const;
export type Stop = (typeof STAGES)[number]['id'];

export const STOPS: readonly Stop[] = STAGES.map((one) => one.id);

/** What each is called. */
export const TITLES = Object.fromEntries(STAGES.map(({ id, title }) => [id, title])) as Readonly<Record<Stop, string>>;
