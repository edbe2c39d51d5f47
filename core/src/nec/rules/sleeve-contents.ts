import { isPower } from '../../service/sleeve-fill';
import type { Sleeve } from '../../house/schema';
import { placeOfSleeve } from '../remedies';
import { defineRule, everyEdition, fromMemory } from '../rule';

/** A slab on the earth is a wet location, and so is the inside of a raceway in the ground or outdoors. */
const WET: ReadonlySet<Sleeve['place']> = new Set(['slab', 'ground', 'outdoors']);

export const sleeveContents = defineRule({
  id: 'sleeve-contents',
  meta: {
    summary: 'A sleeve holds what may lie where it lies: no nonmetallic cable in wet ones, no low voltage beside power',
    stage: 'routes',
    severity: 'violation',
    why: 'Water stands in every pipe in a slab or in the ground, and the paper of nonmetallic cable drinks it.',
    editions: everyEdition({ section: '300.5(B), 300.9, 334.12(B)(4)', limits: {}, basis: fromMemory('high') }),
    messages: {
      wet: ({ sleeve, place }: { sleeve: string; place: string }) =>
        `${sleeve} lies ${place} and holds nonmetallic cable: its inside is a wet location. Pull THWN conductors, or end the sleeve.`,
      mixed: ({ sleeve }: { sleeve: string }) =>
        `${sleeve} holds power and low voltage together. Each wants a sleeve of its own.`,
      right: ({ sleeve }: { sleeve: string }) => `What ${sleeve} holds may lie in it.`,
    },
  },
  scope: 'house',
  reads: 'none',
  appliesTo: ({ house }) => Object.values(house.sleeves).some((one) => one.holds.length > 0),
  check: ({ house }, _limits, report) =>
    Object.values(house.sleeves).flatMap((one) => {
      if (one.holds.length === 0) return [];
      const [where, sleeve] = [placeOfSleeve(one), one.name];
      const isWet = WET.has(one.place) && one.holds.some(({ what }) => what.startsWith('nm '));
      const power = one.holds.some(({ what }) => isPower(what));
      // Fiber carries no current: 770.133(A) lets it lie beside power.
      const low = one.holds.some(({ what }) => !isPower(what) && what !== 'fiber');
      const place = one.place === 'outdoors' ? 'outdoors' : one.place === 'slab' ? 'in a slab' : 'in the ground';
      const found = [
        ...(isWet ? [report.fail('wet', { sleeve, place }, where)] : []),
        ...(power && low ? [report.fail('mixed', { sleeve }, where, { section: '725.136, 800.133' })] : []),
      ];
      return found.length > 0 ? found : [report.pass('right', { sleeve }, where)];
    }),
});
