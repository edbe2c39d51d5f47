import { isLonger } from '../../geometry/intervals';
import { fromOuterEnd } from '../../plan/islands';
import { islandNeed, isWorkTop } from '../requirements/islands';
import { count } from '../../units/count';
import { defineRule, fromMemory } from '../rule';

const HIGH = fromMemory('high');
const BY_SPACE = { minLongIn: 24, minShortIn: 12, byArea: 0, optional: 0, endIn: 0, belowIn: 12 };

export const islandReceptacle = defineRule({
  id: 'island-receptacle',
  meta: {
    summary: 'Receptacles for island and peninsula counters',
    stage: 'boxes',
    severity: 'violation',
    ofItsDay: true,
    why: 'People work on islands with corded appliances. How many receptacles are required changed with each edition; since 2023 a provision for one is the least.',
    editions: {
      '2014': { section: '210.52(C)(2), (3)', limits: { ...BY_SPACE, fromWall: 0 }, basis: HIGH },
      '2017': { section: '210.52(C)(2), (3)', limits: { ...BY_SPACE, fromWall: 1 }, basis: HIGH },
      '2020': {
        section: '210.52(C)(2)',
        limits: { minLongIn: 12, minShortIn: 12, byArea: 1, optional: 0, fromWall: 1, endIn: 24, belowIn: 12 },
        basis: HIGH,
      },
      '2023': {
        section: '210.52(C)(2)',
        limits: { minLongIn: 12, minShortIn: 12, byArea: 1, optional: 1, fromWall: 1, endIn: 0, belowIn: 0 },
        basis: fromMemory('medium'),
      },
    },
    messages: {
      few: ({ name, have, need, area }: { name: string; have: number; need: number; area: number }) =>
        `The ${name} (${area.toFixed(1)} ft²) has ${count(have, 'receptacle')}; ${need} required.`,
      enough: ({ name, have }: { name: string; have: number }) =>
        `The ${name} has ${count(have, 'receptacle')}: enough.`,
      end: ({ name, nearest }: { name: string; nearest: number }, show) =>
        `The receptacle nearest to the outer end of the ${name} is ${show(nearest)} from it.`,
      noProvision: ({ name, side }: { name: string; side: boolean }) =>
        side
          ? `The ${name} has a receptacle in its side only: it may be there, but does not serve the counter. Set one listed for countertops into the top, or keep a provision.`
          : `The ${name} has neither a receptacle nor a provision (box, cable or raceway) for one later.`,
      provided: ({ name }: { name: string }) => `The ${name} has a provision for a later receptacle.`,
    },
  },
  scope: 'room',
  appliesTo: (view) => view.features.some((one) => isWorkTop(view, one)),
  check: (view, limits, report) =>
    view.features.flatMap((feature) => {
      if (!isWorkTop(view, feature)) return [];
      const { need, serving, endIn } = islandNeed(view, feature, limits);
      if (need === 0) return [];
      const area = (feature.at.widthIn * feature.at.depthIn) / 144;
      const name = feature.name || feature.kind;
      const where = { room: view.room.id, feature: feature.id };
      const have = serving.length;
      if (need === 'provision' && have === 0) {
        const side = view.boxes.some((box) => box.at.kind === 'feature' && box.at.feature === feature.id);
        return [
          feature.provision
            ? report.pass('provided', { name }, where)
            : report.fail('noProvision', { name, side }, where, {
                measured: () => (side ? 'below the top' : 'none'),
                required: () => 'a receptacle in or above the top, or a provision for one',
              }),
        ];
      }
      const due = need === 'provision' ? 1 : need;
      const detail = { measured: () => `${have}`, required: () => `${due}` };
      if (have < due) return [report.fail('few', { name, have, need: due, area }, where, detail)];
      const nearest = Math.min(...serving.map((box) => fromOuterEnd(view, feature, box)));
      if (endIn > 0 && isLonger(nearest, endIn))
        return [
          report.fail('end', { name, nearest }, where, {
            measured: (show) => show(nearest),
            required: (show) => `one within ${show(endIn)} of the outer end`,
          }),
        ];
      return [report.pass('enough', { name, have }, where, detail)];
    }),
});
