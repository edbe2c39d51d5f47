import { keptCables } from '../../route/kept-laid';
import { spaceInches } from '../../route/plates';
import { defineRule, everyEdition, fromMemory } from '../rule';

export const exposedCable = defineRule({
  id: 'exposed-cable',
  meta: {
    summary: 'Cables that stay in sight in an attic, a crawl space or a basement lie where nobody steps on them',
    stage: 'routes',
    severity: 'reminder',
    why: 'People climb in with boxes and hang clothes on whatever crosses overhead.',
    editions: everyEdition({ section: '334.23, 320.23', limits: {}, basis: fromMemory('high') }),
    messages: {
      attic: ({ feet }: { feet: number }) =>
        `${feet} ft of cable lie in the attic. Across joists within 6 ft of its access they need guard strips as high as the cable, over the whole floor where a stair or ladder is built in; along the sides of joists they need none.`,
      basement: ({ feet }: { feet: number }) =>
        `${feet} ft of cable lie under the open joists of a basement. Across them cables smaller than two No. 6 or three No. 8 go through bored holes or on running boards.`,
      crawl: ({ feet }: { feet: number }) =>
        `${feet} ft of cable lie in the crawl space. Across joists cables smaller than two No. 6 or three No. 8 go through bored holes or on running boards, and off the ground.`,
    },
  },
  scope: 'house',
  appliesTo: ({ house }) => keptCables(house).length > 0,
  check: ({ house }, _limits, report) => {
    const inches = spaceInches(house, keptCables(house));
    const feet = (kind: 'attic' | 'open' | 'crawl') => Math.round((inches.get(kind) ?? 0) / 12);
    const said = [];
    if (feet('attic') > 0) said.push(report.fail('attic', { feet: feet('attic') }, {}));
    if (feet('open') > 0) said.push(report.fail('basement', { feet: feet('open') }, {}, { section: '334.15(C)' }));
    if (feet('crawl') > 0) said.push(report.fail('crawl', { feet: feet('crawl') }, {}, { section: '334.15(C)' }));
    return said;
  },
});
