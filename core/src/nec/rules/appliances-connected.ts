import { unconnectedAppliances } from '../../edits/connect-appliances';
import type { Feature } from '../../house/schema';
import { connectRemedy } from '../remedies';
import { commonPractice, defineRule, everyEdition } from '../rule';
import { mustGet } from '../../units/result';

const nameOf = ({ name, kind }: Feature): string => name || kind.replaceAll('-', ' ');

export const appliancesConnected = defineRule({
  id: 'appliances-connected',
  meta: {
    summary: 'Every appliance that is drawn has a box and a load',
    stage: 'circuits',
    severity: 'caution',
    why: 'An appliance that is drawn and connects nowhere is on no circuit, and the panel and the service are planned without it.',
    editions: everyEdition({ section: 'common practice', limits: {}, basis: commonPractice }),
    messages: {
      open: ({ appliances }: { appliances: string }) =>
        `Drawn and connected to nothing: ${appliances}. Connect what takes power, or mark what burns fuel alone.`,
      all: ({ n }: { n: number }) => `Every appliance that is drawn is connected: ${n}.`,
    },
  },
  scope: 'house',
  appliesTo: ({ house }) => Object.keys(house.loads).length > 0 || unconnectedAppliances(house).length > 0,
  check: ({ house }, _limits, report) => {
    const open = unconnectedAppliances(house);
    const [first] = open;
    if (!first) return [report.pass('all', { n: Object.keys(house.loads).length }, {})];
    const appliances = open.map((one) => `${nameOf(one)} (${mustGet(house.rooms, one.room).name})`).join(', ');
    const remedies = [connectRemedy(open.length)];
    return [report.cannotTell('open', { appliances }, { room: first.room, feature: first.id }, { remedies })];
  },
});
