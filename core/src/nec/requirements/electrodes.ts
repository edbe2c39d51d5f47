import type { Electrode } from '../../house/schema';

/**
 * Why grounding electrodes are not enough for a service or a building, undefined where they are: none; a water pipe alone, 250.53(D)(2); one
 * rod or plate alone or beside a water pipe, which does not count as the second one: 250.53(A)(2) asks for one of 250.52(A)(2) to (8).
 * *From memory*, high.
 */
export function whyTooFewElectrodes(electrodes: readonly Electrode[]): 'none' | 'rod' | 'pipe' | undefined {
  if (electrodes.length === 0) return 'none';
  const made = electrodes.filter((one) => one !== 'water-pipe');
  if (made.length === 0) return 'pipe';
  return made.length === 1 && (made[0] === 'one-rod' || made[0] === 'plate') ? 'rod' : undefined;
}

/** The sections that say so. */
export const ELECTRODE_SECTIONS = { rod: '250.53(A)(2)', pipe: '250.53(D)(2)' } as const;
