import { airAround, atticFOf } from '../../circuits/sizing';
import { cableAmpacity } from '../../electrical/conductors';
import { bundleFactor } from '../../electrical/tables';
import { keptCables } from '../../route/kept-laid';
import { spaceInches } from '../../route/plates';
import { defineRule, everyEdition, fromMemory } from '../rule';

/** Current-carrying conductors of two cables that lie together for more than 24 in: NEC 310.15(B)(3)(a), from 2020 310.15(C)(1), from memory, high. */
const TWO_CABLES = 4;

export const exposedCable = defineRule({
  id: 'exposed-cable',
  meta: {
    summary: 'Cables that stay in sight in an attic, a crawl space or a basement lie where nobody steps on them',
    stage: 'routes',
    severity: 'reminder',
    why: 'People climb in with boxes and hang clothes on whatever crosses overhead.',
    editions: everyEdition({ section: '334.23, 320.23', limits: {}, basis: fromMemory('high') }),
    messages: {
      attic: ({ feet, pairA, atticF }: { feet: number; pairA: number; atticF: number }) =>
        `${feet} ft of cable lie in the attic. Across joists within 6 ft of its access they need guard strips as high as the cable, over the whole floor where a stair or ladder is built in; along the sides of joists they need none. Keep them apart there: of two No. 12 against each other for more than 24 in each carries ${pairA.toFixed(0)} A at ${atticF} °F (310.15).`,
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
    if (feet('attic') > 0) {
      const atticF = atticFOf(house);
      const { startA, ambient } = cableAmpacity('12', { ambientC: airAround(house, { inAttic: true }) });
      const pairA = startA * ambient * bundleFactor(TWO_CABLES);
      said.push(report.fail('attic', { feet: feet('attic'), pairA, atticF }, {}));
    }
    if (feet('open') > 0) said.push(report.fail('basement', { feet: feet('open') }, {}, { section: '334.15(C)' }));
    if (feet('crawl') > 0) said.push(report.fail('crawl', { feet: feet('crawl') }, {}, { section: '334.15(C)' }));
    return said;
  },
});
