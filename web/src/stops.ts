/**
 * The stages in the order of work, as far as they work: the address names one by its id, the rail shows them in groups. On a tablet a stage of papers takes the whole width. What is drawn for each is in pages/HousePage.vue.
 */
export const STAGES = [
  { id: 'brief', title: 'Brief', group: 'Survey', papers: true },
  { id: 'house', title: 'House', group: 'Survey', papers: false },
  { id: 'boxes', title: 'Boxes', group: 'Lay out', papers: false },
  { id: 'switching', title: 'Switching', group: 'Lay out', papers: false },
  { id: 'walk', title: 'Walk', group: 'Lay out', papers: true },
  { id: 'circuits', title: 'Circuits', group: 'Power', papers: false },
  { id: 'panel', title: 'Panel', group: 'Power', papers: false },
  { id: 'service', title: 'Service', group: 'Power', papers: false },
  { id: 'load-profile', title: 'Load profile', group: 'Power', papers: false },
  { id: 'routes', title: 'Routes', group: 'Rough in', papers: false },
  { id: 'make-up', title: 'Make-up', group: 'Rough in', papers: true },
  { id: 'phases', title: 'Phases', group: 'Close out', papers: true },
  { id: 'photos', title: 'Photos', group: 'Close out', papers: true },
  { id: 'inspection', title: 'Inspection', group: 'Close out', papers: true },
  { id: 'trim-test', title: 'Trim & test', group: 'Close out', papers: true },
  { id: 'documents', title: 'Documents', group: 'Close out', papers: true },
] as const;
export type Stop = (typeof STAGES)[number]['id'];

export const STOPS: readonly Stop[] = STAGES.map((one) => one.id);

/** What each is called. */
export const TITLES = Object.fromEntries(STAGES.map(({ id, title }) => [id, title])) as Readonly<Record<Stop, string>>;
