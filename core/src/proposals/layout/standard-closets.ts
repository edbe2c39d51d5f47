import { edit } from '../../house/edit';
import { inTurn } from '../../edits/circuit-verbs';
import type { House, Switching } from '../../house/schema';
import { viewRoom } from '../../plan/room-view';
import { isLight, restyle, styleOf, type Drawn, type StandardChange } from './standard-change';

const CLOSETS = /closet|linen|pantry/;
/** From the edge of the opening to the middle of the small box in the jamb, and its height, inches: *common practice*. */
const JAMB_IN = 1;
const JAMB_HEIGHT_IN = 66;

/** The hinge side of the door of a small room: where a switch in the jamb feels the door. */
function hingeJamb(house: House, room: string): { wall: string; alongIn: number } | undefined {
  const view = viewRoom(house, room);
  const seen = view.openings.find(({ opening }) => opening.kind === 'door' && opening.leaves === 1);
  if (seen?.opening.kind !== 'door') return undefined;
  const atStart = (seen.opening.hinge === 'left') === seen.own;
  return { wall: seen.wall, alongIn: atStart ? seen.alongIn - JAMB_IN : seen.alongIn + seen.widthIn + JAMB_IN };
}

/** Closet lights by a wall switch, in the door jamb, or by a sensor. */
export function closetChanges(house: House, drawn: readonly Drawn[], school: Switching['closets']): StandardChange[] {
  const wanted = school === 'wall' ? 'toggle' : school;
  return drawn.flatMap(({ group, switches, controls }) => {
    const [only] = switches;
    if (switches.length > 1 || !controls.every((one) => isLight(one) && CLOSETS.test(one.room.kind))) return [];
    const style = styleOf(only!);
    if (style === wanted || !/^(toggle|door-jamb|occupancy)$/.test(style ?? '')) return [];
    const closet = controls[0]!.room;
    const jamb = wanted === 'door-jamb' ? hingeJamb(house, closet.id) : undefined;
    if (wanted === 'door-jamb' && !jamb) return [];
    const alone = Object.keys(only!.box.devices).length === 1;
    if (jamb && !alone) return [];
    const words = {
      'door-jamb': `${group.name}: a switch in the hinge jamb of ${closet.name}, in place of ${only!.box.tag}`,
      occupancy: `${group.name}: an occupancy sensor in ${only!.box.tag}`,
      toggle: `${group.name}: a plain switch in ${only!.box.tag}`,
    }[wanted];
    const apply = (now: House) =>
      inTurn('Apply a school', now, [
        restyle(only!, wanted),
        (next) =>
          edit(next, 'Move box', (draft) => {
            const box = draft.boxes[only!.box.id];
            if (!jamb || !box) return;
            box.room = closet.id;
            box.at = { kind: 'wall', ...jamb, heightIn: JAMB_HEIGHT_IN };
            box.bracket = true;
          }),
      ]);
    return [
      { id: `closets ${group.id}`, school: 'closets' as const, room: closet.id, box: only!.box.id, words, apply },
    ];
  });
}
