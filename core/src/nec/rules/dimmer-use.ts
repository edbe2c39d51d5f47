import { defineRule, everyEdition, fromMemory } from '../rule';

export const dimmerUse = defineRule({
  id: 'dimmer-use',
  meta: {
    summary: 'Dimmers govern luminaires: no receptacle, no fan',
    stage: 'switching',
    severity: 'violation',
    why: 'Whatever is plugged into a dimmed receptacle, a vacuum cleaner at last, burns up or burns the dimmer. A fan motor needs a fan control.',
    editions: everyEdition({ section: '404.14(E)', limits: {}, basis: fromMemory('high') }),
    messages: {
      wrong: ({ name, what }: { name: string; what: string }) =>
        `${name} has a dimmer and governs ${what}. Take a plain switch, or a control made for it.`,
      right: ({ name }: { name: string }) => `The dimmer of ${name} governs luminaires.`,
    },
  },
  scope: 'house',
  appliesTo: ({ outlets }) =>
    outlets.lights.some(({ device }) => device.kind === 'switch' && device.style === 'dimmer'),
  check: ({ house, outlets }, _limits, report) =>
    Object.values(house.switchGroups).flatMap((group) => {
      const dimmer = group.switches
        .flatMap((id) => outlets.byDevice.get(id) ?? [])
        .find(({ device }) => device.kind === 'switch' && device.style === 'dimmer');
      if (!dimmer) return [];
      const where = { room: dimmer.room.id, box: dimmer.box.id };
      const other = group.controls
        .flatMap((id) => outlets.byDevice.get(id) ?? [])
        .find(({ device }) => device.kind !== 'luminaire');
      if (!other) return [report.pass('right', { name: group.name }, where)];
      const word =
        { fan: 'the fan at', connection: 'the equipment at' }[other.device.kind as string] ?? 'the receptacle';
      const what = `${word} ${other.box.tag}`;
      return [report.fail('wrong', { name: group.name, what }, where)];
    }),
});
