import { placeOfSleeve } from '../remedies';
import { defineRule, everyEdition, fromMemory } from '../rule';

export const sleeveBends = defineRule({
  id: 'sleeve-bends',
  meta: {
    summary: 'Not more than 360 degrees of bends between two places where one can pull',
    stage: 'routes',
    severity: 'violation',
    why: 'Behind a fifth bend nothing is pulled in any more, and what is forced in loses its jacket.',
    editions: everyEdition({
      section: '344.26, 352.26, 358.26, 362.26',
      limits: { mostDeg: 360 },
      basis: fromMemory('high'),
    }),
    messages: {
      bent: ({ sleeve, has, most }: { sleeve: string; has: number; most: number }) =>
        `${sleeve} has ${has}° of bends; ${most}° is the most between two places where one can pull. Put a box between.`,
      straight: ({ sleeve }: { sleeve: string }) => `${sleeve} can be pulled through.`,
    },
  },
  scope: 'house',
  reads: 'none',
  appliesTo: ({ house }) => Object.keys(house.sleeves).length > 0,
  check: ({ house }, { mostDeg }, report) =>
    Object.values(house.sleeves).map((one) =>
      one.bendsDeg > mostDeg
        ? report.fail('bent', { sleeve: one.name, has: one.bendsDeg, most: mostDeg }, placeOfSleeve(one))
        : report.pass('straight', { sleeve: one.name }, placeOfSleeve(one)),
    ),
});
