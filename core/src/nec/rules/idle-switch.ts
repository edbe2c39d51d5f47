import { commonPractice, defineRule, everyEdition } from '../rule';

export const idleSwitch = defineRule({
  id: 'idle-switch',
  meta: {
    summary: 'Every switch belongs to a group',
    stage: 'switching',
    severity: 'caution',
    why: 'What a switch governs decides how many conductors come to its box. Unknown, it cannot be wired, counted or proved.',
    editions: everyEdition({ section: '404.2', limits: {}, basis: commonPractice }),
    messages: {
      idle: ({ tag, count }: { tag: string; count: number }) =>
        `${count === 1 ? 'A switch' : `${count} switches`} in ${tag} ${count === 1 ? 'is' : 'are'} in no group. Say at Switching what is governed.`,
      none: () => 'Every switch is in a group.',
    },
  },
  scope: 'house',
  reads: 'lights',
  appliesTo: ({ outlets }) => outlets.lights.some((one) => one.device.kind === 'switch'),
  check: ({ house, outlets }, _limits, report) => {
    const claimed = new Set(Object.values(house.switchGroups).flatMap((one) => one.switches));
    const idle = outlets.lights.filter((one) => one.device.kind === 'switch' && !claimed.has(one.device.id));
    const boxes = [...new Set(idle.map((one) => one.box))];
    if (boxes.length === 0) return [report.pass('none', undefined, {})];
    return boxes.map((box) =>
      report.fail(
        'idle',
        { tag: box.tag, count: idle.filter((one) => one.box === box).length },
        { room: box.room, box: box.id },
      ),
    );
  },
});
