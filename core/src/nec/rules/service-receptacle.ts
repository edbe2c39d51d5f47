import { isLonger } from '../../geometry/intervals';
import { serviceReceptacles, SERVICED_EQUIPMENT } from '../requirements/service-receptacles';
import { defineRule, fromMemory, type EditionEntry } from '../rule';
import { mustGet } from '../../units/result';

const entry = (section: string): EditionEntry<{ withinIn: number }> => ({
  section,
  limits: { withinIn: 300 },
  basis: fromMemory('high'),
});

export const serviceReceptacle = defineRule({
  id: 'service-receptacle',
  meta: {
    summary: 'A receptacle within 25 ft of heating and cooling equipment, on its level',
    stage: 'boxes',
    severity: 'violation',
    ofItsDay: true,
    why: 'A person who services it needs a lamp and a vacuum pump, and should not run a cord down an attic ladder. It may not be fed from the load side of the equipment\u2019s disconnect.',
    editions: {
      '2014': entry('210.63'),
      '2017': entry('210.63'),
      '2020': entry('210.63(A)'),
      '2023': entry('210.63(A)'),
    },
    messages: {
      none: ({ what, room }: { what: string; room: string }) =>
        `No receptacle stands within 25 ft of the ${what} in ${room}, on its level.`,
      near: ({ what, tag }: { what: string; tag: string }) => `Receptacle ${tag} serves the ${what}.`,
      elsewhere: ({ what, tag, room }: { what: string; tag: string; room: string }) =>
        `The nearest receptacle to the ${what}, ${tag}, stands in another room, ${room}. If one gets to it freely from the equipment it serves; a wall or a locked door between, and it does not.`,
    },
  },
  scope: 'house',
  appliesTo: (facts) =>
    facts.views.some((view) => view.features.some((feature) => SERVICED_EQUIPMENT.has(feature.kind))),
  check: (facts, limits, report) =>
    facts.views.flatMap((view) =>
      view.features
        .filter((feature) => SERVICED_EQUIPMENT.has(feature.kind))
        .map((feature) => {
          const [nearest] = serviceReceptacles(facts.house, feature, limits.withinIn);
          const what = feature.name || feature.kind.replaceAll('-', ' ');
          const where = { room: view.room.id, feature: feature.id };
          const detail = {
            measured: (show: (lengthIn: number) => string) => (nearest ? show(nearest.farIn) : 'none on this level'),
            required: (show: (lengthIn: number) => string) => `within ${show(limits.withinIn)}`,
          };
          if (!nearest || isLonger(nearest.farIn, limits.withinIn))
            return report.fail('none', { what, room: view.room.name }, where, detail);
          const { tag, room } = nearest.box;
          return room === view.room.id
            ? report.pass('near', { what, tag }, where, detail)
            : report.cannotTell('elsewhere', { what, tag, room: mustGet(facts.house.rooms, room).name }, where, detail);
        }),
    ),
});
