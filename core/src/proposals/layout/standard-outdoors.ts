import type { Outlet } from '../../circuits/outlets';
import { OUTDOOR_KINDS } from '../../place/outdoors';
import { inTurn } from '../../edits/circuit-verbs';
import { edit } from '../../house/edit';
import type { House, Switching } from '../../house/schema';
import { isLight, restyle, styleOf, type Drawn, type StandardChange } from './standard-change';

/** Outdoor lights by hand, by a timer in the wall, or by a sensor in the light; the wall switch stays. */
export function outdoorChanges(drawn: readonly Drawn[], standard: Switching['outdoors']): StandardChange[] {
  return drawn.flatMap(({ group, switches, controls }): StandardChange[] => {
    if (!controls.every((one) => isLight(one) && OUTDOOR_KINDS.has(one.room.kind))) return [];
    const own = { standard: 'outdoors' as const, room: switches[0]!.room.id, box: switches[0]!.box.id };
    const automatic = switches.filter((one) => /^(astronomic|dusk)$/.test(styleOf(one) ?? ''));
    const sensed = controls.filter(({ device }) => device.kind === 'luminaire' && device.sensor !== undefined);
    const withSensor = (outlets: readonly Outlet[], sensor: 'dusk' | undefined) => (house: House) =>
      edit(house, 'Apply a standard', (draft) => {
        for (const { box, device } of outlets) {
          const one = draft.boxes[box.id]?.devices[device.id];
          if (one?.kind !== 'luminaire') continue;
          if (sensor) one.sensor = sensor;
          else delete one.sensor;
        }
      });
    const plain = automatic.map((one) => restyle(one, 'toggle'));
    if (standard === 'by-hand' && (automatic.length > 0 || sensed.length > 0))
      return [
        {
          ...own,
          id: `outdoors ${group.id}`,
          words: `${group.name}: wall switch only`,
          apply: (house) => inTurn('Apply a standard', house, [...plain, withSensor(sensed, undefined)]),
        },
      ];
    const toggle = switches.find((one) => styleOf(one) === 'toggle');
    if (standard === 'astronomic' && !automatic.some((one) => styleOf(one) === 'astronomic') && toggle)
      return [
        {
          ...own,
          id: `outdoors ${group.id}`,
          words: `${group.name}: an astronomic timer in ${toggle.box.tag}`,
          apply: (house) =>
            inTurn('Apply a standard', house, [...plain, withSensor(sensed, undefined), restyle(toggle, 'astronomic')]),
        },
      ];
    if (standard === 'dusk' && (sensed.length < controls.length || automatic.length > 0))
      return [
        {
          ...own,
          id: `outdoors ${group.id}`,
          words: `${group.name}: a dusk sensor in ${controls.map((one) => one.box.tag).join(', ')}, the wall switch stays`,
          apply: (house) => inTurn('Apply a standard', house, [...plain, withSensor(controls, 'dusk')]),
        },
      ];
    return [];
  });
}
