import { commonPractice, defineRule, everyEdition } from '../rule';

export const roomUseNamed = defineRule({
  id: 'room-use-named',
  meta: {
    summary: 'Every room has a use that the code knows',
    stage: 'house',
    severity: 'reminder',
    why: 'The name of a room is an input to the code: bedroom or office, kitchen or wet bar decide spacing, AFCI and GFCI.',
    editions: everyEdition({ section: '210.52, 210.12', limits: {}, basis: commonPractice }),
    messages: {
      open: ({ room }: { room: string }) =>
        `${room} has no use yet, so spacing and protection there cannot be decided. Choose its kind.`,
      named: ({ room, kind }: { room: string; kind: string }) => `${room} is a ${kind}.`,
    },
  },
  scope: 'room',
  appliesTo: () => true,
  check: (view, _limits, report) => {
    const { id, name, kind } = view.room;
    return [
      kind === 'other'
        ? report.cannotTell('open', { room: name }, { room: id })
        : report.pass('named', { room: name, kind }, { room: id }),
    ];
  },
});
