import type { BreakerKind } from '../house/schema';

/** What breakers are called by what they protect from. */
export const BREAKER_NAMES: Readonly<Record<BreakerKind, string>> = {
  plain: 'plain',
  afci: 'AFCI',
  gfci: 'GFCI',
  dual: 'AFCI and GFCI',
};

/** What stands beside a breaker on a schedule: nothing where it is plain. */
export const breakerMark = (kind: BreakerKind): string => (kind === 'plain' ? '' : BREAKER_NAMES[kind]);
