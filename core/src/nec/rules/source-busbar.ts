import { feedersFrom } from '../../circuits/panel-tree';
import { nextStandardRating } from '../../electrical/conductors';
import type { House, Source } from '../../house/schema';
import { defineRule, fromMemory } from '../rule';
import { mustGet } from '../../units/result';

const [limits, basis] = [{ share: 1.2, more: 1.25 }, fromMemory('medium')];

/** The breaker of a source whose size nobody has said: the next size over 125 % of its current. */
const breakerOf = ({ breakerA, runningW }: Source, more: number): number =>
  breakerA ?? nextStandardRating((runningW / 240) * more) ?? Infinity;

/**
 * The ratings of all breakers in a panel together, of loads and sources, the main left out, amperes. Circuits that stand in no panel yet
 * are counted as if they came into it.
 */
const breakersOn = (house: House, panel: string, more: number): number =>
  [
    ...Object.values(house.circuits).flatMap((one) => (one.panel === panel || one.panel === null ? [one.ratingA] : [])),
    ...feedersFrom(house, panel).map((one) => one.ratingA),
    ...Object.values(house.sources).flatMap((one) => (one.panel === panel ? [breakerOf(one, more)] : [])),
  ].reduce((sum, one) => sum + one, 0);

export const sourceBusbar = defineRule({
  id: 'source-busbar',
  meta: {
    summary: 'The busbars of a panel stand what main and sources feed into it together',
    stage: 'service',
    severity: 'violation',
    why: 'Two breakers feed the bars, and neither sees what the other brings: between them the bars can carry more than they are made for.',
    editions: {
      '2014': { section: '705.12(D)(2)(3)', limits, basis },
      '2017': { section: '705.12(B)(2)(3)', limits, basis },
      '2020': { section: '705.12(B)(3)', limits, basis },
      '2023': { section: '705.12(B)', limits, basis },
    },
    messages: {
      over: ({ panel, sum, most }: Data) =>
        `Main and sources bring ${sum.toFixed(0)} A to ${panel}; its busbars allow ${most.toFixed(0)} A. A smaller main, larger busbars, or a connection ahead of the main.`,
      end: ({ panel, sum, most }: Data) =>
        `Main and sources bring ${sum.toFixed(0)} A to ${panel}; its busbars allow ${most.toFixed(0)} A only with the source\u2019s breaker at the end away from the main, marked not to be moved.`,
      breakers: ({ panel, sum, most }: Data) =>
        `All breakers of ${panel} but its main come to ${sum.toFixed(0)} A, no more than the ${most.toFixed(0)} A of its busbars. It holds as long as none is added: label it so.`,
      within: ({ panel }: Data) => `The busbars of ${panel} stand main and sources together.`,
    },
  },
  scope: 'house',
  reads: 'none',
  appliesTo: ({ house }) => Object.values(house.sources).some((one) => one.transfer === 'interactive'),
  check: ({ house }, by, report) => {
    const panels = new Set(
      Object.values(house.sources).flatMap((one) => (one.transfer === 'interactive' ? [one.panel] : [])),
    );
    return [...panels].map((id) => {
      const panel = mustGet(house.panels, id);
      const sources = Object.values(house.sources).filter((one) => one.panel === id && one.transfer === 'interactive');
      const bus = panel.busA ?? panel.mainA;
      // 125 % of what the inverters put out, with the main.
      const sum = panel.mainA + sources.reduce((all, one) => all + (one.runningW / 240) * by.more, 0);
      const data = { panel: panel.name, sum, most: bus };
      const where = { panel: id };
      if (sum <= bus + 1e-9) return report.pass('within', data, where);
      const breakers = breakersOn(house, id, by.more);
      if (breakers <= bus + 1e-9) return report.pass('breakers', { ...data, sum: breakers }, where);
      const most = bus * by.share;
      if (sum > most + 1e-9) return report.fail('over', { ...data, most }, where);
      return sources.every((one) => one.atFarEnd)
        ? report.pass('within', data, where)
        : report.fail('end', { ...data, most }, where);
    });
  },
});

interface Data {
  readonly panel: string;
  readonly sum: number;
  readonly most: number;
}
