import { defineRule, fromMemory, type EditionEntry } from '../rule';
import { given } from '../../units/result';

const entry = (adjacentOnly: 0 | 1): EditionEntry<{ adjacentOnly: number }> => ({
  section: '422.16(B)(2)',
  limits: { adjacentOnly },
  basis: fromMemory('medium'),
});

export const dishwasherReceptacle = defineRule({
  id: 'dishwasher-receptacle',
  meta: {
    summary: 'The receptacle of a dishwasher in the space beside it, not behind it',
    stage: 'boxes',
    severity: 'violation',
    ofItsDay: true,
    why: 'Its plug is its disconnect: behind the machine nobody reaches it, and the machine is pushed against it. The usual place is the sink cabinet.',
    editions: { '2014': entry(0), '2017': entry(1), '2020': entry(1), '2023': entry(1) },
    messages: {
      behind: ({ tag, load }: { tag: string; load: string }) =>
        `${tag} is behind the ${load}: its receptacle belongs in the space beside it, such as the sink cabinet.`,
      beside: ({ tag, load }: { tag: string; load: string }) => `${tag} is beside the ${load}.`,
      within: ({ tag, load }: { tag: string; load: string }) => `${tag} may be behind the ${load} in this edition.`,
    },
  },
  scope: 'house',
  reads: 'loads',
  appliesTo: (facts) =>
    facts.outlets.loads.some((one) => one.load?.kind === 'dishwasher' && one.device.kind === 'receptacle'),
  check: (facts, limits, report) =>
    facts.outlets.loads.flatMap(({ load, device, box, room }) => {
      const { at } = box;
      if (load?.kind !== 'dishwasher' || device.kind !== 'receptacle' || at.kind !== 'wall') return [];
      const view = given(facts.views.find((one) => one.room === room));
      const behind = view.features.some(
        (one) =>
          one.kind === 'dishwasher' &&
          one.at.kind === 'wall' &&
          one.at.wall === at.wall &&
          at.alongIn > one.at.alongIn &&
          at.alongIn < one.at.alongIn + one.at.widthIn &&
          at.heightIn < one.heightIn,
      );
      const data = { tag: box.tag, load: load.name.toLowerCase() };
      const where = { room: room.id, box: box.id };
      if (!behind) return [report.pass('beside', data, where)];
      return [limits.adjacentOnly === 1 ? report.fail('behind', data, where) : report.pass('within', data, where)];
    }),
});
