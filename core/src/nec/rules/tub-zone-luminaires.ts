import { isPaddleFan } from '../../place/fans';
import { isLonger, isShorter } from '../../geometry/intervals';
import { distanceToFeature, placeOf } from '../../plan/points';
import { boxHeightIn } from '../../place/receptacles';
import { rimIn } from '../requirements/tub-rim';
import { defineRule, everyEdition, fromMemory } from '../rule';

export const tubZoneLuminaires = defineRule({
  id: 'tub-zone-luminaires',
  meta: {
    summary: 'No hanging luminaire or paddle fan near a tub or shower; damp or wet marking inside',
    stage: 'boxes',
    severity: 'violation',
    why: 'Wet hands reach up. The zone is 3 ft to the side and 8 ft up from the rim or threshold, with the space straight above.',
    editions: everyEdition({ section: '410.10(D)', limits: { sideIn: 36, upIn: 96 }, basis: fromMemory('high') }),
    messages: {
      hangs: ({ tag, what, gap }: { tag: string; what: string; gap: number }, show) =>
        `The ${what} ${tag} hangs ${show(gap)} from a tub or shower, inside its zone.`,
      unmarked: ({ tag }: { tag: string }) =>
        `Luminaire ${tag} is over a tub or shower and not marked for damp or wet places.`,
      fine: ({ room }: { room: string }) => `No luminaire of ${room} hangs in the zone of its tub or shower.`,
    },
  },
  scope: 'room',
  appliesTo: (view) => view.features.some((feature) => feature.kind === 'tub' || feature.kind === 'shower'),
  check: (view, limits, report) => {
    const wet = view.features.filter((feature) => feature.kind === 'tub' || feature.kind === 'shower');
    const found = view.boxes.flatMap((box) =>
      Object.values(box.devices).flatMap((device) => {
        if (device.kind !== 'luminaire' && !isPaddleFan(device, view.room.kind)) return [];
        const where = { room: view.room.id, box: box.id };
        const height = boxHeightIn(box, view.level.ceilingIn);
        return wet.flatMap((feature) => {
          const gap = distanceToFeature(view.room, feature, placeOf(view, box));
          if (!isShorter(gap, limits.sideIn) || isLonger(height, rimIn(feature) + limits.upIn)) return [];
          if (device.kind !== 'luminaire' || device.style === 'pendant') {
            const what = device.kind === 'luminaire' ? 'pendant' : 'fan';
            const measured = (show: (lengthIn: number) => string) => show(gap);
            return [
              report.fail('hangs', { tag: box.tag, what, gap }, where, {
                measured,
                required: (show) =>
                  `${show(limits.sideIn)} to the side, or higher than ${show(limits.upIn)} above the rim`,
              }),
            ];
          }
          return gap === 0 && device.marked === 'dry' ? [report.fail('unmarked', { tag: box.tag }, where)] : [];
        });
      }),
    );
    return found.length > 0 ? found : [report.pass('fine', { room: view.room.name }, { room: view.room.id })];
  },
});
