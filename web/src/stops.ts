/** The stops in the order of work that work so far; the address names one of them. */
export const STOPS = ['house', 'boxes', 'switching', 'walk', 'circuits', 'panel', 'load-profile', 'make-up'] as const;
export type Stop = (typeof STOPS)[number];
