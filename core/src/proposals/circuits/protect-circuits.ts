import { protectionWays } from '../../nec/protection/ways';
import { checkHouse, type Finding } from '../../nec/check-house';
import { edit } from '../../house/edit';
import type { Circuit, House } from '../../house/schema';
import { circuitRules } from './plan-totals';
import { planningOf } from './circuit-standards';

const violationsIn = (house: House): number =>
  checkHouse(house, { rules: circuitRules }).findings.filter(
    (one: Finding) => one.kind === 'fail' && one.severity === 'violation',
  ).length;

/**
 * Puts a GFCI receptacle first in line on those of some circuits where that is the way proposed, by price and reach; the breaker
 * gives it on the others, and on all where the shop standard says so or the rules would object.
 */
export function protectAtReceptacles(house: House, circuits: readonly Circuit[]): House {
  if (planningOf(house).gfci === 'breaker') return house;
  const firsts = circuits.flatMap((circuit) => {
    if (circuit.breaker !== 'auto' || circuit.gfciFirst !== null || circuit.sharesNeutralWith !== undefined) return [];
    const first = protectionWays(house, circuit.id).find((one) => one.proposed !== undefined)?.first;
    return first ? [{ circuit: circuit.id, box: first.box.id, device: first.device.id }] : [];
  });
  if (firsts.length === 0) return house;
  const made = edit(house, 'GFCI first in line', (draft) => {
    for (const { circuit, box, device } of firsts) {
      draft.circuits[circuit]!.gfciFirst = device;
      Object.assign(draft.boxes[box]!.devices[device]!, { gfci: true });
    }
  });
  return made.ok && violationsIn(made.value.house) <= violationsIn(house) ? made.value.house : house;
}
