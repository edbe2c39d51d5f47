import { isLonger } from '../../geometry/intervals';
import { defineRule, everyEdition, fromMemory } from '../rule';
import { distance, nearestOnSegment } from '../../geometry/geometry';
import { featureOutline } from '../../plan/points';
import { findWall, pointOnWall, wallLoop } from '../../plan/wall-loop';
import { whyNotCounted } from '../../place/receptacles';
import { given, itemAt } from '../../units/result';

export const laundryReceptacle = defineRule({
  id: 'laundry-receptacle',
  meta: {
    summary: 'A receptacle where laundry equipment stands, within 6 ft of the washer',
    stage: 'boxes',
    severity: 'violation',
    ofItsDay: true,
    why: 'The washer needs 120 V close by. A dryer\u2019s 240 V receptacle does not serve it.',
    editions: everyEdition({ section: '210.52(F), 210.50(C)', limits: { reachIn: 72 }, basis: fromMemory('high') }),
    messages: {
      none: ({ room }: { room: string }) => `${room} has no 120 V receptacle.`,
      far: ({ room, nearest }: { room: string; nearest: number }, show) =>
        `The nearest receptacle to the washer in ${room} is ${show(nearest)} away.`,
      near: ({ room }: { room: string }) => `${room} has its receptacle.`,
    },
  },
  scope: 'room',
  appliesTo: (view) => view.room.kind === 'laundry' || view.features.some((feature) => feature.kind === 'washer'),
  check: (view, limits, report) => {
    const room = view.room.name;
    const where = { room: view.room.id };
    const points = view.boxes.flatMap((box) =>
      whyNotCounted(box, view.level.ceilingIn) === undefined && box.at.kind === 'wall'
        ? [pointOnWall(given(findWall(wallLoop(view.room), box.at.wall)), box.at.alongIn)]
        : [],
    );
    if (points.length === 0)
      return [report.fail('none', { room }, where, { measured: () => 'none', required: () => 'at least one' })];
    return view.features
      .filter((feature) => feature.kind === 'washer')
      .map((washer) => {
        const outline = featureOutline(view.room, washer);
        const nearest = Math.min(
          ...points.flatMap((at) =>
            outline.map((corner, i) =>
              distance(at, nearestOnSegment(at, corner, itemAt(outline, (i + 1) % outline.length))),
            ),
          ),
        );
        return !isLonger(nearest, limits.reachIn)
          ? report.pass('near', { room }, where)
          : report.fail('far', { room, nearest }, where, { required: (show) => `${show(limits.reachIn)} at most` });
      })
      .concat(view.features.some((feature) => feature.kind === 'washer') ? [] : [report.pass('near', { room }, where)]);
  },
});
