import type { Finding } from '../nec/check-house';

/** Rules about what a person has drawn: where the panel hangs, what a room is for. The tool neither makes nor mends these. */
const OF_THE_DRAWING: ReadonlySet<string> = new Set([
  'panel-working-space',
  'panel-place',
  'room-use-named',
  'drawing-complete',
]);

/** The violations that a layout by the tool alone has to answer for. */
export const ofItsOwnMaking = (findings: readonly Finding[]): readonly Finding[] =>
  findings.filter((one) => one.kind === 'fail' && one.severity === 'violation' && !OF_THE_DRAWING.has(one.ruleId));
