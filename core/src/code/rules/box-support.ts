import { findBoxType, isFanPlace } from '../../place/box-catalogue';
import { defineRule, fromMemory, type EditionEntry } from '../rule';

const entry = (everyHabitable: 0 | 1): EditionEntry<{ fanLb: number; boxLb: number; everyHabitable: number }> => ({
  section: '314.27(A), (C)',
  limits: { fanLb: 70, boxLb: 50, everyHabitable },
  basis: fromMemory('high'),
});

export const boxSupport = defineRule({
  id: 'box-support',
  meta: {
    summary: 'Fans on fan-rated boxes, heavy luminaires on what carries them',
    stage: 'boxes',
    severity: 'violation',
    why: 'A fan works its box loose until it falls. Since 2020 the box in the middle of a habitable room must carry a fan from the start, because somebody will hang one.',
    editions: { '2014': entry(0), '2017': entry(0), '2020': entry(1), '2023': entry(1) },
    messages: {
      fan: ({ tag }: { tag: string }) => `The fan at ${tag} hangs on a box that is not listed for fans.`,
      tooHeavy: ({ tag, lb }: { tag: string; lb: number }) => `The fan at ${tag} weighs ${lb} lb: no box carries it.`,
      later: ({ tag, room }: { tag: string; room: string }) =>
        `The box ${tag} in the middle of ${room} is where a fan could hang and is not listed for one.`,
      heavy: ({ tag, lb }: { tag: string; lb: number }) =>
        `The luminaire at ${tag} weighs ${lb} lb, more than its box carries. Support it from the framing.`,
      carries: ({ tag }: { tag: string }) => `The box ${tag} carries what hangs on it.`,
    },
  },
  scope: 'house',
  appliesTo: (facts) =>
    facts.outlets.all.some((one) => one.box.at.kind === 'ceiling' && ['fan', 'luminaire'].includes(one.device.kind)),
  check: (facts, limits, report) =>
    facts.outlets.all.flatMap((outlet) => {
      const { box, device } = outlet;
      if (box.at.kind !== 'ceiling' || (device.kind !== 'fan' && device.kind !== 'luminaire')) return [];
      if (device.kind === 'luminaire' && device.style === 'recessed') return [];
      const where = { room: box.room, box: box.id };
      // Where nobody has chosen a box, the walk sheet asks for one that suits; there is nothing to object to.
      const type = findBoxType(facts.house, box.type);
      if (device.kind === 'fan' && device.weightLb > limits.fanLb)
        return [report.fail('tooHeavy', { tag: box.tag, lb: device.weightLb }, where)];
      if (device.kind === 'fan' && type && !type.fanRated) return [report.fail('fan', { tag: box.tag }, where)];
      const carries = type?.carriesLb ?? limits.fanLb;
      if (device.kind === 'luminaire' && device.weightLb > carries)
        return [report.fail('heavy', { tag: box.tag, lb: device.weightLb }, where)];
      if (
        limits.everyHabitable === 1 &&
        device.kind === 'luminaire' &&
        type &&
        !type.fanRated &&
        isFanPlace(facts.house, box)
      )
        return [report.fail('later', { tag: box.tag, room: outlet.room.name }, where, { basis: fromMemory('medium') })];
      return [report.pass('carries', { tag: box.tag }, where)];
    }),
});
