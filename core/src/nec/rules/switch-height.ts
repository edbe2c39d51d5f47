import { isLonger } from '../../geometry/intervals';
import { defineRule, everyEdition, fromMemory } from '../rule';

export const switchHeight = defineRule({
  id: 'switch-height',
  meta: {
    summary: 'No switch handle above 6 ft 7 in',
    stage: 'boxes',
    severity: 'violation',
    why: 'A switch must be reached without a ladder. The code sets only this highest place; 48 in is common practice.',
    editions: everyEdition({ section: '404.8(A)', limits: { highestIn: 79 }, basis: fromMemory('high') }),
    messages: {
      high: ({ tag, heightIn }: { tag: string; heightIn: number }, show) =>
        `Switch ${tag} stands at ${show(heightIn)}.`,
      fine: ({ room }: { room: string }) => `The switches of ${room} can be reached.`,
    },
  },
  scope: 'room',
  appliesTo: (view) => view.boxes.some((box) => Object.values(box.devices).some((one) => one.kind === 'switch')),
  check: (view, limits, report) => {
    const high = view.boxes.flatMap((box) =>
      (box.at.kind === 'wall' || box.at.kind === 'feature') &&
      isLonger(box.at.heightIn, limits.highestIn) &&
      Object.values(box.devices).some((one) => one.kind === 'switch')
        ? [{ box, heightIn: box.at.heightIn }]
        : [],
    );
    if (high.length === 0) return [report.pass('fine', { room: view.room.name }, { room: view.room.id })];
    return high.map(({ box, heightIn }) =>
      report.fail(
        'high',
        { tag: box.tag, heightIn },
        { room: view.room.id, box: box.id },
        { measured: (show) => show(heightIn), required: (show) => `${show(limits.highestIn)} at most` },
      ),
    );
  },
});
