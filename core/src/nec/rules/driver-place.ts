import { commonPractice, defineRule, everyEdition } from '../rule';

export const driverPlace = defineRule({
  id: 'driver-place',
  meta: {
    summary: 'The driver of a cove or under-cabinet run can be reached and sheds its heat',
    stage: 'boxes',
    severity: 'caution',
    why: 'Drivers fail before the strips they feed. One closed in behind drywall is found with a saw; its splices must stay within reach in any case (NEC 314.29).',
    editions: everyEdition({ section: '314.29, common practice', limits: {}, basis: commonPractice }),
    messages: {
      unknown: ({ tag }: { tag: string }) => `Where the driver of the run at ${tag} lives is not said.`,
      closed: ({ tag }: { tag: string }) => `The driver of the run at ${tag} would be closed in.`,
      fine: ({ tag, place }: { tag: string; place: string }) =>
        `The driver of the run at ${tag} lives in the ${place}.`,
    },
  },
  scope: 'room',
  appliesTo: (view) =>
    view.boxes.some((box) =>
      Object.values(box.devices).some((one) => one.kind === 'luminaire' && one.style === 'strip'),
    ),
  check: (view, _limits, report) =>
    view.boxes.flatMap((box) =>
      Object.values(box.devices).flatMap((device) => {
        if (device.kind !== 'luminaire' || device.style !== 'strip') return [];
        const where = { room: view.room.id, box: box.id };
        if (!device.driver) return [report.cannotTell('unknown', { tag: box.tag }, where)];
        if (device.driver === 'closed-in') return [report.fail('closed', { tag: box.tag }, where)];
        return [report.pass('fine', { tag: box.tag, place: device.driver.replace('-', ' ') }, where)];
      }),
    ),
});
