import type { Decision, Edition, House } from '../house/schema';
import { Memory } from '../cache/memory';
import { groupBy } from '../units/group-by';
import type { EditionEntry, Rule } from './rule';
import { given } from '../units/result';

/** A rule as an edition has it, with what the house has amended. */
export interface EffectiveRule {
  readonly rule: Rule;
  readonly edition: Edition;
  readonly entry: EditionEntry;
  readonly off: Decision | undefined;
  readonly changed: Decision | undefined;
  /** Who accepted which of its findings, by their keys and what they said then. */
  readonly accepted: ReadonlyMap<string, Decision>;
}

/** What an acceptance is of: the finding and its words, so that it wakes when its facts change. */
export const acceptanceKey = (finding: string, said: string): string => `${finding}\n${said}`;

/** The edition's entry of a rule with the house's amendments applied. */
function findEffective(rule: Rule, edition: Edition, decisions: readonly Decision[]): EffectiveRule | undefined {
  const entry = rule.meta.editions[edition] as EditionEntry | undefined;
  if (!entry) return undefined;
  const limits: Record<string, number> = { ...entry.limits };
  let changed: Decision | undefined;
  for (const one of decisions)
    if (one.change.kind === 'limit' && one.change.limit in limits) {
      limits[one.change.limit] = one.change.value;
      changed = one;
    }
  return {
    rule,
    edition,
    entry: changed ? { ...entry, limits } : entry,
    off: decisions.find((one) => one.change.kind === 'off'),
    changed,
    accepted: new Map(
      decisions.flatMap((decision) => {
        const { change } = decision;
        return change.kind === 'accept' ? [[acceptanceKey(change.finding, change.said), decision] as const] : [];
      }),
    ),
  };
}

type EffectiveRules = ReadonlyMap<Rule, EffectiveRule | undefined>;
const byDecisions = new Memory<House['decisions'], Map<Edition, EffectiveRules>>();

/** How each rule is in force; the same objects as long as the decisions are, so that verdicts are remembered by them. */
export function effectiveRules({ decisions }: House, edition: Edition, list: readonly Rule[]): EffectiveRules {
  let byEdition = byDecisions.get(decisions);
  if (!byEdition) byDecisions.set(decisions, (byEdition = new Map()));
  let effectives = byEdition.get(edition);
  if (!effectives || list.some((rule) => !given(effectives).has(rule))) {
    const byRule = groupBy(Object.values(decisions), (one) => one.rule);
    effectives = new Map([
      ...(effectives ?? []),
      ...list.map((rule) => [rule, findEffective(rule, edition, byRule.get(rule.id) ?? [])] as const),
    ]);
    byEdition.set(edition, effectives);
  }
  return effectives;
}
