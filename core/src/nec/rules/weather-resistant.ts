import { isMoist } from '../../place/outdoors';
import { receptaclesOf } from '../../place/receptacles';
import { defineRule, everyEdition, fromMemory } from '../rule';

export const weatherResistant = defineRule({
  id: 'weather-resistant',
  meta: {
    summary: 'Receptacles in damp and wet places are weather-resistant, under a cover for the weather',
    stage: 'boxes',
    severity: 'violation',
    ofItsDay: true,
    why: 'Ordinary contacts corrode outdoors and loosen. Under a roof a cover that is tight when closed will do; in the rain it must be tight with the plug in.',
    editions: everyEdition({ section: '406.9(A), (B)', limits: {}, basis: fromMemory('high') }),
    messages: {
      plain: ({ tag, room }: { tag: string; room: string }) => `Receptacle ${tag} in ${room} is not weather-resistant.`,
      fine: ({ room }: { room: string }) => `The receptacles of ${room} are weather-resistant.`,
    },
  },
  scope: 'room',
  appliesTo: (view) => isMoist(view.room) && view.boxes.some((box) => receptaclesOf(box).length > 0),
  check: (view, _limits, report) => {
    const plain = view.boxes.filter((box) => receptaclesOf(box).some((one) => !one.wr && one.ratingA <= 20));
    if (plain.length === 0) return [report.pass('fine', { room: view.room.name }, { room: view.room.id })];
    return plain.map((box) =>
      report.fail('plain', { tag: box.tag, room: view.room.name }, { room: view.room.id, box: box.id }),
    );
  },
});
