import { setDevicesRemedy } from '../remedies';
import { defineRule, everyEdition, fromMemory } from '../rule';
import { mustGet } from '../../units/result';

export const insulationContact = defineRule({
  id: 'insulation-contact',
  meta: {
    summary: 'Recessed luminaires under an insulated attic or roof may be touched by insulation',
    stage: 'boxes',
    severity: 'violation',
    why: 'A recessed luminaire that is not of type IC chars what lies on it. Insulation is blown in later, by others, over everything.',
    editions: everyEdition({ section: '410.116', limits: { clearIn: 3 }, basis: fromMemory('high') }),
    messages: {
      bare: ({ tag, room, clear }: { tag: string; room: string; clear: number }, show) =>
        `The recessed light ${tag} in ${room} is not of type IC, and insulation lies over its ceiling: keep it ${show(clear)} away, or take one of type IC.`,
      unsaid: ({ tags }: { tags: string }) =>
        `Are the recessed lights ${tags} of type IC? Insulation lies over their ceilings.`,
      fine: ({ room }: { room: string }) => `Insulation may touch the recessed lights of ${room}.`,
    },
  },
  scope: 'house',
  reads: 'lights',
  appliesTo: (facts) =>
    facts.outlets.lights.some((one) => one.device.kind === 'luminaire' && one.device.style === 'recessed'),
  check: (facts, limits, report) => {
    const under = facts.outlets.lights.filter(
      ({ device, room }) =>
        device.kind === 'luminaire' &&
        device.style === 'recessed' &&
        mustGet(facts.house.levels, room.level).above !== 'floor',
    );
    const contactOf = (one: (typeof under)[number]) =>
      one.device.kind === 'luminaire' ? one.device.contact : undefined;
    const unsaid = under.filter((one) => contactOf(one) === undefined);
    const bare = under
      .filter((one) => contactOf(one) === 'non-ic')
      .map(({ box, room }) =>
        report.fail('bare', { tag: box.tag, room: room.name, clear: limits.clearIn }, { room: room.id, box: box.id }),
      );
    if (unsaid.length > 0) {
      const ids = unsaid.map((one) => one.device.id);
      const remedies = [setDevicesRemedy(ids, { contact: 'ic' }, 'All of them are of type IC')];
      const tags = unsaid.map((one) => one.box.tag).join(', ');
      return [...bare, report.cannotTell('unsaid', { tags }, {}, { remedies })];
    }
    if (bare.length > 0) return bare;
    const rooms = [...new Map(under.map(({ room }) => [room.id, room])).values()];
    return rooms.map((room) => report.pass('fine', { room: room.name }, { room: room.id }));
  },
});
