import { edit } from '../../house/edit';
import { inTurn } from '../../edits/circuit-verbs';
import type { House, Switching } from '../../house/schema';
import { viewRoom } from '../../plan/room-view';
import { hingeJamb } from './hinge-jamb';
import { isLight, restyle, styleOf, type Drawn, type StandardChange } from './standard-change';

const CLOSETS = /closet|linen|pantry/;
/** Closet lights by a wall switch, in the door jamb, or by a sensor. */
export function closetChanges(house: House, drawn: readonly Drawn[], standard: Switching['closets']): StandardChange[] {
  const wanted = standard === 'wall' ? 'toggle' : standard;
  return drawn.flatMap(({ group, switches, controls }) => {
    const [only] = switches;
    if (switches.length > 1 || !controls.every((one) => isLight(one) && CLOSETS.test(one.room.kind))) return [];
    const style = styleOf(only!);
    if (style === wanted || !/^(toggle|door-jamb|occupancy)$/.test(style ?? '')) return [];
    const closet = controls[0]!.room;
    const jamb = wanted === 'door-jamb' ? hingeJamb(viewRoom(house, closet.id)) : undefined;
    if (wanted === 'door-jamb' && !jamb) return [];
    const alone = Object.keys(only!.box.devices).length === 1;
    if (jamb && !alone) return [];
    const words = {
      'door-jamb': `${group.name}: a switch in the hinge jamb of ${closet.name}, in place of ${only!.box.tag}`,
      occupancy: `${group.name}: an occupancy sensor in ${only!.box.tag}`,
      toggle: `${group.name}: a plain switch in ${only!.box.tag}`,
    }[wanted];
    const apply = (now: House) =>
      inTurn('Apply a standard', now, [
        restyle(only!, wanted),
        (next) =>
          edit(next, 'Move box', (draft) => {
            const box = draft.boxes[only!.box.id];
            if (!jamb || !box) return;
            box.room = closet.id;
            box.at = jamb;
            box.bracket = true;
          }),
      ]);
    return [
      { id: `closets ${group.id}`, standard: 'closets' as const, room: closet.id, box: only!.box.id, words, apply },
    ];
  });
}
