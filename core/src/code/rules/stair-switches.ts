import { lightOf, switchesFor } from '../../control/room-light';
import { defineRule, everyEdition, fromMemory } from '../rule';

export const stairSwitches = defineRule({
  id: 'stair-switches',
  meta: {
    summary: 'A stair of six risers and more can be lit from every floor it joins',
    stage: 'boxes',
    severity: 'violation',
    why: 'Whoever starts down a dark stair to reach the switch at its foot may arrive sooner than planned.',
    editions: everyEdition({ section: '210.70(A)(2)', limits: { minRisers: 6 }, basis: fromMemory('high') }),
    messages: {
      dark: ({ room }: { room: string }) => `No wall switch at the stair in ${room} governs its light.`,
      lit: ({ room }: { room: string }) => `The stair can be lit in ${room}.`,
      few: ({ room, risers }: { room: string; risers: number }) =>
        `The stair in ${room} has ${risers} risers: no switch is required at each end.`,
      unknown: ({ room }: { room: string }) =>
        `How many risers the stair in ${room} has is not said. Enter its risers between floors.`,
    },
  },
  scope: 'house',
  reads: 'lights',
  appliesTo: (facts) => facts.views.some((view) => view.features.some((feature) => feature.kind === 'stair')),
  check: (facts, limits, report) =>
    facts.views.flatMap((view) =>
      view.features
        .filter((feature) => feature.kind === 'stair')
        .map((stair) => {
          const room = view.room.name;
          const where = { room: view.room.id, feature: stair.id };
          if (stair.risers === undefined) return report.cannotTell('unknown', { room }, where);
          if (stair.risers < limits.minRisers) return report.pass('few', { room, risers: stair.risers }, where);
          const light = lightOf(facts.house, facts.outlets, view.room);
          const here = facts.outlets.byRoom.get(view.room.id) ?? [];
          const grouped = here.some((one) => one.device.kind === 'switch' && !light.switches.includes(one));
          const canLight =
            light.switches.length > 0 ||
            grouped ||
            light.luminaires.some((one) =>
              switchesFor(facts.house, facts.outlets, one).some((control) => control.room.id === view.room.id),
            );
          return canLight ? report.pass('lit', { room }, where) : report.fail('dark', { room }, where);
        }),
    ),
});
