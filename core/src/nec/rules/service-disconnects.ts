import { servicePanels } from '../../circuits/panel-tree';
import { defineRule, fromMemory } from '../rule';
import { itemAt } from '../../units/result';

const [limits, basis] = [{ most: 6 }, fromMemory('high')];

export const serviceDisconnects = defineRule({
  id: 'service-disconnects',
  meta: {
    summary: 'A service has six disconnects at most, grouped at one place',
    stage: 'service',
    severity: 'violation',
    why: 'Firefighters and utility workers cut a house off at one place; a main that stands somewhere else leaves half of it live.',
    editions: {
      '2014': { section: '230.71(A), 230.72(A)', limits, basis },
      '2017': { section: '230.71(A), 230.72(A)', limits, basis },
      '2020': { section: '230.71(B), 230.72(A)', limits, basis },
      '2023': { section: '230.71(B), 230.72(A)', limits, basis },
    },
    messages: {
      many: ({ n, most }: { n: number; most: number }) =>
        `The service has ${n} disconnects; ${most} are the most. Put one ahead of them, and feed the panels from it.`,
      scattered: ({ panels }: Data) =>
        `The mains of ${panels} disconnect the service and stand in different rooms. They have to be grouped at one place, or all but one panel fed from a disconnect there.`,
      units: ({ panels }: Data) =>
        `The mains of ${panels} disconnect the service, each in a unit of its own. That is allowed where a set of service conductors of its own runs to each unit (230.40 Exception 1): ask the authority and the utility.`,
      grouped: ({ panels }: Data) => `The mains of ${panels} disconnect the service, at one place.`,
    },
  },
  scope: 'house',
  reads: 'none',
  appliesTo: ({ house }) => house.supply.kind === 'utility' && servicePanels(house).length > 1,
  check: ({ house }, { most }, report) => {
    const panels = servicePanels(house);
    const where = { panel: itemAt(panels, 1).id };
    const n = panels.length;
    const data = { panels: panels.map((one) => one.name).join(' and ') };
    if (n > most) return [report.fail('many', { n, most }, where)];
    if (new Set(panels.map((one) => one.room)).size === 1) return [report.pass('grouped', data, where)];
    const units = panels.map((one) => house.rooms[one.room]?.unit);
    const isOneEach = units.every((one) => one !== undefined) && new Set(units).size === n;
    return [isOneEach ? report.cannotTell('units', data, where) : report.fail('scattered', data, where)];
  },
});

interface Data {
  readonly panels: string;
}
