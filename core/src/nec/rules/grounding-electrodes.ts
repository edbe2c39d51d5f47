import { servicePanel } from '../../circuits/panel-tree';
import type { ConductorSize, Electrode, House } from '../../house/schema';
import { atLeast, electrodeConductor, serviceConductors } from '../../service/service-conductors';
import { loadsOfHouse } from '../requirements/service-load';
import { setSupplyRemedy } from '../remedies';
import { ELECTRODE_SECTIONS, whyTooFewElectrodes } from '../requirements/electrodes';
import { defineRule, everyEdition, fromMemory } from '../rule';
import { given } from '../../units/result';

/**
 * Electrodes whose conductor need not be larger than No. 6 copper or No. 4 aluminum, 250.66(A); for concrete No. 4 copper, (B); for a ring
 * no larger than the ring, No. 2 copper, (C). The last two name no aluminum.
 */
const CAPS: Readonly<Partial<Record<Electrode, Readonly<Partial<Record<'copper' | 'aluminum', ConductorSize>>>>>> = {
  'one-rod': { copper: '6', aluminum: '4' },
  'two-rods': { copper: '6', aluminum: '4' },
  plate: { copper: '6', aluminum: '4' },
  'concrete-encased': { copper: '4' },
  ring: { copper: '2' },
};

/** What the electrode conductor has to be: the largest that any of the electrodes asks for, but not more than the table. */
function leastElectrodeConductor(
  house: House,
  electrodes: readonly Electrode[],
  metal: 'copper' | 'aluminum',
): ConductorSize | undefined {
  const panel = servicePanel(house);
  const { conductor } = house.supply;
  const service =
    conductor?.size ??
    (panel && serviceConductors(panel.mainA, { isOneDwelling: loadsOfHouse(house).dwellings === 1 }).copper);
  const table = service && electrodeConductor(service, metal, conductor?.metal ?? 'copper');
  if (!table) return undefined;
  const wanted = electrodes.map((one) => {
    const cap = CAPS[one]?.[metal];
    return cap && atLeast(table, cap) ? cap : table;
  });
  return wanted.reduce((most, one) => (atLeast(one, most) ? one : most), wanted[0] ?? table);
}

export const groundingElectrodes = defineRule({
  id: 'grounding-electrodes',
  meta: {
    summary: 'Grounding electrodes that are enough, on a conductor of its size',
    stage: 'service',
    severity: 'violation',
    ofItsDay: 'ask',
    why: 'The footing is poured before the electrician comes: the concrete-encased electrode is caught then or lost.',
    editions: everyEdition({ section: '250.50', limits: {}, basis: fromMemory('high') }),
    messages: {
      ask: (_: Data) =>
        'Which grounding electrodes there are is not said: steel in the footing, metal water pipe in the ground, rods. All that are there are bonded together.',
      none: ({ panel }: Data) => `${panel} has no grounding electrode.`,
      rod: ({ panel }: Data) =>
        `One rod or plate is not enough for ${panel}: a second one at least 6 ft away, for which no water pipe stands in, unless it is shown to have 25 ohms or less.`,
      pipe: ({ panel }: Data) => `The water pipe alone grounds ${panel}: it needs another electrode beside it.`,
      thin: ({ has, least }: Data) => `The grounding electrode conductor is No. ${has}; No. ${least} is the least.`,
      enough: ({ panel }: Data) => `${panel} has grounding electrodes that are enough.`,
    },
  },
  scope: 'house',
  reads: 'none',
  appliesTo: ({ house }) => house.supply.kind !== 'cord' && servicePanel(house) !== undefined,
  check: ({ house }, _limits, report) => {
    const panel = given(servicePanel(house));
    const where = { panel: panel.id };
    const { electrodes, electrodeConductor: has } = house.supply;
    const data: Data = { panel: panel.name, has: has?.size ?? '', least: '' };
    if (electrodes === undefined)
      return [
        report.cannotTell('ask', data, where, {
          remedies: [
            setSupplyRemedy({ electrodes: ['concrete-encased'] }, 'Steel in the footing'),
            setSupplyRemedy({ electrodes: ['two-rods'] }, 'Two rods'),
          ],
        }),
      ];
    const short = whyTooFewElectrodes(electrodes);
    if (short === 'none') return [report.fail('none', data, where)];
    if (short) return [report.fail(short, data, where, { section: ELECTRODE_SECTIONS[short] })];
    const least = has && leastElectrodeConductor(house, electrodes, has.metal);
    if (has && least && !atLeast(has.size, least))
      return [report.fail('thin', { ...data, least }, where, { section: '250.66' })];
    return [report.pass('enough', data, where)];
  },
});

interface Data {
  readonly panel: string;
  readonly has: string;
  readonly least: string;
}
