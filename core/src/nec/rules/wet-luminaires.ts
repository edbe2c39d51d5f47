import { isExhaustFan } from '../../place/fans';
import { isMoist, isOpenToSky } from '../../place/outdoors';
import { setDevicesRemedy } from '../remedies';
import { defineRule, everyEdition, fromMemory } from '../rule';

export const wetLuminaires = defineRule({
  id: 'wet-luminaires',
  meta: {
    summary: 'Luminaires and fans in wet places are marked for them, those in damp places for damp or wet ones',
    stage: 'boxes',
    severity: 'violation',
    why: 'A luminaire made for dry rooms takes in water outdoors: it trips the circuit, or puts its metal under voltage.',
    editions: everyEdition({ section: '410.10(A)', limits: {}, basis: fromMemory('high') }),
    messages: {
      dry: ({ what, tag, room, needed }: Data & { needed: string }) =>
        `The ${what} at ${tag} in ${room} must be marked for ${needed} locations.`,
      unsaid: ({ tag, room, needed }: Data & { needed: string }) =>
        `Is the fan at ${tag} in ${room} marked for ${needed} locations? One for dry rooms warps and rusts there.`,
      suited: ({ what, tag, room }: Data) => `The ${what} at ${tag} is marked for the weather of ${room}.`,
    },
  },
  scope: 'room',
  appliesTo: (view) =>
    isMoist(view.room) &&
    view.boxes.some((box) =>
      Object.values(box.devices).some((device) => device.kind === 'luminaire' || device.kind === 'fan'),
    ),
  check: (view, _limits, report) =>
    view.boxes.flatMap((box) =>
      Object.values(box.devices).flatMap((device) => {
        if (device.kind !== 'luminaire' && device.kind !== 'fan') return [];
        if (isExhaustFan(device, view.room.kind)) return [];
        const where = { room: view.room.id, box: box.id };
        const needed = isOpenToSky(view.room) ? 'wet' : 'damp';
        const data = { what: device.kind, tag: box.tag, room: view.room.name };
        if (device.marked === 'wet' || device.marked === needed) return [report.pass('suited', data, where)];
        const remedies = [setDevicesRemedy([device.id], { marked: needed }, `Use one marked for ${needed} locations`)];
        // A fan is bound by its listing: 110.3(B).
        const section = device.kind === 'fan' ? { section: '110.3(B)' } : {};
        if (device.marked === undefined)
          return [report.cannotTell('unsaid', { ...data, needed }, where, { ...section, remedies })];
        return [report.fail('dry', { ...data, needed }, where, { ...section, remedies })];
      }),
    ),
});

interface Data {
  readonly what: string;
  readonly tag: string;
  readonly room: string;
}
