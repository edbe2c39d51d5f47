import { feederTo } from '../../circuits/panel-tree';
import { setBuildingRemedy } from '../remedies';
import { ELECTRODE_SECTIONS, whyTooFewElectrodes } from '../requirements/electrodes';
import { defineRule, everyEdition, fromMemory } from '../rule';

export const buildingElectrode = defineRule({
  id: 'building-electrode',
  meta: {
    summary: 'A building with a panel of its own has grounding electrodes of its own',
    stage: 'service',
    severity: 'violation',
    ofItsDay: 'ask',
    why: 'Lightning and a fallen line come to the shed as well; the ground rod of the house is too far away to help.',
    editions: everyEdition({ section: '250.32(A)', limits: {}, basis: fromMemory('high') }),
    messages: {
      none: ({ building }: Data) => `${building} has a panel and no grounding electrode of its own.`,
      rod: ({ building }: Data) =>
        `One rod or plate is not enough for ${building}: a second one at least 6 ft away, for which no water pipe stands in, unless it is shown to have 25 ohms or less.`,
      pipe: ({ building }: Data) => `The water pipe alone grounds ${building}: it needs another electrode beside it.`,
      ask: ({ building }: Data) => `Which grounding electrodes ${building} has is not said.`,
      there: ({ building }: Data) => `${building} has grounding electrodes of its own.`,
    },
  },
  scope: 'house',
  reads: 'none',
  appliesTo: ({ house }) => Object.values(house.panels).some((one) => house.rooms[one.room]?.building !== undefined),
  check: ({ house }, _limits, report) =>
    Object.values(house.buildings).flatMap((building) => {
      const panel = Object.values(house.panels).find(
        (one) => house.rooms[one.room]?.building === building.id && feederTo(house, one.id),
      );
      if (!panel) return [];
      const where = { panel: panel.id };
      const data = { building: building.name };
      if (building.electrodes === undefined)
        return [
          report.cannotTell('ask', data, where, {
            remedies: [
              setBuildingRemedy(building.id, { electrodes: ['two-rods'] }, 'Two rods'),
              setBuildingRemedy(building.id, { electrodes: ['concrete-encased'] }, 'Steel in the footing'),
            ],
          }),
        ];
      const short = whyTooFewElectrodes(building.electrodes);
      if (short === 'none') return [report.fail('none', data, where)];
      if (short) return [report.fail(short, data, where, { section: ELECTRODE_SECTIONS[short] })];
      return [report.pass('there', data, where)];
    }),
});

interface Data {
  readonly building: string;
}
