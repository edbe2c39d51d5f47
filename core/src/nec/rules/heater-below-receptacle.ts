import { defineRule, everyEdition, fromMemory } from '../rule';
import { receptaclesOf } from '../../place/receptacles';

export const heaterBelowReceptacle = defineRule({
  id: 'heater-below-receptacle',
  meta: {
    summary: 'No receptacle above an electric baseboard heater',
    stage: 'boxes',
    severity: 'caution',
    why: 'Spacing does not forbid it, but the heater\u2019s instructions usually do: a hanging cord lies on the hot case. Shift the heater or the box, or use the heater\u2019s own receptacle.',
    editions: everyEdition({ section: '110.3(B), 424.9', limits: {}, basis: fromMemory('high') }),
    messages: {
      above: ({ tag, room }: { tag: string; room: string }) => `${tag} stands above the baseboard heater of ${room}.`,
      clear: ({ room }: { room: string }) => `No receptacle stands above the heater of ${room}.`,
    },
  },
  scope: 'room',
  appliesTo: (view) => view.features.some((feature) => feature.kind === 'baseboard-heater'),
  check: (view, _limits, report) => {
    const heaters = view.features.flatMap((feature) =>
      feature.kind === 'baseboard-heater' && feature.at.kind === 'wall' ? [feature.at] : [],
    );
    const above = view.boxes.filter((box) => {
      const { at } = box;
      return (
        at.kind === 'wall' &&
        receptaclesOf(box).length > 0 &&
        heaters.some(
          (one) => one.wall === at.wall && at.alongIn >= one.alongIn && at.alongIn <= one.alongIn + one.widthIn,
        )
      );
    });
    if (above.length === 0) return [report.pass('clear', { room: view.room.name }, { room: view.room.id })];
    return above.map((box) =>
      report.fail('above', { tag: box.tag, room: view.room.name }, { room: view.room.id, box: box.id }),
    );
  },
});
