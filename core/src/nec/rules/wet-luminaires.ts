import { isMoist, isOpenToSky } from '../../place/outdoors';
import { setDevicesRemedy } from '../remedies';
import { defineRule, everyEdition, fromMemory } from '../rule';

export const wetLuminaires = defineRule({
  id: 'wet-luminaires',
  meta: {
    summary: 'Luminaires in wet places are marked for them, those in damp places for damp or wet ones',
    stage: 'boxes',
    severity: 'violation',
    why: 'A luminaire made for dry rooms takes in water outdoors: it trips the circuit, or puts its metal under voltage.',
    editions: everyEdition({ section: '410.10(A)', limits: {}, basis: fromMemory('high') }),
    messages: {
      dry: ({ tag, room, needed }: { tag: string; room: string; needed: string }) =>
        `The luminaire at ${tag} in ${room} must be marked for ${needed} locations.`,
      suited: ({ tag, room }: { tag: string; room: string }) =>
        `The luminaire at ${tag} is marked for the weather of ${room}.`,
    },
  },
  scope: 'room',
  appliesTo: (view) =>
    isMoist(view.room) &&
    view.boxes.some((box) => Object.values(box.devices).some((device) => device.kind === 'luminaire')),
  check: (view, _limits, report) =>
    view.boxes.flatMap((box) =>
      Object.values(box.devices).flatMap((device) => {
        if (device.kind !== 'luminaire') return [];
        const where = { room: view.room.id, box: box.id };
        const needed = isOpenToSky(view.room) ? 'wet' : 'damp';
        const data = { tag: box.tag, room: view.room.name };
        if (device.marked === 'wet' || device.marked === needed) return [report.pass('suited', data, where)];
        const remedies = [setDevicesRemedy([device.id], { marked: needed }, `Use one marked for ${needed} locations`)];
        return [report.fail('dry', { ...data, needed }, where, { remedies })];
      }),
    ),
});
