import { isLonger } from '../../geometry/intervals';
import { defineRule, everyEdition, fromMemory } from '../rule';
import { boxHeightIn, receptaclesOf } from '../../place/receptacles';

export const porchReceptacle = defineRule({
  id: 'porch-receptacle',
  meta: {
    summary: 'A receptacle on every balcony, deck and porch',
    stage: 'boxes',
    severity: 'violation',
    why: 'People use lamps, heaters and radios on porches; a cord through the door gets pinched.',
    editions: everyEdition({ section: '210.52(E)(3)', limits: { maxHeightIn: 78 }, basis: fromMemory('high') }),
    messages: {
      none: ({ room }: { room: string }) => `${room} has no receptacle within reach of its floor.`,
      there: ({ room }: { room: string }) => `${room} has its receptacle.`,
    },
  },
  scope: 'room',
  appliesTo: (view) => ['porch', 'deck', 'balcony'].includes(view.room.kind),
  check: (view, limits, report) => {
    const room = view.room.name;
    const served = view.boxes.some(
      (box) =>
        receptaclesOf(box).some((one) => one.volts === 120) &&
        !isLonger(boxHeightIn(box, view.level.ceilingIn), limits.maxHeightIn),
    );
    const detail = {
      measured: () => (served ? 'one or more' : 'none'),
      required: (show: (lengthIn: number) => string) => `one, at most ${show(limits.maxHeightIn)} above its floor`,
    };
    return [
      served
        ? report.pass('there', { room }, { room: view.room.id }, detail)
        : report.fail('none', { room }, { room: view.room.id }, detail),
    ];
  },
});
