import { edit, type Edited } from '../../house/edit';
import type { House } from '../../house/schema';
import { placeBoxes } from '../../edits/verbs';
import type { NewId } from '../../house/new-box';
import { joinEdits } from '../../house/edit';
import { refuse, succeed, type OnProgress, type Result } from '../../units/result';
import { boxAlarms } from './alarms';
import { boxLights, boxOutdoorLights } from './lights';
import { Boxing, type BoxingPlan } from './plan';
import { boxReceptacles } from './receptacles';
import { boxStairSwitches, boxSwitches } from './switches';

/**
 * Lays out the boxes that rooms still lack, as a careful crew would: receptacles with the fewest boxes on stud faces, lights,
 * switches at the latch side of every way in, lights outside, alarms. What stands stays; every box has its reason.
 */
export function planBoxes(
  house: House,
  asked: readonly string[],
  newId: NewId,
  onProgress: OnProgress = () => undefined,
): BoxingPlan {
  // A room that stays as it is gets nothing new but where it is asked for by itself.
  const rooms = asked.length > 1 ? asked.filter((id) => !house.rooms[id]!.closed) : asked;
  const boxing = new Boxing(house, newId);
  // Switches come before receptacles: they have fewer places to stand.
  const steps = [
    ['lights', boxLights],
    ['outdoor lights', boxOutdoorLights],
    ['switches', boxSwitches],
    ['receptacles', boxReceptacles],
  ] as const;
  let done = 0;
  for (const [what, step] of steps) {
    if (step === boxReceptacles && rooms.some((room) => house.rooms[room]!.kind === 'stair')) boxStairSwitches(boxing);
    for (const room of rooms) {
      onProgress(done++ / (steps.length * rooms.length), `${what}, ${house.rooms[room]!.name}`);
      step(boxing, room);
    }
  }
  const whole = asked.length === Object.keys(house.rooms).length;
  if (whole || rooms.some((room) => house.rooms[room]!.kind === 'bedroom')) {
    onProgress(1, 'alarms');
    boxAlarms(boxing);
  }
  return boxing.result();
}

/** The accepted boxes of a plan as one edit, with the groups and provisions that hold without the others. */
export function acceptPlan(house: House, plan: BoxingPlan, accepted: ReadonlySet<string>): Result<Edited> {
  const boxes = plan.boxes.map((one) => one.box).filter((box) => accepted.has(box.id));
  if (boxes.length === 0 && plan.provisions.length === 0)
    return refuse('nothing', 'boxes', 'Nothing is chosen. Tick at least one box.');
  const placed = placeBoxes(house, boxes, boxes.length === 1 ? 'Place box' : `Box ${boxes.length} places`);
  if (!placed.ok) return placed;
  const devices = new Set(Object.values(placed.value.house.boxes).flatMap((box) => Object.keys(box.devices)));
  const grouped = edit(placed.value.house, 'Group switches', (draft) => {
    for (const group of plan.groups) {
      const switches = group.switches.filter((id) => devices.has(id));
      const controls = group.controls.filter((id) => devices.has(id));
      if (switches.length > 0 && controls.length > 0)
        draft.switchGroups[group.id] = {
          ...draft.switchGroups[group.id],
          id: group.id,
          name: group.name,
          switches,
          controls,
        };
    }
    for (const id of plan.provisions) if (draft.features[id]) draft.features[id].provision = true;
  });
  if (!grouped.ok) return grouped;
  return succeed({
    house: grouped.value.house,
    edit: joinEdits(placed.value.edit.label, [placed.value.edit, grouped.value.edit]),
  });
}
