import { shadowsOver } from '../../place/obstructions';
import { defineRule, commonPractice, everyEdition } from '../rule';

export const boxInUse = defineRule({
  id: 'box-in-use',
  meta: {
    summary: 'Nothing stands in front of a box when the room is lived in',
    stage: 'boxes',
    severity: 'caution',
    why: 'The code does not see the headboard, the parked barn panel or the open door. The owner does, on the first evening.',
    editions: everyEdition({ section: 'common practice', limits: {}, basis: commonPractice }),
    messages: {
      covered: ({ tag, cause }: { tag: string; cause: string }) => `${tag} is behind ${cause}.`,
      free: ({ room }: { room: string }) => `The boxes of ${room} can be reached as the room is furnished.`,
    },
  },
  scope: 'room',
  appliesTo: (view) => view.boxes.some((box) => box.at.kind === 'wall'),
  check: (view, _limits, report) => {
    const found = view.boxes.flatMap((box) => {
      const [first] = shadowsOver(view, box);
      if (!first) return [];
      return report.fail('covered', { tag: box.tag, cause: first.cause }, { room: view.room.id, box: box.id });
    });
    return found.length > 0 ? found : [report.pass('free', { room: view.room.name }, { room: view.room.id })];
  },
});
