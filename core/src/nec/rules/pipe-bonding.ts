import { servicePanel } from '../../circuits/panel-tree';
import { setSupplyRemedy } from '../remedies';
import { defineRule, everyEdition, fromMemory } from '../rule';
import { given } from '../../units/result';

const PIPES = [
  ['waterBond', 'water', '250.104(A)'],
  ['gasBond', 'gas', '250.104(B)'],
] as const;

export const pipeBonding = defineRule({
  id: 'pipe-bonding',
  meta: {
    summary: 'Metal water and gas piping is bonded',
    stage: 'service',
    severity: 'violation',
    ofItsDay: 'ask',
    why: 'A faulty appliance makes every tap and range of the house live where its pipes are not bonded.',
    editions: everyEdition({ section: '250.104', limits: {}, basis: fromMemory('high') }),
    messages: {
      missing: ({ pipe }: { pipe: string }) => `The metal ${pipe} piping is not bonded.`,
      ask: ({ pipe }: { pipe: string }) =>
        `Whether there is metal ${pipe} piping, and whether it is bonded, is not said.`,
      bonded: ({ pipe }: { pipe: string }) => `Metal ${pipe} piping is bonded, or there is none.`,
    },
  },
  scope: 'house',
  reads: 'none',
  appliesTo: ({ house, views }) =>
    servicePanel(house) !== undefined && views.some((one) => one.room.kind === 'kitchen'),
  check: ({ house }, _limits, report) =>
    PIPES.map(([field, pipe, section]) => {
      const where = { panel: given(servicePanel(house)).id };
      const state = house.supply[field];
      if (state === 'no') return report.fail('missing', { pipe }, where, { section });
      if (state !== 'not-known') return report.pass('bonded', { pipe }, where, { section });
      return report.cannotTell('ask', { pipe }, where, {
        section,
        remedies: [
          setSupplyRemedy({ [field]: 'yes' }, 'It is bonded'),
          setSupplyRemedy({ [field]: 'none' }, 'No metal piping'),
        ],
      });
    }),
});
