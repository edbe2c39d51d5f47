import type { BoxState } from '../../house/schema';
import { commonPractice, defineRule, everyEdition } from '../rule';
import { given, mustGet } from '../../units/result';

/** States in which something is still to be settled; existing and moved boxes are settled. */
const OPEN: Readonly<Partial<Record<BoxState, string>>> = {
  undecided: 'undecided',
  'not-delivered': 'fixture not delivered',
  future: 'for the future',
  held: 'held until tile',
};

export const provisionalBoxes = defineRule({
  id: 'provisional-boxes',
  meta: {
    summary: 'What is provisional is settled before wire is pulled',
    stage: 'boxes',
    severity: 'reminder',
    why: 'A change after the wire costs ten times a change before it. Nothing provisional becomes final by being forgotten.',
    editions: everyEdition({ section: 'common practice', limits: {}, basis: commonPractice }),
    messages: {
      open: ({ tag, state, note }: { tag: string; state: string; note: string }) =>
        `${tag} is ${state}${note ? `: ${note}` : ''}.`,
      settled: ({ room }: { room: string }) => `Nothing in ${room} is provisional.`,
    },
  },
  scope: 'room',
  appliesTo: (view) => view.boxes.some((box) => box.state !== undefined),
  check: (view, _limits, report) => {
    const open = view.boxes.filter((box) => box.state && OPEN[box.state]);
    if (open.length === 0) return [report.pass('settled', { room: view.room.name }, { room: view.room.id })];
    return open.map((box) =>
      report.fail(
        'open',
        { tag: box.tag, state: mustGet(OPEN, given(box.state)), note: box.note ?? '' },
        { room: view.room.id, box: box.id },
      ),
    );
  },
});
