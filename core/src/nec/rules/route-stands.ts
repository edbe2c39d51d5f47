import { keptRoutes } from '../../circuits/kept-routes';
import { commonPractice, defineRule, everyEdition } from '../rule';
import { mustGet } from '../../units/result';

export const routeStands = defineRule({
  id: 'route-stands',
  meta: {
    summary: 'Every cable that was laid out still lies somewhere true',
    stage: 'routes',
    severity: 'caution',
    why: 'A box was moved or an opening was made since: holes are bored where nothing comes, and the cable that was cut is too short.',
    editions: everyEdition({ section: 'common practice', limits: {}, basis: commonPractice }),
    messages: {
      moved: ({ from, to }: Ends) =>
        `The route from ${from} to ${to} ends where a box no longer is. Find it again under Routes.`,
      barred: ({ from, to }: Ends) =>
        `An opening, a wall without studs or one that stays closed bars the route from ${from} to ${to} now. Find it again under Routes.`,
      holds: ({ count }: { count: number }) => `${count} routes hold.`,
    },
  },
  scope: 'house',
  appliesTo: ({ house }) => Object.keys(house.routes).length > 0,
  check: ({ house }, _limits, report) => {
    const { sound, broken } = keptRoutes(house);
    const gone = [...broken].map(([route, why]) => {
      const from = route.from === null ? 'the panel' : mustGet(house.boxes, route.from).tag;
      const { room, id, tag } = mustGet(house.boxes, route.to);
      return report.fail(why, { from, to: tag }, { room, box: id, circuit: route.circuit });
    });
    return gone.length > 0 ? gone : [report.pass('holds', { count: sound.size }, {})];
  },
});

interface Ends {
  readonly from: string;
  readonly to: string;
}
