import { memo } from '../cache/memo';
import type { Box, House } from '../house/schema';
import { given } from '../units/result';
import { staysAsItIs } from './protection/decision';
import type { Facts, Where } from './rule';

/** How much of a place was there before the job and stays as it is. */
type Standing = 'all' | 'part' | 'none';

/** Whether anything of a house was there before the job. */
export const hasExisting = memo(
  ({ boxes, panels, rooms }: House): boolean =>
    Object.values(boxes).some((box) => box.state === 'existing') ||
    Object.values(panels).some((panel) => panel.existing) ||
    Object.values(rooms).some((room) => room.closed),
  ({ boxes, panels, rooms }) => [boxes, panels, rooms],
);

/** Whether a box was there before and nothing in it is replaced. */
const stands = (box: Box): boolean =>
  box.state === 'existing' && Object.values(box.devices).every((device) => staysAsItIs({ box, device }));

const shareOf = (all: readonly boolean[]): Standing =>
  all.length === 0 || !all.includes(true) ? 'none' : all.includes(false) ? 'part' : 'all';

/** How much of what a verdict is about stands from before: of a circuit its outlets, else its panel or box, else the boxes of its room. */
export function standingAt({ house, outlets, views }: Facts, { circuit, box, panel, room }: Where): Standing {
  if (circuit !== undefined) {
    // One new outlet makes it a circuit of today.
    const share = shareOf((outlets.byCircuit.get(circuit) ?? []).map(staysAsItIs));
    return share === 'part' ? 'none' : share;
  }
  if (panel !== undefined) return house.panels[panel]?.existing ? 'all' : 'none';
  if (box !== undefined) return shareOf([stands(given(house.boxes[box]))]);
  const view = room === undefined ? undefined : views.find((one) => one.room.id === room);
  if (!view) return 'none';
  const boxes = view.boxes.map(stands);
  // Of a room that stays as it is nobody has to draw what is in it.
  return shareOf(view.room.closed ? [true, ...boxes] : boxes);
}
