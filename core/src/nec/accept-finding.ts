import { edit, type Edited } from '../house/edit';
import type { Decision, House } from '../house/schema';
import type { Result } from '../units/result';
import { saidOf, type Finding } from './check-house';

/**
 * Accepts a finding as it stands: who decides takes it on, with a reason. It is listed apart, printed, and open again as soon as it says
 * something else.
 */
export const acceptFinding = (
  house: House,
  finding: Finding,
  decision: Pick<Decision, 'id' | 'by' | 'date' | 'note'>,
): Result<Edited> =>
  edit(house, 'Accept a finding', (draft) => {
    draft.decisions[decision.id] = {
      ...decision,
      rule: finding.ruleId,
      change: { kind: 'accept', finding: finding.place, said: saidOf(finding, house) },
    };
  });
