import type { Feature } from '../../house/schema';

/** Height of a tub's rim or a shower's threshold above the floor, inches; a shower is drawn with the height of its walls. */
export const rimIn = (feature: Feature): number => (feature.kind === 'tub' ? Math.min(feature.heightIn, 24) : 4);
