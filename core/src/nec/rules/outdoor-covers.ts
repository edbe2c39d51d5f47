import { isOpenToSky } from '../../place/outdoors';
import { receptaclesOf } from '../../place/receptacles';
import { setDevicesRemedy } from '../remedies';
import { defineRule, everyEdition, fromMemory } from '../rule';

export const outdoorCovers = defineRule({
  id: 'outdoor-covers',
  meta: {
    summary: 'Receptacles of 15 and 20 A in wet places have covers that are weatherproof with the plug in',
    stage: 'boxes',
    severity: 'violation',
    ofItsDay: true,
    why: 'A lamp cord stays plugged in for weeks: under a flap that closes only without it the contacts stand in the rain.',
    editions: everyEdition({ section: '406.9(B)(1)', limits: {}, basis: fromMemory('high') }),
    messages: {
      flap: ({ tag, room }: { tag: string; room: string }) =>
        `Receptacle ${tag} in ${room} has a cover that is tight only when nothing is plugged in.`,
      unsaid: ({ tags, room }: { tags: string; room: string }) =>
        `Which covers do ${tags} in ${room} get? Where rain reaches them they must be tight with the plug in.`,
      fine: ({ room }: { room: string }) => `The receptacles of ${room} have in-use covers.`,
    },
  },
  scope: 'room',
  appliesTo: (view) =>
    isOpenToSky(view.room) && view.boxes.some((box) => receptaclesOf(box).some((one) => one.ratingA <= 20)),
  check: (view, _limits, report) => {
    const own = view.boxes.flatMap((box) =>
      receptaclesOf(box)
        .filter((one) => one.ratingA <= 20)
        .map((device) => ({ box, device })),
    );
    const room = view.room.name;
    const flaps = own
      .filter(({ device }) => device.cover === 'flap')
      .map(({ box }) => report.fail('flap', { tag: box.tag, room }, { room: view.room.id, box: box.id }));
    const unsaid = own.filter(({ device }) => device.cover === undefined);
    if (unsaid.length === 0) return flaps.length > 0 ? flaps : [report.pass('fine', { room }, { room: view.room.id })];
    const tags = [...new Set(unsaid.map((one) => one.box.tag))].join(', ');
    const remedies = [
      setDevicesRemedy(
        unsaid.map((one) => one.device.id),
        { cover: 'in-use' },
        'All of them get in-use covers',
      ),
    ];
    return [...flaps, report.cannotTell('unsaid', { tags, room }, { room: view.room.id }, { remedies })];
  },
});
