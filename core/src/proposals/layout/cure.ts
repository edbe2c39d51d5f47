import type { NightFlaw } from '../../control/night-walk';
import { distance } from '../../geometry/geometry';
import type { Edited } from '../../house/edit';
import { inTurn } from '../../edits/circuit-verbs';
import { newDevice } from '../../house/schema-equipment';
import type { House } from '../../house/schema';
import { joinSwitch } from '../../edits/switch-verbs';
import { placeBoxes } from '../../edits/verbs';
import type { NewId } from '../../house/new-box';
import { refuse, type Result } from '../../units/result';
import { bestSpot } from './spots';

/** How far from the doorway the new control point may stand, inches: *common practice*. */
const REACH_IN = 48;

/** One more control point of the group that was missed, by the doorway where it was missed. */
export function cureNightFlaw(house: House, flaw: NightFlaw, newId: NewId): Result<Edited> {
  const group = flaw.group === undefined ? undefined : house.switchGroups[flaw.group];
  const light = group?.controls[0];
  if (!group || light === undefined)
    return refuse(
      'no-group',
      `rooms.${flaw.room}`,
      'There is no switched light to add a switch for. Place a light and a switch first.',
    );
  const spot = bestSpot(house, flaw.room, {
    heightIn: house.standards.switchHeightIn,
    gangs: 1,
    cost: ({ point }) => (distance(point, flaw.at) <= REACH_IN ? distance(point, flaw.at) : undefined),
  });
  if (!spot)
    return refuse(
      'no-wall',
      `rooms.${flaw.room}`,
      `No free stud of ${house.rooms[flaw.room]!.name} stands within 4 ft of that doorway. Place the switch by hand, on the other side of the wall.`,
    );
  const id = newId('device');
  return inTurn(`Switch for ${group.name}`, house, [
    (now) =>
      placeBoxes(now, [
        {
          id: newId('box'),
          room: flaw.room,
          at: spot.at,
          origin: 'request',
          devices: [newDevice('switch', id)],
          ...(spot.bracket ? { bracket: true } : {}),
        },
      ]),
    (now) => joinSwitch(now, id, light, newId),
  ]);
}
