import { coveringAt, findBoxType, settingOf, THICK_COVERING_IN } from '../../place/box-catalogue';
import { defineRule, everyEdition, fromMemory } from '../rule';

export const boxCovering = defineRule({
  id: 'box-covering',
  meta: {
    summary: 'Boxes come flush with the finished wall',
    stage: 'boxes',
    severity: 'caution',
    why: 'A box set back in wood lets a spark at the studs; more than 1/4 in back in gypsum or tile leaves the device loose. A covering that is undecided or thick wants an adjustable box now, or a ring later.',
    editions: everyEdition({ section: '314.20', limits: { backIn: 0.25 }, basis: fromMemory('high') }),
    messages: {
      undecided: ({ tag }: { tag: string }) =>
        `The covering behind ${tag} is undecided, and its box cannot be adjusted in depth.`,
      thick: ({ tag, thickness }: { tag: string; thickness: number }, show) =>
        `${show(thickness)} of covering behind ${tag}: the chosen box cannot be adjusted to it.`,
      fine: ({ room }: { room: string }) => `The boxes of ${room} can come flush with their walls.`,
    },
  },
  scope: 'house',
  appliesTo: (facts) => facts.views.some((view) => view.room.corners.some((corner) => corner.covering)),
  check: (facts, _limits, report) =>
    facts.views
      .filter((view) => view.room.corners.some((corner) => corner.covering) && view.boxes.length > 0)
      .flatMap((view) => {
        const found = view.boxes.flatMap((box) => {
          const covering = coveringAt(facts.house, box);
          const type = findBoxType(facts.house, box.type);
          if (!covering || !type || type.adjustable || settingOf(facts.house, box).advice === undefined) return [];
          const where = { room: view.room.id, box: box.id };
          if (covering.kind === 'undecided') return [report.fail('undecided', { tag: box.tag }, where)];
          if (covering.thicknessIn > THICK_COVERING_IN)
            return [report.fail('thick', { tag: box.tag, thickness: covering.thicknessIn }, where)];
          return [];
        });
        return found.length > 0 ? found : [report.pass('fine', { room: view.room.name }, { room: view.room.id })];
      }),
});
