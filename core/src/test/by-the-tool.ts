import type { House } from '../house/schema';
import { connectAppliances, unconnectedAppliances } from '../edits/connect-appliances';
import { acceptCircuitPlan, planCircuits } from '../proposals/circuits/plan-circuits';
import { acceptPlan, planBoxes } from '../proposals/layout/lay-out-boxes';
import { must } from './must';

/** From a drawing to a wired house by the tool alone, as somebody would who takes every proposal; `mark` keeps ids apart where some of it was the tool's before. */
export function byTheTool(drawn: House, mark = 'n'): House {
  let n = 0;
  const newId = (prefix: string) => `${prefix}-${mark}${++n}`;
  let house = unconnectedAppliances(drawn).length > 0 ? must(connectAppliances(drawn, newId)).house : drawn;
  const plan = planBoxes(house, Object.keys(house.rooms), newId);
  house = must(acceptPlan(house, plan, new Set(plan.boxes.map((one) => one.box.id)))).house;
  return must(acceptCircuitPlan(house, must(planCircuits(house, newId)), house)).house;
}
