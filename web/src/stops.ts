/** The stops in the order of work that work so far; the address names one of them. */
export const STOPS = ['house', 'boxes', 'walk', 'circuits', 'panel', 'day'] as const;
export type Stop = (typeof STOPS)[number];
