import { isExhaustFan } from '../../place/fans';
import { findBoxType, isFanPlace } from '../../place/box-catalogue';
import type { Box, BoxType } from '../../house/schema';
import { setBoxesRemedy } from '../remedies';
import { defineRule, fromMemory, type EditionEntry, type Verdict } from '../rule';

type Limits = Readonly<Record<'fanLb' | 'unmarkedFanLb' | 'boxLb' | 'onDeviceBoxLb' | 'everyHabitable', number>>;

const entry = (everyHabitable: 0 | 1): EditionEntry<Limits> => ({
  section: '314.27(A), (C)',
  limits: { fanLb: 70, unmarkedFanLb: 35, boxLb: 50, onDeviceBoxLb: 6, everyHabitable },
  basis: fromMemory('high'),
});

const onFanBoxes = (boxes: readonly Box[], label: string) =>
  setBoxesRemedy(
    boxes.map((one) => one.id),
    { type: 'fan-brace' },
    label,
  );

/** What is to be said of a luminaire of so many pounds on a wall: a device box carries 6 lb by its screws, others what they are marked for. */
function onWall(type: BoxType | undefined, lb: number, limits: Limits): 'onDevice' | 'heavy' | 'unchosen' | 'carries' {
  if (type?.shape === 'device' && lb > limits.onDeviceBoxLb) return 'onDevice';
  if (type) return lb > (type.carriesLb ?? limits.boxLb) ? 'heavy' : 'carries';
  return lb > limits.boxLb ? 'unchosen' : 'carries';
}

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
      unmarked: ({ tag, lb }: { tag: string; lb: number }) =>
        `The fan at ${tag} weighs ${lb} lb, more than its box is marked for.`,
      onDevice: ({ tag, lb }: { tag: string; lb: number }) =>
        `The luminaire at ${tag} weighs ${lb} lb and hangs on a device box, whose screws may carry 6 lb. Take a luminaire box.`,
      later: ({ tag, room }: { tag: string; room: string }) =>
        `The box ${tag} in the middle of ${room} is where a fan could hang and is not listed for one. It has to be, or to give access to framing that carries the bracket of a fan.`,
      heavy: ({ tag, lb }: { tag: string; lb: number }) =>
        `The luminaire at ${tag} weighs ${lb} lb, more than its box carries. Support it from the framing.`,
      unchosen: ({ tags }: { tags: string }) =>
        `Which boxes do ${tags} hang on? A fan takes a box listed for fans, a light of more than 50 lb one that is marked for its weight.`,
      carries: ({ tag }: { tag: string }) => `The box ${tag} carries what hangs on it.`,
    },
  },
  scope: 'house',
  reads: 'lights',
  appliesTo: (facts) =>
    facts.outlets.lights.some((one) => one.device.kind === 'fan' || one.device.kind === 'luminaire'),
  check: (facts, limits, report) => {
    const unchosen: Box[] = [];
    const verdicts = facts.outlets.lights.flatMap((outlet): Verdict[] => {
      const { box, device } = outlet;
      if (device.kind !== 'fan' && device.kind !== 'luminaire') return [];
      if (box.at.kind !== 'ceiling') {
        if (device.kind !== 'luminaire' || device.style === 'strip') return [];
        const said = onWall(findBoxType(facts.house, box.type), device.weightLb, limits);
        if (said === 'unchosen') unchosen.push(box);
        if (said === 'unchosen') return [];
        const [data, at] = [
          { tag: box.tag, lb: device.weightLb },
          { room: box.room, box: box.id },
        ];
        return [said === 'carries' ? report.pass(said, data, at) : report.fail(said, data, at)];
      }
      // What is recessed has a housing of its own, fixed to the joists.
      if (isExhaustFan(device, outlet.room.kind)) return [];
      if (device.kind === 'luminaire' && device.style === 'recessed') return [];
      const where = { room: box.room, box: box.id };
      const type = findBoxType(facts.house, box.type);
      if (device.kind === 'fan' && device.weightLb > limits.fanLb)
        return [report.fail('tooHeavy', { tag: box.tag, lb: device.weightLb }, where)];
      if (device.kind === 'fan' && type && !type.fanRated) return [report.fail('fan', { tag: box.tag }, where)];
      if (device.kind === 'fan' && type && device.weightLb > Math.max(limits.unmarkedFanLb, type.carriesLb ?? 0))
        return [report.fail('unmarked', { tag: box.tag, lb: device.weightLb }, where)];
      // Nobody has said what hangs there: one question for all such boxes.
      if (!type && (device.kind === 'fan' || device.weightLb > limits.boxLb)) {
        unchosen.push(box);
        return [];
      }
      // A box of which nothing is marked carries 50 lb; one that is not chosen yet was asked for above.
      const carries = type?.carriesLb ?? limits.boxLb;
      if (device.kind === 'luminaire' && device.weightLb > carries)
        return [report.fail('heavy', { tag: box.tag, lb: device.weightLb }, where)];
      if (
        limits.everyHabitable === 1 &&
        device.kind === 'luminaire' &&
        type &&
        !type.fanRated &&
        box.state !== 'existing' &&
        isFanPlace(facts.house, box)
      )
        return [
          report.cannotTell('later', { tag: box.tag, room: outlet.room.name }, where, {
            section: '314.27(C)',
            basis: fromMemory('medium'),
            remedies: [onFanBoxes([box], 'Take a fan box')],
          }),
        ];
      return [report.pass('carries', { tag: box.tag }, where)];
    });
    if (unchosen.length === 0) return verdicts;
    const remedies = [onFanBoxes(unchosen, 'Hang all of them on fan boxes of 70 lb')];
    return [
      ...verdicts,
      report.cannotTell('unchosen', { tags: unchosen.map((one) => one.tag).join(', ') }, {}, { remedies }),
    ];
  },
});
