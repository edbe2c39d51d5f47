import type { House } from '../house/schema';
import { connectAppliances } from '../edits/connect-appliances';
import { acceptCircuitPlan, planCircuits } from '../proposals/circuits/plan-circuits';
import { acceptPlan, planBoxes } from '../proposals/layout/lay-out-boxes';
import { must } from './must';

/** From a drawing to a wired house by the tool alone, as somebody would who takes every proposal. */
export function byTheTool(drawn: House): House {
  let n = 0;
  const newId = (prefix: string) => `${prefix}-n${++n}`;
  let house = must(connectAppliances(drawn, newId)).house;
  const plan = planBoxes(house, Object.keys(house.rooms), newId);
  house = must(acceptPlan(house, plan, new Set(plan.boxes.map((one) => one.box.id)))).house;
  return must(acceptCircuitPlan(house, must(planCircuits(house, newId)), house)).house;
}
