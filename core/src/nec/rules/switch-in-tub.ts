import { distanceToFeature, placeOf } from '../../plan/points';
import { defineRule, everyEdition, fromMemory } from '../rule';

export const switchInTub = defineRule({
  id: 'switch-in-tub',
  meta: {
    summary: 'No switch inside the space of a tub or shower',
    stage: 'boxes',
    severity: 'violation',
    why: 'A switch is reached for with wet hands from the shower. Outside the space itself the code gives no distance; the 3 ft are for receptacles and hanging luminaires.',
    editions: everyEdition({ section: '404.4(C)', limits: {}, basis: fromMemory('medium') }),
    messages: {
      inside: ({ tag, what }: { tag: string; what: string }) => `Switch ${tag} is inside the space of the ${what}.`,
      outside: ({ room }: { room: string }) => `The switches of ${room} are outside its tub and shower.`,
    },
  },
  scope: 'room',
  appliesTo: (view) =>
    view.features.some((one) => one.kind === 'tub' || one.kind === 'shower') &&
    view.boxes.some((box) => Object.values(box.devices).some((one) => one.kind === 'switch')),
  check: (view, _limits, report) => {
    const found = view.boxes.flatMap((box) => {
      if (!Object.values(box.devices).some((one) => one.kind === 'switch')) return [];
      const at = placeOf(view, box);
      const around = view.features.find(
        (one) => (one.kind === 'tub' || one.kind === 'shower') && distanceToFeature(view.room, one, at) === 0,
      );
      const data = { tag: box.tag, what: around?.name || (around?.kind ?? '') };
      return around ? [report.fail('inside', data, { room: view.room.id, box: box.id, feature: around.id })] : [];
    });
    return found.length > 0 ? found : [report.pass('outside', { room: view.room.name }, { room: view.room.id })];
  },
});
