import { limitName, limitValue, type Decision } from '@winculum/core';

/** What somebody decided about a rule, in a few words. */
export function decisionWords({ change }: Decision): string {
  if (change.kind === 'off') return 'switched off';
  if (change.kind === 'limit') return `${limitName(change.limit)} ${limitValue(change.limit, change.value)}`;
  return `accepted: ${change.said}`;
}
