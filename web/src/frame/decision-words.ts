import { limitName, limitValue, rules, type Decision, type House } from '@winculum/core';

/** Decisions about rules; the others answer questions of the brief. */
export const rulingsOf = ({ decisions }: Pick<House, 'decisions'>): readonly Decision[] =>
  Object.values(decisions).filter(({ change }) => change.kind !== 'answer');

/** What a rule asks for, in its own words. */
export const ruleSummary = (id: string): string => rules.find((rule) => rule.id === id)?.meta.summary ?? id;

/** What somebody decided about a rule, in a few words. */
export function decisionWords({ change }: Decision): string {
  if (change.kind === 'off') return 'switched off';
  if (change.kind === 'limit') return `${limitName(change.limit)} ${limitValue(change.limit, change.value)}`;
  return change.kind === 'answer' ? change.answer : `accepted: ${change.said}`;
}
