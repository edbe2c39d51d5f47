import { unseenIn } from '../../makeup/unseen';
import { fillOfMakeUp } from '../../makeup/box-fill';
import { defineRule, everyEdition, fromMemory } from '../rule';

export const boxFill = defineRule({
  id: 'box-fill',
  meta: {
    summary: 'Every box has room for its conductors and devices',
    stage: 'make-up',
    severity: 'violation',
    why: 'Wires pressed into a box are skinned by its edge and by the screws of the device, and the heat of the splices stays inside.',
    editions: everyEdition({ section: '314.16(B)', limits: {}, basis: fromMemory('high') }),
    messages: {
      full: ({ tag, used, allowed, remedy }: Fill) =>
        `${tag} holds ${used} in³ and has room for ${allowed} in³. ${remedy ? `Take the ${remedy}.` : 'No box of the catalogue holds it: bring fewer cables here, or set a second box.'}`,
      fits: ({ tag, used, allowed }: Fill) => `${tag} holds ${used} of ${allowed} in³.`,
      old: ({ tag, used, allowed }: Fill) =>
        `${tag} exists. By the feed order that is supposed here it would hold ${used} in³ and have room for ${allowed} in³: look into it and count, and draw the cables that come to it.`,
      some: ({ tag, used, allowed }: Fill) =>
        `A new cable comes into ${tag}, which exists. With the old ones that are supposed there it would hold ${used} of ${allowed} in³: look into it and count.`,
      large: ({ tag }: Pick<Fill, 'tag'>) =>
        `Conductors larger than No. 6 come into ${tag}: its size goes by 314.28, which is not counted here.`,
    },
  },
  scope: 'make-up',
  check: ({ house, edition }, makeUp, _limits, report) => {
    const fill = fillOfMakeUp(house, makeUp, edition);
    const { box } = makeUp;
    const where = { room: box.room, box: box.id };
    if (fill.outside) return report.cannotTell('large', { tag: box.tag }, where);
    if (fill.allowedIn3 === undefined || makeUp.cables.length === 0) return [];
    const data = { tag: box.tag, used: fill.usedIn3, allowed: fill.allowedIn3, remedy: fill.remedy?.name };
    // Which cables come to an existing box nobody has said: what the tool supposes is no violation of theirs.
    const unseen = unseenIn(makeUp);
    if (unseen === 'all') return fill.fits ? [] : report.cannotTell('old', data, where);
    if (unseen === 'some') return report.cannotTell(fill.fits ? 'some' : 'old', data, where);
    return fill.fits ? report.pass('fits', data, where) : report.fail('full', data, where);
  },
});

interface Fill {
  readonly tag: string;
  readonly used: number;
  readonly allowed: number;
  readonly remedy: string | undefined;
}
