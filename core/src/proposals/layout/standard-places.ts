import { OUTDOOR_KINDS } from '../../place/outdoors';
import { inTurn } from '../../edits/circuit-verbs';
import { edit } from '../../house/edit';
import { distance, nearestOnSegment, type Point } from '../../geometry/geometry';
import type { House } from '../../house/schema';
import { newDevice } from '../../house/schema-equipment';
import { joinSwitch } from '../../edits/switch-verbs';
import { placeBoxes } from '../../edits/verbs';
import { featureOutline } from '../../plan/points';
import { roomBehind, viewRoom, wallOf, type SeenOpening } from '../../plan/room-view';
import { addGang, isLight, type Drawn, type StandardChange } from './standard-change';
import { bestSpot, type Spot } from './spots';

/** Above the mattress, on the wall beside it, inches: *common practice*. */
const BEDSIDE_HEIGHT_IN = 28;
const BEDSIDE_REACH_IN = 30;

/** Free wall within an arm's length of the pillow end of a bed. */
function besideBed(house: House, room: string): Spot | undefined {
  const view = viewRoom(house, room);
  const bed = view.features.find((one) => one.kind === 'bed');
  if (!bed) return undefined;
  const outline = featureOutline(view.room, bed);
  const far = (point: Point) =>
    Math.min(
      ...outline.map((corner, i) =>
        distance(point, nearestOnSegment(point, corner, outline[(i + 1) % outline.length]!)),
      ),
    );
  const near = (spot: Spot) => {
    const away = far(spot.point);
    return away > 3 && away <= BEDSIDE_REACH_IN && (bed.at.kind !== 'wall' || spot.at.wall === bed.at.wall)
      ? Math.abs(away - 10)
      : undefined;
  };
  return bestSpot(house, room, { heightIn: BEDSIDE_HEIGHT_IN, cost: near });
}

/** One place more for the light of a bedroom, beside the bed. */
export function bedsideChanges(house: House, drawn: readonly Drawn[]): StandardChange[] {
  return drawn.flatMap(({ group, switches, controls }): StandardChange[] => {
    const light = controls.find((one) => isLight(one) && one.room.kind === 'bedroom');
    if (!light || switches.length >= 12) return [];
    const { room } = light;
    const spot = besideBed(house, room.id);
    if (!spot) return [];
    const isThere = switches.some(
      ({ box }) =>
        box.room === room.id && box.at.kind === 'wall' && box.at.heightIn < 40 && box.at.wall === spot.at.wall,
    );
    if (isThere) return [];
    return [
      {
        id: `bedside ${group.id}`,
        standard: 'bedside',
        room: room.id,
        box: switches[0]!.box.id,
        words: `${group.name}: one place more beside the bed of ${room.name}`,
        apply: (now, newId) => {
          const id = newId('device');
          return inTurn('Apply a standard', now, [
            (next) =>
              placeBoxes(next, [
                {
                  id: newId('box'),
                  room: room.id,
                  at: spot.at,
                  origin: 'request',
                  devices: [newDevice('switch', id)],
                  ...(spot.bracket ? { bracket: true } : {}),
                },
              ]),
            (next) => joinSwitch(next, id, light.device.id, newId),
          ]);
        },
      },
    ];
  });
}

/** A door to the open, or to a porch or deck. */
const leadsOut = (house: House, room: string, seen: SeenOpening): boolean => {
  if (!/^(door|slider)$/.test(seen.opening.kind)) return false;
  const behind = roomBehind(house, room, seen);
  return behind === undefined || OUTDOOR_KINDS.has(behind.kind);
};

/** A gang more, under a blank, by every outside door. */
export function spareChanges(house: House): StandardChange[] {
  return Object.values(house.rooms).flatMap((room) => {
    if (OUTDOOR_KINDS.has(room.kind)) return [];
    const view = viewRoom(house, room.id);
    return view.openings
      .filter((seen) => leadsOut(house, room.id, seen))
      .flatMap((seen): StandardChange[] => {
        const wall = wallOf(view, seen.wall);
        const box = view.boxes.find(
          ({ at, devices }) =>
            at.kind === 'wall' &&
            at.wall === wall.id &&
            at.alongIn > seen.alongIn - 24 &&
            at.alongIn < seen.alongIn + seen.widthIn + 24 &&
            Object.values(devices).some((one) => one.kind === 'switch'),
        );
        if (!box || Object.keys(box.devices).length >= 6) return [];
        if (Object.values(box.devices).some((one) => one.kind === 'blank')) return [];
        return [
          {
            id: `spareGang ${box.id}`,
            standard: 'spareGang',
            room: room.id,
            box: box.id,
            words: `${box.tag}: a spare gang under a blank, by the outside door of ${room.name}`,
            apply: (now, newId) =>
              edit(now, 'Apply a standard', (draft) =>
                addGang(now, draft, box.id, newDevice('blank', newId('device'))),
              ),
          },
        ];
      });
  });
}
