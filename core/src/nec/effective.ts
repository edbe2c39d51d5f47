import type { Amendment, Edition, House } from '../house/schema';
import { Memory } from '../cache/memory';
import { groupBy } from '../units/group-by';
import type { EditionEntry, Rule } from './rule';

/** A rule as an edition has it, with what the house has amended. */
export interface InForce {
  readonly rule: Rule;
  readonly edition: Edition;
  readonly entry: EditionEntry;
  readonly off: Amendment | undefined;
  readonly changed: Amendment | undefined;
}

/** The edition's entry of a rule with the house's amendments applied. */
function findForce(rule: Rule, edition: Edition, amendments: readonly Amendment[]): InForce | undefined {
  const entry = rule.meta.editions[edition] as EditionEntry | undefined;
  if (!entry) return undefined;
  const limits: Record<string, number> = { ...entry.limits };
  let changed: Amendment | undefined;
  for (const one of amendments)
    if (one.change.kind === 'limit' && one.change.limit in limits) {
      limits[one.change.limit] = one.change.value;
      changed = one;
    }
  return {
    rule,
    edition,
    entry: changed ? { ...entry, limits } : entry,
    off: amendments.find((one) => one.change.kind === 'off'),
    changed,
  };
}

type Forces = ReadonlyMap<Rule, InForce | undefined>;
const forcesByAmendments = new Memory<House['amendments'], Map<Edition, Forces>>();

/** How each rule is in force; the same objects as long as the amendments are, so that verdicts are remembered by them. */
export function forcesOf({ amendments }: House, edition: Edition, list: readonly Rule[]): Forces {
  let byEdition = forcesByAmendments.get(amendments);
  if (!byEdition) forcesByAmendments.set(amendments, (byEdition = new Map()));
  let forces = byEdition.get(edition);
  if (!forces || list.some((rule) => !forces!.has(rule))) {
    const byRule = groupBy(Object.values(amendments), (one) => one.rule);
    forces = new Map([
      ...(forces ?? []),
      ...list.map((rule) => [rule, findForce(rule, edition, byRule.get(rule.id) ?? [])] as const),
    ]);
    byEdition.set(edition, forces);
  }
  return forces;
}
